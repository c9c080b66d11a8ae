import { accept, refuse, type Result } from '../result.ts'

/**
 * Static tension of one belt strand from a force at mid-span: T = F·L/(4·δ), N (the strand as a string, small deflection; the
 * belt's own stiffness makes it read a little high). Refused: anything not above nought, a deflection over a tenth of the span.
 */
export function tensionByDeflectionN(forceN: number, spanMm: number, deflectionMm: number): Result<number> {
  if (!(forceN > 0 && spanMm > 0 && deflectionMm > 0)) return refuse('Force, span and deflection must be above zero.')
  if (deflectionMm > spanMm / 10)
    return refuse('That deflection is over a tenth of the span: the belt is off its pulleys, or a figure slipped.')
  return accept((forceN * spanMm) / (4 * deflectionMm))
}

/** Static tension of one strand from its own note: T = 4·m·L²·f², N (first mode of a string; m in kg per m, L in m). Refused: anything not above nought. */
export function tensionByFrequencyN(hz: number, spanMm: number, massKgPerM: number): Result<number> {
  return hz > 0 && spanMm > 0 && massKgPerM > 0
    ? accept(4 * massKgPerM * (spanMm / 1000) ** 2 * hz ** 2)
    : refuse('Frequency, span and mass of the belt must be above zero.')
}

/** The note a strand should give at a tension, Hz: the other way round of {@link tensionByFrequencyN}. */
export const frequencyOfTensionHz = (tensionN: number, spanMm: number, massKgPerM: number): number =>
  Math.sqrt(tensionN / (4 * massKgPerM)) / (spanMm / 1000)

/** Length of the free strand between two pulleys, mm: √(C² − ((D − d)/2)²). Refused: pulleys that overlap. */
export function freeSpanMm(centresMm: number, largeMm: number, smallMm: number): Result<number> {
  const half = (largeMm - smallMm) / 2
  return centresMm > (largeMm + smallMm) / 2 && largeMm > 0 && smallMm > 0
    ? accept(Math.sqrt(centresMm ** 2 - half ** 2))
    : refuse('The pulleys would overlap: measure their centres and diameters again.')
}
