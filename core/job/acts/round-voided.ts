import type { ActKind } from '../ledger/act.ts'
import { HANDS } from '../ledger/roles.ts'
import { momentsIn, voidReadings } from '../parts/rounds.ts'
import { id, list, why, type Shaped } from '../ledger/shape.ts'
import { readingKey, stampOf } from '../ledger/state.ts'
import { checkName, loopName } from '../ledger/words.ts'
import { unknown } from './sense.ts'

const shape = { loop: id, checks: { ...list(id, 40), least: 1 }, cause: why } as const

/** Readings of a round that were spoiled: the shaft turned, a strip slid. They are read again. */
export const roundVoided: ActKind<Shaped<typeof shape>> = {
  shape,
  by: HANDS,
  corrected: 'take back',
  sense: (plan, state, { payload: { loop: name, checks, cause } }) => {
    const loop = plan.loops.get(name)
    if (!loop) return unknown('loop', name)
    const strange = checks.find(check => !momentsIn(plan, loop, check).length)
    if (strange) return `${checkName(plan, strange)} is not read in ${loop.title}.`
    const bare = checks.find(check =>
      momentsIn(plan, loop, check).every(moment => !state.readings.has(readingKey(check, moment))),
    )
    if (bare) return `${checkName(plan, bare)} has not been read, so there is nothing to void.`
    return cause.trim() ? null : 'Say what spoiled it, for the record.'
  },
  apply: (state, entry, plan) => {
    const { loop, checks, cause } = entry.payload
    voidReadings(state, plan, plan.loops.get(loop)!, checks, cause, stampOf(entry, state))
  },
  words: (plan, { loop, checks, cause }) =>
    `Void in ${loopName(plan, loop)}: ${checks.map(check => checkName(plan, check)).join(', ')}. ${cause}`,
}
