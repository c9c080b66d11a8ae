import type { ActKind } from '../ledger/act.ts'
import { HANDS } from '../ledger/roles.ts'
import { id, words, type Shaped } from '../ledger/shape.ts'
import { stamped, troubleKey } from '../ledger/state.ts'
import { stepName } from '../ledger/words.ts'
import { openStep } from './sense.ts'

const shape = { step: id, sign: words(120) } as const

/** Something is wrong at a step, by its sign: the step waits until it is known what it was. */
export const troubleMet: ActKind<Shaped<typeof shape>> = {
  shape,
  by: HANDS,
  corrected: 'take back',
  sense: (plan, state, { payload: { step, sign } }) => {
    const lost = openStep(plan, state, step)
    if (lost) return lost
    const { title, troubles = [] } = plan.steps.get(step)!
    if (!troubles.some(one => one.sign === sign))
      return `The sheet knows no such trouble at “${title}”. Write a note instead.`
    const met = state.troubles.get(troubleKey(step, sign))
    return met && !met.cleared ? `“${sign}” is said already. Say what it was, or go on looking.` : null
  },
  apply: (state, entry) => {
    const { step, sign } = entry.payload
    state.troubles.set(troubleKey(step, sign), stamped(entry, state, { step, sign }))
  },
  words: (plan, { step, sign }) => `${stepName(plan, step)}: ${sign}`,
}
