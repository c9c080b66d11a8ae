import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { sql } from 'drizzle-orm'
import { v7 as uuid } from 'uuid'
import { pinFault } from '../../shared/pins.ts'
import { takeAttempt } from '../../server/db/attempts.ts'
import { connectTo, database, disconnect } from '../../server/db/client.ts'
import {
  codeOf,
  choosePin,
  deviceIn,
  fillDatabase,
  NEW_TABLET,
  owner,
  peopleAt,
  pumpOfOwn,
  signIn,
  startServer,
  tryPin,
  type RunningServer,
  type SignedIn,
} from './server.ts'

let server: RunningServer
let second: RunningServer
let lead: SignedIn
beforeAll(async () => {
  await fillDatabase()
  server = await startServer()
  second = await startServer()
  lead = await signIn(server.url, 'O. Hallam')
})
afterAll(async () => {
  await server?.stop()
  await second?.stop()
  // Other files count on one lead.
  await database().execute(sql`update person set active = false where name like 'Test %'`)
  await disconnect()
})

// All of these come from one address: its count starts anew with each test.
beforeEach(() => database().execute(sql`delete from pin_attempt`))

const entry = (kind: string, payload: object) => {
  const id = uuid()
  return { id, act: id, kind, payload, madeAt: new Date().toISOString() }
}
const add = async (role: string, name = `Test ${uuid().slice(-6)}`) => {
  const { person, pin } = (await (await lead.post('/api/people', { name, role })).json()) as {
    person: { id: string }
    pin: string
  }
  return { ...person, name, pin }
}
const OWN = '739104'
/** Somebody new, with a PIN of their own; on no device but that of these tests. */
const letIn = async (role: string) => {
  const { id, name, pin } = await add(role)
  await choosePin(await signIn(server.url, name, pin), pin, OWN)
  await database().execute(sql`delete from known_device where person_id = ${id}`)
  return { id, name, pin: OWN }
}
const change = async (id: string, body: object) => {
  const answer = await lead.patch(`/api/people/${id}`, body)
  expect(answer.status).toBe(200)
  return (await answer.json()) as { pin: string | null; code: string | null }
}
const tablet = async (name: string, pin: string) => signIn(server.url, name, pin, NEW_TABLET)

describe('a session', () => {
  it('ends with the sign-out, whoever kept the cookie', async () => {
    const { name, pin } = await letIn('fitter')
    const me = await signIn(server.url, name, pin)
    expect((await me.get('/api/yard')).status).toBe(200)
    await me.post('/api/sign-out', {})
    expect((await me.get('/api/yard')).status).toBe(401)
  })
  it.each([
    ['taken out', { active: false }],
    ['given a new PIN', { pin: 'new' }],
  ])('ends when somebody is %s, through every process', async (_, body) => {
    const { id, name, pin } = await letIn('fitter')
    const me = await signIn(second.url, name, pin)
    expect((await me.get('/api/yard')).status).toBe(200)
    await change(id, body)
    expect((await me.get('/api/yard')).status).toBe(401)
    expect(await (await me.get('/api/_auth/session')).json()).not.toHaveProperty('user')
    expect((await tryPin(server.url, id, pin)).status).toBe(401)
  })
  it('has the role of today', async () => {
    const { id, name, pin } = await letIn('lead')
    const me = await signIn(server.url, name, pin)
    expect((await me.get('/api/people')).status).toBe(200)
    await change(id, { role: 'reader' })
    expect((await me.get('/api/people')).status).toBe(401)
    const again = await signIn(server.url, name, pin)
    expect((await again.get('/api/people')).status).toBe(403)
  })
  it('takes its streams along', async () => {
    const { id, name, pin } = await letIn('fitter')
    const me = await signIn(second.url, name, pin)
    const [job] = (await (await me.get('/api/jobs')).json()) as { id: string }[]
    const stream = (await me.get(`/api/jobs/${job!.id}/stream`)).body!.getReader()
    await stream.read()
    await change(id, { active: false })
    let isOver = false
    for (let i = 0; i < 20 && !isOver; i++) isOver = (await stream.read()).done
    expect(isOver).toBe(true)
  })
  it('leaves a name on what it signed', async () => {
    const { id, name, pin } = await letIn('fitter')
    const me = await signIn(server.url, name, pin)
    const { id: job } = (await (await me.post('/api/jobs', { equipment: 'P-311', complaint: 'x' })).json()) as {
      id: string
    }
    await change(id, { active: false })
    const found = (await (await lead.get(`/api/jobs/${job}`)).json()) as {
      entries: { madeBy: string }[]
      people: { id: string; name: string; active: boolean }[]
    }
    expect(found.entries[0]!.madeBy).toBe(id)
    expect(found.people.find(one => one.id === id)).toMatchObject({ name, active: false })
    expect((await peopleAt(server.url)).some(one => one.id === id)).toBe(false)
  })
})

