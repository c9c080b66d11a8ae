import { defineConfig } from '@playwright/test'
import { BROWSER } from './tests/browser.ts'

export default defineConfig({
  testDir: 'tests/e2e',
  timeout: 600_000,
  // A busy machine may stand still for many seconds: nothing here measures speed.
  expect: { timeout: 40_000 },
  // Each has a server and a database of its own; see tests/e2e/test.ts.
  workers: 2,
  retries: process.env.CI ? 1 : 0,
  forbidOnly: Boolean(process.env.CI),
  use: {
    viewport: { width: 1280, height: 800 },
    trace: 'off',
    // Nothing is pressed while it still moves, and nothing is waited for that only moves.
    contextOptions: { reducedMotion: 'reduce' },
    // The pages come from the server, but where a test is about going on without it.
    serviceWorkers: 'block',
    actionTimeout: 40_000,
    launchOptions: BROWSER,
  },
})
