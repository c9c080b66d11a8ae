import { ONE_FIGURE, ROWS, reduceTries, type LiftStyle, type Row } from '../../gauging/index.ts'
import { isUnit, shownUnit as worldUnit, UNITS, type LengthSystem, type UnitName } from '../../quantity/index.ts'
import type { Result } from '../../result.ts'
import type { Check, Moment, Ref, RunColumn, SumOf } from '../../sheet/index.ts'
import { cellKey, type At } from '../../sums/cells.ts'
import type { AnySum } from '../../sums/define.ts'
import type { Field } from '../../sums/fields.ts'
import { inSentence, readIn, shownUnit } from '../../sums/read.ts'
import type { Payloads } from '../ledger/entry.ts'
import type { Stamp } from '../ledger/state.ts'
import { widthOf } from './doubt.ts'
import type { Way } from './way.ts'
import { placeName } from '../ledger/words.ts'

/** One thing that is read at the bench: where, as what, in how many tries, and which parts it tells of. */
export interface Cell extends At {
  /** The text for where it stands, for maps. */
  key: string
  /** As it is called among the others; empty where it is the only one. */
  name: string
  as: Field
  /** How one try is read. */
  row: Row
  tries: number
  /** The width that tries are held against; undefined where nothing says how far they may lie apart. */
  width?: number
  of: readonly Ref[]
}

/** One figure or answer, in the unit its field is held in. */
export type CellValue = number | string | boolean | readonly (number | string)[]

/** What was read in a cell: every try of it, figure by figure. */
export interface Tried {
  values: readonly (readonly CellValue[])[]
  style?: LiftStyle
}

/** One cell of one check at one moment, as last read: what was typed, and what it is. */
export type CellRead = Stamp & Payloads['reading.taken'] & Pick<Tried, 'values'>

/** The parts that are told of at a place of a check. */
export const partsAt = (check: Check, { rows }: SumOf, { field, place = '', column }: At): readonly Ref[] =>
  rows?.[field]?.find(one => one.name === place)?.of ??
  check.run?.columns.find(one => one.id === column)?.of ??
  check.of

/** A check as it is held against at one of its cells: every column of a run has a unit, limits and words of its own. */
export function checkAt(check: Check, { column = '' }: Pick<At, 'column'>): Check {
  const own = check.run?.columns.find(one => one.id === column)
  if (!own) return check
  const made = AT_COLUMN.get(own) ?? ownCheck(check, own)
  AT_COLUMN.set(own, made)
  return made
}
const AT_COLUMN = new WeakMap<RunColumn, Check>()
const ownCheck = (check: Check, { name, unit, decimals, span, limits = {}, low, high }: RunColumn): Check => ({
  ...check,
  ...{ run: undefined, title: name, unit, decimals, span, limits, low, high },
})

const isTable = (field: Field) => field.type === 'rows' || (field.type === 'list' && !field.ticked)

/** Whether a field is read at the bench, with what is known of the others. */
function isAsked(
  sum: AnySum,
  { given, from, also, rows }: SumOf,
  key: string,
  known: Record<string, unknown>,
): boolean {
  const field = sum.fields[key]!
  if (given?.[key] !== undefined || from?.[key] !== undefined || field.maker) return false
  if (field.only) return field.only.slice(1).includes(String(known[field.only[0]]))
  return Boolean(also?.includes(key) || rows?.[key]) || (!field.optional && field.fallback === undefined)
}

/** A field as a check reads it: in the check's unit, where that is another of the same kind. A share stays a share. */
function readAs(sum: AnySum, as: Field, { unit }: Check): Field {
  if (sum.bench || as.type !== 'number' || as.shown || as.unit === unit) return as
  const { kind } = UNITS[as.unit]
  return kind === UNITS[unit].kind && kind !== UNITS['1'].kind ? { ...as, shown: unit } : as
}