describe('people', () => {
  it('the last lead stays one', async () => {
    for (const body of [{ role: 'fitter' }, { active: false }]) {
      const answer = await lead.patch(`/api/people/${lead.id}`, body)
      expect(answer.status).toBe(409)
      expect(await codeOf(answer)).toBe('person.lastLead')
    }
  })
  it('have papers, which a lead writes down and nobody at the door sees', async () => {
    const { id, name, pin } = await letIn('fitter')
    const competences = [{ by: 'certified', of: 'refrigerant', number: 'R-1', until: '2027-03-01' }]
    const me = await signIn(server.url, name, pin)
    // It counts at once, and nobody is signed out by it.
    await change(id, { competences })
    expect(((await (await me.get('/api/_auth/session')).json()) as { user: object }).user).toMatchObject({
      competences,
    })
    expect((await peopleAt(server.url)).find(one => one.id === id)).not.toHaveProperty('competences')
    for (const wrong of [
      { by: 'lead', of: 'x' },
      { by: 'certified' },
      { by: 'certified', of: 'x', until: '2027-02-30' },
    ]) {
      const answer = await lead.patch(`/api/people/${id}`, { competences: [wrong] })
      expect(answer.status).toBe(400)
    }
  })
  it('have names that nobody takes for another', async () => {
    for (const name of ['r. okell', 'R. Оkell', 'R  Okell', 'R. Okéll']) {
      const answer = await lead.post('/api/people', { name, role: 'fitter' })
      expect(answer.status, name).toBe(409)
      expect(await codeOf(answer)).toBe('person.alike')
    }
    for (const name of ['R. Ok\u202eell', 'A\u0000', '\u200b\u200b', '..'])
      expect((await lead.post('/api/people', { name, role: 'fitter' })).status, JSON.stringify(name)).toBe(400)
  })
  it('of one name at once are one', async () => {
    const name = `Same ${uuid().slice(-6)}`
    const answers = await Promise.all(
      Array.from({ length: 10 }, () => lead.post('/api/people', { name: `  ${name} `, role: 'fitter' })),
    )
    expect(answers.map(one => one.status).sort()).toEqual([200, ...Array.from({ length: 9 }, () => 409)])
    expect((await peopleAt(server.url)).filter(one => one.name === name)).toHaveLength(1)
  })
})

