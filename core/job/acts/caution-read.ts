import type { ActKind } from '../ledger/act.ts'
import { HANDS } from '../ledger/roles.ts'
import { id, type Shaped } from '../ledger/shape.ts'
import { cautionKey, stampOf } from '../ledger/state.ts'
import { unknown } from './sense.ts'

const shape = { step: id, caution: { is: 'number', whole: true, least: 0, most: 20 } } as const

export const cautionRead: ActKind<Shaped<typeof shape>> = {
  shape,
  by: HANDS,
  corrected: 'take back',
  sameAgain: true,
  sense: (plan, _, { payload: { step, caution } }) =>
    plan.steps.get(step)?.cautions?.[caution] ? null : unknown('caution', `${step} ${caution}`),
  apply: (state, entry) => {
    const { step, caution } = entry.payload
    const key = cautionKey(step, caution)
    const read = state.cautions.get(key) ?? new Map()
    state.cautions.set(key, read.set(entry.madeBy, stampOf(entry, state)))
  },
  words: (plan, { step, caution }) => `Caution read: ${plan.steps.get(step)?.cautions?.[caution]?.word ?? ''}`,
}
