import { fixed } from '../../quantity/index.ts'
import { clockOf } from '../ledger/entry.ts'
import { owedKind } from '../ledger/feature.ts'
import { sentenceOf, type Refusal } from '../../refusal.ts'
import { by, section, text } from '../ledger/section.ts'
import { entryId } from '../ledger/shape.ts'
import type { Stamp } from '../ledger/state.ts'
import { utcText } from '../ledger/words.ts'
import type { Owing, Source } from '../owed/owing.ts'

/** What was done late, without the network, past something that would have held it up. */

/** Something to look into before hand-back: what was done, and what it went past; `counted` is false where it made no sense any more. */
export type Late = Stamp & { what: string; why: Refusal; nth: number; counted: boolean }

const whyOf = ({ why, counted }: Late) => `${counted ? '' : 'Not counted. '}${sentenceOf(why)}`

const past: Source = ({ state }) =>
  state.late.map((one): Owing => ({
    id: { kind: 'late', entry: one.entry, nth: one.nth },
    station: 'prove',
    what: `Done late: ${one.what}`,
    why: whyOf(one),
    step: null,
    settle: { to: 'ledger' },
    who: 'lead',
  }))

const HOW = {
  live: 'without having seen what came before it',
  late: 'done without the network',
  ahead: 'the clock of the device was ahead',
}
/** A clock is off by more than this before that is said, ms. */
const OFF_MS = 2000

export const slice = () => ({ late: [] as Late[] })
export const owes = {
  late: owedKind({
    by: { entry: entryId, nth: { is: 'number', whole: true, least: 0 } },
    words: () => 'Done late, past something owed',
  }),
}
export const sources = [past]
export const sections = {
  late: section({
    title: 'Late, or by a wrong clock',
    in: 'remarks',
    rows: ({ state, entries, byEntry, words }) =>
      entries.flatMap(entry => {
        const at = clockOf(entry)
        const passed = state.late.filter(one => one.entry === entry.id).map(whyOf)
        if (at === 'live' && !passed.length) return []
        // How far the tablet's clock was off is said where it is not the network's delay.
        const { clock } = entry
        const off =
          clock && Math.abs(clock.behindMs) > OFF_MS
            ? [
                `its clock was ${fixed(Math.abs(clock.behindMs) / 1000, 0)} s ${clock.behindMs > 0 ? 'behind' : 'ahead'}`,
              ]
            : []
        const given = `${HOW[at]}, given as ${utcText(entry.madeAt)}`
        return [{ what: words(entry), why: [given, ...off, ...passed].join('. '), ...byEntry(entry) }]
      }),
    columns: [
      { head: 'What', width: 5, cell: row => text(row.what) },
      { head: 'How', width: 6, cell: row => text(row.why) },
      by(),
    ],
  }),
}
