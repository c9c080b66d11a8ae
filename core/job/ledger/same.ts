import type { Stamp } from './state.ts'

/** The acts behind stamps, each once, in a fixed order. */
export const entriesOf = (stamps: readonly Stamp[]): string[] => [...new Set(stamps.map(one => one.entry))].sort()

/** Whether what somebody has seen is what is there: no act came to it, and none was corrected. */
export const isSame = (seen: readonly string[], now: readonly string[]): boolean =>
  seen.length === now.length && seen.toSorted().every((one, i) => one === now[i])
