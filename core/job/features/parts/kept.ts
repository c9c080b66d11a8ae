import type { ActKind } from '../../ledger/act.ts'
import { setPart } from '../../ledger/part.ts'
import { HANDS } from '../../ledger/roles.ts'
import { id, refs, words, type Shaped } from '../../ledger/shape.ts'
import { partName, partNames } from '../../ledger/words.ts'
import { bagRefusal, tagRefusal } from '../../parts/keeping.ts'
import { offParts } from '../sense.ts'

const bagging = { parts: refs, bag: words(24) } as const

export const partBagged: ActKind<Shaped<typeof bagging>> = {
  shape: bagging,
  by: HANDS,
  corrected: 'replace',
  sense: (plan, state, { payload: { parts, bag } }) =>
    offParts(plan, state, parts) ?? bagRefusal(plan, state, parts, bag),
  apply: (state, { payload }) =>
    payload.parts.forEach(ref => setPart(state, ref, { kept: { as: 'bag', label: payload.bag } })),
  words: (plan, payload) => `Bag ${payload.bag}: ${partNames(plan, payload.parts)}`,
}

const tagging = { part: id, tag: words(24) } as const

/** A tag hangs on one part of one place, and says where that came from. */
export const partTagged: ActKind<Shaped<typeof tagging>> = {
  shape: tagging,
  by: HANDS,
  corrected: 'replace',
  sense: (plan, state, { payload: { part, tag } }) =>
    offParts(plan, state, [part]) ?? tagRefusal(plan, state, part, tag),
  apply: (state, { payload: { part, tag } }) => setPart(state, part, { kept: { as: 'tag', label: tag } }),
  words: (plan, { part, tag }) => `Tag ${tag}: ${partName(plan, part)}`,
}
