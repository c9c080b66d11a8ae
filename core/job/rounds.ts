import type { Loop, Moment, Plan } from '../sheet/index.ts'
import type { CheckResult } from './results.ts'
import { partState, readingKey, type JobState, type Stamp } from './state.ts'

/** The round a loop is in, from 1. */
export const roundOf = ({ rounds }: JobState, loop: string): number => (rounds.get(loop)?.length ?? 0) + 1

/** Moments at which a loop reads a check. */
export const momentsIn = (plan: Plan, loop: Loop, check: string): Moment[] =>
  (plan.checks.get(check)?.at ?? []).filter(at => loop.steps.includes(at.step)).map(at => at.moment)

/** Everything a loop goes on until, with how it stands. */
export const goalsOf = (plan: Plan, loop: Loop, results: ReadonlyMap<string, CheckResult>): CheckResult[] =>
  loop.until.flatMap(check => momentsIn(plan, loop, check).map(moment => results.get(readingKey(check, moment))!))

const isGood = ({ judgement: { verdict }, missing, again }: CheckResult) =>
  !missing.length && !again && (verdict === 'Holds' || verdict === 'Thin')

/** What keeps a loop from having come out good; empty when it has. */
export const shortOf = (plan: Plan, loop: Loop, results: ReadonlyMap<string, CheckResult>): CheckResult[] =>
  goalsOf(plan, loop, results).filter(one => !isGood(one))

/** Parts that are on for a trial. */
export const onTrial = (plan: Plan, state: JobState): string[] =>
  [...plan.parts.keys()].filter(ref => partState(state, ref).trial)

/** Takes readings of a loop out of force, in place: they stay on the record with their cause. */
export function voidReadings(
  state: JobState,
  plan: Plan,
  loop: Loop,
  checks: readonly string[],
  cause: string,
  stamp: Stamp,
): void {
  for (const check of new Set(checks))
    for (const moment of momentsIn(plan, loop, check)) {
      const key = readingKey(check, moment)
      const [cells, figures] = [state.readings.get(key), state.figures.get(key)]
      if (!cells?.size && !figures?.size) continue
      const round = roundOf(state, loop.id)
      state.voided.push({
        ...stamp,
        loop: loop.id,
        round,
        check,
        moment,
        cause,
        ...(cells ? { cells } : {}),
        ...(figures ? { figures } : {}),
      })
      state.readings.delete(key)
      state.figures.delete(key)
    }
}
