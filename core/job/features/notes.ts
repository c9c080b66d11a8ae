import type { ActKind } from '../ledger/act.ts'
import { refusalsAbout } from '../../refusal.ts'
import { WRITERS } from '../ledger/roles.ts'
import { by, section, text } from '../ledger/section.ts'
import { words, type Shaped } from '../ledger/shape.ts'
import { isClosed, stamped, type Stamp } from '../ledger/state.ts'
import { always } from './sense.ts'

/** Words that somebody leaves: notes while the job is open, addenda once it is signed. */

const refusals = refusalsAbout('note', {
  notSigned: () => 'An addendum follows the signature. Write a note instead.',
})

const shape = { text: words(2000) } as const
const inShort = (full: string) => (full.length > 90 ? `${full.slice(0, 90)}…` : full)

const written: ActKind<Shaped<typeof shape>> = {
  shape,
  by: WRITERS,
  corrected: 'replace',
  sense: always,
  apply: (state, entry) => {
    state.notes.push(stamped(entry, state, { text: entry.payload.text }))
  },
  words: (_, { text: full }) => `Note: ${inShort(full)}`,
}

const added: ActKind<Shaped<typeof shape>> = {
  shape,
  by: WRITERS,
  corrected: 'never',
  sense: (_, state) => (isClosed(state) ? null : refusals.notSigned()),
  apply: (state, entry) => {
    state.notes.push(stamped(entry, state, { text: entry.payload.text, addendum: true }))
  },
  words: (_, { text: full }) => `Addendum: ${inShort(full)}`,
}

export const slice = () => ({ notes: [] as (Stamp & { text: string; addendum?: boolean })[] })
export const acts = { 'note.written': written, 'addendum.written': added }
export const sections = {
  notes: section({
    title: 'Notes',
    in: 'remarks',
    rows: ({ state, by: signed }) => state.notes.map(one => ({ text: one.text, ...signed(one) })),
    columns: [{ head: 'Note', width: 10, cell: row => text(row.text) }, by()],
  }),
}
