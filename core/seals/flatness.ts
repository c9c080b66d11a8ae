import { accept, refuse, type Result } from '../result.ts'

/** Wavelength of the lamp over an optical flat, µm; a band is half of it. */
export const LAMPS = { 'helium': 0.5876, 'sodium': 0.5893, 'mercury, green': 0.5461 } as const
export type Lamp = keyof typeof LAMPS
export const LAMP_NAMES = Object.keys(LAMPS) as [Lamp, ...Lamp[]]

/**
 * Flatness of a lapped face under an optical flat, µm: bands·λ/2, counting the bands that a straight line across the middle
 * meets (or how many band widths a band bows). Refused: a count below nought or over 60, where a flat no longer reads.
 */
export function flatnessUm(bands: number, lamp: Lamp): Result<number> {
  return bands >= 0 && bands <= 60
    ? accept((bands * LAMPS[lamp]) / 2)
    : refuse('Count from zero to 60 bands. With more than that the face is not flat enough for an optical flat.')
}
