import { accept, refuse, type Result } from '../result.ts'

export interface ImpellerSetting {
  /** To back off from where it touches, so that it runs clear by what is wanted, growth counted in. */
  backOffMm: number
  turns: number
  /** Left to the stop at the other end when it is set so; nought or less: there is no room. */
  behindMm: number
}

/**
 * Axial set of an open impeller from where it touches: back off = wanted clearance + what the shaft grows towards that when
 * warm; turns = back off/pitch of the adjuster. What is left to the stop = whole travel − back off. mm. How far it stands clear
 * now may be given, to be held against its travel.
 * Refused: no travel or pitch, a clearance below nought, one that stands further off than it can travel.
 */
export function impellerSetting(
  travelMm: number,
  wantedMm: number,
  growsForwardMm: number,
  pitchMm: number,
  clearMm?: number,
): Result<ImpellerSetting> {
  if (!(travelMm > 0)) return refuse('Read the whole travel of the impeller, from where it touches to the stop.')
  if (!(pitchMm > 0)) return refuse('Give the pitch of the adjusting thread.')
  if (!(wantedMm >= 0)) return refuse('A clearance wanted is not below zero.')
  if (clearMm !== undefined && clearMm > travelMm)
    return refuse(
      `It cannot stand ${clearMm} mm clear where its whole travel is ${travelMm} mm: was one typed for the other?`,
    )
  const backOffMm = wantedMm + growsForwardMm
  return accept({ backOffMm, turns: backOffMm / pitchMm, behindMm: travelMm - backOffMm })
}
