import { accept, refuse, type Result } from '../result.ts'

export interface StripReading {
  clearanceMm: number
  /** The strip that is wanted instead where this one cannot measure the gap; the clearance is then no reading. */
  wants: 'thicker' | 'thinner' | null
}

/**
 * Clearance from the width of a flattened gauging strip of round section, volume kept: c = π·d₀²/(4·w), mm.
 * A strip measures gaps from 0.2 to 0.5 of its d₀: in wider ones its edges stay round, in narrower ones it splits. Outside
 * that the sum is given for comparison and `wants` says which strip to take. Its own printed scale is to be preferred.
 * Refused: a diameter or width that is not above nought.
 *
 * @example stripReading(0.1, 0.19) // { clearanceMm: 0.0413, wants: null }
 */
export function stripReading(stripDiameterMm: number, widthMm: number): Result<StripReading> {
  if (!(stripDiameterMm > 0 && widthMm > 0))
    return refuse("Give the strip's own diameter and the width it was pressed to.")
  const clearanceMm = (Math.PI * stripDiameterMm ** 2) / (4 * widthMm)
  const share = clearanceMm / stripDiameterMm
  return accept({ clearanceMm, wants: share > 0.5 ? 'thicker' : share < 0.2 ? 'thinner' : null })
}

type ScaleLine = readonly [widthMm: number, clearanceMm: number]
export interface ScaleReading {
  clearanceMm: number
  /** The two lines of the scale that it was read between; twice the same where it stands on one. */
  between: readonly [ScaleLine, ScaleLine]
}

/**
 * Clearance from the scale printed on the strip's packet, read between its lines. Pairs of width and clearance in mm,
 * in any order. Refused: fewer than two lines, a width outside the scale.
 */
export function readStripScale(scale: readonly ScaleLine[], widthMm: number): Result<ScaleReading> {
  const lines = [...scale].sort((a, b) => a[0] - b[0])
  if (lines.length < 2) return refuse('Type at least two lines of the printed scale.')
  const above = lines.findIndex(([width]) => width >= widthMm)
  if (above < 0 || widthMm < lines[0]![0])
    return refuse(
      `The printed scale runs from ${lines[0]![0]} to ${lines.at(-1)![0]} mm of width; ${widthMm} mm lies outside. Use another strip size.`,
    )
  const [high, low] = [lines[above]!, lines[Math.max(0, above - 1)]!]
  const share = high[0] === low[0] ? 0 : (widthMm - low[0]) / (high[0] - low[0])
  return accept({ clearanceMm: low[1] + share * (high[1] - low[1]), between: [low, high] })
}
