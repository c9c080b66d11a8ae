import { accept, refuse, type Result } from '../result.ts'

export interface Balance {
  eccentricityUm: number
  unbalanceGmm: number
}

/**
 * Permissible residual unbalance of a rigid rotor (ISO 21940-11): e = 9549.3·G/n µm, U = e·m g·mm.
 * @param grade G in mm/s, 0.4 to 4000
 * @param speedPerMin service speed, 1/min
 * Refused: anything not above nought.
 */
export function permissibleUnbalance(grade: number, speedPerMin: number, massKg: number): Result<Balance> {
  if (![grade, speedPerMin, massKg].every(one => one > 0 && Number.isFinite(one)))
    return refuse('Grade, service speed and mass of the rotor must be above zero.')
  const eccentricityUm = (9549.3 * grade) / speedPerMin
  return accept({ eccentricityUm, unbalanceGmm: eccentricityUm * massKg })
}

/**
 * The share of each bearing plane, by the distance of the centre of gravity from the other plane (m): U_A = U·L_B/L.
 * Each share is kept from 0.3 to 0.7. Refused: a centre of gravity outside the planes.
 */
export function sharedUnbalance(
  unbalanceGmm: number,
  toPlaneAM: number,
  toPlaneBM: number,
): Result<{ aGmm: number; bGmm: number }> {
  if (!(toPlaneAM > 0 && toPlaneBM > 0))
    return refuse('The centre of gravity must lie between the two planes; an overhung rotor is shared otherwise.')
  const shareA = Math.min(0.7, Math.max(0.3, toPlaneBM / (toPlaneAM + toPlaneBM)))
  return accept({ aGmm: unbalanceGmm * shareA, bGmm: unbalanceGmm * (1 - shareA) })
}
