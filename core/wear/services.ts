import type { Interval, InterimService, Service } from '../sheet/index.ts'
import { whatIsNext, type NextDue } from './next.ts'

/** When something was done, ISO 8601 UTC, and what the meters of the machine showed then. */
export interface Done {
  at: string
  /** Hours run; null where nobody read them. */
  hours: number | null
  /** By what is counted, such as starts or lifts. */
  uses: Readonly<Record<string, number>>
}

/** What is known of a machine that its services are counted by. */
export interface Meters {
  hoursRun: number
  hoursPerWeek: number
  uses: Readonly<Record<string, number>>
}

/** How one service of a machine stands. */
export interface ServiceStand {
  id: string
  name: string
  /** When it was last done, and whether that was with an overhaul; null where nothing is on record. */
  last: (Done & { withOverhaul: boolean }) | null
  next: NextDue | null
}

/** When something that was last done then is next due; null where it was never done or nothing of it can be counted. */
export function dueAfter(interval: Interval, last: Done | null, meters: Meters, now: string): NextDue | null {
  if (!last) return null
  const used = interval.uses && meters.uses[interval.uses.of]
  const before = interval.uses && last.uses[interval.uses.of]
  const since = {
    at: last.at,
    hours: last.hours === null ? null : meters.hoursRun - last.hours,
    uses: used === undefined || before === undefined ? null : used - before,
  }
  return whatIsNext(interval, since, meters.hoursPerWeek, now)
}

/**
 * How what is done between overhauls stands, by what was written down of each and by the last overhaul, which counts for
 * those that a step of it does.
 */
export const servicesOf = (
  service: Service,
  done: ReadonlyMap<string, Done>,
  overhaul: Done | null,
  meters: Meters,
  now: string,
): ServiceStand[] =>
  (service.also ?? []).map(one => {
    const last = lastOf(one, done.get(one.id), overhaul)
    return { id: one.id, name: one.name, last, next: dueAfter(one, last, meters, now) }
  })

function lastOf({ step }: InterimService, done: Done | undefined, overhaul: Done | null): ServiceStand['last'] {
  if (step !== undefined && overhaul && !(done && done.at > overhaul.at)) return { ...overhaul, withOverhaul: true }
  return done ? { ...done, withOverhaul: false } : null
}

/** What is counted on a machine beside its hours, by name. */
export const countersOf = ({ also = [] }: Service): string[] => [
  ...new Set(also.flatMap(({ uses }) => (uses ? [uses.of] : []))),
]
