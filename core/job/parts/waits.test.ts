import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { entryOf, reading, technician } from '../../../tests/pump.ts'
import { sheetNamed, worker } from '../../../tests/sheets.ts'
import type { Technician } from '../../../demo/technician.ts'
import { readSheet, type Sheet, type Wait } from '../../sheet/index.ts'
import { examineSheet } from '../../sheet/examination/index.ts'
import { SUMS_BY_NAME } from '../../sums/index.ts'
import {
  extend,
  hindrances,
  neverConceded,
  obligations,
  projectJob,
  recordOf,
  recordTables,
  refusalOf,
  viewJob,
  type AnyEntry,
} from '../index.ts'
import { timedAt } from '../ledger/entry.ts'
import { endsOf, lengthText, lengthOf, spanText, waitedMs } from './waits.ts'

const HOUR = 3_600_000
const START = Date.UTC(2026, 4, 2, 8)
const at = (hours: number) => new Date(START + hours * HOUR).toISOString()

const sheet = () => readSheet(structuredClone(sheetNamed('armature-oven'))) as Sheet
const atOven = (until = 'dry') => {
  const one = worker(sheet())
  one.workUntil(until)
  return one
}
/** An act at an hour, as a tablet whose clock was measured at the start of the day sends it. */
const acting = (
  one: Technician,
  kind: 'wait.begun' | 'wait.ended',
  payload: object,
  hours: number,
  more: Partial<AnyEntry> = {},
) => {
  const entry = {
    ...entryOf(kind, payload as never, {}),
    seq: one.folded.entries.length + 1,
    ...{ madeAt: at(hours), receivedAt: at(hours), clock: { behindMs: 0, measuredAt: at(-1) } },
    ...more,
  } as AnyEntry
  const why = refusalOf(one.opened, one.folded, entry)
  if (!why) one.folded = extend(one.opened, one.folded, [entry])
  return why?.code ?? null
}
const warm = (one: Technician) => one.measure(one.plan.checks.get('oven-warm')!, 'build')
const owed = (one: Technician) => viewJob(one.plan, one.folded.state).owed.map(each => each.what)

describe('a machine that is made safe by standing', () => {
  it('has stood as long as the sheet says before the step is done', () => {
    const one = worker(readSheet(structuredClone(sheetNamed('turbo-blower'))) as Sheet)
    const step = one.plan.steps.get('isolate')!
    const hindered = () =>
      hindrances(one.plan, one.folded.state, obligations(one.plan, one.folded.state), step).map(each => each.text)
    expect(hindered()).toContain('To begin: blower cools down')
    one.doStep(step)
    expect(hindered()).toEqual([])
    expect(waitedMs(one.folded.state.waits.get('isolate')!)).toBeGreaterThanOrEqual(6 * HOUR)
  })
})

describe('a time to wait', () => {
  it.each([
    [0, '0 min'],
    [10 * 60_000, '10 min'],
    [22 * HOUR, '22 h'],
    [1.5 * HOUR, '1 h 30 min'],
    [59_000, '0 min'],
  ])('%i ms is %s', (ms, words) => expect(spanText(ms)).toBe(words))
  it.each([
    [{ least: '22 h' }, 'at least 22 h'],
    [{ most: '1 h' }, 'at most 1 h'],
    [{ least: '30 min', most: '1 h' }, '30 min to 1 h'],
    [{ least: '2 h', most: '2 h' }, '2 h'],
  ])('%o is wanted as %s', (times, words) => expect(lengthText({ what: 'it', ...times })).toBe(words))
  it('ends at the earliest and at the latest', () =>
    expect(endsOf({ what: 'it', least: '2 h' }, at(0))).toEqual({ least: at(2), most: null }))
})

describe('the time of an act by which something is timed', () => {
  const entry = (madeAt: number, receivedAt: number, measuredAt?: number) => ({
    ...{ madeAt: at(madeAt), receivedAt: at(receivedAt) },
    ...(measuredAt === undefined ? {} : { clock: { behindMs: 0, measuredAt: at(measuredAt) } }),
  })
  it('is as given where the clock was measured before, however late it arrives', () =>
    expect(timedAt(entry(1, 9, 0))).toBe(at(1)))
  it('is its arrival where it never was', () => expect(timedAt(entry(1, 9))).toBe(at(9)))
  it('is its arrival where the clock was set back since', () => expect(timedAt(entry(1, 9, 5))).toBe(at(9)))
  it('is its arrival where the clock was set forward since', () => expect(timedAt(entry(30, 9, 0))).toBe(at(9)))
})

