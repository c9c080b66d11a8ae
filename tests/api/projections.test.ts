import { afterAll, beforeAll, expect, it } from 'vitest'
import { sentenceOf } from '../../core/refusal.ts'
import { eq } from 'drizzle-orm'
import { v7 as uuid } from 'uuid'
import { SOUND } from '../../demo/figures.ts'
import { wornFindings, type Wear } from '../../demo/findings.ts'
import { Technician } from '../../demo/technician.ts'
import {
  atOf,
  cellKey,
  emptyFold,
  extend,
  planIn,
  projectJob,
  isOnlyFound,
  standingReadings,
  type Payloads,
} from '../../core/job/index.ts'
import type { SignedInPerson } from '../../shared/answers.ts'
import { append, type Arrival } from '../../server/db/append.ts'
import { database, disconnect, ledgerDatabase } from '../../server/db/client.ts'
import { addMachine, readMeters } from '../../server/db/fleet.ts'
import { jobWithLedger, openJob } from '../../server/db/jobs.ts'
import { entriesAfter } from '../../server/db/ledger.ts'
import { signersHere } from '../../server/db/people.ts'
import { rebuildProjections } from '../../server/db/rebuild.ts'
import {
  equipmentState,
  fittedPart,
  job,
  keptFact,
  keptLook,
  keptPhoto,
  reading,
  stockMovement,
  wait,
} from '../../server/db/schema.ts'
import { openWaits } from '../../server/db/waits.ts'
import { planOf, shelve } from '../../server/db/sheets.ts'
import { sheetNamed } from '../sheets.ts'
import { fillDatabase, owner, pumpOfOwn } from './server.ts'

/** What the fleet's tables say of a machine, held against all of its ledgers folded from nothing. */

const TAG = 'P-910'
let fitter: SignedInPerson
let lead: SignedInPerson
/** Each job's acts come after those of the job before it. */
let minute = 0
beforeAll(async () => {
  await fillDatabase()
  const people = await signersHere(database())
  fitter = people.find(one => one.name === 'R. Okell')!
  lead = people.find(one => one.name === 'O. Hallam')!
  await pumpOfOwn(TAG)
})
afterAll(disconnect)

/** As it was done, by who did it. */
const ARRIVED: Arrival = { at: one => one.madeAt, signed: true }
const at = () => new Date(Date.UTC(2026, 0, 1) + minute++ * 60_000).toISOString()

/** Works a new job of the machine up to a step, or to its end, and sends what was done as it was done. */
async function work(wear: Wear, until?: string, end?: (worker: Technician) => void, tag = TAG): Promise<string> {
  const opened = await openJob(ledgerDatabase(), tag, { complaint: 'Planned' }, fitter, at())
  if (!opened.ok) throw new Error(sentenceOf(opened.refusal))
  const [row] = await database().select().from(job).where(eq(job.id, opened.id))
  const worker = new Technician(
    await planOf(database(), row!),
    {
      ...wornFindings(wear, { fitter: fitter.id, lead: lead.id }, SOUND['m14-axially-split-pump']),
      held: { fitter: fitter.competences, lead: lead.competences },
    },
    { id: () => uuid(), now: at },
  )
  const first = await entriesAfter(database(), opened.id, 0)
  worker.folded = extend(worker.opened, worker.folded, first)
  worker.workUntil(until)
  end?.(worker)
  const { entries } = worker.folded
  for (let from = first.length, to = from; from < entries.length; from = to) {
    while (to < entries.length && to - from < 150 && entries[to]!.madeBy === entries[from]!.madeBy) to++
    const sent = entries
      .slice(from, to)
      .map(({ id, kind, payload, act, madeAt }) => ({ id, kind, payload, act, madeAt }))
    const by = entries[from]!.madeBy === lead.id ? lead : fitter
    const answer = await append(ledgerDatabase(), opened.id, by, sent, ARRIVED)
    if (!answer.kept) throw new Error(sentenceOf(answer.refusal))
  }
  return opened.id
}

