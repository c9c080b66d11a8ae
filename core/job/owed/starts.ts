import { stepsBefore, type Plan, type Step } from '../../sheet/index.ts'
import type { Obligation } from './owing.ts'

/**
 * What keeps the machine from being started by a step: whatever is wrong with it now, missing, loose or left in. What waits
 * for the start itself, or for a later step, does not: it is read, or put there, once it has run. A motor that runs alone
 * drives nothing: it waits for what the sheet names.
 */
export function heldAtStart(plan: Plan, owed: readonly Obligation[], step: Step): Obligation[] {
  if (step.starts !== 'machine') return []
  const isLater = (at: string | null) => at !== null && (at === step.id || stepsBefore(plan.steps, at).has(step.id))
  return owed.filter(one => one.holdsStart && !isLater(one.step) && !isLater(one.wrong?.at ?? null))
}
