import { clockText } from '../../marks/index.ts'
import type { ActKind } from '../act.ts'
import { HANDS } from '../roles.ts'
import { degrees, id, words, type Shaped } from '../shape.ts'
import { partState, stamped } from '../state.ts'
import { mateName } from '../words.ts'
import { unknown } from './sense.ts'

const shape = { mate: id, deg: degrees, seenFrom: words(60), carrier: words(80) } as const

export const markMade: ActKind<Shaped<typeof shape>> = {
  shape,
  by: HANDS,
  corrected: 'replace',
  sense: (plan, state, { payload: { mate } }) => {
    const known = plan.mates.get(mate)
    if (!known) return unknown('mate', mate)
    if (partState(state, known.a).where !== 'on' || partState(state, known.b).where !== 'on')
      return `${known.title}: the parts have parted; a mark made now would say nothing. Say it was lost, with the reason.`
    return state.marks.has(mate) ? `${known.title} is marked already. Correct that mark, with the reason.` : null
  },
  apply: (state, entry) => {
    state.marks.set(entry.payload.mate, stamped(entry, state, entry.payload))
  },
  words: (plan, { mate, deg, seenFrom, carrier }) =>
    `Mark: ${mateName(plan, mate)}, ${carrier} at ${clockText(deg)} seen from the ${seenFrom}`,
}
