import type { ActKind } from '../ledger/act.ts'
import { gateOf } from '../owed/gate.ts'
import { owedNow } from '../owed/index.ts'
import { choice, optional, words, type Shaped } from '../ledger/shape.ts'
import { stamped } from '../ledger/state.ts'
import { always } from './sense.ts'

const shape = {
  cured: choice(['yes', 'no', 'not known yet']),
  cause: optional({ ...words(400), empty: true } as const),
} as const

export const jobSigned: ActKind<Shaped<typeof shape>> = {
  shape,
  by: ['lead'],
  corrected: 'never',
  neverLate: true,
  signature: true,
  sense: always,
  live: (plan, state) => {
    const gate = gateOf(plan, state, owedNow(plan, state))
    if (gate.open && gate.guards === 'hand-back') return []
    const [first] = gate.reasons
    return [
      `The gate is shut: ${gate.reasons.length || 1} to settle first${first ? `, beginning with “${first.what}”` : ''}`,
    ]
  },
  apply: (state, entry) => {
    state.signed = stamped(entry, state, entry.payload)
  },
  words: (_, { cured }) => `Signed; complaint cured: ${cured}`,
}
