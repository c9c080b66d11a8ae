import type { Plan, Step } from '../../sheet/index.ts'
import type { Obligation } from './owing.ts'
import type { JobState } from '../ledger/state.ts'

/** The gate ahead: shut with its reasons, or open. There are as many as the sheet has steps that shut something; the last is the hand-back. */
export interface Gate {
  /** What it keeps from being shut, or `hand-back`. */
  guards: string
  /** The step that goes through it; null for the hand-back. */
  step: Step | null
  open: boolean
  reasons: Obligation[]
}

/** What keeps a gate shut: all that lies behind it, what an earlier one was passed with included. */
export function reasonsAt(plan: Plan, owed: readonly Obligation[], step: string): Obligation[] {
  const at = plan.gates.findIndex(gate => gate.step.id === step)
  const names = new Set(plan.gates.slice(0, at + 1).map(gate => gate.name))
  // That it is not done yet is no reason, nor how the parts stand that it puts on itself: that is said with it.
  const isOwn = ({ id, step: waits }: Obligation) =>
    (id.kind === 'step' && id.step === step) || (id.kind === 'mate' && waits === step)
  return owed.filter(one => names.has(one.blocks) && !isOwn(one))
}

export function gateOf(plan: Plan, state: JobState, owed: readonly Obligation[]): Gate {
  const ahead = plan.gates.find(gate => !state.steps.has(gate.step.id))
  const reasons = ahead ? reasonsAt(plan, owed, ahead.step.id) : [...owed]
  return { guards: ahead?.name ?? 'hand-back', step: ahead?.step ?? null, open: reasons.length === 0, reasons }
}
