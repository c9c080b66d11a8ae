import { accept, refuse, type Result } from '../result.ts'
import type { Verdict } from '../verdict.ts'
import { worstVerdict } from '../verdict.ts'

const G_KN_PER_KG = 9.80665 / 1000

/**
 * What an item carries, and what that use leaves of its safe working load; a choked sling keeps about 0.8 (general rule).
 * Both parts of a basket count as legs of their own.
 */
export const RIGGING_USES = {
  'a leg': { carries: 'leg', share: 1 },
  'a choked leg': { carries: 'leg', share: 0.8 },
  'the whole load': { carries: 'load', share: 1 },
} as const
export type RiggingUse = keyof typeof RIGGING_USES
export const RIGGING_USE_NAMES = Object.keys(RIGGING_USES) as [RiggingUse, ...RiggingUse[]]

/** One thing in the path of the load: its safe working load straight, what it carries, and its own rating at the leg's angle. */
export interface RiggingItem {
  name: string
  swlKN: number
  use: RiggingUse
  ratingAtAngle?: number
}
export interface ItemUse {
  name: string
  carriedKN: number
  usableKN: number
  usedShare: number
  verdict: Verdict
}

/** Weight that hangs, kN, from the masses of the parts still together and of the rigging, kg. Refused: nothing hangs, a mass below nought. */
export function hangingWeightKN(massesKg: readonly number[]): Result<number> {
  const sum = massesKg.reduce((total, one) => total + one, 0)
  return massesKg.every(one => one >= 0) && sum > 0
    ? accept(sum * G_KN_PER_KG)
    : refuse('Give the masses that hang together, rigging included, none below zero.')
}

/**
 * Each item against what it carries, a leg's tension or the whole weight (kN), by its own rating at the angle: over its
 * safe working load Out, over four fifths of it Thin. Refused: no item, a safe working load or rating that cannot be.
 */
export function useItems(
  items: readonly RiggingItem[],
  legKN: number,
  weightKN: number,
): Result<{ items: ItemUse[]; verdict: Verdict }> {
  const isSound = ({ swlKN, ratingAtAngle = 1 }: RiggingItem) => swlKN > 0 && ratingAtAngle > 0 && ratingAtAngle <= 1
  if (!items.length || !items.every(isSound))
    return refuse('Every item wants its safe working load above zero, and a rating at the angle over 0 and up to 1.')
  const uses = items.map(({ name, swlKN, use, ratingAtAngle = 1 }): ItemUse => {
    const { carries, share } = RIGGING_USES[use]
    const carriedKN = carries === 'leg' ? legKN : weightKN
    const usableKN = swlKN * ratingAtAngle * share
    const usedShare = carriedKN / usableKN
    const verdict = usedShare > 1 + 1e-9 ? 'Out' : usedShare > 0.8 ? 'Thin' : 'Holds'
    return { name, carriedKN, usableKN, usedShare, verdict }
  })
  return accept({ items: uses, verdict: worstVerdict(uses.map(one => one.verdict)) })
}
