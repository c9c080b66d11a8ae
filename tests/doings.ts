import fc from 'fast-check'
import { canBeReopened, refusalOf, takeIn, viewJob, type AnyEntry } from '../core/job/index.ts'
import type { Asking } from './asking.ts'
import { mend } from './mistakes/mend.ts'
import { entryOf } from './pump.ts'

/** Something done to a machine that is put together: which sort, what it is about, and whether the tablet had seen the others. */
export const doings = fc.array(
  fc.record({
    sort: fc.constantFrom('reopen', 'remedy', 'answer', 'read', 'go on'),
    about: fc.nat(999),
    way: fc.nat(9),
    isLate: fc.boolean(),
  }),
  { minLength: 3, maxLength: 10 },
)
export type Doing = (typeof doings extends fc.Arbitrary<infer T> ? T : never)[number]

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
export function goOn(one: Asking, tries = 12, until?: string): void {
  mend(one, new Set())
  try {
    one.workUntil(until)
  } catch (error) {
    if (!tries || !/refused/.test(String(error))) throw error
    goOn(one, tries - 1, until)
  }
}

/** Does it, as it comes from this tablet or, late, from another; what is refused is left. */
export function doing(one: Asking, each: Doing): void {
  const act = actOf(one, each)
  const { length } = one.folded.entries
  const late = each.isLate ? { seen: Math.max(1, length - 5 - each.way * 3), tablet: 'another' } : {}
  const entry = act && ({ ...act, seq: length + 1, ...late } as AnyEntry)
  if (!entry || refusalOf(one.opened, one.folded, entry)) return
  const taken = takeIn(one.opened, one.folded, [entry])
  if (taken.ok) one.folded = taken.folded
}
