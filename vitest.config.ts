import { availableParallelism } from 'node:os'
import { fileURLToPath } from 'node:url'
import { defineVitestProject } from '@nuxt/test-utils/config'
import { defineConfig } from 'vitest/config'

const alias = {
  '~~': fileURLToPath(new URL('.', import.meta.url)),
  '~': fileURLToPath(new URL('./app', import.meta.url)),
  '#shared': fileURLToPath(new URL('./shared', import.meta.url)),
}

/** Two at the least: the tests are to be done on two quiet cores, and one of them would stand idle. */
const WORKERS = Math.max(2, availableParallelism())

export default defineConfig({
  test: {
    maxWorkers: WORKERS,
    projects: [
      {
        resolve: { alias },
        test: {
          name: 'unit',
          include: [
            'core/**/*.test.ts',
            'library/**/*.test.ts',
            'shared/**/*.test.ts',
            'demo/**/*.test.ts',
            'app/composables/**/*.test.ts',
            'app/say/**/*.test.ts',
            'app/bench/**/*.test.ts',
            'app/device/**/*.test.ts',
            'command/**/*.test.ts',
            'server/**/*.test.ts',
            'tests/lint/**/*.test.ts',
          ],
          testTimeout: 180_000,
          hookTimeout: 180_000,
          // What is tested here keeps nothing that another file could trip over, and is loaded once.
          isolate: false,
        },
      },
      {
        resolve: { alias },
        test: {
          name: 'api',
          include: ['tests/api/**/*.test.ts'],
          testTimeout: 180_000,
          hookTimeout: 240_000,
          globalSetup: 'tests/api/databases.ts',
          setupFiles: 'tests/api/own-database.ts',
          maxWorkers: 2,
        },
      },
      await defineVitestProject({
        test: {
          name: 'screens',
          include: ['app/components/**/*.test.ts'],
          environment: 'nuxt',
          environmentOptions: { nuxt: { domEnvironment: 'happy-dom' } },
          testTimeout: 180_000,
          hookTimeout: 240_000,
        },
      }),
    ],
  },
})
