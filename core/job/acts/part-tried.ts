import type { Plan } from '../../sheet/index.ts'
import type { ActKind } from '../ledger/act.ts'
import { HANDS } from '../ledger/roles.ts'
import { choice, id, list, optional, refs, type Shaped } from '../ledger/shape.ts'
import { isAway, partState, setPart, stamped } from '../ledger/state.ts'
import { partNames } from '../ledger/words.ts'
import { knownParts, openStep, stepHindrances } from './sense.ts'

const shape = {
  parts: refs,
  step: id,
  way: choice(['on', 'off']),
  /** Where each went, in the order of the parts; its own place where they are left out. */
  places: optional(list(id, 100)),
} as const

/** Whether every part is in a place of its own kind, and no two in one. */
function placesRefusal(plan: Plan, { parts, places }: Shaped<typeof shape>): string | null {
  if (!places) return null
  if (places.length !== parts.length || new Set(places).size !== places.length)
    return 'Say of each part in which place it is, each place once.'
  const stray = parts.findIndex((ref, i) => plan.parts.get(ref)!.part.id !== plan.parts.get(places[i]!)?.part.id)
  return stray < 0 ? null : `${plan.parts.get(parts[stray]!)!.name} does not go there: it is another part.`
}

/** Put on for a trial, or taken off again: nothing of it is fitted for good. */
export const partTried: ActKind<Shaped<typeof shape>> = {
  shape,
  by: HANDS,
  corrected: 'take back',
  sense: (plan, state, { payload }) => {
    const { parts, step, way } = payload
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
    if (!wrong) return placesRefusal(plan, payload)
    const { name } = plan.parts.get(wrong)!
    return way === 'off'
      ? `${name} is not on for a trial.`
      : `${name} is ${partState(state, wrong).trial ? 'on for the trial already' : 'not off the machine'}.`
  },
  live: (plan, state, entry) => stepHindrances(plan, state, entry.payload.step, entry),
  apply: (state, entry) => {
    const { parts, way, places = parts } = entry.payload
    parts.forEach((ref, i) =>
      setPart(state, ref, { trial: way === 'on' ? stamped(entry, state, { place: places[i]! }) : undefined }),
    )
  },
  words: (plan, { parts, way }) =>
    `${way === 'on' ? 'On for a trial' : 'Off after the trial'}: ${partNames(plan, parts)}`,
}