/** Everything that is read at the bench for a check, in the order of the sum's fields. */
export function cellsOf(sum: AnySum, spec: SumOf, check: Check, known: Record<string, unknown>): Cell[] {
  const cell = (at: At, name: string, as: Field, of: readonly Ref[] = check.of): Cell => ({
    ...at,
    key: cellKey(at),
    name,
    as: readAs(sum, as, check),
    row: (as.type === 'number' && as.row) || ONE_FIGURE,
    tries: as.type === 'number' ? (check.tries ?? 1) : 1,
    ...(sum.bench && as.type === 'number' ? { width: widthOf(check) } : {}),
    of,
  })
  return Object.keys(sum.fields)
    .filter(key => isAsked(sum, spec, key, known))
    .flatMap((field): Cell[] => {
      const as = sum.fields[field]!
      const places = spec.rows?.[field] ?? []
      if (as.type === 'rows')
        return places.flatMap(place =>
          Object.entries(as.columns)
            .filter(([column, one]) => place[column] === undefined && !one.optional && one.fallback === undefined)
            .map(([column, one], _, { length }) =>
              cell(
                { field, place: place.name, column },
                check.planes
                  ? placeName({ station: place.name, plane: column })
                  : // A place of which one thing alone is read needs no name for that.
                    length === 1
                    ? place.name
                    : `${place.name}, ${inSentence(one.label)}`,
                one,
                partsAt(check, spec, { field, place: place.name, column }),
              ),
            ),
        )
      if (isTable(as) && as.type === 'list')
        return places.map(({ name, of }) =>
          cell({ field, place: name }, name, { type: 'number', label: name, unit: as.unit, span: as.span }, of),
        )
      return [cell({ field }, as.label, as)]
    })
}

/** The cell at a place of a check, whatever its other cells say; undefined where there is none. */
export function cellNamed({ sum, spec, grows }: Way, check: Check, at: At): Cell | undefined {
  const field = Object.hasOwn(sum.fields, at.field) ? sum.fields[at.field] : undefined
  if (!field) return undefined
  const key = cellKey(at)
  const named = NAMED.get(check) ?? new WeakMap<SumOf, Map<string, Cell>>()
  NAMED.set(check, named)
  const made = named.get(spec) ?? new Map<string, Cell>()
  named.set(spec, made)
  const before = made.get(key)
  if (before) return before
  const known = field.only ? { [field.only[0]]: field.only[1] } : {}
  const rows = grows?.isRow(at.place ?? '') ? { rows: { [at.field]: [{ name: at.place! }] } } : {}
  const cell = cellsOf(sum, { ...spec, ...rows }, check, known).find(one => one.key === key)
  // Of what is no cell nothing is kept: there is no end to such names.
  if (cell) made.set(key, cell)
  return cell
}
/** Cells by their keys, with what the sheet says of their check: a ledger asks for the same ones again and again. */
const NAMED = new WeakMap<Check, WeakMap<SumOf, Map<string, Cell>>>()

/** The unit a bare figure of a cell is read in, in the screen's own world of lengths; null where it has none. */
export const unitOf = ({ as }: Pick<Cell, 'as'>, lengths: LengthSystem = 'mm'): UnitName | null =>
  as.type === 'number' ? (as.shown ? worldUnit(as.shown, lengths) : shownUnit(as.unit, lengths)) : null

const refused = (why: string) => ({ ok: false, why }) as const

/**
 * What is typed or chosen once, as the sum takes it; or the sentence that refuses it.
 * @param unit the unit a bare figure is in; the cell's own where it is left out
 */
export function readFigure({ as, name }: Pick<Cell, 'as' | 'name'>, said: string, unit?: string): Result<CellValue> {
  const parts = said.split(';').map(one => one.trim())
  switch (as.type) {
    case 'number': {
      if (unit !== undefined && !isUnit(unit)) return refused(`${as.label}: there is no unit “${unit}”.`)
      if (unit !== undefined && UNITS[unit].kind !== UNITS[as.unit].kind)
        return refused(`${as.label} is not read in ${unit}. Give it in ${as.shown ?? as.unit}.`)
      const read = readIn(said, as, unit ?? as.shown ?? as.unit)
      return read.ok && as.whole && !Number.isInteger(read.value)
        ? refused(`${name || as.label} is a whole number. Count again.`)
        : read
    }
    case 'choice':
      return as.choices.includes(said)
        ? { ok: true, value: said }
        : refused(`${name || as.label}: there is no answer “${said}”. Choose one of: ${as.choices.join(', ')}.`)
    case 'many':
      return parts.every(one => as.choices.includes(one))
        ? { ok: true, value: parts }
        : refused(`${name}: there is no answer “${said}”.`)
    case 'flag':
      return said === 'yes' || said === 'no'
        ? { ok: true, value: said === 'yes' }
        : refused(`${name}: answer yes or no.`)
    case 'list': {
      const figures = parts.map(Number)
      return figures.length >= as.least &&
        figures.length <= as.most &&
        figures.every(one => one >= as.span[0] && one <= as.span[1])
        ? { ok: true, value: figures }
        : refused(`${name}: ${as.least} squares are wanted.`)
    }
    case 'text':
      return said.length <= as.most ? { ok: true, value: said } : refused(`${name} is too long.`)
    case 'rows':
      return refused(`${name} is filled in row by row.`)
  }
}

