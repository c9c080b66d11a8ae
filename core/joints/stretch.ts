import { accept, refuse, type Result } from '../result.ts'

/** A length of a stud of one section: length, mm, and area that carries, mm². */
export interface StudLength {
  lengthMm: number
  areaMm2: number
}

/** How far a stud stretches a newton, mm: Σ L/(E·A). Hooke. Refused: no length, a length or area not above nought. */
export function stretchPerNewton(lengths: readonly StudLength[], modulusMPa: number): Result<number> {
  if (!lengths.length || !lengths.every(one => one.lengthMm > 0 && one.areaMm2 > 0) || !(modulusMPa > 0))
    return refuse('Give each length of the stud with its section, and the modulus, above zero.')
  return accept(lengths.reduce((sum, one) => sum + one.lengthMm / (modulusMPa * one.areaMm2), 0))
}

/**
 * What a hydraulic tensioner must pull so that a load is left when it lets go: load·(1.01 + d/L), d the thread’s diameter and
 * L the stud’s grip, mm (general rule: the shorter the stud, the more is lost as nut and threads settle).
 * Refused: a load, diameter or length not above nought.
 */
export function tensionerPullN(
  loadN: number,
  diameterMm: number,
  gripMm: number,
): Result<{ pullN: number; factor: number }> {
  if (!(loadN > 0 && diameterMm > 0 && gripMm > 0)) return refuse('Load, diameter and grip length must be above zero.')
  const factor = 1.01 + diameterMm / gripMm
  return accept({ pullN: loadN * factor, factor })
}
