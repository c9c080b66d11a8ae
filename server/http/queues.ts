import type { H3Event } from 'h3'
import { isWrite } from './door.ts'
import { quickFirst, room, turns, within } from '../live/turns.ts'

/** Lets a request in when its turn has come, before anything is asked or read for it. */
export type Queue = <T>(event: H3Event, act: () => Promise<T>) => Promise<T>

/** An append may wait this long for those who read, ms. */
const LONGEST_WAIT = 25
const reads = quickFirst(LONGEST_WAIT)

const jobTurns = turns()
/** Few at once: more would gain nothing, and whoever reads would wait behind them all. */
const few = room(4, reads.quiet)

/** Longer than any statement may take, ms. */
const LONGEST_MS = 20_000

/** What most requests go by: in at once. Who sends something is not waited for: it may come slowly. */
export const atOnce: Queue = (event, act) => {
  const timed = () => within(LONGEST_MS, act())
  return isWrite(event) ? timed() : reads.counted(timed)
}

/** What stays open, or takes turns of its own: nobody waits for its end. */
export const staysOpen: Queue = (_, act) => act()

/**
 * What is written into a job, once all of it has arrived: one after the other for each job, few at once over all, and those
 * who read go first.
 */
export const intoJob = <T>(job: string, act: () => Promise<T>): Promise<T> => jobTurns(job, () => few(act))
