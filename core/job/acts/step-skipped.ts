import type { ActKind } from '../ledger/act.ts'
import { HANDS } from '../ledger/roles.ts'
import { id, why, type Shaped } from '../ledger/shape.ts'
import { stamped } from '../ledger/state.ts'
import { stepName } from '../ledger/words.ts'
import { openStep, outOfReach } from './sense.ts'

const shape = { step: id, why } as const

export const stepSkipped: ActKind<Shaped<typeof shape>> = {
  shape,
  by: HANDS,
  corrected: 'take back',
  sense: (plan, state, { payload, role }) => {
    const lost = openStep(plan, state, payload.step)
    if (lost) return lost
    const { title, skip } = plan.steps.get(payload.step)!
    if (!skip) return `“${title}” may not be left out: this machine's sheet does not allow it. Do it, or ask a lead.`
    return skip === 'lead' && role !== 'lead' ? `“${title}” is left out by a lead only. Ask one to do it.` : null
  },
  live: (plan, state, { payload }) => outOfReach(plan, state, payload.step),
  apply: (state, entry) => {
    state.steps.set(entry.payload.step, stamped(entry, state, { skipped: entry.payload.why }))
  },
  words: (plan, payload) => `Left out: ${stepName(plan, payload.step)}. ${payload.why}`,
}
