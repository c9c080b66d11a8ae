import type { ActKind } from '../act.ts'
import { bagRefusal } from '../keeping.ts'
import { HANDS } from '../roles.ts'
import { refs, words, type Shaped } from '../shape.ts'
import { setPart } from '../state.ts'
import { partNames } from '../words.ts'
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
