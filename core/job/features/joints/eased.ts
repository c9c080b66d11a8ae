import type { Joint } from '../../../sheet/index.ts'
import type { ActKind } from '../../ledger/act.ts'
import { refusalsAbout, type Refusal } from '../../../refusal.ts'
import { HANDS } from '../../ledger/roles.ts'
import { id, optional, words, type Shaped } from '../../ledger/shape.ts'
import { stamped } from '../../ledger/state.ts'
import { jointName } from '../../ledger/words.ts'
import { boltCount, easedOf, isBegun, NO_JOINT, slackened } from '../../parts/joints.ts'
import { outOfReach, unknown } from '../sense.ts'

const refusals = refusalsAbout('bolt', {
  noSuch: ({ joint, bolts, bolt }: { joint: string; bolts: number; bolt: number }) =>
    `${joint} has bolts 1 to ${bolts}; there is no bolt ${bolt}.`,
  anyOrder: ({ joint }: { joint: string }) =>
    `${joint} is slackened in any order: its step is confirmed when it is loose.`,
  isEased: ({ joint, bolt }: { joint: string; bolt: number }) => `Bolt ${bolt} of ${joint} is eased already.`,
  notNow: ({ joint }: { joint: string }) => `${joint} is not to be slackened now`,
  notTorqued: ({ joint }: { joint: string }) => `${joint}: nothing is torqued, so there is nothing to slacken.`,
})

/** Why a joint has no such bolt. */
export function noSuchBolt(joint: Joint, bolt: number): Refusal | null {
  const bolts = boltCount(joint)
  return bolt < 1 || bolt > bolts ? refusals.noSuch({ joint: joint.title, bolts, bolt }) : null
}

const easing = { joint: id, bolt: { is: 'number', whole: true } } as const

/** One bolt of a joint that is slackened in an order. Out of its turn it counts, and the record says so. */
export const boltEased: ActKind<Shaped<typeof easing>> = {
  shape: easing,
  by: HANDS,
  corrected: 'take back',
  sameAgain: true,
  sense: (plan, state, { payload: { joint: name, bolt } }) => {
    const joint = plan.joints.get(name)
    if (!joint) return unknown('joint', name)
    if (!joint.slacken) return refusals.anyOrder({ joint: joint.title })
    const strange = noSuchBolt(joint, bolt)
    if (strange) return strange
    return easedOf(joint, state).eased.includes(bolt) ? refusals.isEased({ joint: joint.title, bolt }) : null
  },
  live: (at, { payload }) => {
    const step = at.plan.sheet.steps.find(
      one => one.joint?.act === 'slacken' && one.joint.id === payload.joint && !at.state.steps.has(one.id),
    )
    return step ? outOfReach(at, step.id) : [refusals.notNow({ joint: jointName(at.plan, payload.joint) })]
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

const slackening = { joint: id, why: optional(words(400)) } as const

/** A joint that was torqued is loose again. */
export const jointSlackened: ActKind<Shaped<typeof slackening>> = {
  shape: slackening,
  by: HANDS,
  corrected: 'take back',
  sameAgain: true,
  sense: (plan, state, { payload: { joint } }) => {
    const known = plan.joints.get(joint)
    if (!known) return unknown('joint', joint)
    return isBegun(state, joint) ? null : refusals.notTorqued({ joint: known.title })
  },
  apply: (state, { payload: { joint } }) => void state.joints.set(joint, slackened(state.joints.get(joint))),
  words: (plan, { joint, why }) => `Slackened: ${jointName(plan, joint)}${why ? `. ${why}` : ''}`,
}
