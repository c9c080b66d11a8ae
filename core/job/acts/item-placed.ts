import type { ActKind } from '../ledger/act.ts'
import { HANDS } from '../ledger/roles.ts'
import { words, type Shaped } from '../ledger/shape.ts'
import { stamped } from '../ledger/state.ts'

const shape = { what: words(80), n: { is: 'number', whole: true, least: 1, most: 99 } } as const

/** Something the sheet does not know of, put in for the time being: rag, plug, wedge, tape. It comes out before what lies ahead is shut. */
export const itemPlaced: ActKind<Shaped<typeof shape>> = {
  shape,
  by: HANDS,
  corrected: 'take back',
  sense: (_, state, { payload: { what } }) =>
    !what.trim()
      ? 'Say what is put in.'
      : state.items.has(what)
        ? `${what} is in already. Take it out first, or give it another name.`
        : null,
  apply: (state, entry, plan) => {
    const { what, n } = entry.payload
    const gate = plan.gates.find(one => !state.steps.has(one.step.id))?.step.id ?? null
    state.items.set(what, stamped(entry, state, { n, gate }))
  },
  words: (_, { what, n }) => `Put in for now: ${n} × ${what}`,
}
