import type { Cell } from './cells.ts'

/** What earlier overhauls of a machine found last of one check, by the key of the cell; as a whole under an empty one. Base units. */
export type FoundBefore = Readonly<Record<string, number>>

/** What earlier overhauls of a machine found last, by check. */
export type LastFigures = Readonly<Record<string, FoundBefore>>

/** What was found last of one check. */
export const foundBefore = (last: LastFigures, check: string): FoundBefore =>
  Object.hasOwn(last, check) ? last[check]! : {}

/**
 * What was found last in one cell, or of the check as a whole; null where nothing was. A check that was read in one cell
 * only, or recorded as a whole, says the same for each.
 */
export function foundIn(found: FoundBefore, cell?: Pick<Cell, 'key'>): number | null {
  const byCell = Object.keys(found).some(Boolean)
  return found[cell && byCell ? cell.key : ''] ?? null
}
