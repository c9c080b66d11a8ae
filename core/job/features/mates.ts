import { isAskedBack } from '../../sheet/index.ts'
import type { ActKind } from '../ledger/act.ts'
import { owedKind } from '../ledger/feature.ts'
import { partState } from '../ledger/part.ts'
import { refusalsAbout } from '../../refusal.ts'
import { HANDS } from '../ledger/roles.ts'
import { by, section, text } from '../ledger/section.ts'
import { settled, type Contested } from '../ledger/seen.ts'
import { flag, id, lying, optional, words, type Shaped } from '../ledger/shape.ts'
import { stamped, type Stamp } from '../ledger/state.ts'
import { mateName } from '../ledger/words.ts'
import { beforeCover, type Owing, type Source } from '../owed/owing.ts'
import { coveredAt } from '../parts/over.ts'
import {
  answerText,
  crossedWith,
  canBeSeen,
  markOf,
  mateMet,
  readLabel,
  standsMet,
  standsWrong,
  typedMm,
} from '../parts/mates.ts'
import { outOfReach, unknown } from './sense.ts'

/** How two parts that must meet are seen to stand. Whether that meets is worked out, not claimed. */

const refusals = refusalsAbout('mate', {
  anyWay: ({ mate }: { mate: string }) => `${mate}: any way round will do; there is nothing to answer.`,
  notBoth: ({ mate }: { mate: string }) =>
    `${mate}: how they stand is asked once both parts are on, in their own places.`,
  oneThing: ({ mate }: { mate: string }) => `${mate}: say one thing, where it stands or what is seen.`,
  choose: ({ mate }: { mate: string }) => `${mate}: choose one of what may be seen.`,
  markLost: ({ mate }: { mate: string }) => `${mate}: the mark was lost. Write how it was set without it.`,
  stoodWrong: ({ mate }: { mate: string }) =>
    `${mate}: it was seen to stand wrong. Put it right, then say how it stands now.`,
  covered: ({ mate, over, step }: { mate: string; over: string; step: string }) =>
    `${mate}: “${over}” was done over it since it was said. Take “${step}” up again, or have a lead correct what was said.`,
  dots: ({ mate }: { mate: string }) => `${mate}: say how many punch dots there are on each side.`,
  where: ({ mate }: { mate: string }) => `${mate}: set on the dial where the mark stands now.`,
})

const shape = {
  mate: id,
  ...lying,
  /** What is seen; where the mark was lost, how it was set instead. */
  say: optional(words(200)),
  /** It cannot be seen yet: it stays owed. */
  notYet: optional(flag),
} as const
export type MateAnswer = Shaped<typeof shape>

