import type { ActKind } from '../ledger/act.ts'
import { id, optional, words, type Shaped } from '../ledger/shape.ts'
import { partState, setPart, stamped } from '../ledger/state.ts'
import { kitWords, partName, STOCK } from '../ledger/words.ts'
import { offParts, unknown } from './sense.ts'

/** `from`: the kit by its name in the sheet, or {@link STOCK}. */
const shape = { part: id, from: id, batch: optional(words(40)) } as const

export const partRenewed: ActKind<Shaped<typeof shape>> = {
  shape,
  by: ['fitter', 'lead', 'stores'],
  corrected: 'replace',
  sense: (plan, state, { payload: { part, from } }) => {
    const wrong = offParts(plan, state, [part])
    if (wrong) return wrong
    if (from !== STOCK && !plan.whole.kits.some(kit => kit.id === from)) return unknown('kit', from)
    const { name, part: kind } = plan.parts.get(part)!
    const now = partState(state, part)
    if (now.renewed) return `A new one is in hand already for ${name}. Take that back first, if it was the wrong one.`
    return kind.renewal === 'always' || now.decision?.choice === 'renew'
      ? null
      : `Decide first that ${name} is renewed.`
  },
  apply: (state, entry) => {
    const renewed = stamped(entry, state, entry.payload)
    state.renewals.push(renewed)
    setPart(state, entry.payload.part, { renewed })
  },
  words: (plan, { part, from, batch }) =>
    `New, from ${kitWords(plan, from)}${batch ? `, batch ${batch}` : ''}: ${partName(plan, part)}`,
}
