import { MOMENTS } from '../../sheet/index.ts'
import type { ActKind } from '../act.ts'
import { keyOf, OWED_KINDS, owedOf, owedWords, type OwedId } from '../owed/id.ts'
import { owedNow } from '../owed/index.ts'
import { choice, entryId, id, optional, record, why, words, type Shaped } from '../shape.ts'
import { stamped } from '../state.ts'

const shape = {
  of: record({
    kind: choice(OWED_KINDS),
    check: optional(id),
    moment: optional(choice(MOMENTS)),
    mate: optional(id),
    part: optional(id),
    way: optional(choice(['out', 'in'])),
    joint: optional(id),
    debt: optional(id),
    step: optional(id),
    loop: optional(id),
    aid: optional(words(80)),
    sign: optional(words(120)),
    entry: optional(entryId),
    nth: optional({ is: 'number', whole: true, least: 0 } as const),
  }),
  why,
} as const

/** Work that was not done is not conceded away: it is left out where the sheet allows, or done. */
const NEVER: readonly OwedId['kind'][] = ['step', 'axis', 'trial', 'aid']

export const concessionGiven: ActKind<Shaped<typeof shape>> = {
  shape,
  by: ['lead'],
  corrected: 'take back',
  neverLate: true,
  signature: true,
  sense: (_, __, { payload }) => (owedOf(payload.of) ? null : 'Say what is conceded: something that is owed now.'),
  live: (plan, state, { payload }) => {
    const of = owedOf(payload.of)!
    const key = keyOf(of)
    const owed = owedNow(plan, state).find(one => one.key === key)
    if (!owed) return [`${owedWords(plan, of)}: that is not owed now, so there is nothing to concede`]
    return NEVER.includes(of.kind)
      ? [`“${owed.what}” is not conceded away: do it, decide it, or leave it out where the sheet allows`]
      : []
  },
  apply: (state, entry) => {
    state.concessions.set(keyOf(owedOf(entry.payload.of)!), stamped(entry, state, entry.payload))
  },
  words: (plan, { of, why: reason }) => {
    const owed = owedOf(of)
    return `Concession${owed ? `: ${owedWords(plan, owed)}` : ''}. ${reason}`
  },
}
