import type { ActKind } from '../ledger/act.ts'
import { refusalsAbout } from '../../refusal.ts'
import { HANDS } from '../ledger/roles.ts'
import { by, figures, section, text as plainText } from '../ledger/section.ts'
import { settled, type Contested } from '../ledger/seen.ts'
import { flag, id, optional, words, type Shaped } from '../ledger/shape.ts'
import { stamped, type Stamp } from '../ledger/state.ts'
import { factFault, factsOf, isSameFact, keptBefore } from '../parts/facts.ts'
import { openStep, stepHindrances, unknown } from './sense.ts'

/** Short facts as the machine shows them: a serial, a setting, a batch. They are kept for the next job, which confirms them. */

const refusals = refusalsAbout('fact', {
  another: ({ why }: { why: string }) => why,
})

const shape = {
  fact: id,
  text: words(80),
  /** It is another one than the last job kept, and whoever reads it says so. */
  other: optional(flag),
} as const

const read: ActKind<Shaped<typeof shape>> = {
  shape,
  by: HANDS,
  corrected: 'replace',
  sense: (plan, state, { payload }) => {
    const found = factsOf(plan).find(one => one.fact.id === payload.fact)
    return found ? openStep(plan, state, found.step.id) : unknown('fact', payload.fact)
  },
  live: (at, entry) => {
    const { fact: name, text, other = false } = entry.payload
    const { fact, step } = factsOf(at.plan).find(one => one.fact.id === name)!
    const why = factFault({ ...fact, before: keptBefore(at.state, name) }, text, other)
    return [...(why ? [refusals.another({ why })] : []), ...stepHindrances(at, step.id, entry)]
  },
  apply: (state, entry) => {
    const { fact, text } = entry.payload
    const now = stamped(entry, state, { text })
    state.facts.set(
      fact,
      settled(state.facts.get(fact), now, entry, () => false),
    )
  },
  words: (plan, { fact, text }) => `${factsOf(plan).find(one => one.fact.id === fact)?.fact.name ?? fact}: ${text}`,
}

export const slice = () => ({
  facts: new Map<string, Contested<Stamp & { text: string }>>(),
})
export const acts = { 'fact.read': read }
export const sections = {
  facts: section({
    title: 'What the machine says of itself',
    in: 'work',
    rows: ({ plan, state, unseen, by: signed }) =>
      factsOf(plan).flatMap(({ fact }) => {
        const now = state.facts.get(fact.id)
        const before = keptBefore(state, fact.id)
        if (!now) return []
        const was =
          before === undefined
            ? 'not kept before'
            : isSameFact(before, now.text)
              ? 'as it was'
              : `another one: it was ${before}`
        return [{ what: fact.name, says: now.text, was, unseen: unseen(now, one => one.text), ...signed(now) }]
      }),
    columns: [
      { head: 'What', width: 4, cell: row => plainText(row.what) },
      { head: 'It says', width: 4, cell: row => figures(row.says) },
      { head: 'Against the last job', width: 4, cell: row => ({ text: row.was, small: row.unseen }) },
      by(),
    ],
  }),
}
