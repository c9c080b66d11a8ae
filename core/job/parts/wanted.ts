import type { Plan, Step } from '../../sheet/index.ts'
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

/** Whether a step is wanted: one that only measures what was renewed is not, while nothing of it was. */
export function isWanted(plan: Plan, state: JobState, step: Step): boolean {
  const taken = plan.checksAt.get(step.id) ?? []
  return !taken.length || doesMore(step) || taken.some(({ check, moment }) => isOwed(state, check, moment))
}
