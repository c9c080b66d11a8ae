import type { ActKind } from '../act.ts'
import { HANDS } from '../roles.ts'
import { choice, optional, refs, words, type Shaped } from '../shape.ts'
import { CHOICES, partState, setPart, stamped } from '../state.ts'
import { partNames } from '../words.ts'
import { offParts } from './sense.ts'

const shape = { parts: refs, choice: choice(CHOICES), why: optional(words(400)) } as const

export const partDecided: ActKind<Shaped<typeof shape>> = {
  shape,
  by: HANDS,
  corrected: 'replace',
  sense: (plan, state, { payload: { parts, choice: chosen } }) => {
    const wrong = offParts(plan, state, parts)
    if (wrong) return wrong
    const always = parts
      .map(ref => plan.parts.get(ref)!)
      .find(({ part }) => part.renewal === 'always' && chosen !== 'renew')
    if (always)
      return `${always.name} is always renewed: ${always.part.renewalWhy ?? 'it is used up by the first fitting'}.`
    const fresh = parts.find(ref => chosen !== 'renew' && partState(state, ref).renewed)
    return fresh
      ? `A new ${plan.parts.get(fresh)!.name.toLowerCase()} was taken for it already. Take that back first.`
      : null
  },
  apply: (state, entry) => {
    const { choice: chosen, why } = entry.payload
    for (const ref of entry.payload.parts)
      setPart(state, ref, { decision: stamped(entry, state, { choice: chosen, why }), returned: undefined })
  },
  words: (plan, { parts, choice: chosen, why }) =>
    `Decided, ${chosen}: ${partNames(plan, parts)}${why ? `. ${why}` : ''}`,
}
