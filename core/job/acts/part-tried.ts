import type { ActKind } from '../act.ts'
import { HANDS } from '../roles.ts'
import { choice, id, refs, type Shaped } from '../shape.ts'
import { isAway, partState, setPart, stampOf } from '../state.ts'
import { partNames } from '../words.ts'
import { knownParts, openStep, stepHindrances } from './sense.ts'

const shape = { parts: refs, step: id, way: choice(['on', 'off']) } as const

/** Put on for a trial, or taken off again: nothing of it is fitted for good. */
export const partTried: ActKind<Shaped<typeof shape>> = {
  shape,
  by: HANDS,
  corrected: 'take back',
  sense: (plan, state, { payload: { parts, step, way } }) => {
    const lost = knownParts(plan, parts) ?? openStep(plan, state, step)
    if (lost) return lost
    const { title, trial } = plan.steps.get(step)!
    const stranger = parts.find(ref => !trial?.[way]?.includes(ref))
    if (stranger) return `“${title}” does not try ${plan.parts.get(stranger)!.name}.`
    const wrong = parts.find(ref => {
      const now = partState(state, ref)
      return now.where !== 'off' || Boolean(now.trial) === (way === 'on')
    })
    const away = parts.find(ref => isAway(partState(state, ref)))
    if (!wrong && away && way === 'on')
      return `${plan.parts.get(away)!.name} is away for rework, or sent out. Say first that it is back.`
    if (!wrong) return null
    const { name } = plan.parts.get(wrong)!
    return way === 'off'
      ? `${name} is not on for a trial.`
      : `${name} is ${partState(state, wrong).trial ? 'on for the trial already' : 'not off the machine'}.`
  },
  live: (plan, state, entry) => stepHindrances(plan, state, entry.payload.step, entry),
  apply: (state, entry) => {
    const { parts, way } = entry.payload
    for (const ref of parts) setPart(state, ref, { trial: way === 'on' ? stampOf(entry, state) : undefined })
  },
  words: (plan, { parts, way }) =>
    `${way === 'on' ? 'On for a trial' : 'Off after the trial'}: ${partNames(plan, parts)}`,
}
