import type { Owing, Source } from './owing.ts'

/** What was done late, without the network, past something that would have held it up. */
export const late: Source = ({ state }) =>
  state.late.map((one): Owing => ({
    id: { kind: 'late', entry: one.entry, nth: one.nth },
    station: 'prove',
    what: `Done late: ${one.what}`,
    why: one.why,
    step: null,
    settle: { to: 'ledger' },
    who: 'lead',
  }))
