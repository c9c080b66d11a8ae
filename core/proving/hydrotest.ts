import { accept, refuse, type Result } from '../result.ts'

/** Share of the design pressure a casing is tested at with liquid, by the code it was made to. */
export const TEST_FACTORS = {
  'pump casing, 1.5 (ISO 13709)': 1.5,
  'pressure vessel, 1.3 (ASME VIII-1)': 1.3,
  'pressure equipment, 1.43 (EN 13445)': 1.43,
} as const
export type TestCode = keyof typeof TEST_FACTORS
export const TEST_CODES = Object.keys(TEST_FACTORS) as [TestCode, ...TestCode[]]

export interface TestPressure {
  testMPa: number
  /** A gauge reads well from a third to two thirds of its range: 1.5 to 4 times the test pressure. */
  gaugeLeastMPa: number
  gaugeMostMPa: number
}

/**
 * Pressure of a test with liquid, MPa gauge: factor·design·(strength cold/strength hot); the ratio of the metal’s allowed
 * stresses at test and design temperature, one where it does not run hot. Refused: a pressure not above nought, a ratio under 1.
 */
export function hydrotestPressure(designMPa: number, factor: number, stressRatio = 1): Result<TestPressure> {
  if (!(designMPa > 0 && factor >= 1)) return refuse('Give the design pressure, and a factor of 1 or more.')
  if (!(stressRatio >= 1))
    return refuse('Cold metal is at least as strong as hot: the ratio of allowed stresses is 1 or more.')
  const testMPa = designMPa * factor * stressRatio
  return accept({ testMPa, gaugeLeastMPa: 1.5 * testMPa, gaugeMostMPa: 4 * testMPa })
}
