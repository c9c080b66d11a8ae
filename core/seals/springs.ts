import { accept, refuse, type Result } from '../result.ts'

export interface Springs {
  meanMm: number
  rangeMm: number
  /** Place of the odd one out, from 1; null where all are alike within the resolution. */
  odd: number | null
  /** Loss of free length against a new one, by place. */
  lossMm: readonly number[]
}

const RESOLUTION_MM = 0.05

/**
 * Free lengths of the springs of one set, by place, against a new one and against each other, mm. The odd one out stands
 * furthest from the median. Refused: fewer than two springs, a length not above nought.
 */
export function compareSprings(freeMm: readonly number[], newMm: number): Result<Springs> {
  if (freeMm.length < 2 || !freeMm.every(one => one > 0) || !(newMm > 0)) return refuse('Measure every spring of the set, two or more, and a new one.')
  const sorted = [...freeMm].sort((a, b) => a - b)
  const half = sorted.length / 2
  const median = Number.isInteger(half) ? (sorted[half - 1]! + sorted[half]!) / 2 : sorted[Math.floor(half)]!
  const off = freeMm.map(one => Math.abs(one - median))
  const rangeMm = sorted.at(-1)! - sorted[0]!
  return accept({ meanMm: freeMm.reduce((sum, one) => sum + one, 0) / freeMm.length, rangeMm, odd: rangeMm > RESOLUTION_MM + 1e-9 ? off.indexOf(Math.max(...off)) + 1 : null, lossMm: freeMm.map(one => newMm - one) })
}
