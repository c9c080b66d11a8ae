import { progressOf } from './joints.ts'
import type { Plan, Step } from '../sheet/index.ts'
import { partState, readingKey, type JobState, type Stamp } from './state.ts'

/** The acts a hold point covers: readings taken at its step, parts moved, bolts pulled, and at a deciding step every decision. */
export function workOf(plan: Plan, state: JobState, step: Step): Stamp[] {
  const parts = [...state.parts.values()]
  return [
    ...(plan.checksAt.get(step.id) ?? []).flatMap(({ check, moment }) => [
      ...(state.readings.get(readingKey(check.id, moment))?.values() ?? []),
      ...(state.figures.get(readingKey(check.id, moment))?.values() ?? []),
    ]),
    ...(step.removes ?? []).flatMap(ref => partState(state, ref).lifted ?? []),
    ...(step.fits ?? []).flatMap(ref => partState(state, ref).fitted ?? []),
    ...(step.joint?.act === 'pull' ? (state.joints.get(step.joint.id)?.passes.flat() ?? []) : []),
    ...(step.station === 'decide' ? parts.flatMap(now => now.decision ?? []) : []),
  ]
}

/** Whether a step leaves anything to look at before it is confirmed. */
const leavesWork = (plan: Plan, step: Step) =>
  step.station === 'decide' ||
  Boolean(step.removes?.length || step.fits?.length || step.joint?.act === 'pull' || plan.checksAt.get(step.id)?.length)

/** What a signature stands on; another work has another. */
export const coveredBy = (work: readonly Stamp[]): string => [...new Set(work.map(one => one.entry))].sort().join(' ')

/** Whether a hold is signed, and signed for the work as it is now. */
export function holdStands(plan: Plan, state: JobState, step: Step): 'signed' | 'lapsed' | 'open' {
  const signed = state.holds.get(step.id)
  if (!signed) return 'open'
  return signed.covered === coveredBy(workOf(plan, state, step)) ? 'signed' : 'lapsed'
}

/** Why this person may not sign a hold now; empty when they may. */
export function holdHindrances(plan: Plan, state: JobState, step: Step, person: string): string[] {
  const work = workOf(plan, state, step)
  if (leavesWork(plan, step) && !work.length)
    return ['There is nothing to sign yet. It is signed once the work is done']
  const undecided =
    step.station === 'decide'
      ? [...plan.parts.values()].filter(({ ref, part }) => {
          const now = partState(state, ref)
          return now.where === 'off' && part.renewal !== 'always' && !now.decision
        })
      : []
  if (undecided.length)
    return [`${undecided[0]!.name}${undecided.length > 1 ? ` and ${undecided.length - 1} more` : ''} not decided yet`]
  if (step.joint?.act === 'pull' && progressOf(plan.joints.get(step.joint.id)!, state).verdict !== 'Holds')
    return ['The joint is not torqued yet']
  return work.some(one => one.by === person)
    ? ['You did some of this work yourself. A hold point is signed by somebody else: a second pair of eyes']
    : []
}
