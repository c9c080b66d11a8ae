import { accept, refuse, type Result } from '../result.ts'

export interface PressFit {
  /** On the diameter. */
  interferenceMm: number
  interfaceMm: number
  /** 0 for a solid shaft. */
  innerBoreMm: number
  outerMm: number
  lengthMm: number
  innerEMPa: number
  innerPoisson: number
  outerEMPa: number
  outerPoisson: number
  friction: number
}

export interface Pressed {
  pressureMPa: number
  /** To press on, and to pull off. */
  forceN: number
  /** What friction carries. */
  torqueNm: number
  boreClosureMm: number
  outerGrowthMm: number
  hubHoopMPa: number
  /** von Mises at the hub's bore. */
  hubEquivalentMPa: number
  /** At the inner ring's bore; the pressure itself for a solid shaft. */
  innerHoopMPa: number
}

/**
 * Two elastic rings pressed or shrunk together (Lamé, thick-walled cylinders, plane stress). mm, MPa, N, N·m.
 * Refused: no interference, a bore not inside the interface, an interface not inside the outside diameter, elastic
 * figures or a friction that cannot be.
 */
export function pressFit(fit: PressFit): Result<Pressed> {
  const {
    interferenceMm,
    interfaceMm: d,
    innerBoreMm: di,
    outerMm: Do,
    lengthMm,
    innerEMPa,
    innerPoisson,
    outerEMPa,
    outerPoisson,
    friction,
  } = fit
  if (!(interferenceMm >= 0)) return refuse('There is no interference: the parts are loose, and nothing presses.')
  if (!(di >= 0 && di < d && d < Do))
    return refuse('The bore must lie inside the fitted diameter, and that inside the outside diameter.')
  if (!(lengthMm > 0 && innerEMPa > 0 && outerEMPa > 0))
    return refuse('Length and both moduli of elasticity must be above zero.')
  if (![innerPoisson, outerPoisson].every(nu => nu >= 0 && nu < 0.5) || !(friction > 0 && friction < 1))
    return refuse("Poisson's ratio lies from 0 to below 0.5, friction between 0 and 1.")
  const hub = (Do ** 2 + d ** 2) / (Do ** 2 - d ** 2)
  const inner = (d ** 2 + di ** 2) / (d ** 2 - di ** 2)
  const pressureMPa = interferenceMm / (d * ((hub + outerPoisson) / outerEMPa + (inner - innerPoisson) / innerEMPa))
  const forceN = friction * pressureMPa * Math.PI * d * lengthMm
  const hubHoopMPa = pressureMPa * hub
  return accept({
    pressureMPa,
    forceN,
    torqueNm: (forceN * d) / 2000,
    boreClosureMm: (2 * pressureMPa * d ** 2 * di) / ((d ** 2 - di ** 2) * innerEMPa),
    outerGrowthMm: (2 * pressureMPa * d ** 2 * Do) / ((Do ** 2 - d ** 2) * outerEMPa),
    hubHoopMPa,
    hubEquivalentMPa: Math.sqrt(hubHoopMPa ** 2 + hubHoopMPa * pressureMPa + pressureMPa ** 2),
    innerHoopMPa: di === 0 ? pressureMPa : (2 * pressureMPa * d ** 2) / (d ** 2 - di ** 2),
  })
}
