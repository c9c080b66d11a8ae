import { accept, refuse, type Result } from '../result.ts'
import { judge, type Judgement, type Limits } from '../verdict.ts'

/**
 * Mean coefficients of linear expansion near room temperature, 1/K. Textbook values; the sheet's own figure goes before them.
 */
export const EXPANSION_PER_K = {
  'carbon steel': 11.7e-6,
  'stainless steel, austenitic': 16.5e-6,
  'stainless steel, martensitic': 10.5e-6,
  'cast iron': 10.5e-6,
  'bronze': 18e-6,
  'aluminium': 23e-6,
} as const

export type ExpansionMaterial = keyof typeof EXPANSION_PER_K
export const MATERIALS = Object.keys(EXPANSION_PER_K) as [ExpansionMaterial, ...ExpansionMaterial[]]

/**
 * Length at the reference temperature of 20 °C (ISO 1): L20 = L / (1 + α·(T − 20)).
 * @param lengthMm as measured, mm, above 0
 * @param temperatureC of the part, °C, −60 to 200; outside it the coefficient no longer applies and the sum is refused
 */
export function lengthAt20(lengthMm: number, temperatureC: number, material: ExpansionMaterial): Result<number> {
  if (!(lengthMm > 0)) return refuse('A length must be greater than zero.')
  if (!(temperatureC >= -60 && temperatureC <= 200))
    return refuse('The part must be between −60 and 200 °C for this correction. Let it come nearer room temperature.')
  return accept(lengthMm / (1 + EXPANSION_PER_K[material] * (temperatureC - 20)))
}

/** Zero or master shift before and after a series: over 10 % of the tolerance asks for the series again. Same unit throughout. */
export function seriesStands(before: number, after: number, tolerance: number): boolean {
  return Math.abs(after - before) <= 0.1 * tolerance
}

/** Standard uncertainty of a difference of two independent readings, u = √(u₁² + u₂²) (ISO/IEC Guide 98-3). Same unit in and out. */
export function uncertaintyOfDifference(first: number, second: number): number {
  return Math.hypot(first, second)
}

/**
 * Holds a value against limits it must be inside of by its uncertainty (after ISO 14253-1): nearer to a limit than that,
 * neither inside nor outside is shown, and it stays Open. Same unit throughout.
 */
export function judgeWithUncertainty(value: number, limits: Limits, uncertainty: number): Judgement {
  const plain = judge(value, limits)
  const near = [limits.min, limits.max].some(
    limit => limit !== undefined && Math.abs(value - limit) < uncertainty - 1e-12,
  )
  return near ? { ...plain, verdict: 'Open' } : plain
}
