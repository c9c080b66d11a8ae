import type { ActKind } from '../ledger/act.ts'
import { answerText, canBeSeen, markOf, mateMet, readLabel, typedMm } from '../parts/mates.ts'
import { HANDS } from '../ledger/roles.ts'
import { settled } from '../ledger/seen.ts'
import { degrees, flag, id, optional, words, type Shaped } from '../ledger/shape.ts'
import { stamped, type MateAnswer } from '../ledger/state.ts'
import { mateName } from '../ledger/words.ts'
import { outOfReach, unknown } from './sense.ts'

const shape = {
  mate: id,
  /** Where the mark stands now, clockwise from top, seen from the end it was made from. */
  deg: optional(degrees),
  /** How far it stands from its datum, with what was typed. */
  mm: optional({ is: 'number' } as const),
  text: optional(words(40)),
  /** What is read where they meet now. */
  label: optional(words(40)),
  /** What is seen; where the mark was lost, how it was set instead. */
  say: optional(words(200)),
  /** It cannot be seen yet: it stays owed. */
  notYet: optional(flag),
} as const

/** How two parts that must meet are seen to stand. Whether that meets is worked out, not claimed. */
export const mateAnswered: ActKind<Shaped<typeof shape>> = {
  shape,
  by: HANDS,
  corrected: 'replace',
  sense: (plan, state, { payload }) => {
    const mate = plan.mates.get(payload.mate)
    if (!mate) return unknown('mate', payload.mate)
    if (mate.rule.kind === 'free') return `${mate.title}: any way round will do; there is nothing to answer.`
    if (!canBeSeen(plan, state, mate))
      return `${mate.title}: how they stand is asked once both parts are on, in their own places.`
    if (
      [payload.deg, payload.mm, payload.label, payload.say, payload.notYet].filter(one => one !== undefined).length !==
      1
    )
      return `${mate.title}: say one thing, where it stands or what is seen.`
    if (payload.notYet) return null
    if (mate.rule.kind === 'seen')
      return mate.rule.choices.some(one => one.say === payload.say)
        ? null
        : `${mate.title}: choose one of what may be seen.`
    if (!markOf(state, mate))
      return payload.say ? null : `${mate.title}: the mark was lost. Write how it was set without it.`
    if (mate.rule.kind === 'distance') return typedMm(mate, payload)
    if (mate.rule.kind === 'label') return readLabel(mate, payload)
    return payload.deg === undefined ? `${mate.title}: set on the dial where the mark stands now.` : null
  },
  live: (plan, state, { payload }) => {
    const { asked } = plan.mates.get(payload.mate)!
    return asked && !payload.notYet ? outOfReach(plan, state, asked) : []
  },
  apply: (state, entry, plan) => {
    const mate = plan.mates.get(entry.payload.mate)!
    const badness = (answer: MateAnswer) => (answer.notYet ? 1 : mateMet(mate, markOf(state, mate), answer) ? 0 : 2)
    const now = stamped(entry, state, entry.payload)
    state.mates.set(
      mate.id,
      settled(state.mates.get(mate.id), now, entry, (one, other) => badness(one) > badness(other)),
    )
  },
  words: (plan, payload) => {
    const mate = plan.mates.get(payload.mate)
    const met = mate?.rule.kind === 'seen' && !payload.notYet && !mateMet(mate, undefined, payload) ? '; not met' : ''
    return `${mateName(plan, payload.mate)}: ${answerText(payload)}${met}`
  },
}
