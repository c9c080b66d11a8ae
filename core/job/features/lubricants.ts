import type { ActKind } from '../ledger/act.ts'
import { refusalsAbout } from '../../refusal.ts'
import { HANDS } from '../ledger/roles.ts'
import { settled, type Contested } from '../ledger/seen.ts'
import { id, words, type Shaped } from '../ledger/shape.ts'
import { lubricantKey, stamped, type Stamp } from '../ledger/state.ts'
import { stepName } from '../ledger/words.ts'
import { belongs } from '../parts/confirm.ts'
import { openStep, stepHindrances } from './sense.ts'

/** What went on a face as it was fitted. What does not belong there is said, and wiped off before the step is done. */

const refusals = refusalsAbout('lubricant', {
  notAsked: ({ step, on }: { step: string; on: string }) => `“${step}” asks nothing of ${on}.`,
})

const shape = { step: id, on: words(60), medium: words(60) } as const

const applied: ActKind<Shaped<typeof shape>> = {
  shape,
  by: HANDS,
  corrected: 'replace',
  sense: (plan, state, { payload: { step, on } }) => {
    const lost = openStep(plan, state, step)
    if (lost) return lost
    const { title, lubricants } = plan.steps.get(step)!
    return lubricants?.some(one => one.on === on) ? null : refusals.notAsked({ step: title, on })
  },
  live: (at, entry) => stepHindrances(at, entry.payload.step, entry),
  apply: (state, entry, plan) => {
    const { step, on, medium } = entry.payload
    const key = lubricantKey(step, on)
    const wanted = plan.steps.get(step)!.lubricants!.find(one => one.on === on)!
    const isWrong = (one: { medium: string }) => Number(!belongs(wanted, one.medium))
    const now = stamped(entry, state, { medium })
    state.lubricants.set(
      key,
      settled(state.lubricants.get(key), now, entry, (one, other) => isWrong(one) > isWrong(other)),
    )
  },
  words: (plan, { step, on, medium }) => `${stepName(plan, step)}, ${on}: ${medium}`,
}

export const slice = () => ({
  /** By step and face. */
  lubricants: new Map<string, Contested<Stamp & { medium: string }>>(),
})
export const acts = { 'lubricant.applied': applied }
