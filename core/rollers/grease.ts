import { accept, refuse, type Result } from '../result.ts'

/** Shares of the ball bearing’s interval by type; rules of thumb. */
export const GREASED = { 'deep groove ball': 10, 'cylindrical roller': 5, 'spherical or tapered roller': 1 } as const
export type Greased = keyof typeof GREASED
export const GREASED_NAMES = Object.keys(GREASED) as [Greased, ...Greased[]]

/** Mass of grease for topping a bearing up, g: 0.005·D·B, D and B in mm. Rule of thumb of bearing handbooks. Refused: a size not above nought. */
export function greaseGrams(outsideMm: number, widthMm: number): Result<number> {
  return outsideMm > 0 && widthMm > 0
    ? accept(0.005 * outsideMm * widthMm)
    : refuse('Give the bearing’s outside diameter and width.')
}

/**
 * Hours until it is greased again: K·(14·10⁶/(n·√d) − 4·d), K by type, halved for every 15 K over 70 °C at the outer ring,
 * and for an upright shaft. Textbook estimate for lithium grease, clean and dry; the maker’s figure goes before it.
 * @param speedPerMin 1/min @param boreMm d, mm
 * Refused: a speed or bore not above nought, or so fast that nothing is left of the interval.
 */
export function greaseHours(
  type: Greased,
  boreMm: number,
  speedPerMin: number,
  outerRingC: number,
  upright: boolean,
): Result<number> {
  if (!(boreMm > 0 && speedPerMin > 0)) return refuse('Give bore and speed, above zero.')
  const plain = GREASED[type] * (14e6 / (speedPerMin * Math.sqrt(boreMm)) - 4 * boreMm)
  if (!(plain > 0)) return refuse('At that speed and size this rule has no interval left: ask the maker, or oil it.')
  return accept(plain * 2 ** (-Math.max(0, outerRingC - 70) / 15) * (upright ? 0.5 : 1))
}
