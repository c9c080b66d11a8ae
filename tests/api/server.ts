import { spawn, type ChildProcess } from 'node:child_process'
import { createServer } from 'node:net'
import { sql } from 'drizzle-orm'
import type { Refusal } from '../../core/refusal.ts'
import { connectTo, database } from '../../server/db/client.ts'
import { addMachine } from '../../server/db/fleet.ts'
import { PEOPLE } from '../../demo/thornmere.ts'

/** The built server on a free port of this machine, over the test database. */
export interface RunningServer {
  url: string
  /** Tells it to stop, or kills it; resolves when it has ended. */
  stop: (signal?: NodeJS.Signals) => Promise<void>
}

/** A busy machine may stand still for many seconds: nothing here measures speed. */
const START_MS = 120_000

/** What a server is started with beside the environment of the tests. */
interface Started {
  databaseUrl?: string
  port?: number
  env?: Record<string, string>
  /** What it says of errors; true where nothing more is waited for. */
  hears?: (text: string) => unknown
}

export const freePort = () =>
  new Promise<number>(resolve => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number }
      probe.close(() => resolve(port))
    })
  })

export async function startServer({ databaseUrl, env = {}, hears, ...at }: Started = {}): Promise<RunningServer> {
  const port = at.port ?? (await freePort())
  const child: ChildProcess = spawn('node', ['.output/server/index.mjs'], {
    env: {
      ...process.env,
      PORT: String(port),
      HOST: '127.0.0.1',
      NITRO_PORT: String(port),
      NITRO_HOST: '127.0.0.1',
      NUXT_SESSION_PASSWORD: process.env.NUXT_SESSION_PASSWORD ?? 'x'.repeat(40),
      ...(databaseUrl ? { DATABASE_URL: databaseUrl } : {}),
      ...env,
    },
    stdio: ['inherit', 'inherit', hears ? 'pipe' : 'inherit'],
  })
  let isOver = false
  child.stderr?.on('data', part => {
    process.stderr.write(part as Buffer)
    isOver ||= hears?.(String(part)) === true
  })
  const url = `http://127.0.0.1:${port}`
  for (const from = Date.now(); Date.now() - from < START_MS && !isOver;) {
    if (
      await fetch(`${url}/api/health`).then(
        answer => answer.ok,
        () => false,
      )
    )
      return {
        url,
        stop: signal =>
          new Promise(resolve => {
            if (child.exitCode !== null || child.signalCode !== null) return resolve()
            child.once('exit', () => resolve())
            child.kill(signal)
          }),
      }
    await new Promise(resolve => setTimeout(resolve, 100))
  }
  child.kill()
  throw new Error('The server did not come up.')
}

/** Whoever owns the tables of the test database: may do what the application may not. */
export const owner = () => connectTo(process.env.NEEDLER_OWNER_URL!, 2)

/** The demo as it was loaded, with nothing of the files before this one in the way. */
export async function fillDatabase(): Promise<void> {
  await database().execute(sql`delete from pin_attempt`)
  // The devices of the files before this one are not new any more.
  await database().execute(sql`update known_device set known_at = now() - interval '2 days'`)
}

/** A pump that no other file of tests works on. */
export async function pumpOfOwn(tag: string): Promise<string> {
  await addMachine(database(), {
    ...{ tag, name: 'Pump of the tests', areaId: 'beet', line: 'tests', sheetId: 'm14-axially-split-pump' },
    ...{ variants: {}, hoursRun: 100, hoursPerWeek: 10 },
  })
  return tag
}

interface Door {
  people: { id: string; name: string }[]
}

export const peopleAt = async (url: string) => ((await (await fetch(`${url}/api/sign-in`)).json()) as Door).people

const cookiesOf = (answer: Response, before = '') => {
  const jar = new Map(
    [...before.split('; '), ...answer.headers.getSetCookie().map(one => one.split(';')[0]!)]
      .filter(Boolean)
      .map(one => [one.slice(0, one.indexOf('=')), one] as const),
  )
  return [...jar.values()].join('; ')
}

/** The device of some cookies, without who is signed in on it. */
export const deviceIn = (cookie: string) => cookie.split('; ').find(one => one.startsWith('needler-device=')) ?? ''