/** What the tables hold of the machine, in a fixed order. */
async function held(tag: string) {
  const db = database()
  const sorted = (rows: object[]) => rows.map(row => JSON.stringify(row, Object.keys(row).sort())).sort()
  const jobs = await db.select().from(job).where(eq(job.equipmentTag, tag))
  const movements = await Promise.all(
    jobs.map(({ id }) => db.select().from(stockMovement).where(eq(stockMovement.jobId, id))),
  )
  const waits = await Promise.all(jobs.map(({ id }) => db.select().from(wait).where(eq(wait.jobId, id))))
  const [state] = await db.select().from(equipmentState).where(eq(equipmentState.equipmentTag, tag))
  return {
    readings: sorted(await db.select().from(reading).where(eq(reading.equipmentTag, tag))),
    fitted: sorted(await db.select().from(fittedPart).where(eq(fittedPart.equipmentTag, tag))),
    movements: sorted(movements.flat()),
    waits: sorted(waits.flat()),
    facts: sorted(await db.select().from(keptFact).where(eq(keptFact.equipmentTag, tag))),
    looks: sorted(await db.select().from(keptLook).where(eq(keptLook.equipmentTag, tag))),
    photos: sorted(await db.select().from(keptPhoto).where(eq(keptPhoto.equipmentTag, tag))),
    state: state!,
  }
}

/** The machine's standing, worked out the slow way from every ledger. */
async function wanted(tag: string) {
  const jobs = (await database().select().from(job).where(eq(job.equipmentTag, tag))).sort(
    (a, b) => a.number - b.number,
  )
  const folded = await Promise.all(
    jobs.map(async row => {
      const plan = await planOf(database(), row)
      const { state } = extend(plan, emptyFold(), await entriesAfter(database(), row.id, 0))
      return { row, plan, state, projected: projectJob(planIn(plan, state), state) }
    }),
  )
  const readings = folded.flatMap(({ row, plan, state, projected }) =>
    projected.readings
      .filter(one => !state.signed || !isOnlyFound(plan.whole.checks.find(check => check.id === one.checkId)!))
      .map(one => ({ ...one, job: row.id })),
  )
  const worst = standingReadings(readings, one => one.job)[0] ?? null
  const signed = folded.filter(({ state }) => state.signed).at(-1)
  const open = folded.filter(({ state }) => !state.signed && !state.cancelled).at(-1)
  return {
    open: open?.row.number ?? null,
    overhauledAt: signed ? Date.parse(signed.state.signed!.at) : null,
    hours: signed?.row.hoursAtOpen ?? null,
    worst: worst && [worst.checkId, worst.verdict, worst.share],
    counts: [
      folded.reduce((n, { projected }) => n + projected.readings.length, 0),
      folded.reduce((n, { projected }) => n + projected.fitted.length, 0),
      folded.reduce((n, { projected }) => n + projected.movements.length, 0),
      folded.reduce((n, { projected }) => n + projected.waits.length, 0),
      folded.reduce((n, { projected }) => n + projected.facts.length, 0),
      folded.reduce((n, { projected }) => n + projected.looks.length, 0),
      folded.reduce((n, { projected }) => n + projected.photos.length, 0),
    ],
  }
}

async function agree(tag = TAG) {
  const [now, ought] = [await held(tag), await wanted(tag)]
  const { state } = now
  expect({
    open: state.openJobNumber,
    overhauledAt: state.lastOverhaulAt && Date.parse(state.lastOverhaulAt),
    hours: state.lastOverhaulHours,
    worst: state.worstCheck && [state.worstCheck, state.worstVerdict, state.worstShare],
    counts: [
      now.readings.length,
      now.fitted.length,
      now.movements.length,
      now.waits.length,
      now.facts.length,
      now.looks.length,
      now.photos.length,
    ],
  }).toEqual(ought)
  return ought
}

