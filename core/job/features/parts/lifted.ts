import type { ActKind } from '../../ledger/act.ts'
import { partState, setPart } from '../../ledger/part.ts'
import { refusalsAbout } from '../../../refusal.ts'
import { HANDS } from '../../ledger/roles.ts'
import { id, optional, refs, words, type Shaped } from '../../ledger/shape.ts'
import { countKey, stamped } from '../../ledger/state.ts'
import { partNames } from '../../ledger/words.ts'
import { knownParts, openStep, stepHindrances } from '../sense.ts'

const refusals = refusalsAbout('part.lifted', {
  notHere: ({ step, part }: { step: string; part: string }) => `“${step}” does not take off ${part}.`,
  isOff: ({ part }: { part: string }) => `${part} is off already.`,
})

const shape = { parts: refs, step: id, method: optional(words(120)) } as const

export const partLifted: ActKind<Shaped<typeof shape>> = {
  shape,
  by: HANDS,
  corrected: 'take back',
  sameAgain: true,
  sense: (plan, state, { payload: { parts, step } }) => {
    const lost = knownParts(plan, parts) ?? openStep(plan, state, step)
    if (lost) return lost
    const { title, removes } = plan.steps.get(step)!
    const name = (ref: string) => plan.parts.get(ref)!.name
    const stranger = parts.find(ref => !removes?.includes(ref))
    if (stranger) return refusals.notHere({ step: title, part: name(stranger) })
    const off = parts.find(ref => partState(state, ref).where === 'off')
    return off ? refusals.isOff({ part: name(off) }) : null
  },
  live: (at, entry) => stepHindrances(at, entry.payload.step, entry),
  apply: (state, entry, plan) => {
    for (const ref of entry.payload.parts) {
      state.liftedCount += 1
      for (const mate of plan.matesOf.get(ref) ?? []) state.mates.delete(mate.id)
      for (const way of ['out', 'in'] as const) state.counts.delete(countKey(ref, way))
      // Taken off again, a part is decided again, and what was new has been fitted once.
      setPart(state, ref, {
        where: 'off',
        fitted: undefined,
        renewed: undefined,
        decision: undefined,
        returned: undefined,
        order: state.liftedCount,
        lifted: stamped(entry, state, { method: entry.payload.method }),
      })
    }
  },
  words: (plan, { parts, method }) => `Off: ${partNames(plan, parts)}${method ? `, by: ${method.toLowerCase()}` : ''}`,
}
