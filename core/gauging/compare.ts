import { judge, type Limits } from '../verdict.ts'

export interface Comparison {
  change: number
  moved: 'toward the limit' | 'away from the limit' | 'not at all'
}

/**
 * As found against as left of one check: the change, and whether it went toward the limit or away from it.
 * `resolution` is the smallest difference that means anything; below it nothing moved. Unit in = unit out.
 */
export function compareFoundLeft(found: number, left: number, limits: Limits, resolution = 0.001): Comparison {
  const change = left - found
  if (Math.abs(change) < resolution - 1e-9) return { change, moved: 'not at all' }
  const used = (value: number) => judge(value, limits).share ?? 0
  return { change, moved: used(left) > used(found) ? 'toward the limit' : 'away from the limit' }
}
