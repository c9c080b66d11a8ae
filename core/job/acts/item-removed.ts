import type { ActKind } from '../ledger/act.ts'
import { HANDS } from '../ledger/roles.ts'
import { words, type Shaped } from '../ledger/shape.ts'

const shape = { what: words(80), n: { is: 'number', whole: true, least: 1, most: 99 } } as const

/** What was put in for the time being comes out, counted as it went in. */
export const itemRemoved: ActKind<Shaped<typeof shape>> = {
  shape,
  by: HANDS,
  corrected: 'take back',
  sense: (_, state, { payload: { what, n } }) => {
    const inside = state.items.get(what)
    if (!inside) return `${what} is not in.`
    return n > inside.n ? `${inside.n} × ${what} went in, ${n} came out. Count again.` : null
  },
  apply: (state, { payload: { what, n } }) => {
    const inside = state.items.get(what)!
    if (n === inside.n) state.items.delete(what)
    else state.items.set(what, { ...inside, n: inside.n - n })
  },
  words: (_, { what, n }) => `Out again: ${n} × ${what}`,
}
