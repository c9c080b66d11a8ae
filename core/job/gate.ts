import type { Plan } from '../sheet/index.ts'
import type { Obligation } from './owed/index.ts'
import type { JobState } from './state.ts'

/** The one gate: shut with its reasons, or open. Before the cover is on it guards the cover, afterwards the hand-back. */
export interface Gate {
  guards: 'cover' | 'hand-back'
  open: boolean
  reasons: Obligation[]
}

export function gateOf(plan: Plan, state: JobState, owed: readonly Obligation[]): Gate {
  const guards = plan.closing && !state.steps.has(plan.closing.step.id) ? 'cover' : 'hand-back'
  const reasons = guards === 'cover' ? owed.filter(one => one.blocks === 'cover') : [...owed]
  return { guards, open: reasons.length === 0, reasons }
}
