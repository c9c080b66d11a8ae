import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { sql } from 'drizzle-orm'
import { v7 as uuid } from 'uuid'
import { emptyFold, extend, openingOf, type AnyEntry } from '../../core/job/index.ts'
import { planFor } from '../../core/sheet/index.ts'
import { SUMS_BY_NAME } from '../../core/sums/index.ts'
import { database, disconnect } from '../../server/db/client.ts'
import { rebuildProjections } from '../../server/db/rebuild.ts'
import type { JobAnswer, SheetAnswer } from '../../shared/answers.ts'
import { reading } from '../pump.ts'
import { fillDatabase, pumpOfOwn, signIn, startServer, type RunningServer, type SignedIn } from './server.ts'

/** Entries say what their maker had seen of the ledger, and on which tablet: kept, told again, and judged by. */

let server: RunningServer
let [fitter, other] = [] as unknown as [SignedIn, SignedIn]
let job: string
beforeAll(async () => {
  await fillDatabase()
  server = await startServer()
  fitter = await signIn(server.url, 'R. Okell')
  other = await signIn(server.url, 'T. Brisco')
  const opened = await fitter.post('/api/jobs', { equipment: await pumpOfOwn('P-904'), complaint: 'Test' })
  job = ((await opened.json()) as { id: string }).id
})
afterAll(async () => {
  await server?.stop()
  await disconnect()
})

const [RED, BLUE] = [uuid(), uuid()]
const HOUR_MS = 3_600_000
/** Something done an hour ago without the network. */
const entry = (kind: string, payload: object, more: object) => {
  const id = uuid()
  return { id, act: id, kind, payload, madeAt: new Date(Date.now() - HOUR_MS).toISOString(), ...more }
}
const post = (who: SignedIn, body: unknown) => who.post(`/api/jobs/${job}/entries`, body)
const ledger = async () => (await (await fitter.get(`/api/jobs/${job}/entries`)).json()) as AnyEntry[]
const stateOf = async () => {
  const { entries } = (await (await fitter.get(`/api/jobs/${job}`)).json()) as JobAnswer
  const opening = openingOf(entries)
  const { sheet } = (await (await fitter.get(`/api/sheets/${opening.sheet}/${opening.version}`)).json()) as SheetAnswer
  return extend(planFor(sheet, {}, SUMS_BY_NAME), emptyFold(), entries)
}
const gap = (mm: number, more: object) => entry('reading.taken', reading('hub-gap', 'asFound', [[mm]]), more)

describe('what was seen', () => {
  it('is kept with an entry and told to whoever reads the ledger', async () => {
    const clock = { behindMs: -4200, measuredAt: '2026-05-01T08:00:00.000Z' }
    expect((await post(fitter, entry('note.written', { text: 'x' }, { seen: 1, tablet: RED, clock }))).status).toBe(200)
    expect((await ledger()).at(-1)).toMatchObject({ seen: 1, tablet: RED, clock })
    const [row] = await database().execute(
      sql`select seen, tablet, clock_behind_ms from entry where job_id = ${job} order by seq desc limit 1`,
    )
    expect(row).toEqual({ seen: 1, tablet: RED, clock_behind_ms: -4200 })
  })
  it.each([
    ['a number that is none', { seen: -1 }],
    ['nothing, not even the opening', { seen: 0 }],
    ['a fraction', { seen: 1.5 }],
    ['a tablet that is none', { tablet: 'mine' }],
    ['a clock without a time', { clock: { behindMs: 1 } }],
    ['a clock that is no number', { clock: { behindMs: 'late', measuredAt: '2026-05-01T08:00:00.000Z' } }],
  ])('%s is refused', async (_, more) =>
    expect((await post(fitter, entry('note.written', { text: 'x' }, more))).status).toBe(400),
  )
  it('a reading that another tablet had not seen is kept beside its own, not refused', async () => {
    const seen = (await ledger()).length
    expect((await post(fitter, gap(38, { seen, tablet: RED }))).status).toBe(200)
    expect((await post(other, gap(45, { seen, tablet: BLUE }))).status).toBe(200)
    const [row] = await database().execute<{ value: number; verdict: string }>(
      sql`select value, verdict from reading where job_id = ${job} and check_id = 'hub-gap'`,
    )
    expect(row).toMatchObject({ value: 45, verdict: 'Out' })
    // Made again from the ledger, the tables are the same.
    await rebuildProjections(database())
    const [again] = await database().execute(
      sql`select value, verdict from reading where job_id = ${job} and check_id = 'hub-gap'`,
    )
    expect(again).toEqual(row)
  })
  it('one who had seen it corrects it instead', async () => {
    const seen = (await ledger()).length
    expect((await post(other, gap(39, { seen, tablet: BLUE }))).status).toBe(200)
    expect((await post(other, gap(40, { seen, tablet: BLUE }))).status).toBe(422)
  })
  it('what makes no sense any more is taken and flagged; the same from one who knew is refused', async () => {
    const seen = (await ledger()).length
    const met = (more: object) =>
      entry('evidence.lost', { check: 'float', moment: 'asFound', why: 'It is seized' }, { tablet: BLUE, ...more })
    const read = reading('float', 'asFound', Array(3).fill([0, 0.12]))
    expect((await post(fitter, entry('reading.taken', read, { seen, tablet: RED }))).status).toBe(200)
    // That it cannot be had is not so any more: one who could not know is heard, one who knew is told.
    expect((await post(other, met({ seen: seen + 1 }))).status).toBe(422)
    const length = (await ledger()).length
    expect((await post(other, met({ seen }))).status).toBe(200)
    expect(await ledger()).toHaveLength(length + 1)
    const { state } = await stateOf()
    expect(state.evidenceLost.size).toBe(0)
    expect(state.flags.at(-1)).toMatchObject({ kind: 'evidence.lost' })
  })
})
