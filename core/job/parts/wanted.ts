import { readingKey, type Plan, type Step } from '../../sheet/index.ts'
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

/** Read on the running machine, and it has been made safe since: what was not read then is lost. */
const isOver = ({ destroyedBy }: Plan, state: JobState, taken: NonNullable<ReturnType<Plan['checksAt']['get']>>) =>
  taken.every(({ check, moment }) => {
    const gone = destroyedBy.get(readingKey(check.id, moment))
    return gone?.station === 'make-safe' && state.steps.has(gone.id)
  })

/**
 * Whether a step is wanted: one that only measures what was renewed is not, while nothing of it was,
 * nor one that reads the running machine once that is made safe.
 */
export function isWanted(plan: Plan, state: JobState, step: Step): boolean {
  const taken = plan.checksAt.get(step.id) ?? []
  if (taken.length && !step.removes?.length && isOver(plan, state, taken)) return false
  return !taken.length || doesMore(step) || taken.some(({ check, moment }) => isOwed(state, check, moment))
}
