import type { Owing, Source } from './owing.ts'

/** What was put in for the time being, and is still in. */
export const items: Source = ({ plan, state }) =>
  [...state.items].map(([what, { n, gate }]): Owing => ({
    id: { kind: 'item', item: what },
    station: plan.steps.get(gate ?? '')?.station ?? 'prove',
    what: `Still in: ${n} × ${what}`,
    why: 'Put in for the time being: out again, and counted',
    step: gate,
    settle: { to: 'items' },
  }))
