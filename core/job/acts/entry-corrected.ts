import type { ActKind } from '../ledger/act.ts'
import { WRITERS } from '../ledger/roles.ts'
import { entryId, optional, payload, why, type Shaped } from '../ledger/shape.ts'
import { always } from './sense.ts'

/** A replacement keeps the kind of what it corrects: only another payload is given. */
const shape = { target: entryId, why, replacement: optional(payload) } as const

/** What it does is worked out over the whole ledger, and so is whether it may; see `corrections.ts`. */
export const entryCorrected: ActKind<Shaped<typeof shape>> = {
  shape,
  by: WRITERS,
  corrected: 'replace',
  neverLate: true,
  sense: always,
  apply: always,
  words: (_, { why: reason, replacement }) => `${replacement ? 'Corrected' : 'Taken back'}: ${reason}`,
}
