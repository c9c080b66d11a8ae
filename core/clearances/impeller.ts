import { accept, refuse, type Result } from '../result.ts'

export interface ImpellerSetting {
  /** To back off from where it touches in front, so that it runs clear by what is wanted, growth counted in. */
  backOffMm: number
  turns: number
  /** Left behind the impeller when it is set so; nought or less: there is no room. */
  behindMm: number
}

/**
 * Axial set of an open impeller from touching its front: back off = wanted clearance + what the shaft grows toward the front
 * when warm; turns = back off/pitch of the adjuster. What is left behind = whole travel − back off. mm.
 * Refused: no travel or pitch, a clearance below nought.
 */
export function impellerSetting(
  travelMm: number,
  wantedMm: number,
  growsForwardMm: number,
  pitchMm: number,
): Result<ImpellerSetting> {
  if (!(travelMm > 0))
    return refuse('Read the whole travel of the impeller, from touching in front to touching behind.')
  if (!(pitchMm > 0)) return refuse('Give the pitch of the adjusting thread.')
  if (!(wantedMm >= 0)) return refuse('A clearance wanted is not below zero.')
  const backOffMm = wantedMm + growsForwardMm
  return accept({ backOffMm, turns: backOffMm / pitchMm, behindMm: travelMm - backOffMm })
}
