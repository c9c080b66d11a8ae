import { accept, refuse, type Result } from '../result.ts'

const KELVIN = 273.15

/**
 * Pressure drop of a gas test, corrected for temperature: drop = p₁ − p₂·T₁/T₂ with absolute pressure and temperature
 * (gas law at one volume), MPa; under vacuum it is negative where air comes in. Gas only: a liquid does not follow it.
 * Refused: an absolute pressure or temperature not above nought, a time not above nought.
 */
export function pressureDrop(
  startMPaAbs: number,
  startC: number,
  endMPaAbs: number,
  endC: number,
  minutes: number,
): Result<{ dropMPa: number; perHourMPa: number; rawDropMPa: number }> {
  if (!(startMPaAbs > 0 && endMPaAbs > 0))
    return refuse('Pressures are absolute and above zero: add the air outside to a gauge reading.')
  if (!(startC > -KELVIN && endC > -KELVIN)) return refuse('Give both temperatures of the gas.')
  if (!(minutes > 0)) return refuse('Give how long the test ran.')
  const dropMPa = startMPaAbs - (endMPaAbs * (startC + KELVIN)) / (endC + KELVIN)
  return accept({ dropMPa, perHourMPa: (dropMPa * 60) / minutes, rawDropMPa: startMPaAbs - endMPaAbs })
}
