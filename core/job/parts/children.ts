import type { Verdict } from '../../verdict.ts'
import { partsDecidedAt, stepsBefore, type Plan, type Ref, type Step } from '../../sheet/index.ts'
import { isRead, checkResults, standing } from '../measuring/results.ts'
import { showValue } from '../measuring/show.ts'
import { partState } from '../ledger/part.ts'
import type { JobState, Stamp } from '../ledger/state.ts'

/** What a check came to as a sub-assembly was built up and proved, in words that its machine's record can show. */
export interface Left {
  what: string
  value: string
  verdict: Verdict
}

/** No more is told of it, and no longer: its own record has the rest. */
export const MOST_LEFT = 40
export const LONGEST_LEFT = 200

/** What was read of a sub-assembly as it was built up and proved: its setting, its test. What was read last stands. */
export function leftBy(plan: Plan, state: JobState): Left[] {
  const results = checkResults(plan, state)
  return plan.sheet.checks
    .flatMap((check): Left[] => {
      const last = standing(results, check)
      if (!isRead(last) || (last.moment !== 'build' && last.moment !== 'asLeft')) return []
      const [what, value] = [check.title, showValue(last.check, last)].map(one => one.slice(0, LONGEST_LEFT))
      return [{ what: what!, value: value!, verdict: last.judgement.verdict }]
    })
    .slice(0, MOST_LEFT)
}

/** A sub-assembly on a bench of its own: the job it is overhauled in, and what became of that. */
export interface Child {
  opened: Stamp & { job: string; number: number; equipment: string }
  /** Its job was signed; the digest is of that job's ledger up to there. */
  returned?: Stamp & { digest: string; cured: string; left: readonly Left[] }
  cancelled?: Stamp & { why: string }
}

/** What is said of a sub-assembly that may go to its own bench: its job, or that it goes back without one. */
export interface ChildState {
  child?: Child
  none?: Stamp & { why: string }
}

/** Whether its job is neither signed nor given up. */
export const isAway = (child: Child | undefined): boolean => child !== undefined && !child.returned && !child.cancelled

/**
 * How a sub-assembly stands: nothing said of it yet, in a job of its own, back from it, its job given up with nothing said
 * since, or going back without one. Null where it has no bench of its own, is not off, or is not going back.
 */
export function childStands(
  plan: Plan,
  state: JobState,
  ref: Ref,
): 'unsaid' | 'away' | 'back' | 'cancelled' | 'without' | null {
  const { where, decision, renewed } = partState(state, ref)
  if (!plan.parts.get(ref)?.part.bench || where !== 'off') return null
  // A new one goes in, whatever becomes of the old one's job.
  if (renewed || decision?.choice === 'renew') return null
  const { child, none } = state.children.get(ref) ?? {}
  if (isAway(child)) return 'away'
  if (none) return 'without'
  if (!child) return 'unsaid'
  return child.returned ? 'back' : 'cancelled'
}

/** The step that waits until it is said whether a sub-assembly goes to its own bench: where parts are decided, else where it is fitted. */
export function saidAt({ sheet, steps, fittedBy, removedBy }: Plan, ref: Ref): string | null {
  const fits = fittedBy.get(ref)
  if (!fits) return null
  const off = removedBy.get(ref)
  const before = stepsBefore(steps, fits.id)
  const decides = partsDecidedAt(sheet)
  const isBetween = ({ id }: Step) => before.has(id) && (!off || id === off.id || stepsBefore(steps, id).has(off.id))
  return decides && isBetween(decides) ? decides.id : fits.id
}
