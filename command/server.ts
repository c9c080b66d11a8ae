import { spawn } from 'node:child_process'
import { createServer } from 'node:net'
import { appUrl } from './place.ts'
import { Plain, say } from './plain.ts'

const isFree = (port: number, host: string) =>
  new Promise<boolean>(resolve => {
    const probe = createServer()
    probe.once('error', () => resolve(false))
    probe.listen(port, host, () => probe.close(() => resolve(true)))
  })

const isWell = (url: string) =>
  fetch(`${url}/api/health`).then(
    answer => answer.ok,
    () => false,
  )

/** Serves the built application over a database until it is told to stop. `ready` is called once it answers. */
export async function serveUntilStopped(database: string, verb: string, ready: () => void): Promise<void> {
  const host = process.env.HOST ?? '127.0.0.1'
  const port = Number(process.env.PORT ?? 3000)
  if (!(await isFree(port, host)))
    throw new Plain(`Port ${port} is taken. Stop what uses it, or choose another: PORT=3100 ./needler ${verb}`)
  // The server gets what it needs and no more: the owner's password stays here.
  const { NEEDLER_OWNER_PASSWORD: _owner, NEEDLER_APP_PASSWORD: _app, ...env } = process.env
  const child = spawn('node', ['.output/server/index.mjs'], {
    env: {
      ...env,
      HOST: host,
      PORT: String(port),
      NITRO_HOST: host,
      NITRO_PORT: String(port),
      DATABASE_URL: appUrl(database),
    },
    stdio: ['ignore', 'inherit', 'inherit'],
  })
  const ended = new Promise<number | null>(resolve => child.once('exit', resolve))
  let isStopped = false
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const)
    process.on(signal, () => {
      isStopped = true
      child.kill('SIGTERM')
    })
  // On every address, a person looks for it on this one.
  const url = `http://${host === '0.0.0.0' || host === '::' ? '127.0.0.1' : host}:${port}`
  for (let i = 0; i < 150 && child.exitCode === null; i++) {
    if (await isWell(url)) {
      say(`\nNeedler is at ${url} — Ctrl-C stops it.`)
      ready()
      break
    }
    await new Promise(resolve => setTimeout(resolve, 200))
  }
  await ended
  if (!isStopped) throw new Plain('The server stopped by itself. Its words stand above.')
  say('\nStopped.')
}
