import { accept, refuse, type Result } from '../result.ts'

export interface GearMesh {
  /** Number of different ways the pair can be put together. */
  meshes: number
  /** Any tooth may meet any: the mark matters only on sets that are run in or timed. */
  hunting: boolean
  /** Turns until the same teeth meet again. */
  pinionTurnsToRepeat: number
  wheelTurnsToRepeat: number
}

const greatestCommonDivisor = (a: number, b: number): number => b === 0 ? a : greatestCommonDivisor(b, a % b)

/**
 * Which teeth of a pair meet again, by the greatest common divisor of the tooth counts.
 * Refused: counts that are not whole, or below 5 or above 2000.
 * @example gearMesh(22, 110) // 22 meshes, the same teeth every 5 pinion turns
 */
export function gearMesh(pinionTeeth: number, wheelTeeth: number): Result<GearMesh> {
  if (![pinionTeeth, wheelTeeth].every(teeth => Number.isInteger(teeth) && teeth >= 5 && teeth <= 2000))
    return refuse('Tooth counts are whole numbers from 5 to 2000. Count again, with a mark where you began.')
  const meshes = greatestCommonDivisor(pinionTeeth, wheelTeeth)
  return accept({ meshes, hunting: meshes === 1, pinionTurnsToRepeat: wheelTeeth / meshes, wheelTurnsToRepeat: pinionTeeth / meshes })
}
