import { spawn, type ChildProcess } from 'node:child_process'
import { createServer } from 'node:net'
import { database } from '../../server/db/client.ts'
import { loadThornmere } from '../../demo/load.ts'
import { PEOPLE } from '../../demo/thornmere.ts'

/** The built server on a free port of this machine, over the test database. */
export interface RunningServer {
  url: string
  stop: () => Promise<void>
}

const freePort = () =>
  new Promise<number>(resolve => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number }
      probe.close(() => resolve(port))
    })
  })

export async function startServer(): Promise<RunningServer> {
  const port = await freePort()
  const child: ChildProcess = spawn('node', ['.output/server/index.mjs'], {
    env: {
      ...process.env,
      PORT: String(port),
      HOST: '127.0.0.1',
      NITRO_PORT: String(port),
      NITRO_HOST: '127.0.0.1',
      NUXT_SESSION_PASSWORD: process.env.NUXT_SESSION_PASSWORD ?? 'x'.repeat(40),
    },
    stdio: 'inherit',
  })
  const url = `http://127.0.0.1:${port}`
  for (let i = 0; i < 150; i++) {
    if (
      await fetch(`${url}/api/health`).then(
        answer => answer.ok,
        () => false,
      )
    )
      return {
        url,
        stop: () =>
          new Promise(resolve => {
            child.once('exit', () => resolve())
            child.kill()
          }),
      }
    await new Promise(resolve => setTimeout(resolve, 200))
  }
  child.kill()
  throw new Error('The server did not come up within 30 s.')
}

export const fillDatabase = () => loadThornmere(database())

/** Somebody signed in: requests as the pages make them. */
export async function signIn(url: string, name: string) {
  const people = (await (await fetch(`${url}/api/sign-in`)).json()) as { id: string; name: string }[]
  const id = people.find(one => one.name === name)!.id
  const answer = await fetch(`${url}/api/sign-in`, {
    method: 'POST',
    headers: { 'origin': url, 'content-type': 'application/json' },
    body: JSON.stringify({ person: id, pin: PEOPLE.find(one => one.name === name)!.pin }),
  })
  const cookie = answer.headers
    .getSetCookie()
    .map(one => one.split(';')[0])
    .join('; ')
  return {
    id,
    setCookie: answer.headers.getSetCookie()[0] ?? '',
    get: (path: string, more: RequestInit = {}) => fetch(url + path, { ...more, headers: { cookie } }),
    post: (path: string, body: unknown, headers: Record<string, string> = {}) =>
      fetch(url + path, {
        method: 'POST',
        headers: { cookie, 'origin': url, 'content-type': 'application/json', ...headers },
        body: typeof body === 'string' ? body : JSON.stringify(body),
      }),
  }
}
export type SignedIn = Awaited<ReturnType<typeof signIn>>
