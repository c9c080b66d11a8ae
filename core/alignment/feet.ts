import { accept, refuse, type Result } from '../result.ts'

/** A foot loosened alone: how far it rose on a dial, and the gap under it at its two edges where a feeler was used. mm. */
export interface LoosenedFoot {
  foot: string
  riseMm: number
  insideMm?: number
  outsideMm?: number
}

export interface FootShim {
  foot: string
  riseMm: number
  /** What goes under it: nothing, an even shim, or a wedge of the two edges (stepped shims, or the foot machined). */
  shim: 'none' | 'even' | 'wedge'
  /** Thickness at the inside and outside edge; alike where it is even. */
  thicknessMm: readonly [inside: number, outside: number] | null
}

/** Edges that differ by less than a feeler can tell are even. */
const EVEN_MM = 0.03

/**
 * Soft foot: each foot loosened alone, the others pulled. Over the limit its rise is filled: by an even shim, or by a wedge
 * where the gap is open on one edge, since an even shim under a tilted foot springs it again. Worst first; one foot is put
 * right and all are read again, since each carries the others. Workshop practice. Refused: fewer than three feet, a rise
 * below nought, one edge without the other.
 */
export function softFeet(feet: readonly LoosenedFoot[], mostMm: number): Result<FootShim[]> {
  if (feet.length < 3) return refuse('A machine stands on three feet or more. Read every one, loosened alone.')
  if (feet.some(one => !(one.riseMm >= 0)))
    return refuse('A loosened foot rises or stays; it does not go down. Read it again.')
  const half = feet.find(one => (one.insideMm === undefined) !== (one.outsideMm === undefined))
  if (half) return refuse(`Foot ${half.foot}: give the gap at both edges, or at neither.`)
  return accept(
    feet
      .map(({ foot, riseMm, insideMm, outsideMm }): FootShim => {
        if (riseMm <= mostMm + 1e-9) return { foot, riseMm, shim: 'none', thicknessMm: null }
        return insideMm !== undefined && outsideMm !== undefined && Math.abs(insideMm - outsideMm) > EVEN_MM + 1e-9
          ? { foot, riseMm, shim: 'wedge', thicknessMm: [insideMm, outsideMm] }
          : { foot, riseMm, shim: 'even', thicknessMm: [riseMm, riseMm] }
      })
      .toSorted((a, b) => b.riseMm - a.riseMm),
  )
}

/** Growth of a height when it warms, mm: h·α·ΔT, α in 10⁻⁶ 1/K. Linear expansion. */
export const heightGrowthMm = (heightMm: number, expansion: number, warmerK: number): number =>
  (heightMm * expansion * warmerK) / 1e6
