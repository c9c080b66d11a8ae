import type { ActKind } from '../act.ts'
import { id, optional, words, type Shaped } from '../shape.ts'
import { partState, setPart, stamped } from '../state.ts'
import { partName } from '../words.ts'
import { offParts } from './sense.ts'

const shape = { part: id, from: words(60), batch: optional(words(40)) } as const

export const partRenewed: ActKind<Shaped<typeof shape>> = {
  shape,
  by: ['fitter', 'lead', 'stores'],
  corrected: 'replace',
  sense: (plan, state, { payload: { part } }) => {
    const wrong = offParts(plan, state, [part])
    if (wrong) return wrong
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
    `New, from ${from}${batch ? `, batch ${batch}` : ''}: ${partName(plan, part)}`,
}
