import { accept, refuse, type Result } from '../result.ts'
import { pressFit, type PressFit, type Pressed } from './press-fit.ts'
import { turningBoreGrowthMm, turningBoreStressMPa, turningOutsideGrowthMm, type TurningRing } from './spin.ts'

/**
 * Fitting materials: linear expansion near 20 to 200 °C and, smaller, from 20 °C into deep cold, 10⁻⁶ 1/K; modulus, MPa;
 * Poisson's ratio; density, kg/m³. Textbook values.
 */
export const FIT_MATERIALS = {
  'carbon steel': { expansion: 11.7, deepCold: 9, modulusMPa: 210000, poisson: 0.3, density: 7850 },
  'stainless steel, austenitic': { expansion: 16.5, deepCold: 13, modulusMPa: 195000, poisson: 0.3, density: 7950 },
  'stainless steel, martensitic': { expansion: 10.5, deepCold: 8.5, modulusMPa: 205000, poisson: 0.29, density: 7750 },
  'cast iron, grey': { expansion: 10.5, deepCold: 8, modulusMPa: 110000, poisson: 0.26, density: 7200 },
  'bronze': { expansion: 18, deepCold: 15, modulusMPa: 105000, poisson: 0.34, density: 8800 },
  'aluminium': { expansion: 23, deepCold: 18, modulusMPa: 70000, poisson: 0.33, density: 2700 },
} as const
export type FitMaterial = keyof typeof FIT_MATERIALS
export const FIT_MATERIAL_NAMES = Object.keys(FIT_MATERIALS) as [FitMaterial, ...FitMaterial[]]

/** From here down the smaller expansion counts, °C. */
const DEEP_COLD_C = -80
/** The two colds a shop has: dry ice, and liquid nitrogen, below which nobody gets. */
export const DRY_ICE_C = -78
export const COLDEST_C = -196

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
  /** 1/min; nought where it does not turn, or slowly. */
  speedPerMin?: number
  assemblyClearanceUm: number
  ambientC: number
}

/** The fit in one state that it really comes into: as measured at 20 °C or warm, at rest or turning. */
export interface FitState {
  name: 'cold, at rest' | 'warm, at rest' | 'cold, at speed' | 'warm, at speed'
  /** What is left of the grip; negative when it lets go. */
  gripUm: number
  /** Between the two at that grip. */
  pressureMPa: number
  torqueNm: number
  /** von Mises at the hub's bore, from the greatest interference and from turning. */
  hubEquivalentMPa: number
  /** Hoop stress at the shaft's bore, or at its centre where it is solid; its size without sign. */
  innerHoopMPa: number
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
  /** Every state that is given, cold and at rest first. */
  states: readonly FitState[]
  heatHubToC: number
  /** Null where no cold of a shop reaches. */
  coolShaftToC: number | null
  /** With the shaft in dry ice, the hub need only be this warm. */
  heatWithDryIceToC: number
}

/** Interference gained when shaft and hub leave 20 °C, µm: d·(αs·(Ts − 20) − αh·(Th − 20)). */
const warmthUm = ({ shaftOf, hubOf, shaftRunningC, hubRunningC }: ShrinkFit, d: number) =>
  (d *
    (FIT_MATERIALS[shaftOf].expansion * (shaftRunningC - 20) - FIT_MATERIALS[hubOf].expansion * (hubRunningC - 20))) /
  1000

/**
 * A hub, coupling, sleeve or ring pressed or shrunk on, from measured sizes. Grip from the least interference less
 * 0.8·(Rz inner + Rz outer); stress from the greatest, unsmoothed. Both are worked out in every state that is given: heat by
 * both temperatures and expansions, speed by the growth of two turning rings (elastic, so that the shares add up).
 * Heat = ambient + (δ + room)/(α·d); cooling alike, with the smaller expansion of deep cold below −80 °C.
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

  const turning = (of: typeof shaft | typeof hub, innerMm: number, outerMm: number): TurningRing => ({
    innerMm,
    outerMm,
    densityKgPerM3: of.density,
    poisson: of.poisson,
    modulusMPa: of.modulusMPa,
    speedPerMin: fit.speedPerMin ?? 0,
  })
  const [turningHub, turningShaft] = [turning(hub, d, fit.hubOutsideMm), turning(shaft, fit.shaftBoreMm, d)]
  const spinUm = 1000 * (turningBoreGrowthMm(turningHub) - turningOutsideGrowthMm(turningShaft))
  const stateOf = (name: FitState['name'], isWarm: boolean, turns: boolean): FitState => {
    const gainUm = (isWarm ? warmthUm(fit, d) : 0) - (turns ? spinUm : 0)
    const at = (um: number) => {
      const pressed = pressFit({ ...rings, interferenceMm: Math.max(0, um) / 1000 })
      return pressed.ok ? pressed.value : strain.value
    }
    const [loose, tight] = [at(gripUm + gainUm), at(strainUm + gainUm)]
    const hoop = tight.hubHoopMPa + (turns ? turningBoreStressMPa(turningHub) : 0)
    return {
      name,
      gripUm: gripUm + gainUm,
      pressureMPa: loose.pressureMPa,
      torqueNm: loose.torqueNm,
      hubEquivalentMPa: Math.sqrt(hoop ** 2 + hoop * tight.pressureMPa + tight.pressureMPa ** 2),
      innerHoopMPa: Math.abs(tight.innerHoopMPa - (turns ? turningBoreStressMPa(turningShaft) : 0)),
    }
  }
  const warms = fit.shaftRunningC !== 20 || fit.hubRunningC !== 20
  const turns = (fit.speedPerMin ?? 0) > 0
  const states = [
    stateOf('cold, at rest', false, false),
    ...(warms ? [stateOf('warm, at rest', true, false)] : []),
    ...(turns ? [stateOf('cold, at speed', false, true)] : []),
    ...(warms && turns ? [stateOf('warm, at speed', true, true)] : []),
  ]

  const roomUm = strainUm + fit.assemblyClearanceUm
  const coolTo = (expansion: number) => fit.ambientC - (roomUm * 1000) / (expansion * d)
  const plain = coolTo(shaft.expansion)
  const coolShaftToC = plain < DEEP_COLD_C ? coolTo(shaft.deepCold) : plain
  const inDryIceUm = (shaft.expansion * d * Math.max(0, fit.ambientC - DRY_ICE_C)) / 1000
  return accept({
    interfaceMm: d,
    gripUm,
    grip: grip.value,
    strainUm,
    strain: strain.value,
    states,
    heatHubToC: fit.ambientC + (roomUm * 1000) / (hub.expansion * d),
    coolShaftToC: coolShaftToC < COLDEST_C ? null : coolShaftToC,
    heatWithDryIceToC: fit.ambientC + (Math.max(0, roomUm - inDryIceUm) * 1000) / (hub.expansion * d),
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
