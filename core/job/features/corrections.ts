import type { ActKind } from '../ledger/act.ts'
import { rootOf } from '../ledger/corrections.ts'
import type { AnyEntry } from '../ledger/entry.ts'
import { WRITERS } from '../ledger/roles.ts'
import { section, text } from '../ledger/section.ts'
import { entryId, optional, payload, why, type Shaped } from '../ledger/shape.ts'
import { always } from './sense.ts'

/** Entries that name another, and say why it was wrong. What they do is worked out over the whole ledger; see `ledger/corrections.ts`. */

/** A replacement keeps the kind of what it corrects: only another payload is given. */
const shape = { target: entryId, why, replacement: optional(payload) } as const

const corrected: ActKind<Shaped<typeof shape>> = {
  shape,
  by: WRITERS,
  corrected: 'replace',
  neverLate: true,
  sense: always,
  apply: always,
  words: (_, { why: reason, replacement }) => `${replacement ? 'Corrected' : 'Taken back'}: ${reason}`,
}

export const acts = { 'entry.corrected': corrected }
export const sections = {
  corrections: section({
    title: 'Corrections',
    in: 'remarks',
    rows: ({ entries, byId, by, byEntry, words }) =>
      entries.flatMap(entry => {
        if (entry.kind !== 'entry.corrected') return []
        const target = byId.get(entry.payload.target)
        const root = rootOf(entries, entry.payload.target)
        const { replacement } = entry.payload
        return [
          {
            what: words(target),
            first: target ? byEntry(target) : by(null),
            now:
              replacement && root
                ? words({ ...root, payload: replacement } as AnyEntry)
                : target?.kind === 'entry.corrected'
                  ? 'the correction taken back'
                  : 'taken back',
            why: entry.payload.why,
            ...byEntry(entry),
          },
        ]
      }),
    columns: [
      { head: 'First', width: 5, cell: row => text(row.what) },
      { head: 'By', width: 3, cell: row => ({ by: row.first }) },
      { head: 'Then', width: 5, cell: row => text(row.now) },
      { head: 'Why', width: 4, cell: row => text(row.why) },
      { head: 'Corrected by', width: 3, cell: row => ({ by: row }) },
    ],
  }),
}