describe('what waits', () => {
  it('begins once what it begins on is read, and is not out', () => {
    const one = atOven()
    expect(owed(one)).toContain('To begin: armature in the oven')
    expect(acting(one, 'wait.begun', { step: 'dry' }, 0)).toBe('step.hindered')
    one.act('reading.taken', {
      check: 'oven-warm',
      moment: 'build',
      field: 'readings',
      column: 'value',
      tries: [['130']],
    } as never)
    expect(acting(one, 'wait.begun', { step: 'dry' }, 0)).toBe('step.hindered')
    one.act('check.remedied', { check: 'oven-warm', moment: 'build', remedy: 'Oven set again' })
    warm(one)
    expect(acting(one, 'wait.begun', { step: 'dry' }, 0)).toBeNull()
    expect(owed(one)).not.toContain('To begin: armature in the oven')
    expect(acting(one, 'wait.begun', { step: 'dry' }, 1)).toBe('wait.begun')
    expect(acting(one, 'wait.begun', { step: 'cool' }, 1)).toBe('step.hindered')
    expect(acting(one, 'wait.begun', { step: 'test' }, 1)).toBe('wait.none')
  })
  it('is over when it has stood as long as the sheet says; a lead cuts it short, in writing', () => {
    const one = atOven()
    warm(one)
    expect(acting(one, 'wait.ended', { step: 'dry' }, 1)).toBe('wait.notBegun')
    acting(one, 'wait.begun', { step: 'dry' }, 0)
    expect(acting(one, 'wait.ended', { step: 'dry' }, 21.9)).toBe('wait.short')
    expect(acting(one, 'wait.ended', { step: 'dry', why: 'No time' }, 3)).toBe('wait.leadCuts')
    expect(acting(one, 'wait.ended', { step: 'dry', why: 'Level for 4 h' }, 20, { role: 'lead' })).toBeNull()
    expect(acting(one, 'wait.ended', { step: 'dry' }, 23)).toBe('wait.over')
    one.workUntil()
    expect(owed(one)).toEqual([])
    const [, row] = recordTables(recordOf(one.plan, one.folded.entries, new Map())).find(
      table => table.title === 'Waits',
    )!.rows[0]!
    expect(row).toMatchObject({ text: 'at least 22 h to 48 h'.replace('at least ', '') })
    expect(JSON.stringify(recordTables(recordOf(one.plan, one.folded.entries, new Map())))).toContain(
      'Cut short: Level for 4 h',
    )
  })
  it('keeps its own step from being done, and no other', () => {
    const one = atOven()
    warm(one)
    acting(one, 'wait.begun', { step: 'dry' }, 0)
    const done = (step: string) =>
      refusalOf(one.opened, one.folded, {
        ...entryOf('step.done', { step }),
        madeAt: at(1),
        receivedAt: at(1),
      } as AnyEntry)?.code ?? null
    expect(done('dry')).toBe('step.waits')
    one.act('reading.taken', {
      check: 'bath-strength',
      moment: 'build',
      field: 'readings',
      column: 'value',
      tries: [['5']],
    } as never)
    expect(acting(one, 'wait.begun', { step: 'bathe' }, 1)).toBeNull()
    expect(acting(one, 'wait.ended', { step: 'bathe' }, 1.75)).toBeNull()
    expect(done('bathe')).toBeNull()
    expect(done('dry')).toBe('step.waits')
  })
  it('is over before what is read at its end is read', () => {
    const one = technician()
    one.workUntil('leak-test')
    const held = (hours: number) => {
      const entry = entryOf('reading.taken', reading('test-pressure', 'asLeft', [[6]]))
      const timed = { madeAt: at(hours), receivedAt: at(hours), clock: { behindMs: 0, measuredAt: at(-1) } }
      return refusalOf(one.opened, one.folded, { ...entry, ...timed } as AnyEntry)?.code ?? null
    }
    const caution = entryOf('caution.read', { step: 'leak-test', caution: 0 })
    const shift = { madeAt: at(0), receivedAt: at(0), seq: one.folded.entries.length + 1 }
    one.folded = extend(one.opened, one.folded, [{ ...caution, ...shift }])
    expect(held(0)).toBe('reading.tooEarly')
    expect(acting(one, 'wait.begun', { step: 'leak-test' }, 0)).toBeNull()
    expect(held(0.1)).toBe('reading.tooEarly')
    expect(held(0.2)).toBeNull()
    one.act('wait.ended', { step: 'leak-test', why: 'The gauge stood' }, 'lead')
    expect(held(0.1)).toBeNull()
  })
  it('that was too long is told, and stops the hand-back until a lead accepts it', () => {
    const one = atOven('bathe')
    one.act('reading.taken', {
      check: 'bath-strength',
      moment: 'build',
      field: 'readings',
      column: 'value',
      tries: [['5']],
    } as never)
    acting(one, 'wait.begun', { step: 'bathe' }, 0)
    acting(one, 'wait.ended', { step: 'bathe' }, 3)
    expect(owed(one)).toContain('caps in the bath: 3 h, too long')
    const of = { kind: 'wait length', step: 'bathe' } as const
    expect(neverConceded(one.plan, of)).toBeNull()
    one.act('concession.given', { of, basis: one.basis(of), why: 'Looked at: bright' }, 'lead')
    one.workUntil()
    expect(owed(one)).toEqual([])
  })
  it('stands on the board of all jobs while it is begun and not over', () => {
    const one = atOven()
    warm(one)
    const board = () => projectJob(one.plan, one.folded.state).waits
    expect(board()).toEqual([])
    acting(one, 'wait.begun', { step: 'dry' }, 0)
    expect(board()).toEqual([
      {
        stepId: 'dry',
        step: 'Dry the armature',
        what: 'armature in the oven',
        since: at(0),
        leastAt: at(22),
        mostAt: at(48),
      },
    ])
    acting(one, 'wait.ended', { step: 'dry' }, 23)
    expect(board()).toEqual([])
  })
  it('is begun anew with a step that is taken up again, or taken back', () => {
    const one = atOven('cool')
    expect(one.folded.state.waits.get('dry')?.ended).toBeDefined()
    one.act('step.reopened', { step: 'dry', why: 'Still damp' })
    expect(owed(one)).toContain('To begin: armature in the oven')
    one.workUntil()
    expect(owed(one)).toEqual([])
  })
  it('takes as long as it takes, however late its acts arrive and whatever the clock is set to meanwhile', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 60 * 60 }),
        fc.integer({ min: 0, max: 3000 }),
        fc.integer({ min: 0, max: 3000 }),
        (minutes, late, later) => {
          const one = atOven()
          warm(one)
          const ended = minutes / 60
          expect(acting(one, 'wait.begun', { step: 'dry' }, 0, { receivedAt: at(late / 60) })).toBeNull()
          const why = acting(one, 'wait.ended', { step: 'dry' }, ended, { receivedAt: at(ended + later / 60) })
          const { wait } = one.plan.steps.get('dry')!
          const waiting = one.folded.state.waits.get('dry')!
          // What arrives late is taken and looked into; what arrives at once is refused while it is too short.
          if (why) expect([why, ended < 22]).toEqual(['wait.short', true])
          else {
            expect(waitedMs(waiting)).toBe(minutes * 60_000)
            expect(lengthOf(wait!, waiting)).toBe(ended < 22 - 0.002 ? 'short' : ended > 48.002 ? 'long' : 'right')
          }
        },
      ),
      { numRuns: 40 },
    )
  })
})

describe('a wait that makes no sense', () => {
  it.each<[object, string]>([
    [{ what: 'it' }, 'the wait of step cool has neither a shortest nor a longest time'],
    [{ what: 'it', least: '0 h' }, 'the wait of step cool takes no time'],
    [
      { what: 'it', least: '4 h', most: '2 h' },
      'the wait of step cool is shorter at the longest than at the shortest: 4 h to 2 h',
    ],
    [
      { what: 'it', least: '4 h', once: ['damp'] },
      'the wait of step cool begins once damp is read, which is not read there',
    ],
  ])('%o', (wait, sentence) => {
    const one = sheet()
    one.steps.find(step => step.id === 'cool')!.wait = wait as Wait
    expect(examineSheet(one, SUMS_BY_NAME)).toContain(sentence)
  })
  it('and one that does is sound, and walked without a word', () => {
    expect(examineSheet(sheet(), SUMS_BY_NAME)).toEqual([])
    const one = worker(sheet())
    one.workUntil()
    expect([owed(one), one.folded.state.flags]).toEqual([[], []])
  })
})
