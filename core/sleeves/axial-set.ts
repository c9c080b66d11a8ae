import { accept, refuse, type Result } from '../result.ts'

export interface AxialSet {
  /** Rotor positions on one scale, mm, growing toward the drive end: against each stop, and where it runs on the field. */
  stopOuterMm: number
  stopDriveMm: number
  magneticMm: number
  /** The coupling lets the rotor move this far either way from where it was set. */
  couplingFloatMm: number
  /** Where it was set, on the same scale. */
  setMm: number
  /** Length from the fixed end to the coupling, and how much warmer the shaft gets. */
  shaftLengthMm: number
  warmerK: number
}

export interface AxialMargins {
  totalFloatMm: number
  centreMm: number
  magneticOffCentreMm: number
  growthMm: number
  coldMm: { outer: number; drive: number }
  hotMm: { outer: number; drive: number }
}

const STEEL_UM_PER_M_K = 11.7

/**
 * Whether the coupling's own limited float keeps a sleeve-bearing rotor's shoulders off its bearing ends, cold and hot:
 * margin = distance from where the coupling stops it to the bearing's stop; hot, growth 11.7 µm/m/K takes from the drive
 * side. Refused: stops the wrong way round, a set position outside them.
 */
export function axialSet({
  stopOuterMm,
  stopDriveMm,
  magneticMm,
  couplingFloatMm,
  setMm,
  shaftLengthMm,
  warmerK,
}: AxialSet): Result<AxialMargins> {
  if (!(stopDriveMm > stopOuterMm))
    return refuse('The stop toward the drive end must read higher than the other. Measure both on one scale.')
  if (!(setMm >= stopOuterMm && setMm <= stopDriveMm) || !(magneticMm >= stopOuterMm && magneticMm <= stopDriveMm))
    return refuse('Set position and magnetic centre must lie between the stops.')
  if (!(couplingFloatMm >= 0 && shaftLengthMm >= 0)) return refuse('Float and length are not below nought.')
  const growthMm = (((STEEL_UM_PER_M_K * shaftLengthMm) / 1000) * warmerK) / 1000
  const cold = { outer: setMm - couplingFloatMm - stopOuterMm, drive: stopDriveMm - (setMm + couplingFloatMm) }
  const centreMm = (stopOuterMm + stopDriveMm) / 2
  return accept({
    totalFloatMm: stopDriveMm - stopOuterMm,
    centreMm,
    magneticOffCentreMm: magneticMm - centreMm,
    growthMm,
    coldMm: cold,
    hotMm: { outer: cold.outer + growthMm, drive: cold.drive - growthMm },
  })
}
