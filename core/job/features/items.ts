import type { ActKind } from '../ledger/act.ts'
import { owedKind } from '../ledger/feature.ts'
import { refusalsAbout } from '../../refusal.ts'
import { HANDS } from '../ledger/roles.ts'
import { words, type Shaped } from '../ledger/shape.ts'
import { stamped, type Stamp } from '../ledger/state.ts'
import type { Owing, Source } from '../owed/owing.ts'

/** What the sheet does not know of, put in for the time being: rag, plug, wedge, tape. It comes out before what lies ahead is shut. */

const refusals = refusalsAbout('item', {
  what: () => 'Say what is put in.',
  isIn: ({ what }: { what: string }) => `${what} is in already. Take it out first, or give it another name.`,
  isNotIn: ({ what }: { what: string }) => `${what} is not in.`,
  more: ({ what, inside, out }: { what: string; inside: number; out: number }) =>
    `${inside} × ${what} went in, ${out} came out. Count again.`,
})

const shape = { what: words(80), n: { is: 'number', whole: true, least: 1, most: 99 } } as const

const placed: ActKind<Shaped<typeof shape>> = {
  shape,
  by: HANDS,
  corrected: 'take back',
  sense: (_, state, { payload: { what } }) =>
    !what.trim() ? refusals.what() : state.items.has(what) ? refusals.isIn({ what }) : null,
  apply: (state, entry, plan) => {
    const { what, n } = entry.payload
    const gate = plan.gates.find(one => !state.steps.has(one.step.id))?.step.id ?? null
    state.items.set(what, stamped(entry, state, { n, gate }))
  },
  words: (_, { what, n }) => `Left in the machine: ${n} × ${what}`,
}

/** It comes out, counted as it went in. */
const removed: ActKind<Shaped<typeof shape>> = {
  shape,
  by: HANDS,
  corrected: 'take back',
  sense: (_, state, { payload: { what, n } }) => {
    const inside = state.items.get(what)
    if (!inside) return refusals.isNotIn({ what })
    return n > inside.n ? refusals.more({ what, inside: inside.n, out: n }) : null
  },
  apply: (state, { payload: { what, n } }) => {
    const inside = state.items.get(what)!
    if (n === inside.n) state.items.delete(what)
    else state.items.set(what, { ...inside, n: inside.n - n })
  },
  words: (_, { what, n }) => `Out again: ${n} × ${what}`,
}

const stillIn: Source = ({ plan, state }) =>
  [...state.items].map(([what, { n, gate }]): Owing => ({
    id: { kind: 'item', item: what },
    station: plan.steps.get(gate ?? '')?.station ?? 'prove',
    what: `Still in: ${n} × ${what}`,
    why: 'Put in for the time being: out again, and counted',
    step: gate,
    settle: { to: 'items' },
  }))

export const slice = () => ({
  /** What is in, with the gate it was put in before. */
  items: new Map<string, Stamp & { n: number; gate: string | null }>(),
})
export const acts = { 'item.placed': placed, 'item.removed': removed }
export const owes = {
  item: owedKind({
    by: { item: words(80) },
    words: (_, { item }) => `Still in: ${item}`,
    never: () => 'take it out, and count it',
    holdsStart: true,
  }),
}
export const sources = [stillIn]
export const pads = { items: {} } as const
