import { fromBase, isUnit, toBase } from '../../quantity/index.ts'
import { refuse, type Result } from '../../result.ts'
import type { Check, SumOf } from '../../sheet/index.ts'
import { READINGS, type ReadRow } from '../../sums/bench/index.ts'
import { atOf, cellKey } from '../../sums/cells.ts'
import { costOf, MOST_STEPS, runSum, type Answer, type AnySum, type Figure } from '../../sums/define.ts'
import { NO_LIMIT } from '../../sums/limits.ts'
import { worstVerdict } from '../../verdict.ts'
import { cellsOf, reduceCell, type Cell, type CellValue, type Tried } from './cells.ts'
import type { Way } from './way.ts'

/** What another check gives: a figure, or one for every place; null where it cannot be had yet. */
export type Given = number | readonly number[] | null

const TOO_LONG = 'There are too many ways to put this together. Check the figures, or leave out what is not wanted.'

/** A check's sum with what is fixed, read and given by others put in. */
export interface Worked extends Way {
  cells: Cell[]
  missing: Cell[]
  /** Cells whose tries lie too far apart. */
  scattered: Cell[]
  input: Record<string, unknown>
  /** What other checks give, in base units; null where it cannot be had yet, undefined where no earlier job gave any. */
  derived: Readonly<Record<string, Given | undefined>>
  /** Nothing of an earlier job is there to hold it against: it is only kept. */
  isFirst: boolean
  /** Null while there is nothing to work out, or not enough. */
  answer: Result<Answer> | null
}

/** The limits of a check go to the fields that take the maker's, in their units. */
function limitsIn(sum: AnySum, { limits }: Check): Record<string, number> {
  return Object.fromEntries(
    Object.entries(sum.fields).flatMap(([key, field]) => {
      const limit = field.maker ? limits[field.maker] : undefined
      return limit === undefined || field.type !== 'number' ? [] : [[key, fromBase(limit, field.unit)]]
    }),
  )
}

/** The rows of a table as its sum takes them: what the sheet fixes, and what has been read. */
function rowsIn(sum: AnySum, field: string, places: NonNullable<SumOf['rows']>[string], read: Values): unknown[] {
  const as = sum.fields[field]!
  const value = (place: string, column?: string) => read.get(cellKey({ field, place, ...(column ? { column } : {}) }))
  if (as.type !== 'rows') return places.map(({ name }) => value(name))
  const rows = places.map(({ name, of: _, ...fixed }) => ({
    fixed: sum.bench ? { name } : 'name' in as.columns ? { ...fixed, name } : fixed,
    read: Object.fromEntries(
      Object.keys(as.columns).flatMap(column => {
        const one = value(name, column)
        return one === undefined ? [] : [[column, one]]
      }),
    ),
  }))
  return rows.filter(one => !sum.bench || Object.keys(one.read).length).map(one => ({ ...one.fixed, ...one.read }))
}

type Values = ReadonlyMap<string, CellValue>

/** The rows of a table that grows, after what was read of it. */
function grownBy({ spec, grows }: Way, read: ReadonlyMap<string, Tried>): { spec: SumOf; isOver: boolean } {
  if (!grows) return { spec, isOver: false }
  const rows = new Map<string, ReadRow>()
  for (const [key, { values }] of read) {
    const { place, column } = atOf(key)
    if (!place || !column || !grows.isRow(place)) continue
    rows.set(place, { ...rows.get(place), name: place, [column]: values[0]![0] as number })
  }
  const { names, isOver } = grows.after([...rows.values()])
  return { spec: { ...spec, rows: { [READINGS]: names.map(name => ({ name })) } }, isOver }
}

/**
 * Works a check out as far as it goes.
 * @param derived fields that other checks give, in base units; one that cannot be had yet is null
 * @param read what was read, by the key of its cell
 */
export function workOut(way: Way, check: Check, derived: Worked['derived'], read: ReadonlyMap<string, Tried>): Worked {
  const { sum } = way
  const { spec, isOver } = grownBy(way, read)
  const input: Record<string, unknown> = {}
  for (const [key, field] of Object.entries(sum.fields)) if (field.fallback !== undefined) input[key] = field.fallback
  Object.assign(input, limitsIn(sum, check), spec.given)
  for (const [key, value] of Object.entries(derived)) {
    const field = sum.fields[key]!
    if (typeof value === 'number' && field.type === 'number') input[key] = fromBase(value, field.unit)
    if (Array.isArray(value) && field.type === 'list') input[key] = value.map(one => fromBase(one, field.unit))
  }
  const reduced = (cell: Cell) => {
    const tried = read.get(cell.key)
    return tried ? reduceCell(cell, tried) : null
  }
  const take = (cell: Cell) => {
    const one = cell.place === undefined ? reduced(cell) : null
    if (one) input[cell.field] = one.value
  }
  // A field that is asked for only after another needs that one's answer first.
  if (Object.values(sum.fields).some(one => one.only)) cellsOf(sum, spec, check, input).forEach(take)
  const cells = cellsOf(sum, spec, check, input)
  cells.forEach(take)
  const values = new Map<string, CellValue>()
  const scattered: Cell[] = []
  for (const cell of cells) {
    const one = reduced(cell)
    if (one) values.set(cell.key, one.value)
    if (one?.scatter) scattered.push(cell)
  }
  const missing = isOver ? [] : cells.filter(cell => (read.get(cell.key)?.values.length ?? 0) < cell.tries)
  for (const [field, places] of Object.entries(spec.rows ?? {})) input[field] = rowsIn(sum, field, places, values)
  const isGiven = Object.values(derived).every(one => one !== null)
  const isWhole = isGiven && (sum.bench && cells.length ? values.size > 0 : !missing.length)
  const isFirst = Object.entries(derived).some(([key, one]) => one === undefined && !sum.fields[key]!.optional)
  const answer = !isWhole || isFirst ? null : costOf(sum, input) > MOST_STEPS ? refuse(TOO_LONG) : runSum(sum, input)
  return { ...way, spec, cells, missing, scattered, input, derived, isFirst, answer }
}

/** What of an answer is held against something: a figure nobody gave a limit is only told. */
export const judgedOf = (answer: Answer): Figure[] =>
  answer.figures.filter(one => one.held && one.held.source !== NO_LIMIT)

/** A figure of an answer in the base unit of its kind; null where it is none. */
export function figureInBase(answer: Answer, key: string): number | null {
  const { value = null, unit } = answer.figures.find(one => one.key === key) ?? {}
  if (typeof value !== 'number') return null
  return unit !== undefined && isUnit(unit) ? toBase(value, unit) : value
}

/** The figure that decides how an answer stands: the worst of those held, the first of equals. Null where none is. */
export const decidingFigure = (answer: Answer): Figure | null =>
  judgedOf(answer).reduce<Figure | null>(
    (worst, one) =>
      worst === null || worstVerdict([worst.held!.verdict, one.held!.verdict]) !== worst.held!.verdict ? one : worst,
    null,
  )
