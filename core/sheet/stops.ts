import { stepsBefore } from './before.ts'
import { handledAt, restingOn } from './handled.ts'
import type { Plan } from './plan.ts'
import type { Ref, Step } from './types.ts'

/** Something that is wrong: what it is about, and where it came to be so. */
export interface Thing {
  /** The parts, by the places they are in or belong in. */
  of: readonly Ref[]
  /** The step at which it was done or read; what comes before it is not stopped. */
  at: string | undefined
  /** It is in the machine, or may lie in it: turned, lifted or forced it does its harm. */
  isIn: boolean
  /** The check that is out, where one is: the step that puts it right is not stopped by it. */
  check?: string
  /** The step that it must stop at the latest, where the sheet says so. */
  before?: string
}

const KNOWN = new WeakMap<Plan, Map<string, ReadonlySet<string>>>()

/**
 * The steps that something wrong stops: those that fit or tighten it, that build on it, and, where it is in, those that
 * load it. Taking off and reading are never stopped, nor what puts it right. What is shut waits besides for all that lies
 * behind it, and what is started for all that is wrong.
 */
export function stopsOf(plan: Plan, thing: Thing): ReadonlySet<string> {
  const known = KNOWN.get(plan) ?? new Map<string, ReadonlySet<string>>()
  KNOWN.set(plan, known)
  const key = JSON.stringify(thing)
  const stops = known.get(key) ?? stopsAfresh(plan, thing)
  known.set(key, stops)
  return stops
}

function stopsAfresh(plan: Plan, thing: Thing): ReadonlySet<string> {
  const { of, at, isIn, check, before } = thing
  const reach = restingOn(plan, of)
  const roots = new Set(isIn ? [at, ...of.map(ref => plan.fittedBy.get(ref)?.id)] : [])
  const comesAfter = (step: Step) => step.id !== at && (at === undefined || stepsBefore(plan.steps, step.id).has(at))
  const stops = (step: Step) => {
    // A trial is made to find out: what was read holds it up no more than what is right.
    const handled = handledAt(plan, step, check === undefined)
    const builds = handled.length > 0 && step.needs?.some(need => roots.has(need))
    return builds || (isIn && step.loads !== undefined) || handled.some(ref => reach.has(ref))
  }
  return new Set(
    plan.sheet.steps
      .filter(
        step => step.id === before || (comesAfter(step) && !(check && step.mends?.includes(check)) && stops(step)),
      )
      .map(step => step.id),
  )
}
