import type { ActKind } from '../../ledger/act.ts'
import { partState, setPart } from '../../ledger/part.ts'
import { refusalsAbout } from '../../../refusal.ts'
import { id, optional, words, type Shaped } from '../../ledger/shape.ts'
import { stamped, type Stamp } from '../../ledger/state.ts'
import { kitWords, partName, STOCK } from '../../ledger/words.ts'
import { offParts, unknown } from '../sense.ts'

const refusals = refusalsAbout('part.renewed', {
  inHand: ({ part }: { part: string }) =>
    `A new one is in hand already for ${part}. Take that back first, if it was the wrong one.`,
  decideFirst: ({ part }: { part: string }) => `Decide first that ${part} is renewed.`,
})

/** `from`: the kit by its name in the sheet, or {@link STOCK}. */
const shape = { part: id, from: id, batch: optional(words(40)) } as const
export type Renewal = Stamp & Shaped<typeof shape>

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
    if (now.renewed) return refusals.inHand({ part: name })
    return kind.renewal === 'always' || now.decision?.choice === 'renew' ? null : refusals.decideFirst({ part: name })
  },
  apply: (state, entry) => {
    const renewed = stamped(entry, state, entry.payload)
    state.renewals.push(renewed)
    setPart(state, entry.payload.part, { renewed })
  },
  words: (plan, { part, from, batch }) =>
    `New, from ${kitWords(plan, from)}${batch ? `, batch ${batch}` : ''}: ${partName(plan, part)}`,
}
