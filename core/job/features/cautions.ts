import type { ActKind } from '../ledger/act.ts'
import { HANDS } from '../ledger/roles.ts'
import { by, section, text } from '../ledger/section.ts'
import { id, type Shaped } from '../ledger/shape.ts'
import { cautionKey, stampOf, type Stamp } from '../ledger/state.ts'
import { unknown } from './sense.ts'

/** Cautions of a step, read by whoever does it. */

const shape = { step: id, caution: { is: 'number', whole: true, least: 0, most: 20 } } as const

const read: ActKind<Shaped<typeof shape>> = {
  shape,
  by: HANDS,
  corrected: 'take back',
  sameAgain: true,
  sense: (plan, _, { payload: { step, caution } }) =>
    plan.steps.get(step)?.cautions?.[caution] ? null : unknown('caution', `${step} ${caution}`),
  apply: (state, entry) => {
    const { step, caution } = entry.payload
    const key = cautionKey(step, caution)
    state.cautions.set(key, new Map(state.cautions.get(key)).set(entry.madeBy, stampOf(entry, state)))
  },
  words: (plan, { step, caution }) => `Caution read: ${plan.steps.get(step)?.cautions?.[caution]?.word ?? ''}`,
}

export const slice = () => ({
  /** Newest reading of a caution, by step and number, then by person. */
  cautions: new Map<string, ReadonlyMap<string, Stamp>>(),
})
export const acts = { 'caution.read': read }
export const sections = {
  cautions: section({
    title: 'Cautions read',
    in: 'course',
    rows: ({ plan, state, by: signed }) =>
      plan.sheet.steps.flatMap(step =>
        (step.cautions ?? []).flatMap((caution, i) =>
          [...(state.cautions.get(cautionKey(step.id, i))?.values() ?? [])].map(stamp => ({
            step: step.title,
            caution: caution.word,
            ...signed(stamp),
          })),
        ),
      ),
    columns: [
      { head: 'Step', width: 6, cell: row => text(row.step) },
      { head: 'Caution', width: 4, cell: row => text(row.caution) },
      by(),
    ],
  }),
}
