import type { ActKind } from '../ledger/act.ts'
import { HANDS } from '../ledger/roles.ts'
import { id, optional, words, type Shaped } from '../ledger/shape.ts'
import { NO_JOINT } from '../ledger/state.ts'
import { jointName } from '../ledger/words.ts'
import { unknown } from './sense.ts'

const shape = { joint: id, why: optional(words(400)) } as const

export const jointSlackened: ActKind<Shaped<typeof shape>> = {
  shape,
  by: HANDS,
  corrected: 'take back',
  sameAgain: true,
  sense: (plan, state, { payload: { joint } }) => {
    const known = plan.joints.get(joint)
    if (!known) return unknown('joint', joint)
    return state.joints.get(joint)?.passes.some(pass => pass.length)
      ? null
      : `${known.title}: nothing is torqued, so there is nothing to slacken.`
  },
  apply: (state, { payload }) => {
    const { strays, eased, outOfTurn } = state.joints.get(payload.joint)!
    state.joints.set(payload.joint, { ...NO_JOINT, slackened: true, strays, eased, outOfTurn })
  },
  words: (plan, { joint, why }) => `Slackened: ${jointName(plan, joint)}${why ? `. ${why}` : ''}`,
}