/** Somebody's own PIN in place of the one they were given. */
export async function choosePin(by: SignedIn, pin: string, next: string): Promise<void> {
  const answer = await by.post('/api/pin', { pin, next })
  if (!answer.ok) throw new Error(`the PIN could not be chosen: ${await answer.text()}`)
}

/** A request to sign in, as the page makes it. */
export const tryPin = (url: string, person: string, pin: string, more: { cookie?: string; admission?: string } = {}) =>
  fetch(`${url}/api/sign-in`, {
    method: 'POST',
    headers: { 'origin': url, 'content-type': 'application/json', ...(more.cookie ? { cookie: more.cookie } : {}) },
    body: JSON.stringify({ person, pin, ...(more.admission ? { admission: more.admission } : {}) }),
  })

/** Why something is refused, as programs read it. */
export const codeOf = async (answer: Response) =>
  ((await answer.json()) as { data?: { refusal?: Refusal } }).data?.refusal?.code ?? ''

/** Somebody signed in on a tablet. */
export interface SignedIn {
  id: string
  url: string
  cookie: string
  setCookie: string
  /** Entries signed with their PIN, on a tablet that somebody is signed in on. */
  signs: (job: string, entries: unknown, at?: Pick<SignedIn, 'post'>) => Promise<Response>
  get: (path: string, more?: RequestInit) => Promise<Response>
  post: (path: string, body: unknown, headers?: Record<string, string>) => Promise<Response>
  patch: (path: string, body: unknown) => Promise<Response>
  delete: (path: string) => Promise<Response>
}

/** The tablet of these tests: everybody signs in on it. */
let tablet = ''
/** A tablet that nobody has signed in on. */
export const NEW_TABLET = ' '

/** Somebody signed in: requests as the pages make them. */
export async function signIn(
  url: string,
  name: string,
  pin = PEOPLE.find(one => one.name === name)!.pin,
  on = tablet,
): Promise<SignedIn> {
  const id = (await peopleAt(url)).find(one => one.name === name)!.id
  const answer = await tryPin(url, id, pin, on.trim() ? { cookie: on } : {})
  if (!answer.ok) throw new Error(`${name} could not sign in: ${answer.status} ${await answer.text()}`)
  const cookie = cookiesOf(answer, on.trim())
  if (on !== NEW_TABLET) tablet = deviceIn(cookie)
  const send = (method: string, path: string, body: unknown, headers: Record<string, string> = {}) =>
    fetch(url + path, {
      method,
      headers: { cookie, 'origin': url, 'content-type': 'application/json', ...headers },
      body: typeof body === 'string' ? body : JSON.stringify(body),
    })
  const post: SignedIn['post'] = (path, body, headers = {}) => send('POST', path, body, headers)
  return {
    id,
    url,
    cookie,
    setCookie: answer.headers.getSetCookie().find(one => one.startsWith('needler=')) ?? '',
    signs: (job, entries, at = { post }) => at.post(`/api/jobs/${job}/entries`, { signer: id, pin, entries }),
    get: (path, more = {}) => fetch(url + path, { ...more, headers: { cookie } }),
    post,
    patch: (path, body) => send('PATCH', path, body),
    delete: path => fetch(url + path, { method: 'DELETE', headers: { cookie, origin: url } }),
  }
}

/** A stream of a job as a page hears it: everything said so far, and a wait for what is wanted. */
export async function listenTo(by: SignedIn, job: string) {
  const stop = new AbortController()
  const answer = await by.get(`/api/jobs/${job}/stream`, { signal: stop.signal })
  if (!answer.ok) throw new Error(`stream: ${answer.status}`)
  let said = ''
  let isOver = false
  const reader = answer.body!.pipeThrough(new TextDecoderStream()).getReader()
  const read = async () => {
    for (;;) {
      const { done, value } = await reader.read()
      if (done) break
      said += value
    }
  }
  void read()
    .catch(() => {})
    .finally(() => (isOver = true))
  return {
    said: () => said,
    isOver: () => isOver,
    stop: () => stop.abort(),
    /** Ms until it was said. Throws when it is not, in time. */
    async hears(what: string | RegExp, withinMs = 10_000): Promise<number> {
      const from = Date.now()
      while (!said.match(what)) {
        if (Date.now() - from > withinMs) throw new Error(`not heard within ${withinMs} ms: ${what}; heard: ${said}`)
        await new Promise(resolve => setTimeout(resolve, 20))
      }
      return Date.now() - from
    },
  }
}
