import { meanOf } from '../gauging/index.ts'
import { accept, refuse, type Result } from '../result.ts'

/**
 * Least running clearance on the diameter between turning and standing rings of a pump, mm (ISO 13709, table of minimum
 * internal running clearances): by the turning diameter at the clearance, up to the diameter named; over 650 mm it grows by
 * 1 µm a mm. For cast iron, bronze and hardened steels; 0.125 mm more for materials that gall, or above 260 °C.
 */
const LEAST_MM: readonly (readonly [underMm: number, mm: number])[] = [
  [50, 0.25],
  [65, 0.28],
  [80, 0.3],
  [90, 0.33],
  [100, 0.35],
  [115, 0.38],
  [125, 0.4],
  [150, 0.43],
  [175, 0.45],
  [200, 0.48],
  [225, 0.5],
  [250, 0.53],
  [275, 0.55],
  [300, 0.58],
  [325, 0.6],
  [350, 0.63],
  [375, 0.65],
  [400, 0.68],
  [425, 0.7],
  [450, 0.73],
  [475, 0.75],
  [500, 0.78],
  [525, 0.8],
  [550, 0.83],
  [575, 0.85],
  [600, 0.88],
  [625, 0.9],
  [650, 0.95],
]
const GALLS_MM = 0.125

/** Refused: a diameter not above nought. @example leastRunningClearanceMm(180, false) // 0.48 */
export function leastRunningClearanceMm(diameterMm: number, gallsOrHot: boolean): Result<number> {
  if (!(diameterMm > 0)) return refuse('Give the diameter of the turning ring.')
  const row = LEAST_MM.find(([under]) => diameterMm < under)
  return accept((row ? row[1] : 0.95 + (diameterMm - 650) / 1000) + (gallsOrHot ? GALLS_MM : 0))
}

export interface RingClearance {
  leastMm: number
  greatestMm: number
  meanMm: number
}

/** Clearance of a wear ring over its hub on the diameter, mm: extremes of both, and the mean, which decides what leaks past. Refused: no reading, or one not above nought. */
export function ringClearance(boresMm: readonly number[], hubsMm: readonly number[]): Result<RingClearance> {
  if (!boresMm.length || !hubsMm.length || ![...boresMm, ...hubsMm].every(mm => mm > 0))
    return refuse('Read ring and hub, each at least once, above zero.')
  return accept({
    leastMm: Math.min(...boresMm) - Math.max(...hubsMm),
    greatestMm: Math.max(...boresMm) - Math.min(...hubsMm),
    meanMm: meanOf(boresMm) - meanOf(hubsMm),
  })
}
