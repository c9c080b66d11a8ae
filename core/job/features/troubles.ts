import type { ActKind } from '../ledger/act.ts'
import { owedKind } from '../ledger/feature.ts'
import { refusalsAbout } from '../../refusal.ts'
import { HANDS } from '../ledger/roles.ts'
import { by, section, text } from '../ledger/section.ts'
import { id, words, type Shaped } from '../ledger/shape.ts'
import { stampOf, stamped, troubleKey, type Stamp } from '../ledger/state.ts'
import { stepName } from '../ledger/words.ts'
import type { Owing, Source } from '../owed/owing.ts'
import { openStep, unknown } from './sense.ts'

/** Something is wrong at a step, by its sign: the step waits until it is known what it was. */

const refusals = refusalsAbout('trouble', {
  strange: ({ step }: { step: string }) => `The sheet knows no such trouble at “${step}”. Write a note instead.`,
  said: ({ sign }: { sign: string }) => `“${sign}” is said already. Say what it was, or go on looking.`,
  notWaiting: ({ sign }: { sign: string }) => `“${sign}” is not waiting for an answer.`,
  means: () => 'Say what it was: the next one who meets it will be glad.',
})

const sighting = { step: id, sign: words(120) } as const

const met: ActKind<Shaped<typeof sighting>> = {
  shape: sighting,
  by: HANDS,
  corrected: 'take back',
  sense: (plan, state, { payload: { step, sign } }) => {
    const lost = openStep(plan, state, step)
    if (lost) return lost
    const { title, troubles = [] } = plan.steps.get(step)!
    if (!troubles.some(one => one.sign === sign)) return refusals.strange({ step: title })
    const known = state.troubles.get(troubleKey(step, sign))
    return known && !known.cleared ? refusals.said({ sign }) : null
  },
  apply: (state, entry) => {
    const { step, sign } = entry.payload
    state.troubles.set(troubleKey(step, sign), stamped(entry, state, { step, sign }))
  },
  words: (plan, { step, sign }) => `${stepName(plan, step)}: ${sign}`,
}

const answer = { step: id, sign: words(120), means: words(400) } as const

/** What a trouble turned out to be: a cause of the sheet, or in words of one's own. */
const cleared: ActKind<Shaped<typeof answer>> = {
  shape: answer,
  by: HANDS,
  corrected: 'take back',
  sense: (plan, state, { payload: { step, sign, means } }) => {
    if (!plan.steps.has(step)) return unknown('step', step)
    const known = state.troubles.get(troubleKey(step, sign))
    if (!known || known.cleared) return refusals.notWaiting({ sign })
    return means.trim() ? null : refusals.means()
  },
  apply: (state, entry) => {
    const { step, sign, means } = entry.payload
    const key = troubleKey(step, sign)
    state.troubles.set(key, { ...state.troubles.get(key)!, cleared: { ...stampOf(entry, state), means } })
  },
  words: (plan, { step, sign, means }) => `${stepName(plan, step)}, ${sign}: it was this. ${means}`,
}

const unknownYet: Source = ({ plan, state }) =>
  [...state.troubles.values()].flatMap(({ step: name, sign, cleared: known }): Owing[] => {
    const step = plan.steps.get(name)
    if (known || !step || state.steps.has(name)) return []
    return [
      {
        id: { kind: 'trouble', step: name, sign },
        station: step.station,
        what: sign,
        why: `At: ${step.title}. Look again before anything is forced`,
        step: name,
        settle: { to: 'trouble', step: name },
      },
    ]
  })

export const slice = () => ({
  /** By step and sign, with what they turned out to be. */
  troubles: new Map<string, Stamp & Shaped<typeof sighting> & { cleared?: Stamp & { means: string } }>(),
})
export const acts = { 'trouble.met': met, 'trouble.cleared': cleared }
export const owes = {
  trouble: owedKind({
    by: { step: id, sign: words(120) },
    words: (plan, { step, sign }) => `${stepName(plan, step)}: ${sign}`,
  }),
}
export const sources = [unknownYet]
export const sections = {
  troubles: section({
    title: 'Troubles met',
    in: 'decisions',
    rows: ({ plan, state, by: signed }) =>
      [...state.troubles.values()].map(one => ({
        what: `${stepName(plan, one.step)}: ${one.sign}`,
        was: one.cleared?.means ?? 'not known',
        ...signed(one.cleared ?? one),
      })),
    columns: [
      { head: 'What', width: 6, cell: row => text(row.what) },
      { head: 'What it was', width: 6, cell: row => text(row.was) },
      by(),
    ],
  }),
}
export const pads = { trouble: { step: id } } as const
