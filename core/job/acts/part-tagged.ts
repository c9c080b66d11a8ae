import type { ActKind } from '../ledger/act.ts'
import { tagRefusal } from '../parts/keeping.ts'
import { HANDS } from '../ledger/roles.ts'
import { id, words, type Shaped } from '../ledger/shape.ts'
import { setPart } from '../ledger/state.ts'
import { partName } from '../ledger/words.ts'
import { offParts } from './sense.ts'

const shape = { part: id, tag: words(24) } as const

/** A tag hangs on one part of one place, and says where that came from. */
export const partTagged: ActKind<Shaped<typeof shape>> = {
  shape,
  by: HANDS,
  corrected: 'replace',
  sense: (plan, state, { payload: { part, tag } }) =>
    offParts(plan, state, [part]) ?? tagRefusal(plan, state, part, tag),
  apply: (state, { payload: { part, tag } }) => setPart(state, part, { kept: { as: 'tag', label: tag } }),
  words: (plan, { part, tag }) => `Tag ${tag}: ${partName(plan, part)}`,
}
