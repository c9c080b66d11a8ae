import type { Plan, Step } from '../../sheet/index.ts'
import { waitStands } from './waits.ts'
import { isWanted } from './wanted.ts'
import type { JobState } from '../ledger/state.ts'

/**
 * The steps that come before one and are not settled. Where a step is not wanted, what it needs itself comes before in
 * its stead.
 */
export function unmetNeeds(plan: Plan, state: JobState, step: Step): Step[] {
  const found = new Set<Step>()
  const walk = (one: Step) => {
    for (const need of (one.needs ?? []).map(id => plan.steps.get(id)!)) {
      if (state.steps.has(need.id)) continue
      if (isWanted(plan, state, need)) found.add(need)
      else walk(need)
    }
  }
  walk(step)
  return [...found]
}

/** Steps in the order of the sheet, those wanted and not settled yet. */
export function stepsLeft(plan: Plan, state: JobState): Step[] {
  return plan.sheet.steps.filter(step => !state.steps.has(step.id) && isWanted(plan, state, step))
}

/** The step to put on the card: the first one left whose needs are met. What only waits is left to itself while there is another. */
export function nextStep(plan: Plan, state: JobState): Step | null {
  const left = stepsLeft(plan, state)
  const isReached = (step: Step) => unmetNeeds(plan, state, step).length === 0
  return (
    left.find(step => waitStands(state, step) !== 'begun' && isReached(step)) ?? left.find(isReached) ?? left[0] ?? null
  )
}
