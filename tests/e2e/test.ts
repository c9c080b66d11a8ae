import { spawn, type ChildProcess } from 'node:child_process'
import { test as base } from '@playwright/test'
import { copyFor, named } from '../databases.ts'

export { expect, type BrowserContext, type Cookie, type Locator, type Page } from '@playwright/test'

/** The database with the demo loaded, which nobody is connected to: each worker works on a copy of it. */
const DEMO = new URL(process.env.NEEDLER_OWNER_URL!)
const FIRST_PORT = Number(process.env.E2E_PORT ?? 3477)
const START_MS = 120_000

async function untilWell(url: string, server: ChildProcess): Promise<void> {
  for (const from = Date.now(); Date.now() - from < START_MS;) {
    if (server.exitCode !== null) throw new Error(`The server of the browser tests ended with ${server.exitCode}.`)
    const answer = await fetch(`${url}/api/health`).catch(() => null)
    if (answer?.ok) return
    await new Promise(resolve => setTimeout(resolve, 200))
  }
  throw new Error('The server of the browser tests did not come up.')
}

/** The server of a worker, at one address for as long as the worker is there. */
export interface Served {
  address: string
  /** Ends it, without a word of warning where it is killed, and starts another in its place. */
  again: (signal: 'SIGTERM' | 'SIGKILL') => Promise<void>
}

/** Browser tests, each worker with a server and a database of its own: what one does another never meets. */
export const test = base.extend<object, { served: Served; address: string }>({
  served: [
    async ({ browserName: _ }, use, { workerIndex, parallelIndex }) => {
      const name = await copyFor(DEMO, workerIndex)
      // The helpers that put machines on the shelf write where this worker's server reads.
      process.env.DATABASE_URL = named(process.env.DATABASE_URL!, name)
      const port = String(FIRST_PORT + parallelIndex)
      const address = `http://127.0.0.1:${port}`
      // Helpers that speak to it without a page say where they come from.
      process.env.E2E_ADDRESS = address
      const start = async () => {
        const server = spawn(process.execPath, ['.output/server/index.mjs'], {
          env: { ...process.env, HOST: '127.0.0.1', PORT: port, NITRO_PORT: port },
          stdio: ['ignore', 'ignore', 'inherit'],
        })
        await untilWell(address, server)
        return server
      }
      let server = await start()
      const end = async (signal: 'SIGTERM' | 'SIGKILL') => {
        const ended = new Promise(resolve => server.once('exit', resolve))
        if (server.exitCode === null && server.signalCode === null && server.kill(signal)) await ended
      }
      const again: Served['again'] = async signal => {
        await end(signal)
        server = await start()
      }
      await use({ address, again })
      await end('SIGTERM')
    },
    { scope: 'worker', auto: true },
  ],
  address: [({ served }, use) => use(served.address), { scope: 'worker' }],
  baseURL: async ({ address }, use) => use(address),
})
