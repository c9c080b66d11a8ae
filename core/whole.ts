/** Greatest common divisor of two whole numbers, nought or more (Euclid). */
export const greatestCommonDivisor = (a: number, b: number): number => (b === 0 ? a : greatestCommonDivisor(b, a % b))
