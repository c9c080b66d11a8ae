import { accept, refuse, type Result } from '../result.ts'
import type { Verdict } from '../verdict.ts'

export interface Lift {
  weightKN: number
  legs: number
  /** Angle of each leg from the vertical, degrees. */
  fromVerticalDeg: number
}

/** Angle of a leg from the vertical: over 60° Out, from 45° Thin (general rule; the lifting plan goes before it). */
export function slingAngleVerdict(fromVerticalDeg: number): Verdict {
  return fromVerticalDeg > 60 ? 'Out' : fromVerticalDeg >= 45 ? 'Thin' : 'Holds'
}

/**
 * Tension of each leg of a sling with equal legs: W/(n·cos θ), kN. Three or more legs count as two, unless they are
 * equalised. Refused: no weight, no leg, an angle of 90° or more. It does not replace the plan of a competent person.
 */
export function equalLegTensionKN({ weightKN, legs, fromVerticalDeg }: Lift, equalised = false): Result<number> {
  if (!(weightKN > 0)) return refuse('Give the weight that hangs, rigging included.')
  if (!Number.isInteger(legs) || legs < 1 || legs > 8) return refuse('A sling has 1 to 8 legs.')
  if (!(fromVerticalDeg >= 0 && fromVerticalDeg < 90))
    return refuse('The angle from the vertical lies from 0° to below 90°.')
  const carrying = equalised ? legs : Math.min(legs, 2)
  return accept(weightKN / (carrying * Math.cos((fromVerticalDeg * Math.PI) / 180)))
}

export interface TwoLegs {
  leftKN: number
  rightKN: number
  leftFromVerticalDeg: number
  rightFromVerticalDeg: number
}

/**
 * Two unequal legs with the hook straight above the centre of gravity: each leg from its own offset, by the balance of
 * forces and moments. Distances in m, tensions in kN. Refused: a distance or height that is not above nought.
 */
export function twoLegTensionsKN(
  weightKN: number,
  cgFromLeftM: number,
  cgFromRightM: number,
  hookHeightM: number,
): Result<TwoLegs> {
  if (![weightKN, cgFromLeftM, cgFromRightM, hookHeightM].every(one => one > 0 && Number.isFinite(one)))
    return refuse(
      'Weight, both distances and the height of the hook must be above zero. Measure from the centre of gravity.',
    )
  const span = cgFromLeftM + cgFromRightM
  const along = (offset: number) => Math.hypot(offset, hookHeightM) / hookHeightM
  const lean = (offset: number) => (Math.atan2(offset, hookHeightM) * 180) / Math.PI
  return accept({
    leftKN: ((weightKN * cgFromRightM) / span) * along(cgFromLeftM),
    rightKN: ((weightKN * cgFromLeftM) / span) * along(cgFromRightM),
    leftFromVerticalDeg: lean(cgFromLeftM),
    rightFromVerticalDeg: lean(cgFromRightM),
  })
}
