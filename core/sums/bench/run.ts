import { steadiness } from '../../proving/run.ts'
import { BASE_UNIT, fixed, fromBase, UNITS, type UnitName } from '../../quantity/index.ts'
import { accept } from '../../result.ts'
import { durationMs } from '../../sheet/duration.ts'
import type { Check, Run, RunColumn } from '../../sheet/types.ts'
import { holdAgainst, leftOpen, worseJudgement, type Held } from '../../verdict.ts'
import { cellKey } from '../cells.ts'
import { line, type Figure } from '../define.ts'
import type { Field } from '../fields.ts'
import { READINGS, readings, type BenchSum, type ReadRow } from './define.ts'

/** Rows that one run has at the most. */
export const MOST_ROWS = 240
const MINUTE = 60_000
const STEADY_OVER = '30 min'

/** A row of a run: which way it turned, empty where it turns one way, and for how long by then, minutes. */
export interface RunRow {
  way: string
  minute: number
}

/** The ways a run goes, one after the other; one without a name where the sheet names none. */
export const waysOf = ({ ways }: Run): string[] => ways ?? ['']

/** A row by its name: `45 min`, `backwards, 45 min`. */
export const rowName = ({ way, minute }: RunRow): string => `${way ? `${way}, ` : ''}${minute} min`

/** The row that a name stands for; null where it is none of this run. */
export function rowNamed(run: Run, name: string): RunRow | null {
  const way = waysOf(run).find(one => (one ? name.startsWith(`${one}, `) : /^\d/.test(name)))
  if (way === undefined) return null
  const minute = /^(0|[1-9]\d{0,4}) min$/.exec(way ? name.slice(way.length + 2) : name)
  return minute ? { way, minute: Number(minute[1]) } : null
}

/** A run's own times, minutes. */
export const minutesOf = ({ for: whole, every }: Run) => ({
  whole: durationMs(whole) / MINUTE,
  every: durationMs(every) / MINUTE,
})

interface Read extends RunRow {
  name: string
  row: ReadRow
}

/** What was read so far, way by way, in the order of time. */
function inOrder(run: Run, read: readonly ReadRow[]): Read[] {
  const ways = waysOf(run)
  return read
    .map(row => ({ name: row.name, row, ...rowNamed(run, row.name)! }))
    .sort((a, b) => ways.indexOf(a.way) - ways.indexOf(b.way) || a.minute - b.minute)
}

/** By how much a column lies over another in a row; undefined where either is not read yet, or nothing is held against it. */
function riseIn({ id, rise }: RunColumn, row: ReadRow): number | undefined {
  const [own, under] = [row[id], rise && row[rise.over]]
  return own === undefined || under === undefined ? undefined : Number(own) - Number(under)
}

const riseHeld = ({ rise, high }: RunColumn, value: number, { source }: Check): Held =>
  holdAgainst(value, { max: rise!.max }, source, { high })

/** How one column stands in a row, by itself and over another; undefined where nothing is held against it. */
function heldIn(column: RunColumn, row: ReadRow, check: Check): Held | undefined {
  const { id, limits, low, high } = column
  const [value, rise] = [row[id], riseIn(column, row)]
  const own = value === undefined || !limits ? [] : [holdAgainst(Number(value), limits, check.source, { low, high })]
  return [...own, ...(rise === undefined ? [] : [riseHeld(column, rise, check)])].reduce<Held | undefined>(
    (worst, one) => (worst ? worseJudgement(worst, one) : one),
    undefined,
  )
}

/** How fast one column still changes in one way, in its base unit an hour; null while its window is not full. */
function slopeOf({ id, steady }: RunColumn, rows: readonly Read[]): number | null {
  const samples = rows.flatMap(({ minute, row }) => (row[id] === undefined ? [] : [{ minute, value: Number(row[id]) }]))
  const found = steadiness(samples, durationMs(steady?.over ?? STEADY_OVER) / MINUTE)
  return found.ok ? found.value.slopePerHour : null
}

const isSteady = (column: RunColumn, rows: readonly Read[]): boolean => {
  const slope = slopeOf(column, rows)
  return !column.steady || (slope !== null && Math.abs(slope) <= column.steady.perHour + 1e-9)
}

/** What is out stops the run: nothing more is read of it, and nobody asks whether it was steady. */
const isStoppedBy = (rows: readonly Read[], check: Check): boolean =>
  rows.some(({ row }) => check.run!.columns.some(one => heldIn(one, row, check)?.verdict === 'Out'))

/** The rows of a run after what was read so far: those that were read, and the next one while it goes on. */
export function rowsAfter(read: readonly ReadRow[], check: Check): { names: string[]; isOver: boolean } {
  const run = check.run!
  const { whole, every } = minutesOf(run)
  const rows = inOrder(run, read)
  const names = rows.map(one => one.name)
  if (isStoppedBy(rows, check)) return { names, isOver: true }
  for (const way of waysOf(run)) {
    const own = rows.filter(one => one.way === way)
    const last = own.at(-1)
    if (own.some(({ row }) => run.columns.some(({ id }) => row[id] === undefined))) return { names, isOver: false }
    const isDone = last && last.minute >= whole && run.columns.every(one => isSteady(one, own))
    if (isDone || rows.length >= MOST_ROWS) continue
    return { names: [...names, rowName({ way, minute: last ? last.minute + every : 0 })], isOver: false }
  }
  return { names, isOver: true }
}

/** A figure of a column in its own unit, as it is written. */
const said = (value: number, { unit, decimals }: RunColumn): string =>
  `${fixed(fromBase(value, unit), decimals)}${unit === '1' ? '' : ` ${unit}`}`

