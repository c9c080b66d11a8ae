import type { ActKind } from '../ledger/act.ts'
import { owedKind } from '../ledger/feature.ts'
import { refusalsAbout } from '../../refusal.ts'
import { HANDS } from '../ledger/roles.ts'
import { by, section, text } from '../ledger/section.ts'
import { settled, type Contested } from '../ledger/seen.ts'
import { choice, id, optional, words, type Shaped } from '../ledger/shape.ts'
import { stamped, type Stamp } from '../ledger/state.ts'
import type { Plan } from '../../sheet/index.ts'
import type { Owing, Source } from '../owed/owing.ts'
import { ANSWERS, reportedSigns, shownAt } from '../parts/signs.ts'
import { unknown } from './sense.ts'

/** What was reported as the job was opened, and what becomes of each sign of it: gone, not gone, or no cause found. */

const refusals = refusalsAbout('sign', {
  notReported: ({ sign }: { sign: string }) => `“${sign}” was not reported as this job was opened.`,
  was: () => 'Say what it was.',
  notYet: ({ sign, step }: { sign: string; step: string }) =>
    `Whether “${sign}” is gone shows once this is done: ${step}.`,
})

const shape = {
  sign: id,
  how: choice(ANSWERS),
  /** What it was, as far as it is known. */
  was: optional(words(400)),
} as const
type Answered = Shaped<typeof shape>

/** The less is mended, the worse. */
const WORSE: readonly Answered['how'][] = ['gone', 'no cause found', 'not gone']

const nameOf = (plan: Plan, sign: string) => plan.sheet.complaints?.find(one => one.id === sign)?.say ?? sign

const answered: ActKind<Answered> = {
  shape,
  by: HANDS,
  corrected: 'replace',
  sense: (plan, state, { payload: { sign, how, was } }) => {
    if (!plan.sheet.complaints?.some(one => one.id === sign)) return unknown('complaint', sign)
    if (!reportedSigns(plan, state).some(one => one.id === sign))
      return refusals.notReported({ sign: nameOf(plan, sign) })
    return how === 'gone' && !was?.trim() ? refusals.was() : null
  },
  live: ({ plan, state }, { payload: { sign } }) => {
    const step = shownAt(plan)
    return state.steps.has(step.id) ? [] : [refusals.notYet({ sign: nameOf(plan, sign), step: step.title })]
  },
  apply: (state, entry) => {
    const { sign, ...said } = entry.payload
    const now = stamped(entry, state, said)
    state.signs.set(
      sign,
      settled(state.signs.get(sign), now, entry, (one, other) => WORSE.indexOf(one.how) > WORSE.indexOf(other.how)),
    )
  },
  words: (plan, { sign, how, was }) => `Reported, ${nameOf(plan, sign)}: ${how}${was ? `. It was: ${was}` : ''}`,
}

/** What was reported and is not answered, once the machine has run: it is, before it is handed back. */
const open: Source = ({ plan, state }) =>
  reportedSigns(plan, state)
    .filter(one => state.steps.has(shownAt(plan).id) && !state.signs.has(one.id))
    .map((one): Owing => ({
      id: { kind: 'sign', sign: one.id },
      station: 'prove',
      what: `Reported: ${one.say}`,
      why: 'Is it gone, and what was it?',
      step: null,
      settle: { to: 'signs' },
    }))

export const slice = () => ({
  signs: new Map<string, Contested<Stamp & Omit<Answered, 'sign'>>>(),
})
export const acts = { 'sign.answered': answered }
export const owes = {
  sign: owedKind({
    by: { sign: id },
    words: (plan, { sign }) => `Reported: ${nameOf(plan, sign)}`,
    never: () => 'say whether it is gone; where no cause was found, that is an answer, too',
    onceReached: true,
  }),
}
export const sources = [open]
export const sections = {
  signs: section({
    title: 'What was reported',
    in: 'decisions',
    rows: ({ plan, state, by: signed, unseen }) =>
      reportedSigns(plan, state).map(({ id: sign, say }) => {
        const now = state.signs.get(sign)
        return {
          say,
          how: now?.how ?? 'not answered',
          was: now?.was ?? '',
          unseen: now ? unseen(now, one => one.how) : [],
          ...signed(now),
        }
      }),
    columns: [
      { head: 'Reported', width: 4, cell: row => text(row.say) },
      { head: 'At the end', width: 3, cell: row => ({ text: row.how, small: row.unseen }) },
      { head: 'What it was', width: 5, cell: row => text(row.was) },
      by(),
    ],
  }),
}
export const pads = { signs: {} } as const
