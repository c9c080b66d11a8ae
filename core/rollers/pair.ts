import { accept, refuse, type Result } from '../result.ts'

export const PAIR_ARRANGEMENTS = ['face to face (X)', 'back to back (O)'] as const
export type PairArrangement = (typeof PAIR_ARRANGEMENTS)[number]
/** What a thicker shim does: a shim under a cover opens the pair, one between the rings of a spaced pair may close it. */
export const SHIM_SENSES = ['gives more play', 'takes play away'] as const
export type ShimSense = (typeof SHIM_SENSES)[number]

export interface PairSetting {
  /** Change of the shim, mm: above nought add, below take out. */
  shimChangeMm: number
  shimMm: number
  /** Axial play once set, cold and warm; below nought is preload. */
  coldMm: number
  warmMm: number
}

const STEEL = 11.7

/**
 * Axial play of a pair of tapered roller or angular contact bearings set by shims: change = wanted − measured play, by what a
 * thicker shim does; preload wanted is play below nought. Warm, a shaft that is hotter than its housing by ΔT grows between
 * the bearings by 11.7·10⁻⁶·L·ΔT: face to face that takes play, back to back it gives. mm. Radial growth is not in it; the
 * maker’s figure goes before. Refused: a shim that would be below nought, a distance below nought.
 */
export function pairSetting(
  measuredMm: number,
  wantedMm: number,
  shimMm: number,
  sense: ShimSense,
  arrangement: PairArrangement,
  apartMm: number,
  warmerK: number,
): Result<PairSetting> {
  if (!(apartMm >= 0 && shimMm >= 0)) return refuse('Shim and distance are not below zero.')
  const shimChangeMm = sense === 'gives more play' ? wantedMm - measuredMm : measuredMm - wantedMm
  if (shimMm + shimChangeMm < -1e-9)
    return refuse(
      'More shim would have to come out than is in. Check what a thicker shim does here, or have the cover faced.',
    )
  const growthMm = (STEEL * apartMm * warmerK) / 1e6
  return accept({
    shimChangeMm,
    shimMm: Math.max(0, shimMm + shimChangeMm),
    coldMm: wantedMm,
    warmMm: arrangement === 'face to face (X)' ? wantedMm - growthMm : wantedMm + growthMm,
  })
}
