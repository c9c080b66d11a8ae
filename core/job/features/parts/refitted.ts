import { isDecided, type Plan } from '../../../sheet/index.ts'
import type { ActKind } from '../../ledger/act.ts'
import { isAway, partsIn, partState, setPart } from '../../ledger/part.ts'
import { refusalsAbout, type Refusal } from '../../../refusal.ts'
import { HANDS } from '../../ledger/roles.ts'
import { id, optional, type Shaped } from '../../ledger/shape.ts'
import { stampOf, type JobState } from '../../ledger/state.ts'
import { partName } from '../../ledger/words.ts'
import { keyOf } from '../../owed/id.ts'
import { isLike } from '../../parts/keeping.ts'
import { openStep, stepHindrances, unknown } from '../sense.ts'

const refusals = refusalsAbout('part.refitted', {
  notHere: ({ step, part }: { step: string; part: string }) => `“${step}” does not fit ${part}.`,
  isOn: ({ part, where }: { part: string; where: string }) => `${part} is ${where}; it cannot be fitted again.`,
  otherPart: ({ part, place }: { part: string; place: string }) =>
    `${part} does not go in the place of ${place}: it is another part.`,
  taken: ({ part }: { part: string }) => `${part} sits in that place. Take it off first, or give the right place.`,
  onTrial: ({ part }: { part: string }) => `${part} is on for a trial, with nothing new under it. Take it off first.`,
  alwaysNew: ({ part }: { part: string }) =>
    `${part} is always renewed. Take a new one from the kit or from stock first.`,
  notDecided: ({ part }: { part: string }) =>
    `${part} is not decided: reuse, rework, renew or send out. Decide it first.`,
  toRenew: ({ part }: { part: string }) => `${part} was to be renewed. Take the new one first, or change the decision.`,
  away: ({ part, how }: { part: string; how: string }) => `${part} is ${how}. Say first that it is back.`,
})

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
    const there = plan.parts.get(payload.place ?? payload.part)
    if (!there) return unknown('place', payload.place!)
    if (!isLike(there.part, here.part)) return refusals.otherPart({ part: here.name, place: there.name })
    const lost = openStep(plan, state, payload.step)
    if (lost) return lost
    const { title, fits } = plan.steps.get(payload.step)!
    if (!fits?.includes(payload.place ?? payload.part)) return refusals.notHere({ step: title, part: here.name })
    const now = partState(state, payload.part)
    if (now.where !== 'off')
      return refusals.isOn({
        part: here.name,
        where: now.where === 'on' ? 'still on the machine' : 'fitted already',
      })
    return placeRefusal(plan, state, payload) ?? readyRefusal(plan, state, payload)
  },
  live: (at, entry) => stepHindrances(at, entry.payload.step, entry),
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

/** A place takes one part. */
function placeRefusal(plan: Plan, state: JobState, { part, place = part }: Refit): Refusal | null {
  const [sitting] = partState(state, place).where === 'on' ? [place] : partsIn(state, [place])
  return sitting !== undefined && sitting !== part ? refusals.taken({ part: partName(plan, sitting) }) : null
}

/** Decided, back, and new where it must be; a lead's concession on the new one lets the old one go back. */
function readyRefusal(plan: Plan, state: JobState, { part: ref }: Refit): Refusal | null {
  const { name: part, part: kind } = plan.parts.get(ref)!
  const now = partState(state, ref)
  const { decision, renewed, trial } = now
  if (trial) return refusals.onTrial({ part })
  if (state.concessions.has(keyOf({ kind: 'renewal', part: ref }))) return null
  if (kind.renewal === 'always') return renewed ? null : refusals.alwaysNew({ part })
  if (!decision)
    return !isDecided(kind) || state.concessions.has(keyOf({ kind: 'decision', part: ref }))
      ? null
      : refusals.notDecided({ part })
  if (decision.choice === 'renew' && !renewed) return refusals.toRenew({ part })
  return isAway(now) ? refusals.away({ part, how: decision.choice === 'rework' ? 'being reworked' : 'sent out' }) : null
}
