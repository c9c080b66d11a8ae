import { fromBase, isUnit, toBase, type LengthSystem } from '../quantity/index.ts'
import type { Result } from '../result.ts'
import type { Check, Plan, SumOf } from '../sheet/index.ts'
import { runSum, type Answer, type AnySum, type Figure } from '../sums/define.ts'
import type { Field } from '../sums/fields.ts'
import { NO_LIMIT } from '../sums/limits.ts'
import { readNumber } from '../sums/read.ts'
import { worstVerdict } from '../verdict.ts'

/** One thing that is read at the bench for a sum: a field, or a cell of its table. */
export interface SumCell {
  field: string
  row?: number
  column?: string
  name: string
  as: Field
}

/** What was read of it, in the unit of its field, as the sum takes it. */
export type CellValue = number | string | boolean | (number | string)[]

export const figureKey = ({ field, row, column }: Pick<SumCell, 'field' | 'row' | 'column'>) =>
  [field, row ?? '', column ?? ''].join('/')

/** A cell with what is said of it, as an entry carries it. */
export const figureFor = ({ field, row, column }: SumCell, said: string, lengths?: LengthSystem) => ({
  field,
  ...(row === undefined ? {} : { row }),
  ...(column ? { column } : {}),
  said,
  ...(lengths ? { lengths } : {}),
})

/** What stands in an input of the sum for a cell, as it would be typed or chosen; undefined where nothing does. */
export function saidIn(input: Readonly<Record<string, unknown>>, { field, row, column }: SumCell): string | undefined {
  const value = input[field]
  const one = row === undefined ? value : (value as unknown[] | undefined)?.[row]
  const told = column ? (one as Record<string, unknown> | undefined)?.[column] : one
  if (told === undefined) return undefined
  return Array.isArray(told) ? told.join(';') : typeof told === 'boolean' ? (told ? 'yes' : 'no') : String(told)
}

/** The sum behind a check. A plan that works sums out is made with them at hand. */
export function sumOf(plan: Plan, check: Check): AnySum {
  const sum = plan.sums.get(check.sum!.name)
  if (!sum) throw new Error(`The sum ${check.sum!.name} is not at hand for ${check.id}.`)
  return sum
}

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

/** Everything that is read at the bench for a check, in the order of the sum's fields. */
export function cellsOfSum(sum: AnySum, spec: SumOf, known: Record<string, unknown>): SumCell[] {
  return Object.keys(sum.fields)
    .filter(key => isAsked(sum, spec, key, known))
    .flatMap((key): SumCell[] => {
      const field = sum.fields[key]!
      const places = spec.rows?.[key] ?? []
      if (field.type === 'rows')
        return places.flatMap((place, row) =>
          Object.entries(field.columns)
            .filter(([column, as]) => place[column] === undefined && !as.optional && as.fallback === undefined)
            .map(([column, as]) => ({ field: key, row, column, name: `${place.name}, ${as.label.toLowerCase()}`, as })),
        )
      if (isTable(field) && field.type === 'list')
        return places.map(({ name }, row) => ({
          field: key,
          row,
          name,
          as: { type: 'number', label: name, unit: field.unit, span: field.span },
        }))
      return [{ field: key, name: field.label, as: field }]
    })
}

/** What is typed or chosen for a cell, as the sum takes it; or the sentence that refuses it. */
export function readCell({ as, name }: SumCell, said: string, lengths: LengthSystem): Result<CellValue> {
  const refused = (why: string) => ({ ok: false, why }) as const
  const parts = said.split(';').map(one => one.trim())
  switch (as.type) {
    case 'number': {
      const read = readNumber(said, as, lengths)
      return read.ok && as.whole && !Number.isInteger(read.value)
        ? refused(`${name} is a whole number. Count again.`)
        : read
    }
    case 'choice':
      return as.choices.includes(said) ? { ok: true, value: said } : refused(`${name}: there is no answer “${said}”.`)
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

/** A sum with what is fixed, read and given by others put in. */
export interface WorkedSum {
  sum: AnySum
  cells: SumCell[]
  missing: SumCell[]
  input: Record<string, unknown>
  /** What other checks give, in base units; null where it cannot be had yet. */
  derived: Readonly<Record<string, number | null>>
  /** Null while something is missing. */
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

/**
 * Works a check's sum out as far as it goes.
 * @param derived fields that other checks give, in base units; one that cannot be had yet is null
 * @param read what was read, by figure key, in the units of the fields
 */
export function workSum(
  sum: AnySum,
  check: Check,
  derived: Readonly<Record<string, number | null>>,
  read: ReadonlyMap<string, CellValue>,
): WorkedSum {
  const spec = check.sum!
  const input: Record<string, unknown> = {}
  for (const [key, field] of Object.entries(sum.fields)) if (field.fallback !== undefined) input[key] = field.fallback
  Object.assign(input, limitsIn(sum, check), spec.given)
  for (const [key, value] of Object.entries(derived)) {
    const field = sum.fields[key]!
    if (value !== null && field.type === 'number') input[key] = fromBase(value, field.unit)
  }
  // A field that is asked for only after another needs that one's answer first.
  for (const cell of cellsOfSum(sum, spec, input)) {
    const value = read.get(figureKey(cell))
    if (cell.row === undefined && value !== undefined) input[cell.field] = value
  }
  const cells = cellsOfSum(sum, spec, input)
  const missing = cells.filter(cell => !read.has(figureKey(cell)))
  for (const [key, places] of Object.entries(spec.rows ?? {})) {
    const field = sum.fields[key]!
    const value = (row: number, column?: string) => read.get(figureKey({ field: key, row, column }))
    input[key] =
      field.type === 'rows'
        ? places.map(({ name: _, ...fixed }, row) => ({
            ...fixed,
            ...Object.fromEntries(
              Object.keys(field.columns).flatMap(column =>
                value(row, column) === undefined ? [] : [[column, value(row, column)]],
              ),
            ),
          }))
        : places.map((_, row) => value(row))
  }
  const isWhole = !missing.length && Object.values(derived).every(one => one !== null)
  return { sum, cells, missing, input, derived, answer: isWhole ? runSum(sum, input) : null }
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

/** The figure that decides how an answer stands: the worst of those held. Null where none is. */
export const decidingFigure = (answer: Answer): Figure | null =>
  judgedOf(answer).reduce<Figure | null>(
    (worst, one) =>
      worst === null || worstVerdict([worst.held!.verdict, one.held!.verdict]) !== worst.held!.verdict ? one : worst,
    null,
  )
