import type { Check } from '../../sheet/index.ts'
import type { Verdict } from '../../verdict.ts'

/** A reading of one job, as the fleet keeps it. */
export interface KnownReading {
  checkId: string
  /** The key of the cell; empty for what the check came to as a whole. */
  cell: string
  verdict: Verdict
  share: number | null
  /** False once the part it was taken of has been renewed. */
  stands: boolean
  takenAt: string
}

const used = (one: KnownReading) => (one.verdict === 'Out' ? 2 : (one.share ?? 0))
/** Of several that are out, one that was measured tells more than one that was asked. */
const isAsked = (one: KnownReading) => Number(one.share === null)
const worseFirst = (a: KnownReading, b: KnownReading) =>
  used(b) - used(a) || isAsked(a) - isAsked(b) || a.checkId.localeCompare(b.checkId)

/** Read only before anything comes off: it tells of the machine that came in, and nothing of the one that goes out again. */
export const isOnlyFound = ({ at }: Pick<Check, 'at'>): boolean => at.every(one => one.moment === 'asFound')

/**
 * How each check stands on a machine, the one that has used most of its allowance first: as the last job found it that read it whole. Where a part of it was renewed since, the
 * worst of the places that were not stands for it; where all were, nothing is known of what is in there now.
 * @param readings in any order; older ones may be left out
 * @param jobOf tells the jobs apart
 */
export function standingReadings<R extends KnownReading>(readings: readonly R[], jobOf: (one: R) => unknown): R[] {
  const later = (a: R | undefined, b: R) => (!a || b.takenAt >= a.takenAt ? b : a)
  const last = new Map<string, R>()
  for (const one of readings) if (!one.cell) last.set(one.checkId, later(last.get(one.checkId), one))
  const standing = [...last.values()].flatMap(whole => {
    if (whole.stands) return [whole]
    const cells = new Map<string, R>()
    for (const one of readings)
      if (one.cell && one.checkId === whole.checkId && jobOf(one) === jobOf(whole))
        cells.set(one.cell, later(cells.get(one.cell), one))
    return [...cells.values()]
      .filter(one => one.stands && one.verdict !== 'Open')
      .sort(worseFirst)
      .slice(0, 1)
  })
  return standing.sort(worseFirst)
}