it('a machine stands as its ledgers say: overhauled, opened again, given up, worn, renewed', async () => {
  // Worn past its limit and left so: the newest figures are what it stands on.
  await work({ general: 0.4, checks: { 'bush-bore': 1.2 }, renewed: ['throttle-bush'] }, undefined, one =>
    one.sign('yes'),
  )
  const first = await agree()
  expect(first).toMatchObject({ open: null, hours: 100 })
  await readMeters(database(), TAG, { hoursRun: 5000 }, null)

  // Opened by mistake and given up: the overhaul before it stays the last.
  await work({ general: 0.4 }, 'found-running', one => one.act('job.cancelled', { why: 'Wrong pump' }, 'lead'))
  expect(await agree()).toEqual(first)

  // The bush is renewed and not measured yet: what was read of the old one is history, and nothing is known of the new.
  const third = await work({ general: 0.05, checks: { 'bush-bore': 1.2 }, renewed: ['throttle-bush'] }, 'decide', one =>
    one.doStep(one.plan.steps.get('decide')!),
  )
  const opened = await agree()
  // What the first overhaul found stands beside each place of a check, and beside the check as a whole.
  const { last } = (await jobWithLedger(database(), third))!
  const [row] = await database().select().from(job).where(eq(job.id, third))
  const check = (await planOf(database(), row!)).checks.get('journal-de')!
  const journal = last['journal-de']!
  expect(
    Object.keys(journal)
      .flatMap(key => (key ? [atOf(key).column] : []))
      .sort(),
  ).toEqual(check.stations!.flatMap(() => check.planes!).sort())
  const cells = Object.entries(journal).flatMap(([key, mm]) => (key ? [mm] : []))
  expect(journal['']).toBeCloseTo(cells.reduce((sum, mm) => sum + mm, 0) / cells.length, 6)
  expect(opened.open).not.toBeNull()
  expect(opened).toMatchObject({ overhauledAt: first.overhauledAt, hours: 100 })

  // What was read last is taken back: the figure of the overhaul before it is the newest again.
  const read = (await entriesAfter(database(), third, 0)).filter(one => one.kind === 'reading.taken').at(-1)!
  const back = { kind: 'entry.corrected' as const, payload: { target: read.id, why: 'Dial slipped' } }
  const id = uuid()
  const answer = await append(ledgerDatabase(), third, fitter, [{ id, act: id, madeAt: at(), ...back }], ARRIVED)
  expect(answer).toMatchObject({ kept: true })
  expect((await agree()).counts[0]).toBeLessThan(opened.counts[0]!)
  const now = await held(TAG)
  await rebuildProjections(database(), TAG)
  expect(await held(TAG)).toEqual(now)
})

it('what was put right stands as it was and as it is, and a piece from stock is a movement', async () => {
  const tag = 'P-911'
  await pumpOfOwn(tag)
  await work(
    { general: 0.3 },
    'clamp-pull',
    one => {
      const said = one.folded.entries.filter(entry => entry.kind === 'reading.taken').at(-1)!
      const { check, moment } = said.payload as Payloads['reading.taken']
      expect([check, moment]).toEqual(['seal-setting', 'build'])
      const replacement = { ...(said.payload as Payloads['reading.taken']), tries: [['47'], ['47']] }
      one.act('entry.corrected', { target: said.id, why: 'Read wrong', replacement })
      one.act('check.remedied', { check, moment, remedy: 'Set to its line again' })
      one.measure(one.plan.checks.get(check)!, moment)
      one.act('pieces.counted', { part: 'springs', way: 'in', n: 7, fromStock: 1 })
    },
    tag,
  )
  await agree(tag)
  const rows = await database().select().from(reading).where(eq(reading.equipmentTag, tag))
  const told = rows.filter(one => one.checkId === 'seal-setting' && one.moment === 'build' && one.cell === '')
  expect(told.map(one => [one.nth, one.verdict, one.stands]).sort()).toEqual([
    [0, 'Holds', true],
    [1, 'Out', false],
  ])
  const now = await held(tag)
  expect(now.movements.filter(one => one.includes('"springs"'))).toHaveLength(1)
  await rebuildProjections(database(), tag)
  expect(await held(tag)).toEqual(now)
})

it('so does every machine of the fleet', async () => {
  for (const { tag } of await database().selectDistinct({ tag: job.equipmentTag }).from(job)) await agree(tag)
})

