import { defineConfig } from '@playwright/test'

const PORT = Number(process.env.E2E_PORT ?? 3477)

export default defineConfig({
  testDir: 'tests/e2e',
  timeout: 600_000,
  // A busy machine may stand still for many seconds: nothing here measures speed.
  expect: { timeout: 40_000 },
  workers: 1,
  retries: process.env.CI ? 1 : 0,
  forbidOnly: Boolean(process.env.CI),
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    trace: 'off',
    // The pages come from the server, but where a test is about going on without it.
    serviceWorkers: 'block',
    actionTimeout: 40_000,
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
  webServer: {
    command: `HOST=127.0.0.1 PORT=${PORT} NITRO_PORT=${PORT} node .output/server/index.mjs`,
    url: `http://127.0.0.1:${PORT}/api/health`,
    timeout: 60_000,
    reuseExistingServer: false,
  },
})
