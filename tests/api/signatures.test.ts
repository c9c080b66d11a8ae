import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { sql } from 'drizzle-orm'
import { START_TRIED } from '../pump.ts'
import { v7 as uuid } from 'uuid'
import { ACTS } from '../../core/job/index.ts'
import { PEOPLE } from '../../demo/thornmere.ts'
import { database, disconnect } from '../../server/db/client.ts'
import { codeOf, fillDatabase, pumpOfOwn, signIn, startServer, type RunningServer, type SignedIn } from './server.ts'

/** Signatures are given with the signer's PIN, whoever the tablet is signed in for; and vouching is doing. */

let server: RunningServer
let said = ''
let fitter: SignedIn
let other: SignedIn
let lead: SignedIn
let job: string
beforeAll(async () => {
  await fillDatabase()
  server = await startServer({ env: { NEEDLER_LOG: 'debug' }, hears: text => (said += text) })
  fitter = await signIn(server.url, 'R. Okell')
  other = await signIn(server.url, 'T. Brisco')
  lead = await signIn(server.url, 'O. Hallam')
  const opened = await fitter.post('/api/jobs', { equipment: await pumpOfOwn('P-901'), complaint: 'Test' })
  expect(opened.status).toBe(200)
  job = ((await opened.json()) as { id: string }).id
})
afterAll(async () => {
  await server?.stop()
  await disconnect()
})

const entry = (kind: string, payload: object, more: object = {}) => {
  const id = uuid()
  return { id, act: id, kind, payload, madeAt: new Date().toISOString(), ...more }
}
const post = (body: unknown, who = fitter) => who.post(`/api/jobs/${job}/entries`, body)
const newest = async () =>
  ((await (await fitter.get(`/api/jobs/${job}/entries`)).json()) as { id: string; madeBy: string; role: string }[]).at(
    -1,
  )!
const leadPin = PEOPLE.find(one => one.name === 'O. Hallam')!.pin
const concession = () => entry('concession.given', { of: { kind: 'mark', mate: 'hub-index' }, why: 'Spoken for' })

describe('a signature', () => {
  it('is every act that says so, and each is refused without a PIN, also in one’s own session', async () => {
    const kinds = Object.entries(ACTS).flatMap(([kind, act]) => (act.signature ? [kind] : []))
    expect(kinds.sort()).toEqual(['concession.given', 'hold.signed', 'job.cancelled', 'job.signed'])
    const payloads: Record<string, object> = {
      'concession.given': { of: { kind: 'mark', mate: 'hub-index' }, why: 'x' },
      'hold.signed': { step: 'decide', basis: [] },
      'job.cancelled': { why: 'x' },
      'job.signed': { cured: 'yes' },
    }
    for (const kind of kinds) {
      const answer = await post(entry(kind, payloads[kind]!), lead)
      expect([kind, answer.status, await codeOf(answer)]).toEqual([kind, 403, 'sent.pin'])
    }
  })
  it('is the signer’s, on a tablet that is signed in for somebody else and stays so', async () => {
    const one = concession()
    expect((await lead.signs(job, one, fitter)).status).toBe(200)
    expect(await newest()).toMatchObject({ id: one.id, madeBy: lead.id, role: 'lead' })
    await post(entry('note.written', { text: 'still here' }))
    expect(await newest()).toMatchObject({ madeBy: fitter.id })
    // Sent again word for word, it needs none.
    expect((await post({ ...one, by: lead.id }, lead)).status).toBe(200)
    expect((await newest()).madeBy).toBe(fitter.id)
  })
  it('with a wrong PIN is refused, counted like a sign-in, and leaves nothing', async () => {
    const before = await newest()
    const wrong = () =>
      fitter.post(`/api/jobs/${job}/entries`, { signer: lead.id, pin: '999990', entries: [concession()] })
    expect(await codeOf(await wrong())).toBe('pin.wrong')
    const statuses = []
    for (let i = 0; i < 6; i++) statuses.push((await wrong()).status)
    expect(statuses.at(-1)).toBe(429)
    expect((await lead.signs(job, concession(), fitter)).status).toBe(429)
    await lead.patch(`/api/people/${lead.id}`, { open: true })
    expect(await newest()).toEqual(before)
  })
  it('of who may not is refused as their own act would be', async () => {
    const answer = await other.signs(job, concession(), fitter)
    expect([answer.status, await codeOf(answer)]).toEqual([403, 'claim.role'])
  })
  it('is asked for what another did, and not for one’s own', async () => {
    const note = entry('note.written', { text: 'grit' })
    await post(note)
    const fix = (text: string) => entry('entry.corrected', { target: note.id, why: 'slip', replacement: { text } })
    expect((await post(fix('mine'))).status).toBe(200)
    const again = entry('note.written', { text: 'dirt' })
    await post(again)
    const theirs = entry('entry.corrected', { target: again.id, why: 'slip' })
    expect(await codeOf(await post(theirs, lead))).toBe('sent.pin')
    expect((await lead.signs(job, theirs, fitter)).status).toBe(200)
  })
  it('leaves no PIN in the ledger, in any table, or in what the server says', async () => {
    const tables = await database().execute<{ name: string }>(
      sql`select table_name as name from information_schema.tables where table_schema = 'public'`,
    )
    // Within a number or the bytes of a picture four figures may stand in a row by chance: a PIN is a word of its own.
    const pin = new RegExp(`(?<![0-9a-f])${leadPin}(?![0-9a-f])`)
    for (const { name } of tables) {
      const rows = await database().execute<{ text: string }>(sql.raw(`select t::text as text from "${name}" t`))
      expect(
        rows.filter(row => pin.test(row.text)),
        name,
      ).toEqual([])
    }
    expect(said).toContain('entries')
    expect(said).not.toMatch(pin)
  })
})

describe('vouching', () => {
  it('is doing: who vouched for the work signs no hold over it, and the record says so', async () => {
    const note = entry('part.decided', { parts: ['guard'], choice: 'reuse' }, { by: other.id, vouched: true })
    const lifted = [
      entry('caution.read', { step: 'isolate', caution: 0 }),
      entry('step.done', { step: 'isolate' }),
      ...START_TRIED.map(([kind, payload]) => entry(kind, payload)),
      entry('part.lifted', { parts: ['guard'], step: 'guard-off' }),
      entry('step.done', { step: 'guard-off' }),
    ]
    for (const one of lifted) expect((await post(one)).status, one.kind).toBe(200)
    expect((await post(note, lead)).status).toBe(200)
    const of = { kind: 'hold', step: 'decide' }
    const hold = await lead.signs(job, entry('concession.given', { of, basis: [note.id], why: 'Seen' }))
    expect(await codeOf(hold)).toBe('concession.ownWork')
    const pdf = await (await fitter.get(`/api/jobs/${job}/record.pdf`)).arrayBuffer()
    const { extractText } = await import('unpdf')
    expect((await extractText(new Uint8Array(pdf), { mergePages: true })).text).toMatch(
      /vouched\s+for\s+by\s+O\. Hallam/,
    )
  })
  it('is for nobody who was taken out', async () => {
    await lead.patch(`/api/people/${other.id}`, { active: false })
    try {
      const answer = await post(entry('note.written', { text: 'x' }, { by: other.id, vouched: true }), lead)
      expect([answer.status, await codeOf(answer)]).toEqual([409, 'claim.takenOut'])
    } finally {
      await lead.patch(`/api/people/${other.id}`, { active: true })
    }
  })
})
