import { minutesOf, READINGS, rowName, rowNamed, type RunRow } from '../../sums/bench/index.ts'
import type { Check, Moment } from '../../sheet/index.ts'
import { refuse, accept, type Result } from '../../result.ts'
import type { Payloads } from '../ledger/entry.ts'
import { readingIn } from './cells.ts'

/** A row of a run as it was typed: when, and what each of its columns read. */
export interface TypedRow extends RunRow {
  /** In the order of the columns. */
  texts: readonly string[]
}

/** A typed row as its entries: one a column, kept together. */
export const readingsOfRow = (check: Check, moment: Moment, { texts, ...row }: TypedRow): Payloads['reading.taken'][] =>
  check.run!.columns.map(({ id }, i) =>
    readingIn(check.id, moment, { field: READINGS, place: rowName(row), column: id }, [[texts[i]!.trim()]], {
      instrument: check.instrument,
    }),
  )

/** A minute as it is written: `45`, `45 min`, or as on a clock, `1:30`. Null where it is none. */
export function readMinute(text: string): number | null {
  const clock = /^(\d{1,3}):([0-5]\d)(?::00)?$/.exec(text.trim())
  if (clock) return Number(clock[1]) * 60 + Number(clock[2])
  const plain = /^(\d{1,5})(?:[.,]0+)?(?: ?min)?$/.exec(text.trim())
  return plain ? Number(plain[1]) : null
}

/** The rows of one way that were read, by their minutes. */
export const minutesRead = (check: Check, places: Iterable<string>, way: string): number[] =>
  [...new Set(places)]
    .flatMap(place => {
      const row = rowNamed(check.run!, place)
      return row?.way === way ? [row.minute] : []
    })
    .sort((a, b) => a - b)

const listed = (check: Check) => check.run!.columns.map(one => one.name).join(', ')

/**
 * A table that was copied from elsewhere, row by row: the minute and then a figure a column, by tabs or semicolons; without
 * the minutes where the rows follow each other as the sheet wants them. Lines above the first figures are headings.
 * @param way the way the machine turned
 * @param last the minute of the last row that was read of it; null where none was
 */
export function readTable(check: Check, text: string, way: string, last: number | null): Result<TypedRow[]> {
  const { columns } = check.run!
  const { every } = minutesOf(check.run!)
  const lines = text
    .split(/\r?\n/)
    .map(one => one.split(one.includes('\t') ? '\t' : ';').map(cell => cell.trim()))
    .filter(cells => cells.some(Boolean))
  const isHeading = (cells: string[]) => !cells.some(one => /^[-+]?[\d.,:]+/.test(one))
  const start = lines.findIndex(cells => !isHeading(cells))
  const body = start < 0 ? [] : lines.slice(start)
  if (!body.length) return refuse(`No row of figures is in it. Wanted, line by line: minute, ${listed(check)}.`)
  const rows: TypedRow[] = []
  let minute = last
  for (const [i, cells] of body.entries()) {
    const where = `Row ${i + 1}`
    const hasMinute = cells.length === columns.length + 1
    if (!hasMinute && cells.length !== columns.length)
      return refuse(`${where} has ${cells.length} figures. Wanted: minute, ${listed(check)}.`)
    const texts = hasMinute ? cells.slice(1) : cells
    minute = hasMinute ? readMinute(cells[0]!) : minute === null ? 0 : minute + every
    if (minute === null) return refuse(`${where}: “${cells[0]!.slice(0, 20)}” is no minute. Write 45, or 0:45.`)
    const blank = texts.findIndex(one => !one)
    if (blank >= 0) return refuse(`${where} has no figure for ${columns[blank]!.name}.`)
    if (rows.some(one => one.minute === minute)) return refuse(`${where}: ${minute} min stands there twice.`)
    rows.push({ way, minute, texts })
  }
  return accept(rows)
}
