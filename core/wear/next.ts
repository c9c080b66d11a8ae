export interface ServiceState {
  hoursSince: number
  hoursPerWeek: number
  lastOverhaulAt: string
  service: { hours: number; months: number }
  now: string
}

/** When the next overhaul is due, in weeks from now (0 or less: due), and which interval decided. */
export interface NextOverhaul {
  weeks: number
  decidedBy: 'hours' | 'calendar'
}

const WEEK_MS = 7 * 24 * 3600 * 1000

/**
 * The earlier of the running-hour and the calendar interval of the sheet. Hours are turned into weeks by what the
 * machine runs in a week; one that does not run waits for the calendar. Times are ISO 8601 UTC.
 */
export function whatIsNext({ hoursSince, hoursPerWeek, lastOverhaulAt, service, now }: ServiceState): NextOverhaul {
  const byHours = hoursPerWeek > 0 ? Math.round((service.hours - hoursSince) / hoursPerWeek) : Number.POSITIVE_INFINITY
  const byCalendar = Math.round((addMonths(lastOverhaulAt, service.months) - Date.parse(now)) / WEEK_MS)
  return byHours <= byCalendar ? { weeks: byHours, decidedBy: 'hours' } : { weeks: byCalendar, decidedBy: 'calendar' }
}

function addMonths(iso: string, months: number): number {
  const date = new Date(iso)
  return date.setUTCMonth(date.getUTCMonth() + months)
}
