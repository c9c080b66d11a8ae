import type { ActKind } from '../ledger/act.ts'
import { bagRefusal } from '../parts/keeping.ts'
import { HANDS } from '../ledger/roles.ts'
import { refs, words, type Shaped } from '../ledger/shape.ts'
import { setPart } from '../ledger/state.ts'
import { partNames } from '../ledger/words.ts'
import { offParts } from './sense.ts'

const shape = { parts: refs, bag: words(24) } as const

export const partBagged: ActKind<Shaped<typeof shape>> = {
  shape,
  by: HANDS,
  corrected: 'replace',
  sense: (plan, state, { payload: { parts, bag } }) =>
    offParts(plan, state, parts) ?? bagRefusal(plan, state, parts, bag),
  apply: (state, { payload }) =>
    payload.parts.forEach(ref => setPart(state, ref, { kept: { as: 'bag', label: payload.bag } })),
  words: (plan, payload) => `Bag ${payload.bag}: ${partNames(plan, payload.parts)}`,
}
