import { accept, refuse, type Result } from '../result.ts'

export interface Tries {
  mean: number
  range: number
  count: number
  /** The range is more than the set share of the tolerance: measure again. */
  measureAgain: boolean
  /** Place in the list of the try that stands furthest from the others; only named with three or more unlike tries, and where one stands alone. */
  furthest: number | null
}

/** Tries that spread over more than this share of the tolerance disagree. */
export const SHARE_OF_TOLERANCE = 0.25

/**
 * Several tries of one reading, all of them kept: mean, range and whether they agree well enough.
 * Same unit throughout. `tolerance` is the width of the limits; without it nothing is said about agreement.
 * Refused: no try, or one that is not a number.
 *
 * @example reduceTries([59.984, 59.983, 59.983], { tolerance: 0.02 })
 */
export function reduceTries(
  values: readonly number[],
  { tolerance, share = SHARE_OF_TOLERANCE }: { tolerance?: number; share?: number } = {},
): Result<Tries> {
  if (!values.length) return refuse('No try yet. Take at least one reading.')
  if (!values.every(Number.isFinite)) return refuse('One of the tries is not a figure. Take it again.')
  const mean = meanOf(values)
  const range = Math.max(...values) - Math.min(...values)
  return accept({
    mean,
    range,
    count: values.length,
    measureAgain: tolerance !== undefined && range > tolerance * share + 1e-9,
    furthest: values.length >= 3 && range > 0 ? furthestFromTheRest(values) : null,
  })
}

/** Arithmetic mean of a list with at least one value. */
export function meanOf(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length
}

/** Spread of a list: greatest less least. */
export function rangeOf(values: readonly number[]): number {
  return Math.max(...values) - Math.min(...values)
}

/** Distance to the median names the odd one out; against the mean it would drag the mean with it. */
function furthestFromTheRest(values: readonly number[]): number | null {
  const sorted = [...values].sort((a, b) => a - b)
  const middle = sorted.length / 2
  const median = Number.isInteger(middle) ? (sorted[middle - 1]! + sorted[middle]!) / 2 : sorted[Math.floor(middle)]!
  const away = values.map(value => Math.abs(value - median))
  const most = Math.max(...away)
  return away.filter(one => one > most - 1e-9).length > 1 ? null : away.indexOf(most)
}
