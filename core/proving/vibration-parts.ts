import { accept, refuse, type Result } from '../result.ts'
import { zoneOf, type VibrationZone } from './vibration.ts'

/** Categories of rotodynamic pumps (ISO 10816-7): I where reliability, availability or safety ask for more; power by the shaft. */
export const PUMP_CATEGORIES = ['I, critical', 'II, general'] as const
export type PumpCategory = (typeof PUMP_CATEGORIES)[number]
const PUMP_ZONES: Record<PumpCategory, readonly [to200: VibrationZone['limits'], over200: VibrationZone['limits']]> = {
  'I, critical': [
    [2.5, 4, 6.6],
    [3.5, 5, 7.6],
  ],
  'II, general': [
    [3.2, 5.1, 8.5],
    [4.2, 6.1, 9.5],
  ],
}

/**
 * Zone of a rotodynamic pump by its velocity r.m.s. on the bearing housing, mm/s (ISO 10816-7). Refused: a power not above
 * nought; a speed under 600/min, where the standard asks for displacement too; a velocity below nought.
 */
export function pumpVibrationZone(
  mmPerS: number,
  category: PumpCategory,
  powerKW: number,
  speedPerMin: number,
): Result<VibrationZone> {
  if (!(mmPerS >= 0)) return refuse('A velocity r.m.s. is not below zero.')
  if (!(powerKW > 0)) return refuse('Give the power at the pump’s shaft.')
  if (!(speedPerMin >= 600))
    return refuse('Under 600/min ISO 10816-7 judges displacement as well: take the limits from the sheet.')
  const limits = PUMP_ZONES[category][powerKW > 200 ? 1 : 0]
  return accept({ zone: zoneOf(mmPerS, limits), limits })
}

/**
 * Zone of shaft vibration against its bearing, µm peak to peak in the direction where it is greatest (ISO 20816-3, industrial
 * machines): 4800, 9000 and 13 200 over √n. Under 600/min the limits of 600 count. Refused: a speed not above nought or over
 * 30 000, a displacement below nought.
 */
export function shaftVibrationZone(peakToPeakUm: number, speedPerMin: number): Result<VibrationZone> {
  if (!(peakToPeakUm >= 0)) return refuse('A displacement peak to peak is not below zero.')
  if (!(speedPerMin > 0 && speedPerMin <= 30000)) return refuse('Give the speed, over 0 up to 30 000/min.')
  const root = Math.sqrt(Math.max(600, speedPerMin))
  const limits = [4800 / root, 9000 / root, 13200 / root] as const
  return accept({ zone: zoneOf(peakToPeakUm, limits), limits })
}

/** Velocity r.m.s., mm/s, of a single frequency from its displacement peak to peak, µm: π·f·s/√2. Refused: a frequency not above nought, a displacement below nought. */
export function velocityOfDisplacement(peakToPeakUm: number, hz: number): Result<number> {
  return peakToPeakUm >= 0 && hz > 0
    ? accept((Math.PI * hz * (peakToPeakUm / 1000)) / Math.SQRT2)
    : refuse('Give a displacement not below zero, and a frequency above it.')
}

/** Displacement peak to peak, µm, from velocity r.m.s., mm/s: the other way round of {@link velocityOfDisplacement}. */
export function displacementOfVelocity(mmPerS: number, hz: number): Result<number> {
  return mmPerS >= 0 && hz > 0
    ? accept(((mmPerS * Math.SQRT2) / (Math.PI * hz)) * 1000)
    : refuse('Give a velocity not below zero, and a frequency above it.')
}
