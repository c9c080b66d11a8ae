import type { ActKind } from '../ledger/act.ts'
import { id, optional, words, type Shaped } from '../ledger/shape.ts'
import { partState, setPart, stamped } from '../ledger/state.ts'
import { partName } from '../ledger/words.ts'
import { offParts } from './sense.ts'

const shape = { part: id, note: optional(words(400)) } as const

/** Back from outside, or from rework: only then may it be fitted. */
export const partReturned: ActKind<Shaped<typeof shape>> = {
  shape,
  by: ['fitter', 'lead', 'stores'],
  corrected: 'replace',
  sameAgain: true,
  sense: (plan, state, { payload: { part } }) => {
    const wrong = offParts(plan, state, [part])
    if (wrong) return wrong
    const { decision, returned } = partState(state, part)
    const away = decision?.choice === 'send out' || decision?.choice === 'rework'
    return away && !returned ? null : `${plan.parts.get(part)!.name} is not away: nothing came back.`
  },
  apply: (state, entry) =>
    setPart(state, entry.payload.part, { returned: stamped(entry, state, { note: entry.payload.note }) }),
  words: (plan, { part, note }) => `Back: ${partName(plan, part)}${note ? `. ${note}` : ''}`,
}
