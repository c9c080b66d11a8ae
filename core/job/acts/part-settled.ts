import type { ActKind } from '../ledger/act.ts'
import { choice, id, optional, words, type Shaped } from '../ledger/shape.ts'
import { partState, setPart, stamped } from '../ledger/state.ts'
import { partName } from '../ledger/words.ts'

export const SETTLED = ['put back', 'scrapped', 'kept aside'] as const
const shape = { part: id, to: choice(SETTLED), note: optional(words(400)) } as const

/** Where a part went that the job, as it is now decided, knows no step for. */
export const partSettled: ActKind<Shaped<typeof shape>> = {
  shape,
  by: ['fitter', 'lead'],
  corrected: 'take back',
  sense: (plan, state, { payload: { part } }) => {
    if (partState(state, part).where !== 'off') return `${partName(plan, part)} is not off the machine.`
    return plan.fittedBy.has(part) ? `${partName(plan, part)} goes back at its own step.` : null
  },
  apply: (state, entry) => {
    const { part, to, note } = entry.payload
    setPart(state, part, {
      settled: stamped(entry, state, { to, note }),
      ...(to === 'put back' ? { where: 'on' } : {}),
    })
  },
  words: (plan, { part, to, note }) => `${partName(plan, part)}: ${to}${note ? `. ${note}` : ''}`,
}
