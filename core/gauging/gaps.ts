import { withinTurn } from '../marks/clock.ts'
import { accept, refuse, type Result } from '../result.ts'
import { rangeOf } from './tries.ts'

export interface Gaps {
  leastMm: number
  greatestMm: number
  spreadMm: number
  /**
   * Which way the inner part sits off centre, seen from the stated end: clockwise from top; nowhere where the gaps are alike.
   * Two opposite places say only how far along their own line (`whole` false). Null where places have no opposites.
   */
  offset: { mm: number; towardDeg: number | null; whole: boolean } | null
}

/**
 * Gaps at n places equally spaced clockwise from top (mm): spread, and for opposite pairs the offset of the inner part.
 * The inner part sits toward the smaller gap. Refused: fewer than two places, a negative gap.
 */
export function reduceGaps(gapsMm: readonly number[]): Result<Gaps> {
  const n = gapsMm.length
  if (n < 2) return refuse('Read the gap at two places or more.')
  if (gapsMm.some(gap => !(gap >= 0))) return refuse('A gap cannot be less than zero. Read that place again.')
  return accept({
    leastMm: Math.min(...gapsMm),
    greatestMm: Math.max(...gapsMm),
    spreadMm: rangeOf(gapsMm),
    offset: n % 2 ? null : n === 2 ? alongOf(gapsMm[0]!, gapsMm[1]!) : offsetOf(gapsMm),
  })
}

/** Under this nothing points anywhere: well below any feeler. */
const NOWHERE_MM = 1e-6

/** One pair of opposites: half their difference, toward the smaller gap. */
function alongOf(topMm: number, bottomMm: number) {
  const mm = Math.abs(topMm - bottomMm) / 2
  return { mm, towardDeg: mm < NOWHERE_MM ? null : topMm < bottomMm ? 0 : 180, whole: false }
}

/** For a round rotor gap(θ) = g₀ − e·cos(θ − θe): the first harmonic, and with four places exactly the half-differences. */
function offsetOf(gapsMm: readonly number[]) {
  const n = gapsMm.length
  const sum = (part: (angle: number) => number) =>
    (-2 / n) * gapsMm.reduce((total, gap, i) => total + gap * part((2 * Math.PI * i) / n), 0)
  const up = sum(Math.cos)
  const right = sum(Math.sin)
  const mm = Math.hypot(up, right)
  const towardDeg = mm < NOWHERE_MM ? null : withinTurn((Math.atan2(right, up) * 180) / Math.PI)
  return { mm, towardDeg, whole: true }
}

/**
 * Heights round a joint do not say offset but tilt: the difference across over the diameter, in mm per m.
 * @param oppositeMm two heights on opposite places, mm
 */
export function tiltMmPerM(oppositeMm: readonly [number, number], diameterMm: number): Result<number> {
  if (!(diameterMm > 0)) return refuse('Give the diameter on which the heights were read.')
  return accept(((oppositeMm[0] - oppositeMm[1]) / diameterMm) * 1000)
}
