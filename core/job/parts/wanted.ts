import { readingKey, type Moment, type Plan, type Step } from '../../sheet/index.ts'
import { isOwed } from '../measuring/results.ts'
import type { JobState } from '../ledger/state.ts'

/** A step is there for more than its readings: something moves, is said, signed or shut at it. */
const doesMore = ({
  removes,
  fits,
  trial,
  joint,
  marks,
  destroys,
  leaves,
  found,
  hold,
  closes,
  lubricants,
  cautions,
}: Step) =>
  [removes, fits, trial, joint, marks, destroys, leaves, found, hold, closes, lubricants, cautions].some(Boolean)

/** Whether making the machine safe takes a reading with it: what was not had by then is lost. */
export const isLostToSafety = ({ destroyedBy }: Plan, check: string, moment: Moment): boolean =>
  destroyedBy.get(readingKey(check, moment))?.station === 'make-safe'

/**
 * Whether a step is wanted: one that only measures what was renewed is not, while nothing of it was,
 * nor one that reads the running machine once that is made safe.
 */
export function isWanted(plan: Plan, state: JobState, step: Step): boolean {
  const taken = plan.checksAt.get(step.id) ?? []
  const isOver = taken.every(
    ({ check, moment }) =>
      isLostToSafety(plan, check.id, moment) && state.steps.has(plan.destroyedBy.get(readingKey(check.id, moment))!.id),
  )
  if (taken.length && !step.removes?.length && isOver) return false
  return !taken.length || doesMore(step) || taken.some(({ check, moment }) => isOwed(state, check, moment))
}
