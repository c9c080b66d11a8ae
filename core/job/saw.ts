import type { Stamp } from './state.ts'

/** The acts behind stamps, each once, in a fixed order. */
export const entriesOf = (stamps: readonly Stamp[]): string[] => [...new Set(stamps.map(one => one.entry))].sort()

/** Whether what somebody saw is what is there: no act came to it, and none was corrected. */
export const isSame = (saw: readonly string[], now: readonly string[]): boolean =>
  saw.length === now.length && saw.toSorted().every((one, i) => one === now[i])