const answered: ActKind<MateAnswer> = {
  shape,
  by: HANDS,
  corrected: 'replace',
  sense: (plan, state, { payload }) => {
    const mate = plan.mates.get(payload.mate)
    if (!mate) return unknown('mate', payload.mate)
    const { title, rule } = mate
    if (!isAskedBack({ rule })) return refusals.anyWay({ mate: title })
    if (!canBeSeen(plan, state, mate)) return refusals.notBoth({ mate: title })
    const { deg, mm, label, dots, say, notYet } = payload
    if ([deg, mm, label, dots, say, notYet].filter(one => one !== undefined).length !== 1)
      return refusals.oneThing({ mate: title })
    if (notYet) return standsWrong(state, mate) ? refusals.stoodWrong({ mate: title }) : null
    if (rule.kind === 'seen') return rule.choices.some(one => one.say === say) ? null : refusals.choose({ mate: title })
    if (!markOf(state, mate)) return say ? null : refusals.markLost({ mate: title })
    if (rule.kind === 'distance') return typedMm(mate, payload)
    if (rule.kind === 'label') return readLabel(mate, payload)
    if (rule.kind === 'dots') return dots ? null : refusals.dots({ mate: title })
    return deg === undefined ? refusals.where({ mate: title }) : null
  },
  live: (at, { payload }) => {
    const { plan, state } = at
    const { title, asked } = plan.mates.get(payload.mate)!
    const said = state.mates.get(payload.mate)
    // Said again is no way out once something lies over it.
    const covered = said && !said.notYet ? coveredAt(plan, state, { mate: payload.mate }) : null
    return [
      ...(covered ? [refusals.covered({ mate: title, over: covered.over.title, step: covered.step.title })] : []),
      ...(asked && !payload.notYet ? outOfReach(at, asked) : []),
    ]
  },
  apply: (state, entry, plan) => {
    const mate = plan.mates.get(entry.payload.mate)!
    const badness = (answer: MateAnswer) => (answer.notYet ? 1 : standsMet(state, mate, answer) ? 0 : 2)
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

/** Parts that are back and do not stand to each other as they must, or of which nobody has said yet how they stand. */
const notMet: Source = ({ plan, state }) =>
  plan.sheet.mates.flatMap((mate): Owing[] => {
    if (!isAskedBack(mate) || !canBeSeen(plan, state, mate)) return []
    const answer = state.mates.get(mate.id)
    const isOpen = !answer || answer.notYet
    if (!isOpen && standsMet(state, mate, answer)) return []
    const at = [mate.asked, plan.fittedBy.get(mate.a)?.id, plan.fittedBy.get(mate.b)?.id].filter(
      step => step !== undefined,
    )
    // While its own step is in hand it is asked there; afterwards it holds up the cover.
    const own = isOpen && !answer ? at.find(step => !state.steps.has(step)) : undefined
    const crossed = answer && !answer.notYet ? crossedWith(plan, state, mate, answer) : undefined
    const moved = [mate.a, mate.b].filter(ref => partState(state, ref).where === 'fitted')
    return [
      {
        id: { kind: isOpen ? 'mate' : 'wrong way', mate: mate.id },
        station: 'build',
        what: isOpen ? `How it stands: ${mate.title}` : `${mate.title}: ${answerText(answer)}`,
        why: [...(crossed ? [`It is crossed: that belongs to ${crossed.title}`] : []), mate.ifWrong].join('. '),
        step: own ?? beforeCover(plan, at[0]),
        // What was said is taken back, or was never said with its step: nobody builds on that either.
        ...(own || answer?.notYet ? {} : { wrong: { of: moved, at: at[0], isIn: true, before: mate.before } }),
        settle: own ? { to: 'step', step: own } : { to: 'mate', mate: mate.id },
      },
    ]
  })

export const slice = () => ({
  /** Newest answer on how two parts stand to each other; gone once one of them is off again. */
  mates: new Map<string, Contested<Stamp & MateAnswer>>(),
})
export const acts = { 'mate.answered': answered }
export const owes = {
  'mate': owedKind({
    by: { mate: id },
    words: (plan, { mate }) => `How it stands: ${mateName(plan, mate)}`,
    withItsStep: true,
    holdsStart: true,
  }),
  'wrong way': owedKind({
    by: { mate: id },
    words: (plan, { mate }) => `Not met: ${mateName(plan, mate)}`,
    basis: ({ state }, { mate }) => [state.mates.get(mate)].flatMap(one => one ?? []),
    holdsStart: true,
  }),
}
export const sources = [notMet]
export const sections = {
  mates: section({
    title: 'How parts stand to each other',
    in: 'work',
    rows: ({ plan, state, by: signed, unseen }) =>
      plan.sheet.mates.flatMap(mate => {
        const answer = state.mates.get(mate.id)
        if (!answer) return []
        const met = answer.notYet ? 'open' : standsMet(state, mate, answer) ? 'met' : 'not met'
        return [
          {
            title: mate.title,
            stands: answerText(answer),
            met,
            unseen: unseen<Stamp & MateAnswer>(answer, answerText),
            ...signed(answer),
          },
        ]
      }),
    columns: [
      { head: 'What', width: 5, cell: row => text(row.title) },
      { head: 'Seen', width: 6, cell: row => ({ ...text(row.stands), small: row.unseen }) },
      { head: 'Wanted', width: 2, cell: row => text(row.met) },
      by(),
    ],
  }),
}
export const pads = { mate: { mate: id } } as const
