/** Greatest common divisor of two whole numbers, nought or more (Euclid). */
export const greatestCommonDivisor = (a: number, b: number): number => (b === 0 ? a : greatestCommonDivisor(b, a % b))

/** Least common multiple of two whole numbers above nought. */
export const leastCommonMultiple = (a: number, b: number): number => (a / greatestCommonDivisor(a, b)) * b
