import type { LengthSystem } from '../../quantity/index.ts'
import { readingKey, type Check, type LookInto, type Plan, type Step } from '../../sheet/index.ts'
import { inSentence } from '../../sums/read.ts'
import type { Verdict } from '../../verdict.ts'
import { isRead, standing, type CheckResult } from '../measuring/results.ts'
import { showValue } from '../measuring/show.ts'
import { lookedText, lookKey, verdictOfLooked } from './looks.ts'
import { standsMet } from './mates.ts'
import { troubleKey, type JobState } from '../ledger/state.ts'
import { partName } from '../ledger/words.ts'
import type { Settle } from '../owed/owing.ts'

/** Something that a sign has one look at, and what is known of it. */
export interface LookedInto {
  what: string
  known: string
  /** How it stands; nothing where it has not been looked at. */
  verdict: Verdict | null
  settle: Settle
  /** How much speaks for it, from what is known. */
  weight: number
}
/** A cause of a sign, with where it leads; `worked` is how often it was this on machines of the same sheet. */
export interface Cause {
  means: string
  looks: LookedInto[]
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

/** How much speaks for a cause, by how what it leads to stands. */
const WEIGHT = { Out: 4, Open: 2, Thin: 2, Holds: 0 } as const
/** Nothing speaks against what nobody has looked at. */
const UNKNOWN = 1

/** A check as it stands; where nothing stands, as it was read of a part that is renewed since. */
const read = (results: ReadonlyMap<string, CheckResult>, check: Check): CheckResult | undefined =>
  standing(results, check) ?? check.at.map(({ moment }) => results.get(readingKey(check.id, moment))).findLast(isRead)

/** What a sign has one look at, with what is known of each: what speaks for it most first. */
export function lookInto(
  plan: Plan,
  state: JobState,
  results: ReadonlyMap<string, CheckResult>,
  look: LookInto,
  system?: LengthSystem,
): LookedInto[] {
  const into = (
    what: string,
    settle: Settle,
    [known, verdict]: [known: string, verdict: Verdict | null],
    weight: number = verdict ? WEIGHT[verdict] : UNKNOWN,
  ): LookedInto => ({ what, known, verdict, settle, weight })
  return [
    ...(look.checks ?? []).map(id => {
      const check = plan.checks.get(id)!
      const last = read(results, check)
      return into(
        check.title,
        { to: 'reading', check: id, moment: (last ?? check.at[0]!).moment },
        last ? [showValue(check, last, system), last.judgement.verdict] : ['not read yet', null],
      )
    }),
    ...(look.looks ?? []).flatMap(id => {
      const { title, of } = plan.looks.get(id)!
      return of.map(part => {
        const seen = state.looks.get(lookKey(part, id))
        return into(
          `${title}: ${inSentence(partName(plan, part))}`,
          { to: 'look', part, look: id },
          seen ? [lookedText(plan, seen), verdictOfLooked(plan, seen)] : ['not looked at yet', null],
        )
      })
    }),
    ...(look.mates ?? []).map(id => {
      const mate = plan.mates.get(id)!
      const answer = state.mates.get(id)
      const [known, verdict]: [string, Verdict | null] = !answer
        ? ['not looked at yet', null]
        : answer.notYet
          ? ['not seen yet', 'Open']
          : standsMet(state, mate, answer)
            ? ['met', 'Holds']
            : ['not met', 'Out']
      return into(mate.title, { to: 'mate', mate: id }, [known, verdict])
    }),
    ...(look.steps ?? []).map(id => {
      const done = state.steps.get(id)
      const { title } = plan.steps.get(id)!
      const at: Settle = { to: 'step', step: id }
      if (!done) return into(title, at, ['not done yet', null], 2)
      return done.skipped
        ? into(title, at, [`left out: ${done.skipped}`, 'Thin'], 3)
        : into(title, at, ['done', 'Holds'])
    }),
  ].sort((a, b) => b.weight - a.weight)
}

/** The causes of a sign, likeliest first: by what is known of this job, then by what it was elsewhere, then as the sheet has them. */
export function causesOf(
  plan: Plan,
  state: JobState,
  results: ReadonlyMap<string, CheckResult>,
  step: Step,
  sign: string,
  worked: readonly Worked[] = [],
  system?: LengthSystem,
): Cause[] {
  const weigh = ({ looks, worked: times }: Cause) =>
    Math.max(0, ...looks.map(one => one.weight)) * 10 + Math.min(times, 9)
  return (step.troubles ?? [])
    .filter(one => one.sign === sign)
    .map((one): Cause => ({
      means: one.means,
      looks: lookInto(plan, state, results, one.look, system),
      worked: worked.find(past => past.step === step.id && past.what === one.means)?.times ?? 0,
    }))
    .sort((a, b) => weigh(b) - weigh(a))
}
