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
  /** What holds the shaft that grows: it grows away from there. */
  heldBy: HeldBy
  /** Length from the fixed end to the coupling, and how much warmer the shaft gets. */
  shaftLengthMm: number
  warmerK: number
}

/**
 * Where the growth counts from. A shaft held in the driven machine pushes the rotor toward its outer stop; a rotor held at its
 * own outer end grows toward the drive end. Not known: the worse counts at both stops.
 */
export const HELD_BY = ['the driven machine', 'its own non-drive end', 'not known'] as const
export type HeldBy = (typeof HELD_BY)[number]

export interface AxialMargins {
  totalFloatMm: number
  centreMm: number
  magneticOffCentreMm: number
  /** How far it runs from where it was set; more than the coupling's float, and the coupling holds it off its field. */
  runsOffSetMm: number
  growthMm: number
  coldMm: { outer: number; drive: number }
  hotMm: { outer: number; drive: number }
}

const STEEL_UM_PER_M_K = 11.7

/**
 * Whether the coupling's own limited float keeps a sleeve-bearing rotor's shoulders off its bearing ends, cold and hot:
 * margin = distance from where the coupling stops it to the bearing's stop; hot, growth of 11.7 µm/m/K takes from the side it
 * goes to. Refused: stops the wrong way round, a set position outside them.
 */
export function axialSet({
  stopOuterMm,
  stopDriveMm,
  magneticMm,
  couplingFloatMm,
  setMm,
  heldBy,
  shaftLengthMm,
  warmerK,
}: AxialSet): Result<AxialMargins> {
  if (!(stopDriveMm > stopOuterMm))
    return refuse('The stop toward the drive end must read higher than the other. Measure both on one scale.')
  if (!(setMm >= stopOuterMm && setMm <= stopDriveMm) || !(magneticMm >= stopOuterMm && magneticMm <= stopDriveMm))
    return refuse('Set position and magnetic centre must lie between the stops.')
  if (!(couplingFloatMm >= 0 && shaftLengthMm >= 0)) return refuse('Float and length are not below zero.')
  const growthMm = (((STEEL_UM_PER_M_K * shaftLengthMm) / 1000) * warmerK) / 1000
  const cold = { outer: setMm - couplingFloatMm - stopOuterMm, drive: stopDriveMm - (setMm + couplingFloatMm) }
  const toDrive = {
    'the driven machine': -growthMm,
    'its own non-drive end': growthMm,
    'not known': Math.abs(growthMm),
  }[heldBy]
  const toOuter = heldBy === 'not known' ? Math.abs(growthMm) : -toDrive
  const centreMm = (stopOuterMm + stopDriveMm) / 2
  return accept({
    totalFloatMm: stopDriveMm - stopOuterMm,
    centreMm,
    magneticOffCentreMm: magneticMm - centreMm,
    runsOffSetMm: magneticMm - setMm,
    growthMm,
    coldMm: cold,
    hotMm: { outer: cold.outer - toOuter, drive: cold.drive - toDrive },
  })
}