/** The unit that a difference of two figures of a kind is in. */
const differenceOf = ({ unit }: RunColumn): UnitName => {
  const { kind } = UNITS[unit]
  return kind === 'temperature' ? 'K' : BASE_UNIT[kind]
}

/** The figure that says how fast a column still changes in one way, by its key. */
export const steadyKey = ({ name }: RunColumn, way: string): string => `steady ${nameIn(name, way)}`
const nameIn = (name: string, way: string) => [name, way].filter(Boolean).join(', ')

/** What one column came to in one way: its worst readings, whether it is steady, and how that was found. */
function columnOf(column: RunColumn, way: string, rows: readonly Read[], check: Check, isStopped: boolean) {
  const read = rows.flatMap(({ name, minute, row }) =>
    row[column.id] === undefined
      ? []
      : [
          {
            ...{ name, minute, value: Number(row[column.id]), rise: riseIn(column, row) },
            held: heldIn(column, row, check),
          },
        ],
  )
  const [first, last] = [read[0], read.at(-1)]
  if (!first || !last) return { figures: [], working: [] }
  const what = nameIn(column.name, way)
  const base = BASE_UNIT[UNITS[column.unit].kind]
  const greatest = read.reduce((a, b) => (b.value > a.value ? b : a))
  const least = read.reduce((a, b) => (b.value < a.value ? b : a))
  const extremes = [greatest, ...(column.limits?.min === undefined ? [] : [least])].map(
    ({ minute, value }): Figure => ({
      ...{
        key: way ? what : column.id,
        what: `${what}, at ${minute} min`,
        value,
        unit: base,
        decimals: column.decimals,
      },
      ...(column.limits ? { held: holdAgainst(value, column.limits, check.source, column) } : {}),
    }),
  )
  const risen = read.flatMap(({ minute, rise }) => (rise === undefined ? [] : [{ minute, rise }]))
  const most = risen.reduce((a, b) => (b.rise > a.rise ? b : a), risen[0]!)
  const under = check.run!.columns.find(one => one.id === column.rise?.over)?.name
  const slope = column.steady ? slopeOf(column, rows) : null
  const rate = `${column.unit} an hour`
  const perHour = slope === null ? null : slope / UNITS[column.unit].factor
  return {
    figures: [
      ...extremes,
      ...(risen.length
        ? [
            {
              ...{ key: `rise ${what}`, what: `${what} over ${under}, at ${most.minute} min`, value: most.rise },
              ...{ unit: differenceOf(column), decimals: column.decimals, held: riseHeld(column, most.rise, check) },
            },
          ]
        : []),
      ...(column.steady && !isStopped
        ? [
            {
              ...{ key: steadyKey(column, way), what: `${what}, ${rate}`, value: perHour, decimals: 2 },
              held: steadyHeld(column.steady.perHour, slope, check.source),
            },
          ]
        : []),
      ...read.flatMap(({ name, value, held }): Figure[] => {
        const at = cellKey({ field: READINGS, place: name, column: column.id })
        return held ? [{ key: at, what: `${name}, ${column.name}`, value, unit: base, held, at }] : []
      }),
    ],
    working: [
      line(
        what,
        '',
        `${said(first.value, column)} at ${first.minute} min to ${said(last.value, column)} at ${last.minute} min`,
        `maximum ${said(greatest.value, column)}${perHour === null ? '' : `, ${fixed(perHour, 2)} ${rate} at the end`}`,
      ),
    ],
  }
}

/** Steady, or not yet: then it runs on. It is never out of it. */
function steadyHeld(perHour: number, slope: number | null, source: string): Held {
  if (slope === null) return holdAgainst(Number.NaN, {}, 'not run long enough to tell whether it is steady')
  const held = holdAgainst(Math.abs(slope), { max: perHour, warningShare: 0 }, source)
  return held.verdict === 'Out' ? leftOpen(held, 'not steady yet: run on') : held
}

/**
 * A run, read row by row: what is read of a machine that turns, against time, each way. The worst reading of every column is
 * held against its limits, and its least-squares slope over the last window against the rate that counts as steady.
 */
export const runTableSum: BenchSum = {
  name: 'run',
  title: 'Run table',
  fields: check =>
    readings(
      check,
      Object.fromEntries(
        check.run!.columns.map(({ id, name, unit, span }): [string, Field] => [
          id,
          { type: 'number', label: name, unit: BASE_UNIT[UNITS[unit].kind], shown: unit, span },
        ]),
      ),
    ),
  grows: { after: rowsAfter, isRow: (name, check) => rowNamed(check.run!, name) !== null, most: MOST_ROWS },
  work: ({ readings: read = [] }, check) => {
    const run = check.run!
    const rows = inOrder(run, read)
    const isStopped = isStoppedBy(rows, check)
    const came = waysOf(run).flatMap(way =>
      run.columns.map(column =>
        columnOf(
          column,
          way,
          rows.filter(one => one.way === way),
          check,
          isStopped,
        ),
      ),
    )
    const [first] = run.columns
    const values = rows.flatMap(({ row }) => row[first!.id] ?? []).map(Number)
    const whole: Figure[] = values.length
      ? [
          {
            key: 'value',
            what: `${first!.name}, maximum`,
            value: Math.max(...values),
            unit: BASE_UNIT[UNITS[first!.unit].kind],
          },
        ]
      : []
    return accept({
      figures: [...whole, ...came.flatMap(one => one.figures)],
      working: came.flatMap(one => one.working),
    })
  },
}
