import type { Step } from '../../sheet/index.ts'
import { countKey, lubricantKey, type Draft } from '../ledger/state.ts'

/** A step is to be done again, in place: what was said with it, smeared on and counted in at it is said anew. */
export function unsettle(state: Draft, { id, lubricants = [], leaves = [] }: Step): void {
  state.steps.delete(id)
  state.waits.delete(id)
  for (const { on } of lubricants) state.lubricants.delete(lubricantKey(id, on))
  for (const { id: item } of leaves) for (const way of ['in', 'out'] as const) state.counts.delete(countKey(item, way))
}
