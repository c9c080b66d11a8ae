import type { Writer } from '../../gauging/index.ts'
import { BASE_UNIT, UNITS } from '../../quantity/index.ts'
import type { Result } from '../../result.ts'
import type { Check, CheckPlace, Moment, SumOf } from '../../sheet/types.ts'
import { holdAgainst, type Held } from '../../verdict.ts'
import type { Answer, Figure } from '../define.ts'
import type { Field, Fields, NumberField } from '../fields.ts'

/** The one table that a way of measuring reads: a row for each place, named. */
export const READINGS = 'readings'
export type ReadRow = { name: string } & Record<string, number | string>
export type BenchInput = { [READINGS]?: ReadRow[] } & Record<string, unknown>

/**
 * A way of measuring: a small sum that is always at hand at the bench and nowhere else. Its fields follow the check that
 * asks for it. Figures are in the base unit of the check's kind.
 */
export interface BenchSum {
  name: string
  title: string
  fields: (check: Check) => Fields
  /** What other checks give it. */
  from?: (check: Check, moment: Moment) => NonNullable<SumOf['from']>
  /** A table whose rows come as it is read; all others have the places that the sheet names. */
  grows?: Growing
  /** Works out what has been read so far: places not read yet are left out. */
  work: (input: BenchInput, check: Check, write: Writer) => Result<Answer>
}

/** How a table grows. */
export interface Growing {
  /** Its rows after what was read so far, by name, the next one last; and whether it is over: then nothing more of it is wanted. */
  after: (read: readonly ReadRow[], check: Check) => { names: string[]; isOver: boolean }
  /** Whether a row of that name may be read. */
  isRow: (name: string, check: Check) => boolean
  /** Rows it has at the most. */
  most: number
}

/** The places a check is read at; a nameless one where it has none. */
export const placesAt = ({ stations }: Pick<Check, 'stations'>): CheckPlace[] => stations ?? [{ name: '' }]

/** A figure read by gauge, as a field. */
export const gauged = ({ title, unit, span }: Check, row?: NumberField['row']): NumberField => ({
  type: 'number',
  label: title,
  unit: BASE_UNIT[UNITS[unit].kind],
  shown: unit,
  span,
  ...(row ? { row } : {}),
})

/** The table of a way of measuring, with these columns. */
export const readings = (check: Check, columns: Record<string, Field>): Fields => ({
  [READINGS]: { type: 'rows', label: check.title, columns, least: 1, most: 40 },
})

/** A value of a check held against its limits; undefined where it has none. */
export const heldOf = (value: number, { limits, source, low, high }: Check): Held | undefined =>
  limits.min === undefined && limits.max === undefined ? undefined : holdAgainst(value, limits, source, { low, high })

/** A figure of a check, in its base unit. */
export const figureOf = (key: string, what: string, value: number, check: Check, held?: Held, at?: string): Figure => ({
  ...{ key, what, value, unit: BASE_UNIT[UNITS[check.unit].kind], decimals: check.decimals },
  ...(held ? { held } : {}),
  ...(at === undefined ? {} : { at }),
})
