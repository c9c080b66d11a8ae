import { describe, expect, it } from 'vitest'
import { librarySheet, sheetNamed, worker } from '../../tests/sheets.ts'
import { entryOf, plan, technician } from '../../tests/pump.ts'
import { planFor, type Mate, type Sheet } from '../sheet/index.ts'
import { SUMS_BY_NAME } from '../sums/index.ts'
import { canBeSeen } from './parts/mates.ts'
import {
  clockOf,
  effectiveEntries,
  emptyFold,
  extend,
  mateMet,
  missedBy,
  takeIn,
  type AnyEntry,
  type Folded,
} from './index.ts'

/** Small laws that something rests on and that nothing else would miss: each was broken once, and no test saw it. */

describe('an angle between two marks', () => {
  const mate = (deg: number, symmetry?: number) =>
    ({ id: 'm', title: 'M', rule: { kind: 'aligned', deg, ...(symmetry ? { symmetry } : {}) } }) as Mate
  it.each([
    [90, 0, 90, true],
    [90, 0, 270, false],
    [90, 350, 80, true],
    [90, 80, 350, false],
    [120, 10, 130, true],
    [120, 130, 10, false],
  ])('%s° on from a mark at %s° is %s°: %s', (deg, mark, stands, met) => {
    expect(mateMet(mate(deg), { deg: mark }, { mate: 'm', deg: stands })).toBe(met)
    expect(missedBy(mate(deg), { deg: mark }, { mate: 'm', deg: stands })! < 1).toBe(met)
  })
})

describe('an act is late', () => {
  const at = (minutes: number) => ({
    madeAt: '2026-05-01T08:00:00.000Z',
    receivedAt: new Date(Date.UTC(2026, 4, 1, 8, minutes)).toISOString(),
  })
  it.each([
    [0, 'live'],
    [9, 'live'],
    [11, 'late'],
    [60, 'late'],
    [-1, 'live'],
    [-3, 'ahead'],
  ] as const)('%s minutes after it was done: %s', (minutes, clock) => expect(clockOf(at(minutes))).toBe(clock))
})

it('of two corrections that had not seen each other the newer counts', () => {
  const note = entryOf('note.written', { text: 'first' })
  const fix = (text: string) =>
    entryOf('entry.corrected', { target: note.id, why: 'slip', replacement: { text } }, { role: 'lead' })
  const texts = (entries: AnyEntry[]) => effectiveEntries(entries).map(one => (one.payload as { text: string }).text)
  const [older, newer] = [fix('older'), fix('newer')]
  expect(texts([note, older, newer])).toEqual(['newer'])
  expect(texts([note, newer, older])).toEqual(['older'])
})

it('how two parts stand is asked once one of them has been put back, not while both have never moved', () => {
  const one = technician()
  const mate = plan.sheet.mates.find(each => each.mark && !each.asked)!
  expect(canBeSeen(plan, one.folded.state, mate)).toBe(false)
  expect(canBeSeen(plan, one.folded.state, mate, [mate.a])).toBe(true)
})

describe('another round', () => {
  /** The fit-up with a check read by gauge among its goals. */
  function gauged(): Sheet {
    const sheet = structuredClone(sheetNamed('four-bearing-fit-up'))
    const loop = sheet.loops![0]!
    const sum = sheet.checks.find(one => loop.until.includes(one.id))!
    const check = { ...sum, id: 'gauged', title: 'Gauged', kind: 'single' as const, unit: 'mm' as const, decimals: 2 }
    delete (check as { sum?: unknown }).sum
    return {
      ...sheet,
      checks: [...sheet.checks, { ...check, span: [0, 5], limits: { max: 1, best: 0.5 }, instrument: 'gauge' }],
      loops: [
        {
          ...loop,
          until: [...loop.until, 'gauged'],
          changes: loop.changes.map(change => ({ ...change, voids: [...change.voids, 'gauged'] })),
        },
      ],
    }
  }
  it('takes what was read by gauge out of force like what was worked out', () => {
    const one = worker(gauged())
    const loop = one.opened.sheet.loops![0]!
    const last = loop.steps.at(-1)!
    one.workUntil(last)
    one.doStep(one.plan.steps.get(last)!)
    const read = () => [...one.folded.state.readings.keys()]
    const goals = () => read().filter(key => loop.until.some(check => key.startsWith(`${check} `)))
    expect(goals().some(key => key.startsWith('gauged '))).toBe(true)
    one.act('round.begun', { loop: loop.id, changed: [loop.changes[0]!.say] })
    expect(one.folded.state.flags).toEqual([])
    expect(goals().filter(key => loop.changes[0]!.voids.some(check => key.startsWith(`${check} `)))).toEqual([])
    expect(one.folded.state.voided.some(gone => gone.check === 'gauged' && gone.cells.size)).toBe(true)
  })
})

/** A value with everything in it, as text. */
const written = (value: unknown): string =>
  JSON.stringify(value, (_, one: unknown) =>
    one instanceof Map ? { map: [...one] } : one instanceof Set ? { set: [...one] } : one,
  )
/** A state without what is never part of it by value. */
const stateOf = ({ state }: Folded) => written({ ...state, plan: state.plan?.variants })

describe('what is kept of a job is not touched by what comes after', () => {
  const sheets = [
    librarySheet('m10-gear-unit'),
    librarySheet('m8-scraped-surface-exchanger'),
    sheetNamed('drawn-up-joints'),
  ]
  const seen = new Set<string>()
  it.each(sheets.map(sheet => [sheet.title, sheet] as const))(
    '%s: entry by entry, whole or refused half way',
    (_, sheet) => {
      const one = worker(sheet)
      one.workUntil()
      const [own, entries] = [planFor(sheet, {}, SUMS_BY_NAME), one.folded.entries]
      const refused = entryOf('step.done', { step: 'no such step' })
      const kinds = new Set<string>()
      let folded = emptyFold()
      for (const entry of entries) {
        // Each kind is looked at some times: after that it would only take longer.
        const isNew = !kinds.has(entry.kind) || entry.seq! % 40 === 0
        kinds.add(entry.kind)
        const before = isNew ? stateOf(folded) : ''
        if (isNew) {
          expect(takeIn(own, folded, [entry, refused]).ok).toBe(false)
          expect(stateOf(folded), entry.kind).toBe(before)
        }
        const next = extend(own, folded, [entry])
        if (isNew) expect(stateOf(folded), entry.kind).toBe(before)
        folded = next
      }
      for (const kind of kinds) seen.add(kind)
    },
  )
  it('nor by a second reader of the same caution, whose batch is refused', () => {
    const one = technician()
    const read = one.act('caution.read', { step: 'isolate', caution: 0 })
    const before = stateOf(one.folded)
    const again = entryOf('caution.read', { step: 'isolate', caution: 0 }, { by: 'somebody else' })
    expect(takeIn(plan, one.folded, [again, entryOf('step.done', { step: 'no such step' })]).ok).toBe(false)
    expect(stateOf(one.folded), read.kind).toBe(before)
  })
  it('in nearly every kind there is', () =>
    expect([...seen]).toEqual(
      expect.arrayContaining([
        'caution.read',
        'hold.signed',
        'step.done',
        'part.refitted',
        'bolt.eased',
        'reading.taken',
      ]),
    ))
})
