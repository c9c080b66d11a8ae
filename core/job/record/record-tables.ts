import { SECTIONS, type SectionName } from '../kinds.ts'
import { RECORD_PARTS, type Cell, type Section } from '../ledger/section.ts'
import type { JobRecord } from './record.ts'

export interface RecordTable {
  title: string
  /** Widths are shares of the table. */
  columns: { head: string; width: number }[]
  rows: Cell[][]
}

const ALL = Object.keys(SECTIONS) as SectionName[]
const TABLES = RECORD_PARTS.flatMap(part => ALL.filter(name => SECTIONS[name].in === part))

/** The tables of a record, or those of some sections of it, those that have rows, as screen and PDF show them. */
export const recordTables = (record: JobRecord, of: readonly SectionName[] = TABLES): RecordTable[] =>
  of
    .map(name => {
      const { title, columns } = SECTIONS[name] as Section<unknown>
      return {
        title,
        columns: columns.map(({ head, width }) => ({ head, width })),
        rows: (record[name] as unknown[]).map(row => columns.map(column => column.cell(row))),
      }
    })
    .filter(one => one.rows.length)

/** How much one part of a long record holds: letters, with so many for every row. A part takes some seconds to print. */
const PART = 500_000
const ROW = 200
/** A photograph weighs as much: some forty go in one part. */
const PICTURE = 12_000

const weightOf = (row: readonly Cell[]): number =>
  row.reduce(
    (sum, { text: words = '', small = [], lines = [], picture }) =>
      sum + (picture ? PICTURE : 0) + [words, ...small, ...lines].reduce((letters, one) => letters + one.length, 0),
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
