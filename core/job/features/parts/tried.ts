import type { Plan } from '../../../sheet/index.ts'
import type { ActKind } from '../../ledger/act.ts'
import { isAway, partState, setPart } from '../../ledger/part.ts'
import { refusalsAbout, type Refusal } from '../../../refusal.ts'
import { HANDS } from '../../ledger/roles.ts'
import { choice, id, list, optional, refs, type Shaped } from '../../ledger/shape.ts'
import { stamped } from '../../ledger/state.ts'
import { partNames } from '../../ledger/words.ts'
import { knownParts, notOff, openStep, stepHindrances } from '../sense.ts'

const refusals = refusalsAbout('part.tried', {
  places: () => 'Say of each part in which place it is, each place once.',
  otherPart: ({ part }: { part: string }) => `${part} does not go there: it is another part.`,
  notHere: ({ step, part }: { step: string; part: string }) => `“${step}” does not try ${part}.`,
  away: ({ part }: { part: string }) => `${part} is away for rework, or sent out. Say first that it is back.`,
  notOn: ({ part }: { part: string }) => `${part} is not on for a trial.`,
  isOn: ({ part }: { part: string }) => `${part} is on for the trial already.`,
})

const shape = {
  parts: refs,
  step: id,
  way: choice(['on', 'off']),
  /** Where each went, in the order of the parts; its own place where they are left out. */
  places: optional(list(id, 100)),
} as const

/** Whether every part is in a place of its own kind, and no two in one. */
function placesRefusal(plan: Plan, { parts, places }: Shaped<typeof shape>): Refusal | null {
  if (!places) return null
  if (places.length !== parts.length || new Set(places).size !== places.length) return refusals.places()
  const stray = parts.findIndex((ref, i) => plan.parts.get(ref)!.part.id !== plan.parts.get(places[i]!)?.part.id)
  return stray < 0 ? null : refusals.otherPart({ part: plan.parts.get(parts[stray]!)!.name })
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
    const name = (ref: string) => plan.parts.get(ref)!.name
    const stranger = parts.find(ref => !trial?.[way]?.includes(ref))
    if (stranger) return refusals.notHere({ step: title, part: name(stranger) })
    const wrong = parts.find(ref => {
      const now = partState(state, ref)
      return now.where !== 'off' || Boolean(now.trial) === (way === 'on')
    })
    if (wrong !== undefined) {
      if (way === 'off') return refusals.notOn({ part: name(wrong) })
      return partState(state, wrong).trial ? refusals.isOn({ part: name(wrong) }) : notOff(name(wrong))
    }
    const away = way === 'on' ? parts.find(ref => isAway(partState(state, ref))) : undefined
    return away === undefined ? placesRefusal(plan, payload) : refusals.away({ part: name(away) })
  },
  live: (at, entry) => stepHindrances(at, entry.payload.step, entry),
  apply: (state, entry) => {
    const { parts, way, places = parts } = entry.payload
    parts.forEach((ref, i) =>
      setPart(state, ref, { trial: way === 'on' ? stamped(entry, state, { place: places[i]! }) : undefined }),
    )
  },
  words: (plan, { parts, way }) =>
    `${way === 'on' ? 'On for a trial' : 'Off after the trial'}: ${partNames(plan, parts)}`,
}
