import type { Verdict } from '../../verdict.ts'
import type { JobRecord, Signed } from './record.ts'

/** One cell of a table of the record: what stands in it, and small print under it. */
export interface Cell {
  text?: string
  small?: string[]
  figures?: true
  verdict?: Verdict
  by?: Signed
  /** Long detail: folded on a screen, printed in full. */
  lines?: string[]
}

export interface RecordTable {
  title: string
  /** Widths are shares of the table. */
  columns: { head: string; width: number }[]
  rows: Cell[][]
}

/** A table as data: its columns, each with the cell it makes of a row. */
interface TableOf<R> {
  title: string
  rows: (record: JobRecord) => R[]
  columns: { head: string; width: number; cell: (row: R) => Cell }[]
}

const table = <R>(one: TableOf<R>) => one as TableOf<unknown>
const text = (words: string): Cell => ({ text: words })
const figures = (words: string): Cell => ({ text: words, figures: true })
const by = <R extends Signed>() => ({ head: 'By', width: 3, cell: (row: R): Cell => ({ by: row }) })

const TABLES = [
  table({
    title: 'Decided on the job',
    rows: record => record.decided,
    columns: [
      { head: 'What', width: 5, cell: row => text(row.what) },
      {
        head: 'Why',
        width: 7,
        cell: row => ({ text: row.why, small: row.leaves.length ? [`Left out by it: ${row.leaves.join('; ')}`] : [] }),
      },
      by(),
    ],
  }),
  table({
    title: 'Troubles met',
    rows: record => record.troubles,
    columns: [
      { head: 'What', width: 6, cell: row => text(row.what) },
      { head: 'What it was', width: 6, cell: row => text(row.was) },
      by(),
    ],
  }),
  table({
    title: 'Concessions',
    rows: record => record.concessions,
    columns: [
      { head: 'What', width: 6, cell: row => text(row.what) },
      { head: 'Why', width: 6, cell: row => text(row.why) },
      by(),
    ],
  }),
  table({
    title: 'As found and as left',
    rows: record => record.compared,
    columns: [
      { head: 'Check', width: 4, cell: row => text(row.title) },
      { head: 'As found', width: 3, cell: row => figures(row.found) },
      { head: 'As left', width: 3, cell: row => figures(row.left) },
      { head: 'Change', width: 3, cell: row => figures(row.change) },
      { head: 'Moved', width: 3, cell: row => text(row.moved) },
    ],
  }),
  table({
    title: 'Readings',
    rows: record => record.readings,
    columns: [
      {
        head: 'Check',
        width: 4,
        cell: row => ({
          text: row.title,
          small: [row.moment, ...(row.history ? ['of the part that was renewed'] : [])],
        }),
      },
      { head: 'Value', width: 4, cell: row => figures(row.value) },
      { head: 'Held against', width: 3, cell: row => ({ ...figures(row.limits), small: [row.source] }) },
      {
        head: 'Verdict and working',
        width: 5,
        cell: row => ({
          verdict: row.verdict,
          small: [...(row.consequence ? [row.consequence] : []), ...(row.again ? [row.again] : []), ...row.unseen],
          lines: row.working.map(line => `${line.what}: ${line.sum} = ${line.gives}`),
        }),
      },
      by(),
    ],
  }),
  table({
    title: 'Parts',
    rows: record => record.parts,
    columns: [
      { head: 'Item', width: 1, cell: row => figures(String(row.item)) },
      { head: 'Part', width: 5, cell: row => text(row.name) },
      {
        head: 'Off',
        width: 2,
        cell: row => ({ ...figures(row.cameOff), small: row.method ? [`freed by: ${row.method}`] : [] }),
      },
      { head: 'Kept', width: 2, cell: row => text(row.kept) },
      {
        head: 'Decided',
        width: 3,
        cell: row => ({
          ...text(row.decision),
          small: [...(row.decidedBy ? [`by ${row.decidedBy}`] : []), ...row.unseen],
        }),
      },
      { head: 'Went back', width: 3, cell: row => text(row.wentBack) },
      by(),
    ],
  }),
  table({
    title: 'Marks',
    rows: record => record.marks,
    columns: [
      { head: 'Mark', width: 5, cell: row => text(row.title) },
      { head: 'Made', width: 6, cell: row => text(row.made) },
      { head: 'At build', width: 4, cell: row => text(row.stands) },
      by(),
    ],
  }),
  table({
    title: 'How parts stand to each other',
    rows: record => record.mates,
    columns: [
      { head: 'What', width: 5, cell: row => text(row.title) },
      { head: 'Seen', width: 6, cell: row => ({ ...text(row.stands), small: row.unseen }) },
      { head: 'Wanted', width: 2, cell: row => text(row.met) },
      by(),
    ],
  }),
  table({
    title: 'Pieces counted',
    rows: record => record.counted,
    columns: [
      { head: 'What', width: 6, cell: row => text(row.what) },
      { head: 'Way', width: 2, cell: row => text(row.way) },
      {
        head: 'Pieces',
        width: 2,
        cell: row => ({
          ...figures(row.of === null || row.of === row.n ? String(row.n) : `${row.n} of ${row.of}`),
          small: row.unseen,
        }),
      },
      by(),
    ],
  }),
  table({
    title: 'Rounds',
    rows: record => record.rounds,
    columns: [
      { head: 'Round', width: 3, cell: row => ({ text: String(row.n), small: [row.loop] }) },
      { head: 'Changed before it', width: 3, cell: row => text(row.changed) },
      { head: 'Stands', width: 5, cell: row => ({ small: row.read }) },
      { head: 'Void', width: 5, cell: row => ({ small: row.voided }) },
      by(),
    ],
  }),
  table({
    title: 'Joints',
    rows: record => record.joints,
    columns: [
      { head: 'Joint', width: 3, cell: row => text(row.title) },
      { head: 'Wanted', width: 3, cell: row => text(row.wanted) },
      {
        head: 'Last pass by bolt, torques in N·m; set: wrench set and clicked',
        width: 5,
        cell: row => ({
          ...figures(row.torques),
          small: [
            ...row.outOfTurn.map(one => `Out of turn: ${one}`),
            ...row.putRight.map(one => `Put right: ${one}`),
            ...(row.locked ? [row.locked] : []),
          ],
        }),
      },
      { head: 'Verdict', width: 2, cell: row => ({ verdict: row.verdict }) },
    ],
  }),
  table({
    title: 'Hold points',
    rows: record => record.holds,
    columns: [
      { head: 'Step', width: 7, cell: row => text(row.title) },
      { head: 'Stands', width: 4, cell: row => ({ ...text(row.stands), small: row.signer ? [row.signer] : [] }) },
      by(),
    ],
  }),
  table({
    title: 'Evidence lost',
    rows: record => record.lost,
    columns: [
      { head: 'What', width: 5, cell: row => text(row.what) },
      { head: 'Why', width: 6, cell: row => text(row.why) },
      by(),
    ],
  }),
  table({
    title: 'Corrections',
    rows: record => record.corrections,
    columns: [
      { head: 'First', width: 5, cell: row => text(row.what) },
      { head: 'By', width: 3, cell: row => ({ by: row.first }) },
      { head: 'Then', width: 5, cell: row => text(row.now) },
      { head: 'Why', width: 4, cell: row => text(row.why) },
      { head: 'Corrected by', width: 3, cell: row => ({ by: row }) },
    ],
  }),
  table({
    title: 'Late, or by a wrong clock',
    rows: record => record.late,
    columns: [
      { head: 'What', width: 5, cell: row => text(row.what) },
      { head: 'How', width: 6, cell: row => text(row.why) },
      by(),
    ],
  }),
  table({
    title: 'Findings',
    rows: record => record.findings,
    columns: [
      { head: 'Part', width: 4, cell: row => text(row.part) },
      { head: 'Finding', width: 5, cell: row => text(row.finding) },
      { head: 'Where', width: 3, cell: row => text(row.where) },
      by(),
    ],
  }),
  table({
    title: 'Notes',
    rows: record => record.notes,
    columns: [{ head: 'Note', width: 10, cell: row => text(row.text) }, by()],
  }),
  table({
    title: 'Steps',
    rows: record => record.steps,
    columns: [
      { head: 'Station', width: 2, cell: row => text(row.station) },
      {
        head: 'Step',
        width: 8,
        cell: row => ({
          text: row.title,
          small: [...(row.found ? [`found: ${row.found}`] : []), ...(row.skipped ? [`left out: ${row.skipped}`] : [])],
        }),
      },
      by(),
    ],
  }),
  table({
    title: 'Cautions read',
    rows: record => record.cautions,
    columns: [
      { head: 'Step', width: 6, cell: row => text(row.step) },
      { head: 'Caution', width: 4, cell: row => text(row.caution) },
      by(),
    ],
  }),
]

