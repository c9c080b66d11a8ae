import type { Loop, Moment, Plan } from '../../sheet/index.ts'
import { newestOf, type CheckResult } from '../measuring/results.ts'
import type { Payloads } from '../ledger/entry.ts'
import { partState } from '../ledger/part.ts'
import { readingKey, type Draft, type JobState, type Stamp } from '../ledger/state.ts'
import { resultOfVoided, voidReadings } from './voided.ts'

/** A round begun again: what was changed for it. The first round is never begun. */
export type Round = Stamp & Payloads['round.begun']

/** The round a loop is in, from 1. */
export const roundOf = ({ rounds }: JobState, loop: string): number => (rounds.get(loop)?.length ?? 0) + 1

/** Moments at which a loop reads a check. */
export const momentsIn = (plan: Plan, loop: Loop, check: string): Moment[] =>
  (plan.checks.get(check)?.at ?? []).filter(at => loop.steps.includes(at.step)).map(at => at.moment)

/** Everything a loop goes on until, with how it stands. */
export const goalsOf = (plan: Plan, loop: Loop, results: ReadonlyMap<string, CheckResult>): CheckResult[] =>
  loop.until.flatMap(check => momentsIn(plan, loop, check).map(moment => results.get(readingKey(check, moment))!))

const isGood = ({ judgement: { verdict }, complete }: CheckResult) =>
  complete && (verdict === 'Holds' || verdict === 'Thin')

/** What keeps a loop from having come out good; empty when it has. */
export const shortOf = (plan: Plan, loop: Loop, results: ReadonlyMap<string, CheckResult>): CheckResult[] =>
  goalsOf(plan, loop, results).filter(one => !isGood(one))

/** Parts that are on for a trial. */
export const onTrial = (plan: Plan, state: JobState): string[] =>
  [...plan.parts.keys()].filter(ref => partState(state, ref).trial)

/** Takes readings of a loop out of force, in place: they stay on the record with their cause. */
export const voidInLoop = (
  state: Draft,
  plan: Plan,
  loop: Loop,
  checks: readonly string[],
  cause: string,
  stamp: Stamp,
): void =>
  voidReadings(
    state,
    [...new Set(checks)].flatMap(check => momentsIn(plan, loop, check).map(moment => ({ check, moment }))),
    { ...stamp, loop: loop.id, round: roundOf(state, loop.id), cause },
  )

/** What one round of a loop read of one check: as it stands, or void with its cause. */
export interface RoundGoal {
  result: CheckResult
  /** Why it counts no more; null while it does. */
  void: string | null
}
export interface RoundView {
  /** From 1. */
  n: number
  /** What was changed for it; null for the first. */
  begun: Round | null
  /** By check and moment; what this round did not read is not there. */
  goals: Map<string, RoundGoal>
}

/** The rounds of a loop, from the first: what was changed between them, what each read, which readings are void and why. */
export function roundsOf(
  plan: Plan,
  state: JobState,
  results: ReadonlyMap<string, CheckResult>,
  loop: Loop,
): RoundView[] {
  const begun = state.rounds.get(loop.id) ?? []
  const rounds = [null, ...begun].map((one, i): RoundView => ({ n: i + 1, begun: one, goals: new Map() }))
  for (const one of state.voided.filter(past => past.loop === loop.id))
    rounds[one.round! - 1]!.goals.set(readingKey(one.check, one.moment), {
      result: resultOfVoided(plan, state, one),
      void: one.cause,
    })
  for (const result of goalsOf(plan, loop, results)) {
    const { check, moment } = result
    const newest = newestOf(result)
    if (newest) {
      const n = begun.filter(one => one.n < newest.n).length
      rounds[n]!.goals.set(readingKey(check.id, moment), { result, void: null })
    }
  }
  return rounds
}
