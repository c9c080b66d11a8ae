import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { sql } from 'drizzle-orm'
import { v7 as uuid } from 'uuid'
import { connectTo, database, disconnect } from '../../server/db/client.ts'
import { clearDead } from '../../server/db/devices.ts'
import { readiness } from '../../server/db/migrate.ts'
import {
  codeOf,
  fillDatabase,
  listenTo,
  owner,
  signIn,
  startServer,
  type RunningServer,
  type SignedIn,
} from './server.ts'

let server: RunningServer
let fitter: SignedIn
let lead: SignedIn
let job: string
beforeAll(async () => {
  await fillDatabase()
  server = await startServer()
  fitter = await signIn(server.url, 'R. Okell')
  lead = await signIn(server.url, 'O. Hallam')
  job = ((await (await fitter.get('/api/jobs')).json()) as { id: string }[])[0]!.id
})
afterAll(async () => {
  await server?.stop()
  await disconnect()
})

describe('an address', () => {
  it.each([
    ['PUT', '/api/jobs', 'GET, POST'],
    ['DELETE', '/api/machines/P-214A', 'GET, PATCH'],
    ['OPTIONS', '/api/yard', 'GET'],
    ['HEAD', '/api/yard', 'GET'],
    ['POST', '/api/health', 'GET, HEAD'],
  ])('%s %s is told what it takes', async (method, path, allow) => {
    const answer = await fetch(server.url + path, { method, headers: { cookie: fitter.cookie, origin: server.url } })
    expect(answer.status).toBe(405)
    expect(answer.headers.get('allow')!.split(', ').sort()).toEqual(allow.split(', ').sort())
  })
  it('of a job or a person takes an id in its one form', async () => {
    const shouted = job.toUpperCase()
    for (const id of [shouted, `{${job}}`, job.replaceAll('-', ''), `${job}%20`, `%7B${job}%7D`]) {
      expect((await fitter.get(`/api/jobs/${id}`)).status, id).toBe(400)
      expect((await fitter.get(`/api/jobs/${id}/entries`)).status, id).toBe(400)
      expect((await fitter.post(`/api/jobs/${id}/entries`, [])).status, id).toBe(400)
      expect((await lead.patch(`/api/people/${id}`, { open: true })).status, id).toBe(400)
    }
    expect((await fitter.get(`/api/jobs/${uuid()}`)).status).toBe(404)
  })
})

describe('what is sent', () => {
  it('nests no deeper than somebody needs', async () => {
    const deep = (n: number): object => (n ? { replacement: deep(n - 1) } : {})
    const id = uuid()
    const entry = (n: number) => ({
      ...{ id, act: id, kind: 'entry.corrected', madeAt: new Date().toISOString() },
      payload: { target: uuid(), why: 'x', ...deep(n) },
    })
    expect((await fitter.post(`/api/jobs/${job}/entries`, entry(2))).status).toBe(422)
    for (const n of [20, 2000, 12_000]) {
      const nested = '{"replacement":'.repeat(n) + '{}' + '}'.repeat(n)
      const body = JSON.stringify(entry(0)).replace('"why":"x"', `"why":"x","replacement":${nested}`)
      const answer = await fitter.post(`/api/jobs/${job}/entries`, body)
      expect(answer.status, String(n)).toBe(400)
    }
  })
})