/**
 * What was typed or chosen in a cell, try by try and figure by figure, as the sum takes it.
 * @param unit the unit a bare figure is in; the cell's own where it is left out
 */
export function readCell(
  cell: Pick<Cell, 'as' | 'name' | 'row'>,
  texts: readonly (readonly string[])[],
  unit?: string,
  style?: LiftStyle,
): Result<Tried> {
  const title = cell.as.label
  const values: CellValue[][] = []
  for (const row of texts) {
    if (row.length !== cell.row.figures) return refused(`${title} takes ${cell.row.figures} figures a try.`)
    const figures: CellValue[] = []
    for (const said of row) {
      const read = readFigure(cell, said, unit)
      if (!read.ok) return read
      figures.push(read.value)
    }
    values.push(figures)
  }
  if (!values.length) return refused(`${title}: there is no reading in it.`)
  const tried: Tried = { values, ...(style ? { style } : {}) }
  for (const row of values) {
    const figure = figureOfTry(cell, row, tried)
    if (!figure.ok) return figure
  }
  return { ok: true, value: tried }
}

/** One try of a cell as one figure, in the unit it is held in; an answer as it is. */
export function figureOfTry(
  { row: { of }, as }: Pick<Cell, 'as' | 'row'>,
  row: readonly CellValue[],
  { style }: Pick<Tried, 'style'> = {},
): Result<CellValue> {
  return as.type === 'number' ? ROWS[of].figure(row as number[], style) : { ok: true, value: row[0]! }
}

/** What a cell comes to: one value, and whether its tries agree. */
export interface Reduced {
  value: CellValue
  /** Every try as one figure; empty of what is answered. */
  figures: number[]
  range: number
  /** The tries spread too far: least and greatest, and the one that stands furthest off, where one does. */
  scatter: { least: number; greatest: number; furthest: number | null } | null
}

/** The tries of a cell as one value: their mean, or the answer; null where there is none. Tries that are not whole are left out. */
export function reduceCell(cell: Pick<Cell, 'as' | 'row' | 'width'>, tried: Tried): Reduced | null {
  const whole = tried.values.filter(row => row.length === cell.row.figures)
  if (!whole.length) return null
  const read = whole.map(row => figureOfTry(cell, row, tried))
  if (cell.as.type !== 'number') {
    const last = read.at(-1)!
    return last.ok ? { value: last.value, figures: [], range: 0, scatter: null } : null
  }
  const figures = read.flatMap(one => (one.ok ? [one.value as number] : []))
  const tries = reduceTries(figures, { tolerance: cell.width })
  if (!tries.ok) return null
  const { mean, range, measureAgain, furthest } = tries.value
  return {
    value: mean,
    figures,
    range,
    scatter: measureAgain ? { least: Math.min(...figures), greatest: Math.max(...figures), furthest } : null,
  }
}

/** What an entry says of a cell of a check at a moment, as it was typed. */
export const readingIn = (
  check: string,
  moment: Moment,
  { field, place, column }: At,
  tries: readonly (readonly string[])[],
  more: Pick<Payloads['reading.taken'], 'unit' | 'instrument' | 'leading' | 'style'> = {},
): Payloads['reading.taken'] => ({
  check,
  moment,
  field,
  ...(place ? { place } : {}),
  ...(column ? { column } : {}),
  tries,
  ...more,
})

/** What stands in an input of the sum for a cell, as it would be typed or chosen; undefined where nothing does. */
export function saidIn(
  input: Readonly<Record<string, unknown>>,
  { field, column }: At,
  row?: number,
): string | undefined {
  const value = input[field]
  const one = row === undefined ? value : (value as unknown[] | undefined)?.[row]
  const told = column ? (one as Record<string, unknown> | undefined)?.[column] : one
  if (told === undefined) return undefined
  return Array.isArray(told) ? told.join(';') : typeof told === 'boolean' ? (told ? 'yes' : 'no') : String(told)
}
