import type { ActKind } from '../ledger/act.ts'
import { WRITERS } from '../ledger/roles.ts'
import { words, type Shaped } from '../ledger/shape.ts'
import { stamped } from '../ledger/state.ts'
import { always } from './sense.ts'

const shape = { text: words(2000) } as const

export const noteWritten: ActKind<Shaped<typeof shape>> = {
  shape,
  by: WRITERS,
  corrected: 'replace',
  sense: always,
  apply: (state, entry) => {
    state.notes.push(stamped(entry, state, { text: entry.payload.text }))
  },
  words: (_, { text }) => `Note: ${text.length > 90 ? `${text.slice(0, 90)}…` : text}`,
}
