import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { Asking } from '../../tests/asking.ts'
import { mend } from '../../tests/mistakes/mend.ts'
import { entryOf } from '../../tests/pump.ts'
import { findingsOf, librarySheet, worker, type Read } from '../../tests/sheets.ts'
import { WALKS } from '../../tests/walks/index.ts'
import { canBeReopened, fold, refusalOf, takeIn, viewJob, type AnyEntry } from './index.ts'

const SHEETS = WALKS.filter(one => /^m(3|8|10|14)-/.test(one.sheet))

/** Something done to a machine that is put together: which sort, what it is about, and whether the tablet had seen the others. */
const doings = fc.array(
  fc.record({
    sort: fc.constantFrom('reopen', 'remedy', 'answer', 'read', 'go on'),
    about: fc.nat(999),
    way: fc.nat(9),
    isLate: fc.boolean(),
  }),
  { minLength: 3, maxLength: 10 },
)
type Doing = (typeof doings extends fc.Arbitrary<infer T> ? T : never)[number]

/** The act that is meant; null where there is nothing of the sort. */
function actOf(one: Asking, { sort, about, way }: Doing): AnyEntry | null {
  const { plan, folded } = one
  const pick = <T>(list: readonly T[]): T | undefined => list[about % Math.max(1, list.length)]
  if (sort === 'reopen') {
    const step = pick(plan.sheet.steps.filter(each => folded.state.steps.has(each.id) && canBeReopened(plan, each)))
    return step ? entryOf('step.reopened', { step: step.id, why: 'It went wrong' }, { role: 'lead' }) : null
  }
  if (sort === 'answer') {
    const mate = pick([...plan.mates.values()].filter(each => each.rule.kind === 'seen'))
    const rule = mate?.rule
    return rule?.kind === 'seen'
      ? entryOf('mate.answered', { mate: mate!.id, say: rule.choices[way % rule.choices.length]!.say })
      : null
  }
  const read = [...viewJob(plan, folded.state).results.values()].filter(each => each.value !== null)
  if (sort === 'remedy') {
    const out = pick(read.filter(each => each.judgement.verdict === 'Out'))
    return out ? entryOf('check.remedied', { check: out.check.id, moment: out.moment, remedy: 'Put right' }) : null
  }
  if (sort === 'read') {
    const taken = pick(folded.entries.filter(each => each.kind === 'reading.taken'))
    return taken ? entryOf('reading.taken', taken.payload as never) : null
  }
  return null
}

/** Mends what can be got at and goes on, until something else is in the way. */
function goOn(one: Asking, tries = 12): void {
  mend(one, new Set())
  try {
    one.workUntil()
  } catch (error) {
    if (!tries || !/refused/.test(String(error))) throw error
    goOn(one, tries - 1)
  }
}

describe('whatever is taken of a machine that is put together', () => {
  it.each(SHEETS)('leaves a way on to a signed record: $sheet', ({ sheet, figures }) => {
    const read = findingsOf(figures({}) as Read, true)
    const steps = worker(librarySheet(sheet), read, {}, Asking).plan.sheet.steps
    const builds = steps.filter(step => step.station === 'build')
    fc.assert(
      fc.property(doings, fc.nat(999), (doing, where) => {
        const one = worker(librarySheet(sheet), read, {}, Asking) as Asking
        one.workUntil(builds[where % builds.length]!.id)
        for (const each of doing) {
          const act = actOf(one, each)
          const entry =
            act &&
            ({
              ...act,
              seq: one.folded.entries.length + 1,
              ...(each.isLate
                ? { seen: Math.max(1, one.folded.entries.length - 5 - each.way * 3), tablet: 'another' }
                : {}),
            } as AnyEntry)
          if (!entry || refusalOf(one.opened, one.folded, entry)) continue
          const taken = takeIn(one.opened, one.folded, [entry])
          if (taken.ok) one.folded = taken.folded
        }
        expect(fold(one.opened, one.folded.entries)).toEqual(one.folded.state)
        goOn(one)
        expect(
          viewJob(one.plan, one.folded.state)
            .owed.filter(owed => owed.kind !== 'late')
            .map(owed => owed.what),
        ).toEqual([])
      }),
      { numRuns: 3 },
    )
  })
})
