import type { ActKind } from '../ledger/act.ts'
import { HANDS } from '../ledger/roles.ts'
import { onTrial, voidReadings } from '../parts/rounds.ts'
import { id, list, words, type Shaped } from '../ledger/shape.ts'
import { countKey, lubricantKey, stampOf, stamped } from '../ledger/state.ts'
import { loopName, partName } from '../ledger/words.ts'
import { unknown } from './sense.ts'

const shape = {
  loop: id,
  /** What was changed, in the words of the sheet. */
  changed: { ...list(words(200), 12), least: 1 },
} as const

/** A loop is gone through once more: its steps are to be done again, and what the change voids is read again. */
export const roundBegun: ActKind<Shaped<typeof shape>> = {
  shape,
  by: HANDS,
  corrected: 'take back',
  sense: (plan, state, { payload }) => {
    const loop = plan.loops.get(payload.loop)
    if (!loop) return unknown('loop', payload.loop)
    const strange = payload.changed.find(say => !loop.changes.some(one => one.say === say))
    if (strange !== undefined)
      return `“${strange}” is not on the sheet of ${loop.title}. Choose from: ${loop.changes.map(one => one.say).join(', ')}.`
    if (!loop.steps.some(step => state.steps.has(step)))
      return `${loop.title} has not been begun yet. Go through it first.`
    const [on] = onTrial(plan, state)
    if (on) return `${partName(plan, on)} is still on for the trial. Take it off, then begin another round.`
    const later = plan.sheet.steps.find(step => step.after?.includes(loop.id) && state.steps.has(step.id))
    return later ? `“${later.title}” was done after ${loop.title}. Take that back first.` : null
  },
  apply: (state, entry, plan) => {
    const loop = plan.loops.get(entry.payload.loop)!
    const { changed } = entry.payload
    const voids = loop.changes.filter(one => changed.includes(one.say)).flatMap(one => one.voids)
    voidReadings(state, plan, loop, voids, changed.join('; '), stampOf(entry, state))
    for (const id of loop.steps) {
      state.steps.delete(id)
      for (const { on } of plan.steps.get(id)?.lubricants ?? []) state.lubricants.delete(lubricantKey(id, on))
      for (const { id: item } of plan.steps.get(id)?.leaves ?? [])
        for (const way of ['in', 'out'] as const) state.counts.delete(countKey(item, way))
    }
    state.rounds.set(loop.id, [...(state.rounds.get(loop.id) ?? []), stamped(entry, state, entry.payload)])
  },
  words: (plan, { loop, changed }) => `Another round of ${loopName(plan, loop)}. Changed: ${changed.join('; ')}`,
}
