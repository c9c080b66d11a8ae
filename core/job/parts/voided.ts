import type { Moment, Plan } from '../../sheet/index.ts'
import type { Contested } from '../ledger/seen.ts'
import { readingKey, type Draft, type JobState, type Stamp } from '../ledger/state.ts'
import type { CellRead } from '../measuring/cells.ts'
import { checkResults, type CheckResult } from '../measuring/results.ts'

/** Readings that count no more, since something was changed, put right or taken apart again: kept, shown, and nothing rests on them. */
export interface Voided extends Stamp {
  /** The loop they were read in, and the round of it, from 1. */
  loop?: string
  round?: number
  check: string
  moment: Moment
  cause: string
  cells: ReadonlyMap<string, Contested<CellRead>>
}

/** Takes readings out of force, in place: they stay on the record with their cause. */
export function voidReadings(
  state: Draft,
  of: readonly { check: string; moment: Moment }[],
  why: Omit<Voided, 'check' | 'moment' | 'cells'>,
): void {
  for (const { check, moment } of of) {
    const key = readingKey(check, moment)
    const cells = state.readings.get(key)
    if (!cells?.size) continue
    state.voided.push({ ...why, check, moment, cells })
    state.readings.delete(key)
  }
}

/** A reading that is void, worked out as it stood when it was read. */
export function resultOfVoided(plan: Plan, state: JobState, { check, moment, cells }: Voided): CheckResult {
  const key = readingKey(check, moment)
  const then: JobState = { ...state, readings: new Map([...state.readings, [key, cells]]) }
  return checkResults(plan, then).get(key)!
}
