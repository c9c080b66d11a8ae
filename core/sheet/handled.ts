import { stepsBefore } from './before.ts'
import type { Plan } from './plan.ts'
import type { Ref, Step } from './types.ts'

/** Parts that are put on others after them, and so rest on them: as the mates of the sheet say. The others are among them. */
export function restingOn(plan: Plan, of: readonly Ref[]): ReadonlySet<Ref> {
  const reach = new Set(of)
  for (const ref of reach) {
    const fits = plan.fittedBy.get(ref)
    if (!fits) continue
    for (const { a, b } of plan.matesOf.get(ref) ?? []) {
      const other = a === ref ? b : a
      const later = plan.fittedBy.get(other)
      if (later && later !== fits && stepsBefore(plan.steps, later.id).has(fits.id)) reach.add(other)
    }
  }
  return reach
}

const putThere = ({ fits = [], trial }: Step, withTrial: boolean): readonly Ref[] =>
  withTrial ? [...fits, ...(trial?.on ?? [])] : fits

/** Parts that a step puts in place or draws up; with those that are on for a trial, where these count. */
export function handledAt(plan: Plan, step: Step, withTrial: boolean): readonly Ref[] {
  const { joint } = step
  const on = putThere(step, withTrial)
  return joint && joint.act !== 'slacken' ? [...on, ...heldBy(plan, step, withTrial)] : on
}

/** What a joint holds: what the steps right before it put there, or right before those, where they only tighten or look. */
export function heldBy(plan: Plan, step: Step, withTrial: boolean): readonly Ref[] {
  const needs = (step.needs ?? []).map(id => plan.steps.get(id)!).filter(need => need.station === step.station)
  const on = needs.flatMap(need => putThere(need, withTrial))
  return on.length ? on : needs.flatMap(need => heldBy(plan, need, withTrial))
}
