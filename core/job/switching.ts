import { VERDICT_WORDS } from '../verdict.ts'
import type { Axis, Plan } from '../sheet/index.ts'
import { obligations } from './debts.ts'
import { switched } from './features/choices.ts'
import { standing, type CheckResult } from './measuring/results.ts'
import { partState } from './ledger/part.ts'
import type { JobState } from './ledger/state.ts'
import { partName } from './ledger/words.ts'

/** The plan a job goes by in a state: the one it was opened with, or the one its choices have led to. */
export const planIn = (opened: Plan, state: JobState): Plan => state.plan ?? opened

/** An axis of the sheet by its name. */
export const axisOf = (plan: Plan, id: string): Axis => plan.source.axes.find(one => one.id === id)!

/** What speaks for a choice, from what was found: the first of the sheet's proposals that fits. */
export interface Proposal {
  choice: string
  why: string
}

/** What the sheet would choose from the readings as they stand; null while it cannot say. */
export function proposalOf(plan: Plan, results: ReadonlyMap<string, CheckResult>, { decided }: Axis): Proposal | null {
  for (const { check: id, verdict, say, choice } of decided?.proposes ?? []) {
    const check = plan.checks.get(id)
    const last = check && standing(results, check)
    if (!last) continue
    const said = last.value === null ? undefined : check.choices?.[last.value]?.say
    if (say === undefined ? last.judgement.verdict === verdict : said === say)
      return { choice, why: `${check.title}: ${say ?? VERDICT_WORDS[verdict!]}` }
  }
  const read = (decided?.proposes ?? []).every(({ check }) => {
    const one = plan.checks.get(check)
    return one && (standing(results, one)?.judgement.verdict ?? 'Open') !== 'Open'
  })
  return decided?.else && read ? { choice: decided.else, why: 'nothing that was read speaks against it' } : null
}

/** What a choice changes, before it is confirmed. */
export interface Consequences {
  /** Steps that come in, and those that are left out. */
  comes: string[]
  goes: string[]
  /** Done already, and not part of the job any more. */
  inVain: string[]
  /** Off now, and without a step that fits them back. */
  strays: string[]
  /** How many things are owed more. */
  owed: number
}

export function consequencesOf(plan: Plan, state: JobState, axis: string, choice: string): Consequences {
  const next = switched(plan, axis, choice)
  const [now, then] = [plan.sheet.steps, next.sheet.steps]
  const titles = (steps: typeof now, without: Plan, done: boolean) =>
    steps.filter(one => !without.steps.has(one.id) && state.steps.has(one.id) === done).map(one => one.title)
  return {
    comes: titles(then, plan, false),
    goes: titles(now, next, false),
    inVain: titles(now, next, true),
    strays: [...state.parts.keys()]
      .filter(ref => partState(state, ref).where === 'off' && plan.fittedBy.has(ref) && !next.fittedBy.has(ref))
      .map(ref => partName(plan, ref)),
    owed: obligations(next, state).length - obligations(plan, state).length,
  }
}
