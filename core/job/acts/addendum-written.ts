import type { ActKind } from '../ledger/act.ts'
import { WRITERS } from '../ledger/roles.ts'
import { words, type Shaped } from '../ledger/shape.ts'
import { isClosed, stamped } from '../ledger/state.ts'

const shape = { text: words(2000) } as const

export const addendumWritten: ActKind<Shaped<typeof shape>> = {
  shape,
  by: WRITERS,
  corrected: 'never',
  sense: (_, state) => (isClosed(state) ? null : 'An addendum follows the signature. Write a note instead.'),
  apply: (state, entry) => {
    state.notes.push(stamped(entry, state, { text: entry.payload.text, addendum: true }))
  },
  words: (_, { text }) => `Addendum: ${text.length > 90 ? `${text.slice(0, 90)}…` : text}`,
}
