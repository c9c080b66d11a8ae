import { meanOf } from '../gauging/index.ts'
import { accept, refuse, type Result } from '../result.ts'

export interface PinchEnd {
  wireMm: number
  shimLeftMm: number
  shimRightMm: number
}
export interface Pinch {
  endsMm: readonly number[]
  meanMm: number
  leastMm: number
  greatestMm: number
  /** Of the loosest end: a cap holds no better than that. */
  says: 'grips' | 'no gap, no grip' | 'loose'
}

/** Two shims of one joint may differ by this much before the cap stands crooked. */
const MOST_SHIM_DIFFERENCE_MM = 0.005
const RESOLUTION_MM = 0.002

/**
 * Pinch (crush) of a bearing in its cap: lead wire on the back near each end, equal shims on the joint face, cap pulled
 * to full torque. pinch = shim − wire as flattened, mm; above nought the cap grips.
 * Refused: shims of one end or of both ends differing by over 5 µm; a wire that was not flattened, or whose fresh diameter
 * is not 1.2 to 2 times the shim; a size not above nought.
 */
export function capPinch(ends: readonly PinchEnd[], freshWireMm: number): Result<Pinch> {
  if (!ends.length || ends.some(end => !(end.wireMm > 0 && end.shimLeftMm > 0 && end.shimRightMm > 0)))
    return refuse('Give the flattened wire and both shims of every end, all above zero.')
  const shims = ends.flatMap(end => [end.shimLeftMm, end.shimRightMm])
  if (Math.max(...shims) - Math.min(...shims) > MOST_SHIM_DIFFERENCE_MM + 1e-9)
    return refuse('The shims differ by more than 5 µm, so the cap stands crooked. Use equal shims and take it again.')
  const shim = meanOf(shims)
  if (ends.some(end => end.wireMm >= freshWireMm - 1e-9))
    return refuse(
      'The wire shows no flattening: it never touched. Use a thicker wire, or thinner shims, and take it again.',
    )
  if (freshWireMm < 1.2 * shim - 1e-9 || freshWireMm > 2 * shim + 1e-9)
    return refuse(
      `A wire of ${freshWireMm} mm does not suit shims of ${Number(shim.toFixed(3))} mm: its fresh diameter should be 1.2 to 2 times the shim.`,
    )
  const endsMm = ends.map(end => (end.shimLeftMm + end.shimRightMm) / 2 - end.wireMm)
  const leastMm = Math.min(...endsMm)
  return accept({
    endsMm,
    meanMm: meanOf(endsMm),
    leastMm,
    greatestMm: Math.max(...endsMm),
    says: Math.abs(leastMm) <= RESOLUTION_MM + 1e-9 ? 'no gap, no grip' : leastMm > 0 ? 'grips' : 'loose',
  })
}