it('what waits stands on the board of all open jobs until it is over, also once the tables are made anew', async () => {
  await pumpOfOwn('P-919')
  const begin = (one: Technician) => {
    one.act('caution.read', { step: 'leak-test', caution: 0 })
    one.act('wait.begun', { step: 'leak-test' })
  }
  const id = await work({ general: 0.4 }, 'leak-test', begin, 'P-919')
  const board = async () => (await openWaits(database())).filter(one => one.job === id)
  const [running] = await board()
  expect(running).toMatchObject({
    tag: 'P-919',
    stepId: 'leak-test',
    what: 'case under the test pressure',
    mostAt: null,
  })
  expect(Date.parse(running!.leastAt!) - Date.parse(running!.since)).toBe(600_000)
  await agree('P-919')
  await rebuildProjections(ledgerDatabase(), 'P-919')
  expect(await board()).toEqual([running])
  const cut = { kind: 'wait.ended' as const, payload: { step: 'leak-test', why: 'The gauge stood' } }
  const ended = { id: uuid(), ...cut, madeAt: at() }
  expect((await append(ledgerDatabase(), id, lead, [{ ...ended, act: ended.id }], ARRIVED)).kept).toBe(true)
  expect(await board()).toEqual([])
})

it('a job is opened with what the last one left and kept of its machine', async () => {
  const sheet = await shelve(database(), structuredClone(sheetNamed('lever-hoist')))
  if (sheet.faults) throw new Error(sheet.faults.join())
  const own = owner()
  let takeAway = () => Promise.resolve()
  try {
    await addMachine(database(), {
      ...{ tag: 'H-910', name: 'Lever hoist', areaId: 'beet', line: 'tests', sheetId: 'lever-hoist' },
      ...{ variants: { limiter: 'none' }, hoursRun: 10, hoursPerWeek: 1 },
    })
    const opened = async () => {
      const answer = await openJob(ledgerDatabase(), 'H-910', { complaint: 'Planned' }, fitter, at())
      if (!answer.ok) throw new Error(sentenceOf(answer.refusal))
      const [first] = await entriesAfter(database(), answer.id, 0)
      const { last, kept } = first!.payload as Payloads['job.opened']
      return { id: answer.id, last, kept }
    }
    const first = await opened()
    // What is written past the ledger below is taken away again: another file rebuilds the same database.
    takeAway = () =>
      own.db.transaction(async tx => {
        await tx.delete(reading).where(eq(reading.jobId, first.id))
        await tx.update(job).set({ signedAt: null }).where(eq(job.id, first.id))
      })
    expect(first.last).toBeUndefined()
    const kept = await append(
      ledgerDatabase(),
      first.id,
      fitter,
      [{ id: uuid(), act: uuid(), kind: 'fact.read', madeAt: at(), payload: { fact: 'serial', text: 'LH 88' } }],
      ARRIVED,
    )
    expect(kept.kept).toBe(true)
    const row = { equipmentTag: 'H-910', jobId: first.id, nth: 0, verdict: 'Holds' as const }
    const read = (checkId: string, cell: string, value: number, moment: 'inspect' | 'build', stands = true) => ({
      ...row,
      ...{ checkId, cell, moment, value, least: value, greatest: value, stands, takenAt: at() },
    })
    await own.db
      .insert(reading)
      .values([
        read('throat', '', 29.1, 'inspect', false),
        read('throat', '', 28.2, 'build'),
        read('pitch', '', 95.5, 'inspect'),
        read('pitch', cellKey({ field: 'readings', place: 'middle', column: 'value' }), 95.1, 'inspect'),
      ])
    await own.db.update(job).set({ signedAt: at() }).where(eq(job.id, first.id))
    const second = await opened()
    expect(second.kept).toEqual([{ fact: 'serial', text: 'LH 88' }])
    expect(second.last).toEqual([
      { check: 'throat', figure: 'value', value: 28.2 },
      { check: 'pitch', figure: 'middle', value: 95.1 },
    ])
  } finally {
    await takeAway()
    await own.end()
  }
})
