/** A ring that turns, by itself: mm, kg/m³, 1/min; stress in MPa. */
export interface TurningRing {
  innerMm: number
  outerMm: number
  densityKgPerM3: number
  poisson: number
  modulusMPa: number
  speedPerMin: number
}

/** ρω²/4, so that times a square of mm it comes to MPa. */
const quarter = ({ densityKgPerM3, speedPerMin }: TurningRing) =>
  (densityKgPerM3 * ((2 * Math.PI * speedPerMin) / 60) ** 2) / 4 / 1e12

/**
 * Hoop stress at the bore of a turning ring, MPa (rotating disc of even thickness, plane stress, no load on its edges;
 * Timoshenko, Theory of Elasticity): ρω²/4·((3 + ν)b² + (1 − ν)a²) in radii. At the centre of a solid one it is half that.
 */
export function turningBoreStressMPa(ring: TurningRing): number {
  const [a, b] = [ring.innerMm / 2, ring.outerMm / 2]
  const hoop = quarter(ring) * ((3 + ring.poisson) * b ** 2 + (1 - ring.poisson) * a ** 2)
  return a === 0 ? hoop / 2 : hoop
}

/** Growth of the bore's diameter when the ring turns, mm: d·σθ/E at an edge without load. */
export const turningBoreGrowthMm = (ring: TurningRing): number =>
  (ring.innerMm * turningBoreStressMPa(ring)) / ring.modulusMPa

/** Growth of the outside diameter when the ring turns, mm: σθ = ρω²/4·((3 + ν)a² + (1 − ν)b²) there. */
export function turningOutsideGrowthMm(ring: TurningRing): number {
  const [a, b] = [ring.innerMm / 2, ring.outerMm / 2]
  const hoop = quarter(ring) * ((3 + ring.poisson) * a ** 2 + (1 - ring.poisson) * b ** 2)
  return (ring.outerMm * hoop) / ring.modulusMPa
}
