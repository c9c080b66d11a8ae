import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { sql } from 'drizzle-orm'
import { v7 as uuid } from 'uuid'
import { ACTS, type EntryKind, type Fields, type Shape } from '../../core/job/index.ts'
import { database, disconnect } from '../../server/db/client.ts'
import { PEOPLE } from '../../demo/thornmere.ts'
import { fillDatabase, pumpOfOwn, signIn, startServer, type RunningServer, type SignedIn } from './server.ts'

/** Requests that nobody means well, by the thousand, from people who are signed in: each is refused in words or done, and none breaks anything. */

let server: RunningServer
let job: string
const people: Record<string, SignedIn> = {}
beforeAll(async () => {
  await fillDatabase()
  server = await startServer()
  people.fitter = await signIn(server.url, 'R. Okell')
  people.lead = await signIn(server.url, 'O. Hallam')
  const opened = await people.fitter.post('/api/jobs', { equipment: await pumpOfOwn('P-903'), complaint: 'x' })
  job = ((await opened.json()) as { id: string }).id
})
afterAll(async () => {
  await server?.stop()
  await disconnect()
})

/** The same row of numbers every time (mulberry32). */
function randomOf(seed: number): () => number {
  let state = seed
  return () => {
    state = (state + 0x6d2b79f5) | 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

const NASTY: unknown[] = [
  null,
  true,
  [],
  {},
  [[]],
  -1,
  0,
  1e308,
  0.1,
  2 ** 53,
  '',
  ' ',
  '\u0000',
  '\ud800',
  '../../etc/passwd',
  "'; drop table entry; --",
  '%00',
  '{"a":1}',
  '__proto__',
  'constructor',
  'x'.repeat(5000),
  '\u202e',
  '٣',
  '1e3',
  'NaN',
  { __proto__: null, toString: 1 },
  Array.from({ length: 300 }, () => 'x'),
]

/** Names of the sheet, so that not everything fails at its first word. */
const NAMES = [
  'guard',
  'guard-off',
  'isolate',
  'hub',
  'hub-index',
  'float',
  'decide',
  'case-joint',
  'bearing@de',
  'shaft',
]

/** The same as texts, for an address. */
const QUERIES = NASTY.map(one => encodeURIComponent((JSON.stringify(one) ?? '').toWellFormed().slice(0, 300)))

class Stranger {
  readonly random: () => number
  constructor(seed: number) {
    this.random = randomOf(seed)
  }
  pick<T>(list: readonly T[]): T {
    return list[Math.floor(this.random() * list.length)]!
  }
  chance = (share: number) => this.random() < share

  value(shape: Shape): unknown {
    if (this.chance(0.08)) return this.pick(NASTY)
    switch (shape.is) {
      case 'id':
        return this.pick(NAMES)
      case 'entry':
        return this.chance(0.5) ? uuid() : this.pick(['{' + uuid() + '}', uuid().toUpperCase(), 'x'])
      case 'words':
        return this.pick(['x', 'a word', '2:30', '0.12', 'ü'])
      case 'number':
        return this.pick([0, 1, 2, -1, 0.05, 90, 360, 1e9])
      case 'flag':
        return this.chance(0.5)
      case 'choice':
        return this.pick([...shape.of, 'none of them'])
      case 'list':
        return Array.from({ length: Math.floor(this.random() * 4) }, () => this.value(shape.of))
      case 'record':
        return this.fields(shape.of)
      case 'names':
        return { faces: this.pick(['carbon', 'hard', 'x']) }
      case 'payload':
        return this.chance(0.5) ? this.fields(this.pick(Object.values(ACTS)).shape) : this.pick(NASTY)
    }
  }
  fields(fields: Fields): Record<string, unknown> {
    const all = Object.entries(fields).filter(([, shape]) => !shape.optional || this.chance(0.4))
    const made = Object.fromEntries(all.map(([key, shape]) => [key, this.value(shape)]))
    return this.chance(0.05) ? { ...made, [this.pick(['admin', '__proto__', 'x'])]: this.pick(NASTY) } : made
  }
  entry(kind: EntryKind): unknown {
    const id = this.chance(0.05) ? this.pick([uuid().toUpperCase(), `{${uuid()}}`, '', null]) : uuid()
    const madeAt = this.pick([new Date().toISOString(), '2001-01-01T00:00:00Z', '2099-12-31T23:59:59Z', 'soon', 7])
    const more = this.chance(0.2) ? { by: this.pick([uuid(), people.lead!.id, null]), vouched: true } : {}
    return { id, act: id, kind, payload: this.value({ is: 'record', of: ACTS[kind].shape }), madeAt, ...more }
  }
}

const KINDS = Object.keys(ACTS) as EntryKind[]
const inBatches = async (n: number, one: (i: number) => Promise<Response>): Promise<Response[]> => {
  const answers: Response[] = []
  for (let from = 0; from < n; from += 25)
    answers.push(...(await Promise.all(Array.from({ length: Math.min(25, n - from) }, (_, i) => one(from + i)))))
  return answers
}

describe.each(['fitter', 'lead'])('from a %s', role => {
  it('entries of every kind, a thousand and more, leave a ledger that reads the same from its rows', async () => {
    const me = people[role]!
    const stranger = new Stranger(role.length)
    const pin = PEOPLE.find(one => one.role === role)!.pin
    const answers = await inBatches(1500, i => {
      const entries = Array.from({ length: 1 + Math.floor(stranger.random() * 3) }, () =>
        stranger.entry(KINDS[i % KINDS.length]!),
      )
      // Closing the job would end the storm.
      const kind = KINDS[i % KINDS.length]!
      const signs = stranger.chance(0.1) && kind !== 'job.cancelled' && kind !== 'job.signed'
      return me.post(`/api/jobs/${job}/entries`, signs ? { signer: me.id, pin, entries } : entries)
    })
    const odd = answers.filter(one => one.status >= 500)
    expect(await Promise.all(odd.map(one => one.text()))).toEqual([])
    expect(answers.filter(one => one.status === 200).length).toBeGreaterThan(0)
    const [row] = await database().execute<{ n: number; last: number; seqs: number }>(sql`
      select count(*)::int as n, max(seq) as last, count(distinct seq)::int as seqs from entry where job_id = ${job}`)
    expect([row!.last, row!.seqs]).toEqual([row!.n, row!.n])
    expect((await me.get(`/api/jobs/${job}`)).status).toBe(200)
    expect((await me.get(`/api/jobs/${job}/record.pdf`)).status).toBe(200)
  }, 180_000)

  it('every route, with whatever comes to mind', async () => {
    const me = people[role]!
    const stranger = new Stranger(100 + role.length)
    const ids = [job, uuid(), people.fitter!.id, `{${job}}`, 'x', '%00', '..%2f..', 'ü', '1'.repeat(300)]
    const PATHS: [string, (id: string) => string][] = [
      ['POST', () => '/api/jobs'],
      ['GET', id => `/api/jobs/${id}`],
      ['GET', id => `/api/jobs/${id}/entries?after=${stranger.pick(QUERIES)}`],
      ['GET', id => `/api/jobs/${id}/worked`],
      ['GET', id => `/api/jobs/${id}/record.pdf?part=${stranger.pick(QUERIES)}`],
      ['POST', () => '/api/labels'],
      ['POST', () => '/api/pin'],
      ['POST', () => '/api/sign-in/code'],
      ['GET', id => `/api/machines/${id}`],
      ['PATCH', id => `/api/machines/${id}`],
      ['PATCH', id => `/api/people/${id}`],
      ['GET', id => `/api/people/${id}/devices`],
      ['DELETE', id => `/api/people/${uuid()}/devices/${id}`],
      ['POST', () => '/api/people'],
      ['PATCH', () => '/api/site'],
      ['POST', id => `/api/sums/${stranger.chance(0.5) ? 'clock' : id}`],
      ['PUT', id => `/api/${id}`],
    ]
    const bodies = [
      'equipment',
      'complaint',
      'count',
      'name',
      'role',
      'pin',
      'next',
      'code',
      'hoursRun',
      'open',
      'pinLength',
    ]
    const answers = await inBatches(1000, () => {
      const [method, path] = stranger.pick(PATHS)
      const body = Object.fromEntries(bodies.filter(() => stranger.chance(0.3)).map(key => [key, stranger.pick(NASTY)]))
      const sent = stranger.chance(0.2)
        ? JSON.stringify(stranger.pick(NASTY))
        : stranger.chance(0.1)
          ? '{"a":'
          : JSON.stringify(body)
      return fetch(server.url + path(stranger.pick(ids)), {
        method,
        headers: { 'cookie': me.cookie, 'origin': server.url, 'content-type': 'application/json' },
        ...(method === 'GET' ? {} : { body: sent }),
      })
    })
    const odd = answers.filter(one => one.status >= 500)
    expect(await Promise.all(odd.map(async one => `${one.url} ${await one.text()}`))).toEqual([])
    for (const one of answers) expect(await one.text()).not.toMatch(/node_modules|at .*\.mjs:\d+/)
    expect((await me.get('/api/yard')).status).toBe(200)
  }, 180_000)
})
