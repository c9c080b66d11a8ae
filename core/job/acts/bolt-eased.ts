import type { ActKind } from '../ledger/act.ts'
import { boltCount, easedOf } from '../parts/joints.ts'
import { HANDS } from '../ledger/roles.ts'
import { id, type Shaped } from '../ledger/shape.ts'
import { NO_JOINT, stamped } from '../ledger/state.ts'
import { jointName } from '../ledger/words.ts'
import { outOfReach, unknown } from './sense.ts'

const shape = { joint: id, bolt: { is: 'number', whole: true } } as const

/** One bolt of a joint that is slackened in an order. Out of its turn it counts, and the record says so. */
export const boltEased: ActKind<Shaped<typeof shape>> = {
  shape,
  by: HANDS,
  corrected: 'take back',
  sameAgain: true,
  sense: (plan, state, { payload: { joint: name, bolt } }) => {
    const joint = plan.joints.get(name)
    if (!joint) return unknown('joint', name)
    if (!joint.slacken) return `${joint.title} is slackened in any order: its step is confirmed when it is loose.`
    const bolts = boltCount(joint)
    if (bolt < 1 || bolt > bolts) return `${joint.title} has bolts 1 to ${bolts}; there is no bolt ${bolt}.`
    return easedOf(joint, state).eased.includes(bolt) ? `Bolt ${bolt} of ${joint.title} is eased already.` : null
  },
  live: (plan, state, { payload }) => {
    const step = plan.sheet.steps.find(
      one => one.joint?.act === 'slacken' && one.joint.id === payload.joint && !state.steps.has(one.id),
    )
    return step
      ? outOfReach(plan, state, step.id)
      : [`${plan.joints.get(payload.joint)!.title} is not to be slackened now`]
  },
  apply: (state, entry, plan) => {
    const { joint: name, bolt } = entry.payload
    const before = state.joints.get(name) ?? NO_JOINT
    const { next } = easedOf(plan.joints.get(name)!, state)
    const eased = [...before.eased, stamped(entry, state, { bolt })]
    const outOfTurn =
      next === null || next === bolt
        ? before.outOfTurn
        : [...before.outOfTurn, stamped(entry, state, { bolt, turnOf: next })]
    state.joints.set(name, { ...before, eased, outOfTurn })
  },
  words: (plan, { joint, bolt }) => `${jointName(plan, joint)}: bolt ${bolt} eased`,
}
