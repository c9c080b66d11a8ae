import { accept, refuse, type Result } from '../result.ts'
import type { Verdict } from '../verdict.ts'

/** Expansion of bearing steel, µm per mm and K. */
const EXPANSION_UM_PER_MM_K = 11.7e-3

export interface Mounting {
  boreMm: number
  /** Greatest interference of the fit. */
  interferenceUm: number
  /** Room wanted while it goes on. */
  assemblyClearanceUm: number
  /** Temperature of the shaft. */
  ambientC: number
  greasedOrSealed?: boolean
}

export interface MountingTemperature {
  temperatureC: number
  verdict: Verdict
  otherWays: string[]
}

/**
 * Temperature at which a bearing slides onto its shaft: T = shaft + (δ + clearance)/(11.7·10⁻³·d), °C.
 * Thin above 110 °C, Out above 125 °C (structure of the steel) and above 80 °C when greased or sealed; the number is
 * given all the same, with the other ways. Never a flame. The maker's manual goes before it.
 * Refused: a bore over 1000 mm or not above nought, an interference below nought, a shaft outside −50 to 80 °C.
 */
export function mountingTemperature({
  boreMm,
  interferenceUm,
  assemblyClearanceUm,
  ambientC,
  greasedOrSealed = false,
}: Mounting): Result<MountingTemperature> {
  if (!(boreMm > 0 && boreMm <= 1000)) return refuse('The bore lies over 0 and up to 1000 mm.')
  if (!(interferenceUm >= 0) || !(assemblyClearanceUm >= 0))
    return refuse('Interference and assembly clearance are not below zero. A loose fit needs no heat.')
  if (!(ambientC >= -50 && ambientC <= 80)) return refuse('Give the temperature of the shaft, −50 to 80 °C.')
  const temperatureC = ambientC + (interferenceUm + assemblyClearanceUm) / (EXPANSION_UM_PER_MM_K * boreMm)
  const out = temperatureC > 125 || (greasedOrSealed && temperatureC > 80)
  return accept({
    temperatureC,
    verdict: out ? 'Out' : temperatureC > 110 ? 'Thin' : 'Holds',
    otherWays: out ? ['cool the shaft', 'oil injection', 'press'] : [],
  })
}
