import type { ActKind } from '../ledger/act.ts'
import { HANDS } from '../ledger/roles.ts'
import { belongs } from '../parts/confirm.ts'
import { settled } from '../ledger/seen.ts'
import { id, words, type Shaped } from '../ledger/shape.ts'
import { lubricantKey, stamped } from '../ledger/state.ts'
import { stepName } from '../ledger/words.ts'
import { openStep, stepHindrances } from './sense.ts'

const shape = { step: id, on: words(60), medium: words(60) } as const

/** What went on a face as it was fitted. What does not belong there is said, and wiped off before the step is done. */
export const lubricantApplied: ActKind<Shaped<typeof shape>> = {
  shape,
  by: HANDS,
  corrected: 'replace',
  sense: (plan, state, { payload: { step, on } }) => {
    const lost = openStep(plan, state, step)
    if (lost) return lost
    const { title, lubricants } = plan.steps.get(step)!
    return lubricants?.some(one => one.on === on) ? null : `“${title}” asks nothing of ${on}.`
  },
  live: (plan, state, entry) => stepHindrances(plan, state, entry.payload.step, entry),
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
