import { accept, refuse, type Result } from '../result.ts'

/**
 * A dial read at four places of one turn, mm, the plunger pushed in counting up; left and right as seen from behind the
 * machine that is moved, looking toward the one that stands.
 */
export interface FourReadings {
  topMm: number
  rightMm: number
  bottomMm: number
  leftMm: number
}

/** Offsets in the two planes a machine is moved in: up, and to the right; negative is down and to the left. */
export interface TwoPlanes {
  up: number
  right: number
}

/** Which shaft the bar is clamped to; the dial reads the other. */
export const CARRIERS = ['the shaft that stands', 'the shaft that is moved'] as const
export type Carrier = (typeof CARRIERS)[number]

/** How far the four readings fail to close: top + bottom and left + right of a round hub are alike. */
export const closureMm = ({ topMm, rightMm, bottomMm, leftMm }: FourReadings): number =>
  topMm + bottomMm - leftMm - rightMm

/**
 * Where the moved shaft's axis lies against the standing one's, at the plane of the rim that was read, mm: half of top less
 * bottom and of right less left. `sagMm` is how far the bar lets its dial drop from top to bottom when it turns on a stiff
 * pipe: it makes every bottom read that much low, and comes off first. The sign turns with the shaft that carries the bar.
 */
export function rimOffsetMm(rim: FourReadings, carrier: Carrier, sagMm = 0): TwoPlanes {
  const way = carrier === 'the shaft that stands' ? 1 : -1
  return {
    up: (way * (rim.topMm - (rim.bottomMm + sagMm))) / 2,
    right: (way * (rim.rightMm - rim.leftMm)) / 2,
  }
}

/**
 * How the moved shaft's axis leans away from the standing one's, mm per m going away from the coupling: top less bottom of
 * the face over the diameter it was read on. Whichever shaft carries the bar, the gap is the smaller at the high reading.
 * Refused: a diameter not above nought.
 */
export function faceSlopeMmPerM(face: FourReadings, diameterMm: number): Result<TwoPlanes> {
  if (!(diameterMm > 0)) return refuse('Give the diameter on which the face was read.')
  return accept({
    up: ((face.topMm - face.bottomMm) / diameterMm) * 1000,
    right: ((face.rightMm - face.leftMm) / diameterMm) * 1000,
  })
}
