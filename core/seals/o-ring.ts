import { accept, refuse, type Result } from '../result.ts'

export interface Gland {
  sectionMm: number
  ringInsideMm: number
  /** Diameter the ring sits on. */
  grooveInsideMm: number
  /** Groove and gap together. */
  grooveDepthMm: number
  grooveWidthMm: number
}

export interface SeatedRing {
  /** Share by which the ring is stretched; negative when it is pressed together. */
  stretch: number
  sectionStretchedMm: number
  /** Share of the stretched section that is pressed flat. */
  squeeze: number
  /** Share of the groove's section that the ring takes up. */
  fill: number
}

/**
 * An O-ring in its gland: stretch = (groove − ring)/ring, section after stretch = cs/√(1 + stretch) (volume kept),
 * squeeze and gland fill on the stretched section. Lengths in mm, shares as numbers (0.2 is 20 %).
 * Refused: a size that is not above nought, a ring pressed together by half or more.
 */
export function seatORing({
  sectionMm,
  ringInsideMm,
  grooveInsideMm,
  grooveDepthMm,
  grooveWidthMm,
}: Gland): Result<SeatedRing> {
  if (
    ![sectionMm, ringInsideMm, grooveInsideMm, grooveDepthMm, grooveWidthMm].every(mm => mm > 0 && Number.isFinite(mm))
  )
    return refuse(
      'Ring and groove need sizes above zero. Measure section, inside diameter, groove diameter, depth and width.',
    )
  const stretch = (grooveInsideMm - ringInsideMm) / ringInsideMm
  if (stretch <= -0.5) return refuse('This ring is far too large for the groove. Check both inside diameters.')
  const sectionStretchedMm = sectionMm / Math.sqrt(1 + stretch)
  return accept({
    stretch,
    sectionStretchedMm,
    squeeze: (sectionStretchedMm - grooveDepthMm) / sectionStretchedMm,
    fill: ((Math.PI / 4) * sectionStretchedMm ** 2) / (grooveDepthMm * grooveWidthMm),
  })
}
