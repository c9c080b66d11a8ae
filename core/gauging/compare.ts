import { judge, type Limits } from '../verdict.ts'

export type Movement =
  'toward the limit' | 'away from the limit' | 'as near as before' | 'not at all' | 'no limit to go by'

export interface Comparison {
  change: number
  moved: Movement
}

/**
 * As found against as left of one check: the change, and whether it went toward the limit or away from it.
 * Out is nearer than any place inside, and further out is nearer still; inside, the share of the allowance counts, and
 * where the limits give none (a lone minimum, the free side of a lone maximum) the room left.
 * `resolution` is the smallest difference that means anything; below it nothing moved. Unit in = unit out.
 */
export function compareFoundLeft(found: number, left: number, limits: Limits, resolution = 0.001): Comparison {
  const change = left - found
  if (Math.abs(change) < resolution - 1e-9) return { change, moved: 'not at all' }
  if (limits.min === undefined && limits.max === undefined) return { change, moved: 'no limit to go by' }
  const [before, after] = [nearness(found, limits), nearness(left, limits)]
  const decides = before.map((one, i) => after[i]! - one).find(one => Math.abs(one) > 1e-9)
  if (decides === undefined) return { change, moved: 'as near as before' }
  return { change, moved: decides > 0 ? 'toward the limit' : 'away from the limit' }
}

/** How near a value is to being out, by what counts first: how far outside, share of the allowance, room left (less is nearer). */
function nearness(value: number, limits: Limits): readonly number[] {
  const { min = -Infinity, max = Infinity } = limits
  return [Math.max(min - value, value - max, 0), judge(value, limits).share ?? 0, -Math.min(value - min, max - value)]
}
