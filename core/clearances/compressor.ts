import { rangeOf } from '../gauging/index.ts'
import { accept, refuse, type Result } from '../result.ts'

export interface LeadClearance {
  leastMm: number
  /** Difference between the places of one end: the piston stands cocked, or the rod is bent. */
  tiltMm: number
  /** What is left warm: the rod and piston grow into it. */
  warmLeastMm: number
}

/**
 * Clearance at an end of a compressor’s stroke from leads pressed there, mm; warm it is less by what the rod grows that way.
 * Refused: no lead, one that was not pressed (not above nought).
 */
export function leadClearance(leadsMm: readonly number[], growsMm: number): Result<LeadClearance> {
  if (!leadsMm.length || !leadsMm.every(mm => mm > 0))
    return refuse(
      'Measure every lead as it came out, above zero. One that shows no mark never touched: take a thicker one.',
    )
  const leastMm = Math.min(...leadsMm)
  return accept({ leastMm, tiltMm: rangeOf(leadsMm), warmLeastMm: leastMm - growsMm })
}

/** End gap of a piston ring in its bore by its material, share of the bore: least and greatest. Rules of thumb. */
export const RING_GAPS = {
  'cast iron': [0.003, 0.006],
  'bronze': [0.004, 0.007],
  'filled PTFE': [0.015, 0.025],
  'PEEK': [0.006, 0.012],
} as const satisfies Record<string, readonly [number, number]>
export type RingMaterial = keyof typeof RING_GAPS
export const RING_MATERIALS = Object.keys(RING_GAPS) as [RingMaterial, ...RingMaterial[]]

/** Lift of a valve plate, mm: guard's depth less plate's thickness, at every place. Refused: no place, a plate thicker than its guard is deep. */
export function valveLift(
  depthsMm: readonly number[],
  plateMm: number,
): Result<{ leastMm: number; greatestMm: number }> {
  if (!depthsMm.length || !(plateMm > 0))
    return refuse('Give the guard’s depth at one place or more, and the plate’s thickness.')
  const lifts = depthsMm.map(depth => depth - plateMm)
  if (!lifts.every(lift => lift > 0))
    return refuse('The plate is as thick as its guard is deep: it cannot lift. Measure both again.')
  return accept({ leastMm: Math.min(...lifts), greatestMm: Math.max(...lifts) })
}
