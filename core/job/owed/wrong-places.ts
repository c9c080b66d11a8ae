import type { Plan, Ref } from '../../sheet/index.ts'
import { partState, type JobState } from '../ledger/state.ts'
import { beforeCover, type Owing, type Source } from './owing.ts'

/** The step of a loop that is next: what is read there would be read of the wrong part. */
function nextOfTrial(plan: Plan, state: JobState, ref: Ref): string | null {
  const on = plan.sheet.steps.find(step => step.trial?.on?.includes(ref))
  return plan.loopOf.get(on?.id ?? '')?.steps.find(step => !state.steps.has(step)) ?? null
}

export const wrongPlaces: Source = ({ plan, state }) =>
  [...plan.parts.values()].flatMap(({ ref, name, part }): Owing[] => {
    const { fitted, trial } = partState(state, ref)
    const place = (fitted ?? trial)?.place
    if (!place || place === ref) return []
    return [
      {
        id: { kind: 'wrong place', part: ref },
        station: 'build',
        what: `${name} is ${trial ? 'on trial ' : ''}in the place of ${plan.parts.get(place)?.name}`,
        why: part.ifSwapped ?? 'Parts go back to the place they came from',
        step: trial ? nextOfTrial(plan, state, ref) : beforeCover(plan, plan.fittedBy.get(ref)?.id),
        settle: { to: 'part', part: ref },
      },
    ]
  })