describe('a stream', () => {
  it('ends when its session runs out by itself', async () => {
    const me = await signIn(server.url, 'T. Brisco')
    const from = sql`now() - interval '12 hours' + interval '2 seconds'`
    await database().execute(
      sql`update session set started_at = ${from} where person_id = ${me.id} and ended_at is null`,
    )
    const stream = await listenTo(me, job)
    await stream.hears(/data: \{"seq":\d+/)
    for (let i = 0; i < 100 && !stream.isOver(); i++) await new Promise(resolve => setTimeout(resolve, 100))
    expect(stream.isOver()).toBe(true)
    expect((await me.get('/api/yard')).status).toBe(401)
  })
  it('is one of so many that a person has', async () => {
    const streams = []
    for (let i = 0; i < 24; i++) streams.push(await listenTo(fitter, job))
    const more = await fitter.get(`/api/jobs/${job}/stream`)
    expect([more.status, await codeOf(more)]).toEqual([429, 'page.tooMany'])
    const theirs = await listenTo(lead, job)
    theirs.stop()
    for (const one of streams) one.stop()
    await new Promise(resolve => setTimeout(resolve, 500))
    const again = await listenTo(fitter, job)
    await again.hears(/data: \{"seq":\d+/)
    again.stop()
  })
})

describe('running hours', () => {
  const machine = async () =>
    (await (await fitter.get('/api/machines/P-530')).json()) as {
      equipment: { hoursRun: number }
      hoursRead: { at: string; by: string | null } | null
    }
  it('are read off the machine, with who and when, and move what is next', async () => {
    const { equipment } = await machine()
    const next = async () => {
      const areas = (await (await fitter.get('/api/yard')).json()) as {
        machines: { tag: string; hoursSince: number | null; next: { weeks: number } | null }[]
      }[]
      return areas.flatMap(one => one.machines).find(one => one.tag === 'P-530')!
    }
    const before = await next()
    const answer = await fitter.patch('/api/machines/P-530', { hoursRun: equipment.hoursRun + 1000 })
    expect(answer.status).toBe(200)
    const after = await machine()
    expect(after.equipment.hoursRun).toBe(equipment.hoursRun + 1000)
    expect(after.hoursRead!.by).toBe('R. Okell')
    expect(Date.now() - Date.parse(after.hoursRead!.at)).toBeLessThan(60_000)
    expect((await next()).hoursSince).toBe(before.hoursSince === null ? null : before.hoursSince + 1000)
  })
  it('are never fewer than the machine had at its last overhaul, and whole', async () => {
    const { equipment } = await machine()
    const less = await fitter.patch('/api/machines/P-530', { hoursRun: 3 })
    expect([less.status, await codeOf(less)]).toEqual([422, 'service.less'])
    for (const hoursRun of [-1, 1.5, 'many', 1e9])
      expect((await fitter.patch('/api/machines/P-530', { hoursRun })).status).toBe(400)
    expect((await fitter.patch('/api/machines/P-999', { hoursRun: 3 })).status).toBe(422)
    expect((await machine()).equipment.hoursRun).toBe(equipment.hoursRun)
  })
})

describe('the database', () => {
  it('of a newer version is not served', async () => {
    const own = owner()
    const newer = sql`insert into drizzle.__drizzle_migrations (hash, created_at) values ('newer', 9999999999999)`
    try {
      expect(await readiness(database())).toBeNull()
      await own.db.execute(newer)
      expect(await readiness(database())).toMatch(/by a newer version of Needler/)
      let said = ''
      const hears = (text: string) => /by a newer version of Needler/.test((said += text))
      await expect(startServer({ hears })).rejects.toThrow()
      expect(said).toMatch(/by a newer version of Needler/)
    } finally {
      await own.db.execute(sql`delete from drizzle.__drizzle_migrations where hash = 'newer'`)
      await own.end()
    }
  })
  it('is cleared of sessions and devices that are long dead, and of no others', async () => {
    const { db, end } = connectTo(process.env.DATABASE_URL!, 1)
    try {
      const [dead, alive] = [uuid(), uuid()]
      await db.execute(sql`insert into device (id, known_at) values (${dead}, now() - interval '1 year')`)
      await db.execute(sql`insert into device (id, known_at) values (${alive}, now() - interval '1 year')`)
      await db.execute(sql`insert into known_device (person_id, device_id) values (${fitter.id}, ${alive})`)
      await db.execute(
        sql`insert into session (id, person_id, started_at) values ('dead', ${fitter.id}, now() - interval '40 days')`,
      )
      await clearDead(db)
      const left = await db.execute<{ id: string }>(sql`select id::text from device union all select id from session`)
      const ids = left.map(row => row.id)
      expect(ids).not.toContain(dead)
      expect(ids).not.toContain('dead')
      expect(ids).toContain(alive)
      expect((await fitter.get('/api/yard')).status).toBe(200)
      await db.execute(sql`delete from known_device where device_id = ${alive}`)
    } finally {
      await end()
    }
  })
})
