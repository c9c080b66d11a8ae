import type { Plan, Step, Trouble } from '../../sheet/index.ts'
import { standing, type CheckResult } from '../measuring/results.ts'
import { lookedText, lookKey, verdictOfLooked } from './looks.ts'
import { standsMet } from './mates.ts'
import { troubleKey, type JobState } from '../ledger/state.ts'
import { partName } from '../ledger/words.ts'
import type { Settle } from '../owed/owing.ts'

/** Something to look at again, and what is known of it. */
export interface Look {
  what: string
  known: string
  settle: Settle
  /** How much speaks for it, from what is known. */
  weight: number
}
/** A cause of a sign, with where it leads; `worked` is how often it was this on machines of the same sheet. */
export interface Cause {
  means: string
  looks: Look[]
  worked: number
}

/** What worked elsewhere: methods that freed or brought home, and causes that it was, by step. */
export interface Worked {
  step: string
  what: string
  times: number
}

export const signsOf = ({ troubles = [] }: Step): string[] => [...new Set(troubles.map(one => one.sign))]

/** The sign that a step waits for; null while nothing is wrong. */
export const signMet = (state: JobState, step: Step): string | null =>
  signsOf(step).find(sign => {
    const met = state.troubles.get(troubleKey(step.id, sign))
    return met && !met.cleared
  }) ?? null

const WEIGHT = { Out: 4, Open: 2, Thin: 2, Holds: 0 } as const

function looksAt(plan: Plan, state: JobState, results: Map<string, CheckResult>, { look }: Trouble): Look[] {
  return [
    ...(look.checks ?? []).map((id): Look => {
      const check = plan.checks.get(id)!
      const last = standing(results, check)
      const { moment } = last ?? check.at[0]!
      return {
        what: check.title,
        known: last ? last.judgement.verdict : 'not read yet',
        settle: { to: 'reading', check: id, moment },
        weight: last ? WEIGHT[last.judgement.verdict] : 1,
      }
    }),
    ...(look.looks ?? []).flatMap(id => {
      const { title, of } = plan.looks.get(id)!
      return of.map((part): Look => {
        const seen = state.looks.get(lookKey(part, id))
        const verdict = seen && verdictOfLooked(plan, seen)
        return {
          what: `${title}: ${partName(plan, part)}`,
          known: seen ? lookedText(plan, seen) : 'not looked at yet',
          settle: { to: 'look', part, look: id },
          weight: verdict ? WEIGHT[verdict] : 1,
        }
      })
    }),
    ...(look.mates ?? []).map((id): Look => {
      const mate = plan.mates.get(id)!
      const answer = state.mates.get(id)
      const met = answer && !answer.notYet && standsMet(state, mate, answer)
      return {
        what: mate.title,
        known: !answer ? 'not looked at yet' : answer.notYet ? 'not seen yet' : met ? 'met' : 'not met',
        settle: { to: 'mate', mate: id },
        weight: !answer ? 1 : answer.notYet ? 2 : met ? 0 : 4,
      }
    }),
    ...(look.steps ?? []).map((id): Look => {
      const done = state.steps.get(id)
      return {
        what: plan.steps.get(id)!.title,
        known: !done ? 'not done yet' : done.skipped ? `left out: ${done.skipped}` : 'done',
        settle: { to: 'step', step: id },
        weight: !done ? 2 : done.skipped ? 3 : 0,
      }
    }),
  ].sort((a, b) => b.weight - a.weight)
}

/** The causes of a sign, likeliest first: by what is known of this job, then by what it was elsewhere, then as the sheet has them. */
export function causesOf(
  plan: Plan,
  state: JobState,
  results: Map<string, CheckResult>,
  step: Step,
  sign: string,
  worked: readonly Worked[] = [],
): Cause[] {
  const weigh = ({ looks, worked: times }: Cause) =>
    Math.max(0, ...looks.map(one => one.weight)) * 10 + Math.min(times, 9)
  return (step.troubles ?? [])
    .filter(one => one.sign === sign)
    .map((one): Cause => ({
      means: one.means,
      looks: looksAt(plan, state, results, one),
      worked: worked.find(past => past.step === step.id && past.what === one.means)?.times ?? 0,
    }))
    .sort((a, b) => weigh(b) - weigh(a))
}
