import { accept, refuse, type Result } from '../result.ts'
import type { Limits } from '../verdict.ts'
import { seatORing, type Gland, type SeatedRing } from './o-ring.ts'

/** Usual ranges of O-ring glands by duty, shares. General textbook ranges; the ring maker's table goes before them. */
export const DUTIES = {
  static: {
    squeeze: { min: 0.15, max: 0.3 },
    stretch: { min: -0.02, max: 0.05, best: 0.02 },
    fill: { min: 0.5, max: 0.85, best: 0.7 },
  },
  sliding: {
    squeeze: { min: 0.1, max: 0.2 },
    stretch: { min: -0.02, max: 0.05, best: 0.02 },
    fill: { min: 0.5, max: 0.85, best: 0.7 },
  },
  rotary: {
    squeeze: { min: 0.03, max: 0.1 },
    stretch: { min: -0.05, max: 0, best: -0.02, warningShare: 0 },
    fill: { min: 0.5, max: 0.85, best: 0.7 },
  },
} as const satisfies Record<string, Record<'squeeze' | 'stretch' | 'fill', Limits>>
export type Duty = keyof typeof DUTIES
export const DUTY_NAMES = Object.keys(DUTIES) as [Duty, ...Duty[]]

export interface WorstRing {
  seated: SeatedRing
  leastSqueeze: number
  greatestSqueeze: number
  greatestFill: number
}

/**
 * The ring at its worst: eccentricity opens one side of the gap and closes the other; heat and swell grow its section.
 * @param eccentricityMm of the two parts, @param growth share by which heat and swell enlarge its volume
 * Refused: a growth that cannot be, an eccentricity that closes the gland.
 */
export function worstRing(gland: Gland, eccentricityMm: number, growth: number): Result<WorstRing> {
  if (!(growth >= 0 && growth <= 0.5))
    return refuse('Growth by heat and swell lies from 0 to 50 % of the ring’s volume.')
  if (!(eccentricityMm >= 0 && eccentricityMm < gland.grooveDepthMm))
    return refuse('The eccentricity would close the gland. Check both figures.')
  const seated = seatORing(gland)
  if (!seated.ok) return seated
  const grown = seated.value.sectionStretchedMm * Math.sqrt(1 + growth)
  const squeeze = (section: number, depth: number) => (section - depth) / section
  return accept({
    seated: seated.value,
    leastSqueeze: squeeze(seated.value.sectionStretchedMm, gland.grooveDepthMm + eccentricityMm),
    greatestSqueeze: squeeze(grown, gland.grooveDepthMm - eccentricityMm),
    greatestFill: seated.value.fill * (1 + growth),
  })
}
