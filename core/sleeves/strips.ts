import { accept, refuse, type Result } from '../result.ts'

export interface StripSet {
  meanMm: number
  leastMm: number
  greatestMm: number
  taperMm: number
}

/**
 * Three strips on one journal as gaps: middle and just inside each end, from a stated end (mm).
 * Taper is first end less other end. Refused: a gap not above nought.
 */
export function reduceStrips([first, middle, last]: readonly [number, number, number]): Result<StripSet> {
  if (![first, middle, last].every(gap => gap > 0))
    return refuse(
      'Every strip must show a gap above zero. A strip that is not pressed says nothing: take a thicker one.',
    )
  const all = [first, middle, last]
  return accept({
    meanMm: (first + middle + last) / 3,
    leastMm: Math.min(...all),
    greatestMm: Math.max(...all),
    taperMm: first - last,
  })
}

export interface HornGaps {
  leftAMm: number
  rightAMm: number
  leftBMm: number
  rightBMm: number
}
export interface Skew {
  deltaAMm: number
  deltaBMm: number
  skewMmPerM: number
  offsetMm: number
  says: 'true' | 'offset' | 'skewed' | 'offset and skewed'
}

/**
 * How a journal lies in its bearing, from strips at the two horns, left and right as seen from end A, already as gaps:
 * Δ = left − right at each end; skew = (Δ_A − Δ_B)/(2·L·sin φ), offset = (Δ_A + Δ_B)/(4·sin φ), φ from the crown to where
 * they were read, L their spacing. Angles in degrees, lengths in mm, skew in mm/m. A difference under `resolutionMm` is none.
 * Refused: gaps not above nought, φ not over 0 up to 90°, no spacing.
 */
export function journalSkew(
  { leftAMm, rightAMm, leftBMm, rightBMm }: HornGaps,
  spacingMm: number,
  fromCrownDeg: number,
  resolutionMm = 0.002,
): Result<Skew> {
  if (![leftAMm, rightAMm, leftBMm, rightBMm].every(gap => gap > 0))
    return refuse('All four strips are wanted as gaps above zero. One that shows none is void: read it again.')
  if (!(fromCrownDeg > 0 && fromCrownDeg <= 90))
    return refuse('The strips lie between the crown and the joint: over 0° and up to 90° from the crown.')
  if (!(spacingMm > 0)) return refuse('Give the distance between the two rows of strips.')
  const deltaAMm = leftAMm - rightAMm
  const deltaBMm = leftBMm - rightBMm
  const sine = Math.sin((fromCrownDeg * Math.PI) / 180)
  const skewMm = (deltaAMm - deltaBMm) / (2 * sine)
  const offsetMm = (deltaAMm + deltaBMm) / (4 * sine)
  const [skewed, offset] = [Math.abs(skewMm) > resolutionMm, Math.abs(offsetMm) > resolutionMm]
  return accept({
    deltaAMm,
    deltaBMm,
    skewMmPerM: (skewMm / spacingMm) * 1000,
    offsetMm,
    says: skewed ? (offset ? 'offset and skewed' : 'skewed') : offset ? 'offset' : 'true',
  })
}
