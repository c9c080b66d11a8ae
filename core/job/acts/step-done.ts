import type { ActKind } from '../ledger/act.ts'
import { unsaid } from '../parts/confirm.ts'
import { HANDS } from '../ledger/roles.ts'
import { id, optional, words, type Shaped } from '../ledger/shape.ts'
import { NO_JOINT, partState, stamped } from '../ledger/state.ts'
import { stepName } from '../ledger/words.ts'
import { openStep, stepHindrances } from './sense.ts'

const shape = {
  step: id,
  note: optional(words(400)),
  /** Rung of the ladder that brought it home, where nothing was lifted. */
  method: optional(words(120)),
} as const

export const stepDone: ActKind<Shaped<typeof shape>> = {
  shape,
  by: HANDS,
  corrected: 'take back',
  sameAgain: true,
  // A part that is still where the step says it is not: no hindrance to pass, the step is simply not done.
  sense: (plan, state, { payload }) => {
    const lost = openStep(plan, state, payload.step)
    if (lost) return lost
    const step = plan.steps.get(payload.step)!
    const unmoved = [
      ...(step.removes ?? [])
        .filter(ref => partState(state, ref).where !== 'off')
        .map(ref => `${plan.parts.get(ref)!.name} is not off yet`),
      ...(step.fits ?? [])
        .filter(ref => partState(state, ref).where !== 'fitted')
        .map(ref => `${plan.parts.get(ref)!.name} is not fitted yet`),
      ...(step.trial?.on ?? [])
        .filter(ref => !partState(state, ref).trial)
        .map(ref => `${plan.parts.get(ref)!.name} is not on for the trial yet`),
      ...(step.trial?.off ?? [])
        .filter(ref => partState(state, ref).trial)
        .map(ref => `${plan.parts.get(ref)!.name} is still on for the trial`),
    ]
    return unmoved.length ? `“${step.title}” cannot be done yet. ${unmoved.slice(0, 4).join('. ')}.` : null
  },
  live: (plan, state, entry) => {
    const { step: id, note } = entry.payload
    const step = plan.steps.get(id)!
    return [
      ...stepHindrances(plan, state, id, entry),
      ...unsaid(plan, state, step, note).map(one => `“${step.title}” cannot be done yet. ${one}`),
    ]
  },
  apply: (state, entry, plan) => {
    const { step, note } = entry.payload
    state.steps.set(step, stamped(entry, state, { note }))
    const joint = plan.steps.get(step)!.joint
    if (joint?.act === 'slacken') {
      const { strays, eased, outOfTurn } = state.joints.get(joint.id) ?? NO_JOINT
      state.joints.set(joint.id, { ...NO_JOINT, slackened: true, strays, eased, outOfTurn })
    }
  },
  words: (plan, { step, note, method }) =>
    `Done: ${stepName(plan, step)}${method ? `, by: ${method.toLowerCase()}` : ''}${note ? `. Found: ${note}` : ''}`,
}
