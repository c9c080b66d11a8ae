import { accept, refuse, type Result } from '../result.ts'
import { pressFit, type PressFit, type Pressed } from './press-fit.ts'

/** Linear expansion of fitting materials, 10⁻⁶ 1/K near 20 to 200 °C, and modulus, MPa, and Poisson's ratio. Textbook values. */
export const FIT_MATERIALS = {
  'carbon steel': { expansion: 11.7, modulusMPa: 210000, poisson: 0.3 },
  'stainless steel, austenitic': { expansion: 16.5, modulusMPa: 195000, poisson: 0.3 },
  'cast iron, grey': { expansion: 10.5, modulusMPa: 110000, poisson: 0.26 },
  'bronze': { expansion: 18, modulusMPa: 105000, poisson: 0.34 },
  'aluminium': { expansion: 23, modulusMPa: 70000, poisson: 0.33 },
} as const
export type FitMaterial = keyof typeof FIT_MATERIALS
export const FIT_MATERIAL_NAMES = Object.keys(FIT_MATERIALS) as [FitMaterial, ...FitMaterial[]]

/** Mean expansion of steel cooled from 20 to −196 °C is smaller than near room temperature, 10⁻⁶ 1/K. */
const DEEP_COLD_STEEL = 9

export interface ShrinkFit {
  shaftLeastMm: number
  shaftGreatestMm: number
  hubLeastMm: number
  hubGreatestMm: number
  shaftBoreMm: number
  hubOutsideMm: number
  lengthMm: number
  shaftOf: FitMaterial
  hubOf: FitMaterial
  friction: number
  /** Mean roughness depth of each seat, µm. */
  rzShaftUm: number
  rzHubUm: number
  /** Running: shaft and hub temperature, °C; both 20 where they do not warm. */
  shaftRunningC: number
  hubRunningC: number
  assemblyClearanceUm: number
  ambientC: number
}

export interface Shrunk {
  /** The fitted diameter, middle of the hub's readings. */
  interfaceMm: number
  /** Interference that grips, after the peaks are smoothed: 0.8·(Rz + Rz) off the least. */
  gripUm: number
  grip: Pressed
  /** Interference that strains, nothing taken off the greatest. */
  strainUm: number
  strain: Pressed
  /** What is left of the grip when it runs; negative when it lets go. */
  runningGripUm: number
  runningTorqueNm: number
  heatHubToC: number
  coolShaftToC: number
}

/**
 * A hub, coupling, sleeve or ring pressed or shrunk on, from measured sizes. Grip from the least interference less
 * 0.8·(Rz inner + Rz outer); stress from the greatest, unsmoothed. Running grip follows both temperatures and expansions.
 * Heat = ambient + (δ + room)/(α·d); cooling alike, with 9·10⁻⁶ for steel in deep cold (below −80 °C).
 * Refused: no interference left after smoothing, sizes the wrong way round, and whatever {@link pressFit} refuses.
 */
export function shrinkFit(fit: ShrinkFit): Result<Shrunk> {
  if (fit.shaftGreatestMm < fit.shaftLeastMm || fit.hubGreatestMm < fit.hubLeastMm)
    return refuse('A least reading stands above its greatest. Change them round.')
  const leastUm = (fit.shaftLeastMm - fit.hubGreatestMm) * 1000
  const strainUm = (fit.shaftGreatestMm - fit.hubLeastMm) * 1000
  const gripUm = leastUm - 0.8 * (fit.rzShaftUm + fit.rzHubUm)
  if (!(gripUm > 0))
    return refuse(
      `Of ${Math.round(leastUm)} µm interference nothing is left once the surfaces are pressed smooth: it would not hold.`,
    )
  const [shaft, hub] = [FIT_MATERIALS[fit.shaftOf], FIT_MATERIALS[fit.hubOf]]
  const d = (fit.hubLeastMm + fit.hubGreatestMm) / 2
  const rings: PressFit = {
    interferenceMm: 0,
    interfaceMm: d,
    innerBoreMm: fit.shaftBoreMm,
    outerMm: fit.hubOutsideMm,
    lengthMm: fit.lengthMm,
    innerEMPa: shaft.modulusMPa,
    innerPoisson: shaft.poisson,
    outerEMPa: hub.modulusMPa,
    outerPoisson: hub.poisson,
    friction: fit.friction,
  }
  const grip = pressFit({ ...rings, interferenceMm: gripUm / 1000 })
  if (!grip.ok) return grip
  const strain = pressFit({ ...rings, interferenceMm: strainUm / 1000 })
  if (!strain.ok) return strain
  const runningGripUm =
    gripUm + (d * (shaft.expansion * (fit.shaftRunningC - 20) - hub.expansion * (fit.hubRunningC - 20))) / 1000
  const running = runningGripUm > 0 ? pressFit({ ...rings, interferenceMm: runningGripUm / 1000 }) : null
  const moveK = (expansion: number) => ((strainUm + fit.assemblyClearanceUm) * 1000) / (expansion * d)
  const plainCool = fit.ambientC - moveK(shaft.expansion)
  const coolShaftToC =
    plainCool < -80 && fit.shaftOf === 'carbon steel' ? fit.ambientC - moveK(DEEP_COLD_STEEL) : plainCool
  return accept({
    interfaceMm: d,
    gripUm,
    grip: grip.value,
    strainUm,
    strain: strain.value,
    runningGripUm,
    runningTorqueNm: running?.ok ? running.value.torqueNm : 0,
    heatHubToC: fit.ambientC + moveK(hub.expansion),
    coolShaftToC,
  })
}

/**
 * Advance of a tapered hub for a wanted interference: δ·x on a taper of 1 in x on the diameter, mm.
 * Refused: no interference, a taper not from 1 in 4 to 1 in 100.
 */
export function taperAdvanceMm(interferenceMm: number, oneIn: number): Result<number> {
  if (!(interferenceMm > 0 && interferenceMm <= 1))
    return refuse('The interference wanted lies over 0 and up to 1 mm on the diameter.')
  if (!(oneIn >= 4 && oneIn <= 100)) return refuse('A taper is given as 1 in x on the diameter, x from 4 to 100.')
  return accept(interferenceMm * oneIn)
}
