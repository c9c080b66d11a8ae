import type { ActKind } from '../ledger/act.ts'
import { refusalsAbout } from '../../refusal.ts'
import { WRITERS } from '../ledger/roles.ts'
import { by, section, text } from '../ledger/section.ts'
import { optional, words, type Shaped } from '../ledger/shape.ts'
import { isClosed, stamped, type Stamp } from '../ledger/state.ts'
import { inSentence } from '../../sums/read.ts'
import { notedName, notedShape, type Noted } from '../parts/noted.ts'
import { unknownThing } from './sense.ts'

/** Words that somebody leaves: notes while the job is open, addenda once it is signed. */

const refusals = refusalsAbout('note', {
  notSigned: () => 'An addendum follows the signature. Write a note instead.',
})

const shape = {
  text: words(2000),
  /** What it is on; the job as a whole where it is left out. */
  on: optional(notedShape),
} as const
const after = { text: words(2000) } as const
const inShort = (full: string) => (full.length > 90 ? `${full.slice(0, 90)}…` : full)

const written: ActKind<Shaped<typeof shape>> = {
  shape,
  by: WRITERS,
  corrected: 'replace',
  sense: (plan, _, { payload: { on } }) => unknownThing(plan, on),
  apply: (state, entry) => {
    const { text: full, on } = entry.payload
    state.notes.push(stamped(entry, state, { text: full, ...(on ? { on } : {}) }))
  },
  words: (plan, { text: full, on }) =>
    `Note${on ? ` on ${inSentence(notedName(plan, on) ?? on.id)}` : ''}: ${inShort(full)}`,
}

const added: ActKind<Shaped<typeof after>> = {
  shape: after,
  by: WRITERS,
  corrected: 'never',
  afterClose: true,
  sense: (_, state) => (isClosed(state) ? null : refusals.notSigned()),
  apply: (state, entry) => {
    state.notes.push(stamped(entry, state, { text: entry.payload.text, addendum: true }))
  },
  words: (_, { text: full }) => `Addendum: ${inShort(full)}`,
}

export const slice = () => ({ notes: [] as (Stamp & { text: string; on?: Noted; addendum?: boolean })[] })
export const acts = { 'note.written': written, 'addendum.written': added }
export const sections = {
  notes: section({
    title: 'Notes',
    in: 'remarks',
    rows: ({ plan, state, by: signed }) =>
      state.notes.map(one => ({ text: one.text, on: one.on ? (notedName(plan, one.on) ?? '') : '', ...signed(one) })),
    columns: [
      { head: 'Note', width: 8, cell: row => text(row.text) },
      { head: 'On', width: 4, cell: row => text(row.on) },
      by(),
    ],
  }),
}