describe('a PIN', () => {
  it('that was given has six figures without a pattern, and opens only the choosing of one’s own', async () => {
    const { id, name, pin } = await add('fitter')
    expect(pinFault(pin, 6)).toBeNull()
    const me = await signIn(server.url, name, pin)
    for (const path of ['/api/yard', '/api/jobs', '/api/signers', '/api/site']) {
      const answer = await me.get(path)
      expect(answer.status, path).toBe(403)
      expect(await codeOf(answer)).toBe('admission.givenPin')
    }
    expect((await me.post('/api/jobs', { equipment: 'P-311', complaint: 'x' })).status).toBe(403)
    for (const [next, status] of [
      ['12', 400],
      ['7391', 422],
      ['123456', 422],
      [pin, 422],
    ] as const)
      expect((await me.post('/api/pin', { pin, next })).status, next).toBe(status)
    expect((await me.post('/api/pin', { pin: '882917', next: OWN })).status).toBe(401)
    await choosePin(me, pin, OWN)
    expect((await me.get('/api/yard')).status).toBe(200)
    expect((await tryPin(server.url, id, pin)).status).toBe(401)
    expect((await tryPin(server.url, id, OWN)).status).toBe(200)
  })
  it('that a lead has reset signs nothing, and nobody but its owner ever knows the one that does', async () => {
    const { id, name } = await letIn('lead')
    const { pin } = await change(id, { pin: 'new' })
    const { id: job } = (await (
      await lead.post('/api/jobs', { equipment: await pumpOfOwn('P-904'), complaint: 'x' })
    ).json()) as {
      id: string
    }
    const cancel = entry('job.cancelled', { why: 'Only a test' })
    // Whoever reset it knows it, and signs nothing with it.
    const answer = await lead.post(`/api/jobs/${job}/entries`, { signer: id, pin, entries: [cancel] })
    expect([answer.status, await codeOf(answer)]).toEqual([403, 'pin.ownFirst'])
    await choosePin(await signIn(server.url, name, pin!), pin!, '402918')
    expect((await lead.post(`/api/jobs/${job}/entries`, { signer: id, pin: '402918', entries: [cancel] })).status).toBe(
      200,
    )
  })
  it('that is changed ends one’s sessions elsewhere, and not this one', async () => {
    const { name, pin } = await letIn('fitter')
    const [here, there] = [await signIn(server.url, name, pin), await tablet(name, pin)]
    await choosePin(here, pin, '402918')
    expect((await here.get('/api/yard')).status).toBe(200)
    expect((await there.get('/api/yard')).status).toBe(401)
  })
})