/** The tables of a record, those that have rows, as screen and PDF show them. */
export const recordTables = (record: JobRecord): RecordTable[] =>
  TABLES.map(({ title, rows, columns }) => ({
    title,
    columns: columns.map(({ head, width }) => ({ head, width })),
    rows: rows(record).map(row => columns.map(column => column.cell(row))),
  })).filter(one => one.rows.length)

/** How much one part of a long record holds: letters, with so many for every row. A part takes some seconds to print. */
const PART = 500_000
const ROW = 200

const weightOf = (row: readonly Cell[]): number =>
  row.reduce(
    (sum, { text: words = '', small = [], lines = [] }) =>
      sum + [words, ...small, ...lines].reduce((letters, one) => letters + one.length, 0),
    ROW,
  )

/** The tables of a record in parts that can be printed one by one; most have one. What runs on says so. */
export function recordParts(tables: readonly RecordTable[], most = PART): RecordTable[][] {
  const parts: RecordTable[][] = [[]]
  let weight = 0
  for (const { title, columns, rows } of tables) {
    let here: RecordTable | null = null
    for (const row of rows) {
      const more = weightOf(row)
      if (weight && weight + more > most) {
        parts.push([])
        weight = 0
      }
      const part = parts.at(-1)!
      if (!here || part.at(-1) !== here) {
        here = { title: here ? `${title}, continued` : title, columns, rows: [] }
        part.push(here)
      }
      here.rows.push(row)
      weight += more
    }
  }
  return parts
}
