import { partsDecidedAt, type Step } from '../../sheet/index.ts'
import type { ActKind } from '../ledger/act.ts'
import { owedKind } from '../ledger/feature.ts'
import { refusalsAbout } from '../../refusal.ts'
import { HANDS } from '../ledger/roles.ts'
import { by, section, text } from '../ledger/section.ts'
import { id, words, type Shaped } from '../ledger/shape.ts'
import { originKey, stamped, type Stamp } from '../ledger/state.ts'
import { stepName } from '../ledger/words.ts'
import type { Owing, Source } from '../owed/owing.ts'
import { strangeFinds, unexplained } from '../parts/origins.ts'
import { unknown } from './sense.ts'

/** What came off something, and was found where it has no business: nobody decides the parts before it is said what it came off. */

const refusals = refusalsAbout('origin', {
  notFound: ({ word, step }: { word: string; step: string }) => `No ${word} was found at “${step}”.`,
})

const shape = { step: id, word: words(120), from: words(400) } as const
type Origin = Shaped<typeof shape>

const said: ActKind<Origin> = {
  shape,
  by: HANDS,
  corrected: 'replace',
  sense: (plan, state, { payload: { step, word } }) => {
    if (!plan.steps.has(step)) return unknown('step', step)
    const isFound = strangeFinds(plan, state).some(find => find.step.id === step && find.word === word)
    return isFound ? null : refusals.notFound({ word, step: stepName(plan, step) })
  },
  apply: (state, entry) => {
    const { step, word, from } = entry.payload
    state.origins.set(originKey(step, word), stamped(entry, state, { from }))
  },
  words: (plan, { step, word, from }) => `${stepName(plan, step)}, ${word}: ${from}`,
}

/** It is said before the parts are decided; once they are, before what is shut next. */
const unsaid: Source = ({ plan, state }) => {
  const isAhead = (step: Step | undefined): step is Step => step !== undefined && !state.steps.has(step.id)
  const ahead = [partsDecidedAt(plan.sheet), ...plan.gates.map(gate => gate.step)]
  return unexplained(plan, state).map(({ step, word }): Owing => ({
    id: { kind: 'origin', step: step.id, word },
    station: 'decide',
    what: `Where did it come from: ${word}`,
    why: `Found at: ${step.title}. It came off something, and that goes on if it is closed over`,
    step: ahead.find(isAhead)?.id ?? null,
    settle: { to: 'origin', step: step.id, word },
  }))
}

export const slice = () => ({
  /** By step and word. */
  origins: new Map<string, Stamp & Pick<Origin, 'from'>>(),
})
export const acts = { 'origin.said': said }
export const owes = {
  origin: owedKind({
    by: { step: id, word: words(120) },
    words: (plan, { step, word }) => `${stepName(plan, step)}, ${word}: where it came from`,
  }),
}
export const sources = [unsaid]
export const sections = {
  origins: section({
    title: 'Where it came from',
    in: 'decisions',
    rows: ({ plan, state, by: signed }) =>
      strangeFinds(plan, state).map(({ step, word, from }) => ({
        what: word,
        at: step.title,
        from: from ?? 'not known',
        ...signed(state.origins.get(originKey(step.id, word)) ?? state.steps.get(step.id)!),
      })),
    columns: [
      { head: 'What was found', width: 4, cell: row => ({ ...text(row.what), small: [row.at] }) },
      { head: 'Where it came from', width: 8, cell: row => text(row.from) },
      by(),
    ],
  }),
}
export const pads = { origin: { step: id, word: words(120) } } as const
