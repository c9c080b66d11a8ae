import { holdAgainst, judge, type Consequences, type Held, type Limits } from '../verdict.ts'
import { maker, number, type NumberField } from './fields.ts'
import type { UnitName } from '../quantity/index.ts'

/** Limits that a person types from the maker's manual: they go before any table in the core. */
export const MAKER = 'typed here, from the maker’s manual'
export const NO_LIMIT = 'no limit given: type the one in the maker’s manual'
export const RULE_OF_THUMB = 'a rule of thumb; the maker’s manual goes before it'

/** A pair of optional fields for the maker's least and greatest. Their keys carry the unit, as every name does. */
export const makerMin = (unit: UnitName, span: readonly [number, number]): NumberField & { optional: true } =>
  maker('min', number('Maker’s minimum', unit, span))
export const makerMax = (unit: UnitName, span: readonly [number, number]): NumberField & { optional: true } =>
  maker('max', number('Maker’s maximum', unit, span))

/** Said where a sum knows no better: what the figure belongs to is not known to it. */
const OUTSIDE: Consequences = {
  low: 'under what the maker allows: do not build it in without asking',
  high: 'over what the maker allows: do not build it in without asking',
}

/** Holds a value against the maker's limits where they were typed; else against a general table, labelled as such; else against nothing. */
export function hold(
  value: number,
  given: Limits,
  consequences: Consequences = {},
  general?: { limits: Limits; source: string },
): Held {
  const isGiven = given.min !== undefined || given.max !== undefined
  const says = { ...OUTSIDE, ...consequences }
  if (isGiven) return holdAgainst(value, given, MAKER, says)
  return general ? holdAgainst(value, general.limits, general.source, says) : holdAgainst(value, {}, NO_LIMIT)
}

/** Of a least and a greatest, the one that a sheet's reading holds: the least, unless only the greatest is out. Never their mean. */
export const worseOf = (least: number, greatest: number, limits: Limits): number =>
  judge(greatest, limits).verdict === 'Out' && judge(least, limits).verdict !== 'Out' ? greatest : least
