import { rangeOf } from '../gauging/index.ts'
import { accept, refuse, type Result } from '../result.ts'

export interface Backlash {
  /** Round the pitch circle, at each place; a dial nearer to or further from the axis is brought to the pitch line. */
  circumferentialMm: readonly number[]
  leastMm: number
  greatestMm: number
  /** Greatest less least round the wheel: its run-out read as play. */
  spreadMm: number
  /** Square to the flanks, the least: what a feeler or lead reads. */
  normalLeastMm: number
}

/**
 * Backlash by a dial, the other gear held: at the pitch line jt = reading·(pitch radius/dial radius), square to the flank
 * jn = jt·cos α·cos β (ISO 21771-1). mm and degrees. Refused: no reading or one below nought, radii not above nought, angles
 * outside 0 to 45°.
 */
export function backlash(
  readingsMm: readonly number[],
  { pitchRadiusMm = 1, dialRadiusMm = 1 }: { pitchRadiusMm?: number; dialRadiusMm?: number },
  pressureDeg: number,
  helixDeg: number,
): Result<Backlash> {
  if (!readingsMm.length || !readingsMm.every(one => one >= 0))
    return refuse('Read the play at one place or more, best at four round the wheel; none is below zero.')
  if (!(pitchRadiusMm > 0 && dialRadiusMm > 0)) return refuse('Both radii must be above zero.')
  if (![pressureDeg, helixDeg].every(one => one >= 0 && one <= 45))
    return refuse('Pressure and helix angle lie from 0 to 45°.')
  const circumferentialMm = readingsMm.map(one => (one * pitchRadiusMm) / dialRadiusMm)
  const leastMm = Math.min(...circumferentialMm)
  const cosine = (deg: number) => Math.cos((deg * Math.PI) / 180)
  return accept({
    circumferentialMm,
    leastMm,
    greatestMm: Math.max(...circumferentialMm),
    spreadMm: rangeOf(circumferentialMm),
    normalLeastMm: leastMm * cosine(pressureDeg) * cosine(helixDeg),
  })
}

/** Where a tooth's blue lies, and what that says of the axes. General practice of gear fitting. */
export const TOOTH_CONTACTS = {
  'even, in the middle': null,
  'one end, alike on both flanks': 'the axes are not parallel in their plane: one bearing stands high or low',
  'opposite ends on the two flanks': 'the axes are crossed: one bearing stands to the side',
  'along the tips': 'the centres stand too far apart: teeth bear on their edges and chip',
  'down at the roots': 'the centres stand too close: tips dig into roots, and backlash is short',
  'a few teeth only': 'the wheel runs out, or teeth were pitched or fitted unevenly: read its run-out',
} as const
export type ToothContact = keyof typeof TOOTH_CONTACTS
export const TOOTH_CONTACT_NAMES = Object.keys(TOOTH_CONTACTS) as [ToothContact, ...ToothContact[]]
