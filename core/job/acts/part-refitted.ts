import type { Plan } from '../../sheet/index.ts'
import type { ActKind } from '../ledger/act.ts'
import { keyOf } from '../owed/id.ts'
import { HANDS } from '../ledger/roles.ts'
import { id, optional, type Shaped } from '../ledger/shape.ts'
import { isAway, partState, setPart, stampOf, type JobState } from '../ledger/state.ts'
import { partName } from '../ledger/words.ts'
import { openStep, stepHindrances, unknown } from './sense.ts'

const shape = {
  part: id,
  step: id,
  /** The place it went to; its own where it is left out. */
  place: optional(id),
} as const

type Refit = Shaped<typeof shape>

export const partRefitted: ActKind<Refit> = {
  shape,
  by: HANDS,
  corrected: 'replace',
  sameAgain: true,
  sense: (plan, state, { payload }) => {
    const here = plan.parts.get(payload.part)
    if (!here) return unknown('part', payload.part)
    const lost = openStep(plan, state, payload.step)
    if (lost) return lost
    const { title, fits } = plan.steps.get(payload.step)!
    if (!fits?.includes(payload.part)) return `“${title}” does not fit ${here.name}.`
    const now = partState(state, payload.part)
    if (now.where !== 'off')
      return `${here.name} is ${now.where === 'on' ? 'still on the machine' : 'fitted already'}; it cannot be fitted again.`
    return placeRefusal(plan, state, payload) ?? readyRefusal(plan, state, payload)
  },
  live: (plan, state, entry) => stepHindrances(plan, state, entry.payload.step, entry),
  apply: (state, entry) => {
    const { part, place } = entry.payload
    setPart(state, part, {
      where: 'fitted',
      fitted: {
        ...stampOf(entry, state),
        as: partState(state, part).renewed ? 'new' : 'same',
        place: place ?? part,
      },
    })
  },
  words: (plan, { part, place }) =>
    `Fitted: ${partName(plan, part)}${place && place !== part ? ` in the place of ${partName(plan, place)}` : ''}`,
}

/** A place is one of the same part's, and takes one part. */
function placeRefusal(plan: Plan, state: JobState, { part, place = part }: Refit): string | null {
  const there = plan.parts.get(place)
  const here = plan.parts.get(part)!
  if (!there) return unknown('place', place)
  if (there.part.id !== here.part.id)
    return `${here.name} does not go in the place of ${there.name}: it is another part.`
  const sitting = [...plan.parts.values()].find(
    one =>
      one.part.id === here.part.id &&
      one.ref !== part &&
      (partState(state, one.ref).where === 'on'
        ? one.ref === place
        : partState(state, one.ref).fitted?.place === place),
  )
  return sitting ? `${sitting.name} sits in that place. Take it off first, or give the right place.` : null
}

/** Decided, back, and new where it must be; a lead's concession on the new one lets the old one go back. */
function readyRefusal(plan: Plan, state: JobState, { part }: Refit): string | null {
  const { name, part: kind } = plan.parts.get(part)!
  const { decision, renewed, trial } = partState(state, part)
  if (trial) return `${name} is on for a trial, with nothing new under it. Take it off first.`
  if (state.concessions.has(keyOf({ kind: 'renewal', part }))) return null
  if (kind.renewal === 'always')
    return renewed ? null : `${name} is always renewed. Take a new one from the kit or from stock first.`
  if (!decision)
    return state.concessions.has(keyOf({ kind: 'decision', part }))
      ? null
      : `${name} is not decided: reuse, rework, renew or send out. Decide it first.`
  if (decision.choice === 'renew' && !renewed)
    return `${name} was to be renewed. Take the new one first, or change the decision.`
  return isAway(partState(state, part))
    ? `${name} is ${decision.choice === 'rework' ? 'being reworked' : 'sent out'}. Say first that it is back.`
    : null
}
