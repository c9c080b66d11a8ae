import { durationMs, type Plan, type Step, type Wait } from '../../sheet/index.ts'
import type { JobState, Stamp } from '../ledger/state.ts'

const MINUTE = 60_000

/** A wait as the ledger has it; the times by the clocks as they were measured, ISO 8601 UTC. */
export interface Waiting {
  begun: Stamp & { since: string }
  /** `why` where a lead cut it short. */
  ended?: Stamp & { until: string; why?: string }
}

/** A time to wait, in words: `10 min`, `22 h`, `1 h 30 min`. @param ms down to the minute, a part of one counts as none */
export function spanText(ms: number): string {
  const minutes = Math.max(0, Math.floor(ms / MINUTE + 1e-6))
  const [h, min] = [Math.floor(minutes / 60), minutes % 60]
  return [...(h ? [`${h} h`] : []), ...(min || !h ? [`${min} min`] : [])].join(' ')
}

/** What is still to go between two moments, in words: to the nearest minute, and never nothing. */
export const stillText = (now: string, end: string): string =>
  spanText(Math.max(MINUTE, Date.parse(end) - Date.parse(now) + MINUTE / 2))

/** How long something is to wait, in words. */
export function lengthText({ least, most }: Wait): string {
  const [from, to] = [least, most].map(one => (one === undefined ? undefined : spanText(durationMs(one))))
  if (from && to) return from === to ? from : `${from} to ${to}`
  return from ? `at least ${from}` : `at most ${to}`
}

/** When a wait may end and must have ended, by when it began; ISO 8601 UTC, null where the sheet sets no such end. */
export function endsOf({ least, most }: Wait, since: string): { least: string | null; most: string | null } {
  const end = (one: string | undefined) =>
    one === undefined ? null : new Date(Date.parse(since) + durationMs(one)).toISOString()
  return { least: end(least), most: end(most) }
}

/** How long a wait was, or has been by a moment, ms; never less than nothing, whatever the clocks say. */
export const waitedMs = ({ begun, ended }: Waiting, now = begun.since): number =>
  Math.max(0, Date.parse(ended?.until ?? now) - Date.parse(begun.since))

/** Tablets are measured to a few seconds: that much short of the end is the end. */
const NEARLY = 5_000

/** How a wait stands against what the sheet says of it, by a moment or by its end. */
export function lengthOf({ least, most }: Wait, waiting: Waiting, now?: string): 'short' | 'right' | 'long' {
  const ms = waitedMs(waiting, now)
  if (least !== undefined && ms + NEARLY < durationMs(least)) return 'short'
  return most !== undefined && ms - NEARLY > durationMs(most) ? 'long' : 'right'
}

/** What waits just now: begun and not over, in the order it was begun. */
export const waitsOn = (plan: Plan, state: JobState): { step: Step; wait: Wait; waiting: Waiting }[] =>
  [...state.waits]
    .flatMap(([id, waiting]) => {
      const step = plan.steps.get(id)
      return step?.wait && !waiting.ended && !state.steps.has(id) ? [{ step, wait: step.wait, waiting }] : []
    })
    .sort((a, b) => a.waiting.begun.since.localeCompare(b.waiting.begun.since))

/** Whether a step waits for something that is not begun, or is begun and not over; null where it waits for nothing more. */
export function waitStands(state: JobState, { id, wait }: Step): 'to begin' | 'begun' | null {
  if (!wait || state.steps.has(id)) return null
  const waiting = state.waits.get(id)
  return waiting ? (waiting.ended ? null : 'begun') : 'to begin'
}
