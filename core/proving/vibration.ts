import { accept, refuse, type Result } from '../result.ts'

/** Zone limits of vibration velocity, mm/s r.m.s., on bearing housings (ISO 20816-3): A/B, B/C, C/D. */
const ZONES = {
  'large: over 300 kW, or shaft height 315 mm and over': { rigid: [2.3, 4.5, 7.1], flexible: [3.5, 7.1, 11] },
  'medium: over 15 up to 300 kW, or shaft height 160 to 315 mm': { rigid: [1.4, 2.8, 4.5], flexible: [2.3, 4.5, 7.1] },
} as const
export type VibrationGroup = keyof typeof ZONES
export const VIBRATION_GROUPS = Object.keys(ZONES) as [VibrationGroup, ...VibrationGroup[]]
export const SUPPORTS = ['rigid', 'flexible'] as const
/** Machines whose vibration is judged by parts of their own. */
export const OTHER_MACHINES = ['reciprocating machine', 'gear unit', 'set of 15 kW or less', 'pump'] as const

export type Zone = 'A' | 'B' | 'C' | 'D'
export interface VibrationZone {
  zone: Zone
  limits: readonly [number, number, number]
}

/** The zone a value stands in; on a limit it is inside. */
export const zoneOf = (value: number, limits: VibrationZone['limits']): Zone =>
  (['A', 'B', 'C', 'D'] as const)[limits.filter(limit => value > limit + 1e-9).length]!

/**
 * Zone of a vibration velocity by group and support (ISO 20816-3, r.m.s., bearing housings, non-rotating parts).
 * Refused by name: reciprocating machines, gear units, small sets and pumps, which have parts of their own; a velocity below nought.
 */
export function vibrationZone(
  mmPerS: number,
  group: VibrationGroup,
  support: (typeof SUPPORTS)[number],
  other?: (typeof OTHER_MACHINES)[number],
): Result<VibrationZone> {
  if (other)
    return refuse(`A ${other} is not judged by ISO 20816-3: it has a part of its own. Take the limits from the sheet.`)
  if (!(mmPerS >= 0)) return refuse('A velocity r.m.s. is not below zero.')
  const limits = ZONES[group][support]
  return accept({ zone: zoneOf(mmPerS, limits), limits })
}
