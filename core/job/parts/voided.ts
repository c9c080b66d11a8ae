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
  /** Put right where it was and measured again: as it was, it is told to the fleet. */
  isRemedied?: true
  cells: ReadonlyMap<string, Contested<CellRead>>
}

/** Takes readings out of force, in place, all of a check or some of its cells: they stay on the record with their cause. */
export function voidReadings(
  state: Draft,
  of: readonly { check: string; moment: Moment; keys?: readonly string[] }[],
  why: Omit<Voided, 'check' | 'moment' | 'cells'>,
): void {
  for (const { check, moment, keys } of of) {
    const key = readingKey(check, moment)
    const all = state.readings.get(key) ?? NOTHING
    const isGone = (cell: string) => keys === undefined || keys.includes(cell)
    const cells = new Map([...all].filter(([cell]) => isGone(cell)))
    if (!cells.size) continue
    state.voided.push({ ...why, check, moment, cells })
    if (cells.size === all.size) state.readings.delete(key)
    else state.readings.set(key, new Map([...all].filter(([cell]) => !isGone(cell))))
  }
}
const NOTHING: Voided['cells'] = new Map()

/** Whether something that was out was put right and has not been measured again. */
export const isUnproved = ({ voided, putRight, readings }: JobState, check: string, moment: Moment): boolean =>
  putRight.some(
    one =>
      one.check === check &&
      one.moment === moment &&
      (readings.get(readingKey(check, moment))?.get(one.cell)?.n ?? 0) < one.n,
  ) ||
  voided.some(
    one =>
      one.isRemedied &&
      one.check === check &&
      one.moment === moment &&
      [...one.cells.keys()].some(cell => !readings.get(readingKey(check, moment))?.has(cell)),
  )

/** A reading that is void, worked out as it stood when it was read: with what else of it was not put right then. */
export function resultOfVoided(plan: Plan, state: JobState, { check, moment, cells }: Voided): CheckResult {
  const key = readingKey(check, moment)
  const was = new Map([...(state.readings.get(key) ?? NOTHING), ...cells])
  return checkResults(plan, { ...state, readings: new Map([...state.readings, [key, was]]) }).get(key)!
}
