import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { sql } from 'drizzle-orm'
import { v7 as uuid } from 'uuid'
import { connectTo, database, disconnect } from '../../server/db/client.ts'
import {
  fillDatabase,
  owner,
  peopleAt,
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
  await disconnect()
})

// All of these come from one address: its count starts anew with each test.
beforeEach(() => database().execute(sql`delete from sign_in_limit`))

const whyOf = async (answer: Response) => ((await answer.json()) as { data?: { why?: string } }).data?.why ?? ''
const letIn = async (role: string) => {
  const name = `Test ${uuid().slice(-6)}`
  const { person, pin } = (await (await lead.post('/api/people', { name, role })).json()) as {
    person: { id: string }
    pin: string
  }
  return { ...person, name, pin }
}
const change = async (id: string, body: object) => {
  const answer = await lead.patch(`/api/people/${id}`, body)
  expect(answer.status).toBe(200)
  return (await answer.json()) as { pin: string | null }
}

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
      expect(await whyOf(answer)).toMatch(/only lead/)
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
  it('have names of their own', async () => {
    const answer = await lead.post('/api/people', { name: 'r. okell', role: 'fitter' })
    expect(answer.status).toBe(409)
  })
})

describe('signing in', () => {
  it('counts wrong PINs, and says how long to wait; a lead opens the name', async () => {
    const { id, pin } = await letIn('fitter')
    for (let i = 0; i < 5; i++) expect((await tryPin(server.url, id, '99999')).status).toBe(401)
    const shut = await tryPin(server.url, id, pin)
    expect(shut.status).toBe(429)
    expect(await whyOf(shut)).toMatch(/Wait \d+ minutes, or ask a lead/)
    await change(id, { open: true })
    expect((await tryPin(server.url, id, pin)).status).toBe(200)
  })
  it('a name written in capitals is the same name', async () => {
    const { id, pin } = await letIn('fitter')
    for (let i = 0; i < 6; i++) await tryPin(server.url, i % 2 ? id.toUpperCase() : id, '99999')
    expect((await tryPin(server.url, id.toUpperCase(), pin)).status).toBe(429)
    await change(id, { open: true })
  })
  it('a burst gains nothing', async () => {
    const { id } = await letIn('fitter')
    const answers = await Promise.all(Array.from({ length: 20 }, (_, i) => tryPin(server.url, id, String(90000 + i))))
    expect(answers.filter(one => one.status === 401).length).toBeLessThanOrEqual(5)
    expect(answers.some(one => one.status === 429)).toBe(true)
    await change(id, { open: true })
  })
  it('a stranger cannot keep a colleague out of their own tablet', async () => {
    const { id, name, pin } = await letIn('fitter')
    const me = await signIn(server.url, name, pin)
    for (let i = 0; i < 6; i++) await tryPin(server.url, id, '99999')
    expect((await tryPin(server.url, id, pin)).status).toBe(429)
    expect((await tryPin(server.url, id, pin, { cookie: me.cookie })).status).toBe(200)
    await change(id, { open: true })
  })
  it('a new device gives the code of the site, once', async () => {
    const { id, pin } = await letIn('fitter')
    expect((await lead.patch('/api/site', { code: 'turnip' })).status).toBe(200)
    try {
      const asked = (await (await fetch(`${server.url}/api/sign-in`)).json()) as { asksCode: boolean }
      expect(asked.asksCode).toBe(true)
      expect(await whyOf(await tryPin(server.url, id, pin))).toMatch(/give the code of the site/)
      const good = await tryPin(server.url, id, pin, { code: 'turnip' })
      expect(good.status).toBe(200)
      const cookie = good.headers
        .getSetCookie()
        .map(one => one.split(';')[0])
        .join('; ')
      expect((await tryPin(server.url, id, pin, { cookie })).status).toBe(200)
    } finally {
      await lead.patch('/api/site', { code: null })
    }
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
      await own.db.execute(sql`alter table sign_in_limit rename to sign_in_limit_away`)
      const answer = await tryPin(server.url, id, pin)
      expect(answer.status).toBe(500)
      expect(await answer.text()).not.toMatch(/wrong PINs|node_modules/)
    } finally {
      await own.db.execute(sql`alter table sign_in_limit_away rename to sign_in_limit`)
      await own.end()
    }
  })
})
