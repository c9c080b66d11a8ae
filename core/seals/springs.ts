import { meanOf, rangeOf, reduceTries } from '../gauging/index.ts'
import { accept, refuse, type Result } from '../result.ts'

export interface Springs {
  meanMm: number
  rangeMm: number
  /** Place of the odd one out, from 1; null where all are alike within the resolution, and of two, where neither is the odd one. */
  odd: number | null
  /** Loss of free length against a new one, by place. */
  lossMm: readonly number[]
}

const RESOLUTION_MM = 0.05

/**
 * Free lengths of the springs of one set, by place, against a new one and against each other, mm. The odd one out stands
 * furthest from the median. Refused: fewer than two springs, a length not above nought.
 */
export function compareSprings(freeMm: readonly number[], newMm: number): Result<Springs> {
  if (freeMm.length < 2 || !freeMm.every(one => one > 0) || !(newMm > 0))
    return refuse('Measure every spring of the set, two or more, and a new one.')
  const rangeMm = rangeOf(freeMm)
  const tries = reduceTries(freeMm)
  const isOdd = rangeMm > RESOLUTION_MM + 1e-9 && tries.ok && tries.value.furthest !== null
  return accept({
    meanMm: meanOf(freeMm),
    rangeMm,
    odd: isOdd ? tries.value.furthest! + 1 : null,
    lossMm: freeMm.map(one => newMm - one),
  })
}
