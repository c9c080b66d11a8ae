import type { ActKind } from '../ledger/act.ts'
import { hasParted, markText, readLabel, typedMm } from '../parts/mates.ts'
import { HANDS } from '../ledger/roles.ts'
import { degrees, id, optional, words, type Shaped } from '../ledger/shape.ts'
import { stamped } from '../ledger/state.ts'
import { mateName } from '../ledger/words.ts'
import { notSeenFrom, unknown } from './sense.ts'

const shape = {
  mate: id,
  /** Where an angle's mark lies, clockwise from top, seen from the end that is said. */
  deg: optional(degrees),
  /** How far a distance's mark lies from its datum, with what was typed. */
  mm: optional({ is: 'number' } as const),
  text: optional(words(40)),
  /** What is read where they meet. */
  label: optional(words(40)),
  seenFrom: words(60),
  carrier: words(80),
} as const

export const markMade: ActKind<Shaped<typeof shape>> = {
  shape,
  by: HANDS,
  corrected: 'replace',
  sense: (plan, state, { payload }) => {
    const mate = plan.mates.get(payload.mate)
    if (!mate?.mark) return unknown('mark', payload.mate)
    const blind = notSeenFrom(plan, payload.seenFrom)
    if (blind) return blind
    if (mate.mark.stamped) return `${mate.title}: the maker put that mark there. There is none to make.`
    if (hasParted(plan, state, mate))
      return `${mate.title}: the parts have parted; a mark made now would say nothing. Say it was lost, with the reason.`
    if (state.marks.has(mate.id)) return `${mate.title} is marked already. Correct that mark, with the reason.`
    if (mate.rule.kind === 'distance') return typedMm(mate, payload)
    if (mate.rule.kind === 'label') return readLabel(mate, payload)
    return payload.deg === undefined ? `${mate.title}: set on the dial where the mark lies.` : null
  },
  apply: (state, entry) => {
    state.marks.set(entry.payload.mate, stamped(entry, state, entry.payload))
  },
  words: (plan, payload) => `Mark: ${mateName(plan, payload.mate)}, ${markText(plan, payload)}`,
}
