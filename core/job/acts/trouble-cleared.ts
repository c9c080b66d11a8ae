import type { ActKind } from '../ledger/act.ts'
import { HANDS } from '../ledger/roles.ts'
import { id, words, type Shaped } from '../ledger/shape.ts'
import { stampOf, troubleKey } from '../ledger/state.ts'
import { stepName } from '../ledger/words.ts'
import { unknown } from './sense.ts'

const shape = { step: id, sign: words(120), means: words(400) } as const

/** What a trouble turned out to be: a cause of the sheet, or in words of one's own. */
export const troubleCleared: ActKind<Shaped<typeof shape>> = {
  shape,
  by: HANDS,
  corrected: 'take back',
  sense: (plan, state, { payload: { step, sign, means } }) => {
    if (!plan.steps.has(step)) return unknown('step', step)
    const met = state.troubles.get(troubleKey(step, sign))
    if (!met || met.cleared) return `“${sign}” is not waiting for an answer.`
    return means.trim() ? null : 'Say what it was: the next one who meets it will be glad.'
  },
  apply: (state, entry) => {
    const { step, sign, means } = entry.payload
    const key = troubleKey(step, sign)
    state.troubles.set(key, { ...state.troubles.get(key)!, cleared: { ...stampOf(entry, state), means } })
  },
  words: (plan, { step, sign, means }) => `${stepName(plan, step)}, ${sign}: it was this. ${means}`,
}
