import { accept, refuse, type Result } from '../result.ts'
import type { Verdict } from '../verdict.ts'
import { worstVerdict } from '../verdict.ts'

const G_KN_PER_KG = 9.80665 / 1000

export const HITCHES = { straight: 1, choker: 0.8, basket: 2 } as const
export type Hitch = keyof typeof HITCHES

/** One thing in the path of the load: its safe working load straight, and its own rating at the leg's angle. */
export interface RiggingItem {
  name: string
  swlKN: number
  ratingAtAngle?: number
}
export interface ItemUse {
  name: string
  usableKN: number
  usedShare: number
  verdict: Verdict
}

/** Weight that hangs, kN, from the masses of the parts still together and of the rigging, kg. Refused: nothing hangs, a mass below nought. */
export function hangingWeightKN(massesKg: readonly number[]): Result<number> {
  const sum = massesKg.reduce((total, one) => total + one, 0)
  return massesKg.every(one => one >= 0) && sum > 0
    ? accept(sum * G_KN_PER_KG)
    : refuse('Give the masses that hang together, rigging included, none below nought.')
}

/**
 * Each item against the tension it carries, by its own rating at that angle: over its load Out, over four fifths Thin.
 * Refused: no item, a safe working load or rating that cannot be.
 */
export function useItems(
  items: readonly RiggingItem[],
  tensionKN: number,
  hitch: Hitch,
): Result<{ items: ItemUse[]; verdict: Verdict }> {
  if (
    !items.length ||
    items.some(one => !(one.swlKN > 0) || !((one.ratingAtAngle ?? 1) > 0 && (one.ratingAtAngle ?? 1) <= 1))
  )
    return refuse('Every item wants its safe working load above nought, and a rating at the angle over 0 and up to 1.')
  const uses = items.map((one): ItemUse => {
    const usableKN = one.swlKN * (one.ratingAtAngle ?? 1) * HITCHES[hitch]
    const usedShare = tensionKN / usableKN
    return {
      name: one.name,
      usableKN,
      usedShare,
      verdict: usedShare > 1 + 1e-9 ? 'Out' : usedShare > 0.8 ? 'Thin' : 'Holds',
    }
  })
  return accept({ items: uses, verdict: worstVerdict(uses.map(one => one.verdict)) })
}
