import type { ActKind } from '../../ledger/act.ts'
import { refusalsAbout } from '../../../refusal.ts'
import { HANDS } from '../../ledger/roles.ts'
import { id, optional, words, type Shaped } from '../../ledger/shape.ts'
import { stamped } from '../../ledger/state.ts'
import { jointName } from '../../ledger/words.ts'
import { isLocked, progressOf } from '../../parts/joints.ts'
import { unknown } from '../sense.ts'

const refusals = refusalsAbout('joint.locked', {
  none: ({ joint }: { joint: string }) => `${joint} is not locked on this machine: there is nothing to answer.`,
  choose: ({ joint }: { joint: string }) => `${joint}: choose one of what may be seen.`,
  count: ({ joint, what }: { joint: string; what: string }) => `${joint}: count the new ones. ${what}.`,
  loose: ({ joint }: { joint: string }) => `${joint} is not drawn up yet. It is locked then`,
})

const shape = {
  joint: id,
  say: words(80),
  /** New ones that went in. */
  newPieces: optional({ is: 'number', whole: true, least: 0, most: 200 }),
} as const

/** How a joint that is drawn up was seen to be locked. */
export const jointLocked: ActKind<Shaped<typeof shape>> = {
  shape,
  by: HANDS,
  corrected: 'replace',
  sense: (plan, _, { payload }) => {
    const joint = plan.joints.get(payload.joint)
    if (!joint) return unknown('joint', payload.joint)
    const { title, locking } = joint
    if (!locking) return refusals.none({ joint: title })
    if (!locking.choices.some(one => one.say === payload.say)) return refusals.choose({ joint: title })
    return locking.newPieces && payload.newPieces === undefined
      ? refusals.count({ joint: title, what: locking.newPieces.what })
      : null
  },
  live: ({ plan, state }, { payload }) => {
    const joint = plan.joints.get(payload.joint)!
    return progressOf(joint, state).verdict === 'Holds' ? [] : [refusals.loose({ joint: joint.title })]
  },
  apply: (state, entry) => {
    const { joint, ...locked } = entry.payload
    const before = state.joints.get(joint)
    if (before) state.joints.set(joint, { ...before, locked: stamped(entry, state, locked) })
  },
  words: (plan, payload) => {
    const joint = plan.joints.get(payload.joint)
    const fresh = payload.newPieces === undefined ? '' : `, ${payload.newPieces} new`
    return `${jointName(plan, payload.joint)}: ${payload.say}${fresh}${joint && !isLocked(joint, { locked: payload }) ? '; not locked as wanted' : ''}`
  },
}
