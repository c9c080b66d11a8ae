import { accept, refuse, type Result } from '../result.ts'

/**
 * End float from the two dial readings, pushed fully one way and fully the other: |a − b|. Unit in = unit out.
 * @example endFloat(0, 0.21) // 0.21
 */
export function endFloat(oneWay: number, otherWay: number): number {
  return Math.abs(oneWay - otherWay)
}

/** How the two figures of a lift check were written down. The field asks; the two are never mixed. */
export const LIFT_STYLES = ['signed readings', 'travels'] as const
export type LiftStyle = (typeof LIFT_STYLES)[number]

/**
 * Total lift from a pair written one of two ways: signed readings, |up − down|; or travels without sign, up + down.
 * `lever` is the distance to the bearing over the distance to the dial, both from the pivot; it scales the answer.
 * Unit in = unit out. Refused: travels with a sign, a lever ratio that is not above nought.
 */
export function lift(up: number, down: number, style: LiftStyle, lever = 1): Result<number> {
  if (!(lever > 0))
    return refuse('The lever ratio must be greater than zero: distance to the bearing over distance to the dial.')
  if (style === 'travels' && (up < 0 || down < 0))
    return refuse('A travel has no sign. If the dial went below zero, choose signed readings.')
  return accept((style === 'travels' ? up + down : Math.abs(up - down)) * lever)
}
