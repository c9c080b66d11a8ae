import type { ActKind } from '../ledger/act.ts'
import { partNames } from '../ledger/words.ts'
import { why, type Shaped } from '../ledger/shape.ts'
import { stamped } from '../ledger/state.ts'
import { always } from './sense.ts'

const shape = { why } as const

/** A job opened by mistake, or given up. With parts off, the machine is not whole, so it cannot be walked away from. */
export const jobCancelled: ActKind<Shaped<typeof shape>> = {
  shape,
  by: ['lead', 'planner'],
  corrected: 'never',
  neverLate: true,
  signature: true,
  sense: always,
  live: (plan, state) => {
    const off = [...state.parts].filter(([, now]) => now.where === 'off').map(([ref]) => ref)
    return off.length
      ? [
          `${partNames(plan, off)} ${off.length > 1 ? 'are' : 'is'} off the machine. Fit what is off, or hand the job on`,
        ]
      : []
  },
  apply: (state, entry) => {
    state.cancelled = stamped(entry, state, entry.payload)
  },
  words: (_, payload) => `Job cancelled: ${payload.why}`,
}
