import { accept, refuse, type Result } from '../result.ts'

export interface BrushPressures {
  /** Pressure of each brush, kPa, in the order its spring was read. */
  eachKPa: number[]
  meanKPa: number
  leastKPa: number
  greatestKPa: number
  /** Greatest less least as a share of the mean, %. */
  spreadPercent: number
  /** The brush that lies farthest from the others' mean, from 1. */
  odd: number
}

/**
 * Pressure of carbon brushes on their commutator or rings: the force of each spring over the face of the brush, p = F/(t·a),
 * kPa for forces in N and sizes in mm (force over area; the weight of the brush is left out). Refused: no forces, or anything
 * not above nought.
 */
export function brushPressures(forcesN: readonly number[], acrossMm: number, alongMm: number): Result<BrushPressures> {
  if (!forcesN.length) return refuse('Give the force of each spring.')
  if (!(acrossMm > 0 && alongMm > 0 && forcesN.every(one => one > 0)))
    return refuse('Forces and sizes must be above zero.')
  const eachKPa = forcesN.map(force => (1000 * force) / (acrossMm * alongMm))
  const meanKPa = eachKPa.reduce((sum, one) => sum + one, 0) / eachKPa.length
  const [leastKPa, greatestKPa] = [Math.min(...eachKPa), Math.max(...eachKPa)]
  // Farthest from the mean of all is farthest from the mean of the others, too.
  const off = eachKPa.map(one => Math.abs(one - meanKPa))
  return accept({
    ...{ eachKPa, meanKPa, leastKPa, greatestKPa },
    spreadPercent: (100 * (greatestKPa - leastKPa)) / meanKPa,
    odd: off.indexOf(Math.max(...off)) + 1,
  })
}