describe('signing in', () => {
  it('counts wrong PINs where somebody is known, and says how long to wait; a lead opens the name', async () => {
    const { id, name, pin } = await letIn('fitter')
    const { cookie } = await signIn(server.url, name, pin)
    for (let i = 0; i < 5; i++) expect((await tryPin(server.url, id, '999990', { cookie })).status).toBe(401)
    const shut = await tryPin(server.url, id, pin, { cookie })
    expect(shut.status).toBe(429)
    expect(await codeOf(shut)).toBe('pin.tooMany')
    await change(id, { open: true })
    expect((await tryPin(server.url, id, pin, { cookie })).status).toBe(200)
  })
  it('waits longer from one wrong PIN to the next, up to an hour', async () => {
    const { id } = await letIn('fitter')
    const key = `${id} elsewhere`
    const wait = async () => {
      for (let i = 0; i < 6; i++) {
        const seconds = await takeAttempt(database(), key)
        if (seconds !== null) return seconds
      }
      return 0
    }
    const waits: number[] = []
    for (let i = 0; i < 9; i++) {
      waits.push(await wait())
      await database().execute(sql`update pin_attempt set opens_at = now() - interval '1 second' where key = ${key}`)
    }
    // A clock that is put right meanwhile moves one of them by a second.
    const wanted = [60, 120, 240, 480, 960, 1920, 3600, 3600, 3600]
    expect(waits.map((one, i) => Math.abs(one - wanted[i]!) <= 2 || one)).toEqual(wanted.map(() => true))
    await database().execute(sql`update pin_attempt set last_at = now() - interval '25 hours' where key = ${key}`)
    expect(await takeAttempt(database(), key)).toBeNull()
  })
  it('a burst gains nothing', async () => {
    const { id, name, pin } = await letIn('fitter')
    const { cookie } = await signIn(server.url, name, pin)
    for (const more of [{}, { cookie }]) {
      const answers = await Promise.all(
        Array.from({ length: 20 }, (_, i) => tryPin(server.url, id, String(900000 + i), more)),
      )
      expect(answers.filter(one => one.status === 401).length).toBeLessThanOrEqual(5)
      expect(answers.some(one => one.status === 429)).toBe(true)
    }
  })
  it('as oneself on ever new devices gains nothing at a colleague’s name', async () => {
    const [insider, victim] = [await letIn('fitter'), await letIn('lead')]
    const tried: number[] = []
    for (let i = 0; i < 12; i++) {
      const own = await tryPin(server.url, insider.id, insider.pin)
      const cookie = own.headers
        .getSetCookie()
        .map(one => one.split(';')[0])
        .join('; ')
      for (let n = 0; n < 3; n++)
        tried.push(
          (await tryPin(server.url, victim.id, String(810000 + i * 10 + n), { cookie: deviceIn(cookie) })).status,
        )
    }
    expect(tried.filter(status => status === 401).length).toBeLessThanOrEqual(5)
    // And no more than some devices become known for somebody in a day.
    const devices = (await (await lead.get(`/api/people/${insider.id}/devices`)).json()) as unknown[]
    expect(devices.length).toBeLessThanOrEqual(5)
    const more = await tryPin(server.url, insider.id, insider.pin)
    expect(more.status).toBe(403)
    expect(await codeOf(more)).toBe('pin.newDevices')
  })
  it('a stranger cannot keep a colleague out of their own tablet; a lead lets them in on a new one', async () => {
    const { id, name, pin } = await letIn('fitter')
    const mine = await signIn(server.url, name, pin)
    for (let i = 0; i < 6; i++) await tryPin(server.url, id, '999990')
    const shut = await tryPin(server.url, id, pin)
    expect(shut.status).toBe(429)
    expect(await shut.json()).toMatchObject({ data: { admits: true } })
    expect((await tryPin(server.url, id, pin, { cookie: mine.cookie })).status).toBe(200)
    const { code } = await change(id, { admit: true })
    expect((await tryPin(server.url, id, pin, { admission: 'AAAA BBBB' })).status).toBe(401)
    const guesses = await Promise.all(
      Array.from({ length: 8 }, (_, i) => tryPin(server.url, id, String(910000 + i), { admission: code! })),
    )
    expect(guesses.filter(one => one.status === 401).length).toBeLessThanOrEqual(5)
    await database().execute(sql`delete from pin_attempt where key like '%admitted'`)
    expect((await tryPin(server.url, id, pin, { admission: code!.toLowerCase().replace(' ', '') })).status).toBe(200)
    // Once.
    expect((await tryPin(server.url, id, pin, { admission: code! })).status).toBe(401)
  })
  it('a flood at a name slows nobody else’s sign-in', async () => {
    const [victim, colleague] = [await letIn('fitter'), await letIn('fitter')]
    const { cookie } = await signIn(server.url, colleague.name, colleague.pin)
    let [isOver, flooded] = [false, 0]
    const flood = Array.from({ length: 40 }, async () => {
      while (!isOver) {
        flooded++
        const { status } = await tryPin(server.url, victim.id, '999990')
        expect([401, 429]).toContain(status)
      }
    })
    await new Promise(resolve => setTimeout(resolve, 300))
    const before = flooded
    for (let i = 0; i < 5; i++)
      expect((await tryPin(server.url, colleague.id, colleague.pin, { cookie: deviceIn(cookie) })).status).toBe(200)
    // Each came in while the flood was still being turned away, not behind all of it.
    expect(flooded - before).toBeGreaterThan(0)
    isOver = true
    await Promise.all(flood)
  })
  it('devices are listed and revoked: what was lost is a stranger again, and signed out', async () => {
    const { id, name, pin } = await letIn('fitter')
    const [mine, lost] = [await signIn(server.url, name, pin), await tablet(name, pin)]
    const list = async () =>
      (await (await lead.get(`/api/people/${id}/devices`)).json()) as { id: string; about: string; usedAt: string }[]
    const [newest, ...rest] = await list()
    expect(rest).toHaveLength(1)
    expect(newest).toMatchObject({ about: expect.stringContaining('node') })
    expect((await mine.get(`/api/people/${id}/devices`)).status).toBe(403)
    expect((await lead.delete(`/api/people/${id}/devices/${newest!.id}`)).status).toBe(200)
    expect((await lost.get('/api/yard')).status).toBe(401)
    expect((await mine.get('/api/yard')).status).toBe(200)
    expect(await list()).toEqual(rest)
    expect((await lead.delete(`/api/people/${id}/devices/${newest!.id}`)).status).toBe(404)
  })
  it('a new device gives the code of the site, once, and is told no names before', async () => {
    const { id, pin } = await letIn('fitter')
    const door = async (cookie = '') =>
      (await (await fetch(`${server.url}/api/sign-in`, { headers: { cookie } })).json()) as {
        asksCode: boolean
        people: unknown[]
      }
    const give = (code: string) =>
      fetch(`${server.url}/api/sign-in/code`, {
        method: 'POST',
        headers: { 'origin': server.url, 'content-type': 'application/json' },
        body: JSON.stringify({ code }),
      })
    expect((await lead.patch('/api/site', { code: 'turnip' })).status).toBe(200)
    try {
      expect(await door()).toMatchObject({ asksCode: true, people: [] })
      expect(await codeOf(await tryPin(server.url, id, pin))).toBe('pin.siteCode')
      expect((await give('beetroot')).status).toBe(401)
      const known = await give('turnip')
      expect(known.status).toBe(200)
      const cookie = known.headers.getSetCookie()[0]!.split(';')[0]!
      const told = await door(cookie)
      expect(told.asksCode).toBe(false)
      expect(told.people.length).toBeGreaterThan(3)
      expect((await tryPin(server.url, id, pin, { cookie })).status).toBe(200)
      for (let i = 0; i < 8; i++) await give(`guess ${i}`)
      expect((await give('turnip')).status).toBe(429)
    } finally {
      await lead.patch('/api/site', { code: null })
    }
    // Where none is asked for, giving one makes no device known, however often.
    const devices = () => database().execute<{ n: number }>(sql`select count(*)::int as n from device`)
    const before = await devices()
    for (let i = 0; i < 3; i++) expect((await give('turnip')).headers.getSetCookie()).toEqual([])
    expect(await devices()).toEqual(before)
  })
})

