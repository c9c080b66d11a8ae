import { accept, refuse, type Result } from '../result.ts'
import { greatestCommonDivisor } from '../whole.ts'

export interface GearMesh {
  /** Number of different ways the pair can be put together. */
  meshes: number
  /** Any tooth may meet any: the mark matters only on sets that are run in or timed. */
  hunting: boolean
  /** Turns until the same teeth meet again. */
  pinionTurnsToRepeat: number
  wheelTurnsToRepeat: number
}

/**
 * Which teeth of a pair meet again, by the greatest common divisor of the tooth counts.
 * Refused: counts that are not whole, or below 5 or above 2000.
 * @example gearMesh(22, 110) // 22 meshes, the same teeth every 5 pinion turns
 */
export function gearMesh(pinionTeeth: number, wheelTeeth: number): Result<GearMesh> {
  if (![pinionTeeth, wheelTeeth].every(teeth => Number.isInteger(teeth) && teeth >= 5 && teeth <= 2000))
    return refuse('Tooth counts are whole numbers from 5 to 2000. Count again, with a mark where you began.')
  const meshes = greatestCommonDivisor(pinionTeeth, wheelTeeth)
  return accept({
    meshes,
    hunting: meshes === 1,
    pinionTurnsToRepeat: wheelTeeth / meshes,
    wheelTurnsToRepeat: pinionTeeth / meshes,
  })
}

export interface ToothMeeting {
  /** Whether the two teeth ever meet as the pair is put together. */
  meet: boolean
  /** Pinion turns from the first mesh until they do; null when never. */
  afterPinionTurns: number | null
  /** Wheel teeth that the pinion tooth meets, in their order, up to sixty. */
  meets: readonly number[]
}

/**
 * Whether a marked tooth of the pinion ever meets a marked tooth of the wheel, when tooth 1 stands in gap 1: pinion tooth i
 * meets wheel tooth j after k turns where (i − 1) + k·z1 ≡ (j − 1) modulo z2. Teeth are counted from 1 in mesh order.
 * Refused: what {@link gearMesh} refuses, a tooth that the wheel does not have.
 */
export function toothMeeting(
  pinionTeeth: number,
  wheelTeeth: number,
  pinionTooth: number,
  wheelTooth: number,
): Result<ToothMeeting> {
  const mesh = gearMesh(pinionTeeth, wheelTeeth)
  if (!mesh.ok) return mesh
  if (
    !Number.isInteger(pinionTooth) ||
    pinionTooth < 1 ||
    pinionTooth > pinionTeeth ||
    !Number.isInteger(wheelTooth) ||
    wheelTooth < 1 ||
    wheelTooth > wheelTeeth
  )
    return refuse(`Teeth are counted from 1: the pinion has ${pinionTeeth}, the wheel ${wheelTeeth}.`)
  const order = Array.from(
    { length: mesh.value.pinionTurnsToRepeat },
    (_, k) => ((pinionTooth - 1 + k * pinionTeeth) % wheelTeeth) + 1,
  )
  const at = order.indexOf(wheelTooth)
  return accept({ meet: at >= 0, afterPinionTurns: at >= 0 ? at : null, meets: order.slice(0, 60) })
}
