import { describe, expect, it } from 'vitest'
import { planFor, type Plan } from '../core/sheet/index.ts'
import { SUMS_BY_NAME } from '../core/sums/index.ts'
import { ALL_MISTAKES } from '../tests/mistakes/index.ts'
import type { Mistake } from '../tests/mistakes/bench.ts'
import { librarySheet, librarySheetNames } from '../tests/sheets.ts'

/** Whether a step shuts something over what was done, or starts the machine: from then on no hand gets there. */
const covers = (plan: Plan, id: string) => {
  const { closes, starts } = plan.steps.get(id)!
  return Boolean(closes) || Boolean(starts)
}

/**
 * Whether a mistake is stopped while hands can still mend it: no later than the first step after it that covers it or starts the
 * machine. That it is stopped at the step it names is held by `mistakes.test.ts`.
 */
function isInTime(plan: Plan, { at, stopped }: Mistake): boolean {
  if (stopped === null) return false
  const order = plan.sheet.steps.map(step => step.id)
  const covered = order.findIndex((id, i) => i >= order.indexOf(at) && covers(plan, id))
  return covered < 0 || order.indexOf(stopped) <= covered
}

const told = ALL_MISTAKES.map(({ family, sheet: name, mistakes }) => {
  const sheet = librarySheet(name)
  const late = mistakes.filter(one => !isInTime(planFor(sheet, one.variants ?? {}, SUMS_BY_NAME), one))
  return { family, all: mistakes.length, late: late.map(one => one.what) }
})

describe('what tired people do, all families together', () => {
  it('is told of every family there is', () => {
    expect(ALL_MISTAKES.map(one => one.sheet).toSorted()).toEqual(librarySheetNames().toSorted())
  })
  it('is stopped before it is covered or started, nine times in ten at the least', () => {
    const all = told.reduce((sum, one) => sum + one.all, 0)
    const late = told.flatMap(one => one.late.map(what => `${one.family}: ${what}`))
    expect(late.length, late.join('\n')).toBeLessThanOrEqual(all * 0.1)
  })
  it.each(told)('$family: four times in five at the least', ({ all, late }) => {
    expect(late.length, late.join('\n')).toBeLessThanOrEqual(all * 0.2)
  })
})

/** Words that only say that somebody was there. */
const TICK = /^(yes|no|ok|okay|done|right|wrong|good|bad|fine|correct|as it should be|not as it should be)$/i

describe.each(librarySheetNames())('%s', name => {
  it('asks nothing that a bare tick would answer', () => {
    const { checks, mates, joints, steps } = planFor(librarySheet(name)).whole
    const asked = [
      ...checks.flatMap(({ title, choices }) => (choices ? [{ title, choices }] : [])),
      ...mates.flatMap(({ title, rule }) => (rule.kind === 'seen' ? [{ title, choices: rule.choices }] : [])),
      ...joints.flatMap(({ title, locking, felt }) =>
        [locking?.choices, felt?.choices].flatMap(choices => (choices ? [{ title, choices }] : [])),
      ),
      ...steps.flatMap(({ title, found }) => (found ? [{ title, choices: found.words.map(say => ({ say })) }] : [])),
    ]
    const ticks = asked.filter(({ choices }) => choices.length < 2 || choices.some(({ say }) => TICK.test(say)))
    expect(ticks.map(({ title, choices }) => `${title}: ${choices.map(one => one.say).join(', ')}`)).toEqual([])
  })
})