describe('the database itself', () => {
  it("the application's user is no superuser, makes no table, and only adds to the ledger", async () => {
    const [row] = await database().execute<{ super: boolean }>(
      sql`select rolsuper as super from pg_roles where rolname = current_user`,
    )
    expect(row!.super).toBe(false)
    for (const words of [
      'create table x (y int)',
      "update entry set kind = 'x'",
      'delete from entry',
      'truncate entry',
    ])
      await expect(database().execute(sql.raw(words)), words).rejects.toThrow()
  })
  it('refuses an edit of the ledger even to its owner, and keeps kinds it does not know', async () => {
    const own = owner()
    try {
      for (const words of ["update entry set kind = 'x'", 'delete from entry', 'truncate entry cascade']) {
        const said = await own.db.execute(sql.raw(words)).then(
          () => '',
          (error: Error & { cause?: Error }) => `${error.message} ${error.cause?.message}`,
        )
        expect(said, words).toMatch(/only added to/)
      }
    } finally {
      await own.end()
    }
  })
  it('a fault of it is not a wrong PIN', async () => {
    const own = connectTo(process.env.NEEDLER_OWNER_URL!, 1)
    const { id, pin } = await letIn('fitter')
    try {
      await own.db.execute(sql`alter table pin_attempt rename to pin_attempt_away`)
      const answer = await tryPin(server.url, id, pin)
      expect(answer.status).toBe(500)
      expect(await answer.text()).not.toMatch(/wrong PINs|node_modules/)
    } finally {
      await own.db.execute(sql`alter table pin_attempt_away rename to pin_attempt`)
      await own.end()
    }
  })
})
