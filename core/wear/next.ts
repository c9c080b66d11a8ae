import type { Interval } from '../sheet/index.ts'

/** What has gone by since it was last done. Hours or uses that nobody read then are null. */
export interface Since {
  /** ISO 8601, UTC. */
  at: string
  hours: number | null
  uses: number | null
}

/** When it is next due, in weeks from now (0 or less: due), and what decided. */
export interface NextDue {
  weeks: number
  decidedBy: 'hours' | 'calendar' | 'uses'
}

const WEEK_MS = 7 * 24 * 3600 * 1000

/**
 * The earliest of running hours, calendar and use. Hours are turned into weeks by what the machine runs in a week, uses by
 * what it was used since; one that stands waits for the calendar, unless the hours or the uses are through already. Null
 * where nothing that was said can be counted: no hours were read, say. Times are ISO 8601, UTC.
 */
export function whatIsNext(interval: Interval, since: Since, hoursPerWeek: number, now: string): NextDue | null {
  const weeksSince = Math.max((Date.parse(now) - Date.parse(since.at)) / WEEK_MS, 0)
  const usesPerWeek = since.uses !== null && weeksSince > 0 ? since.uses / weeksSince : 0
  const found: NextDue[] = []
  const due = (decidedBy: NextDue['decidedBy'], weeks: number) => {
    if (Number.isFinite(weeks)) found.push({ decidedBy, weeks: Math.round(weeks) })
  }
  if (interval.hours !== undefined && since.hours !== null)
    due('hours', weeksUntil(interval.hours - since.hours, hoursPerWeek))
  if (interval.uses && since.uses !== null) due('uses', weeksUntil(interval.uses.every - since.uses, usesPerWeek))
  if (interval.months !== undefined) due('calendar', (addMonths(since.at, interval.months) - Date.parse(now)) / WEEK_MS)
  return found.reduce<NextDue | null>((first, one) => (first && first.weeks <= one.weeks ? first : one), null)
}

/** Weeks until so much more is through at a rate; due where it is through, never where it stands. */
function weeksUntil(left: number, perWeek: number): number {
  if (perWeek > 0) return left / perWeek
  return left <= 0 ? 0 : Number.POSITIVE_INFINITY
}

/** The same day so many months on, or the last of that month where it has no such day. */
function addMonths(iso: string, months: number): number {
  const date = new Date(iso)
  const day = date.getUTCDate()
  date.setUTCDate(1)
  date.setUTCMonth(date.getUTCMonth() + months)
  const last = new Date(Date.UTC(date.getUTCFullYear(), date.getUTCMonth() + 1, 0)).getUTCDate()
  return date.setUTCDate(Math.min(day, last))
}
