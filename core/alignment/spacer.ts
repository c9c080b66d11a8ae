import { meanOf, rangeOf } from '../gauging/index.ts'
import { accept, refuse, type Result } from '../result.ts'

export interface SpacerGap {
  meanMm: number
  /** Greatest less least round the hubs: the angle between them, read as a gap. */
  spreadMm: number
  /** The gap that leaves the membranes or teeth at rest when everything is warm. */
  wantedMm: number
  /** Cold and warm: above nought the coupling is drawn, below nought it is pressed together. */
  coldStretchMm: number
  warmStretchMm: number
}

/**
 * Gap between hubs against the spacer that goes between: wanted cold = spacer + packs + what the shafts grow toward each
 * other, so that warm nothing pulls or pushes. mm. Refused: no gap, a gap or length that cannot be.
 */
export function spacerGap(
  gapsMm: readonly number[],
  spacerMm: number,
  packsMm: number,
  growthMm: number,
): Result<SpacerGap> {
  if (!gapsMm.length || !gapsMm.every(gap => gap > 0))
    return refuse('Read the gap between the hubs, best at four places.')
  if (!(spacerMm > 0 && packsMm >= 0)) return refuse('Give the length of the spacer; packs are not below zero.')
  const meanMm = meanOf(gapsMm)
  const cold = meanMm - spacerMm - packsMm
  return accept({
    meanMm,
    spreadMm: rangeOf(gapsMm),
    wantedMm: spacerMm + packsMm + growthMm,
    coldStretchMm: cold,
    warmStretchMm: cold - growthMm,
  })
}
