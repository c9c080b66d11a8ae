const FIRST_MS = 1000
const LONGEST_MS = 30_000

/**
 * How long to wait before the next try after so many that failed, ms: twice as long each time up to half a minute, and not
 * for all pages at the same moment.
 * @param chance from 0 to 1
 */
export const pauseAfter = (failures: number, chance: number): number =>
  Math.min(LONGEST_MS, FIRST_MS * 2 ** Math.max(0, failures - 1)) * (0.75 + chance / 2)
