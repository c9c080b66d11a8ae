import { passesOf } from '../../../joints/index.ts'
import type { Plan, Step } from '../../../sheet/index.ts'
import { owedKind } from '../../ledger/feature.ts'
import { id } from '../../ledger/shape.ts'
import type { JobState } from '../../ledger/state.ts'
import { jointName } from '../../ledger/words.ts'
import type { Owing, Source } from '../../owed/owing.ts'
import { boltCount, easedOf, isBegun, isDrawnUp, isLocked, progressOf, tightens } from '../../parts/joints.ts'

/** Slackened by a later step of the sheet, as after a trial, a joint is not owed any more by the step that drew it up. */
const isOver = ({ steps }: JobState, { sheet }: Plan, { id, joint }: Step) => {
  const done = steps.get(id)
  return Boolean(
    done &&
    sheet.steps.some(
      one => one.joint?.id === joint!.id && one.joint.act === 'slacken' && (steps.get(one.id)?.n ?? 0) > done.n,
    ),
  )
}

/** Joints that are not drawn up, or were slackened again. */
const joints: Source = ({ plan, state }) =>
  plan.sheet.steps
    .filter(tightens)
    // What is nipped first is owed there first.
    .filter(
      ({ joint }) =>
        joint.act === 'nip' ||
        !plan.sheet.steps.some(
          one => one.joint?.act === 'nip' && one.joint.id === joint.id && !state.steps.has(one.id),
        ),
    )
    .filter(
      step => !state.steps.has(step.id) || (state.joints.get(step.joint.id)?.slackened && !isOver(state, plan, step)),
    )
    .flatMap((step): Owing[] => {
      const joint = plan.joints.get(step.joint.id)!
      const progress = progressOf(joint, state)
      if (isDrawnUp(joint, step.joint.act, progress)) return []
      const all = passesOf(joint)
      const begun = isBegun(state, joint.id)
      return [
        {
          id: { kind: 'joint', joint: joint.id },
          station: step.station,
          what: `${joint.title}: ${begun && progress.pass !== null && all.length > 1 ? `pass ${progress.pass} of ${all.length}` : `not ${step.joint.act === 'nip' ? 'nipped' : 'drawn up'}`}`,
          why: [...progress.faults.slice(0, 1), joint.why].join(' '),
          step: step.id,
          settle: { to: 'step', step: step.id },
        },
      ]
    })

/** Bolts still to be eased of a joint that is slackened in an order. */
const slackenings: Source = ({ plan, state }) =>
  plan.sheet.steps.flatMap((step): Owing[] => {
    const joint = step.joint?.act === 'slacken' ? plan.joints.get(step.joint.id)! : undefined
    if (!joint?.slacken || state.steps.has(step.id)) return []
    const { eased } = easedOf(joint, state)
    if (eased.length === boltCount(joint)) return []
    return [
      {
        id: { kind: 'slackening', joint: joint.id },
        station: step.station,
        what: `${joint.title}: ${eased.length} of ${boltCount(joint)} eased`,
        why: joint.slacken.why,
        step: step.id,
        settle: { to: 'slackening', joint: joint.id },
      },
    ]
  })

/** Joints that are drawn up for good and not locked as they must be; in a trial nothing is locked. */
const lockings: Source = ({ plan, state }) =>
  plan.sheet.steps.flatMap((step): Owing[] => {
    const joint = step.joint?.act === 'pull' && !plan.loopOf.has(step.id) ? plan.joints.get(step.joint.id)! : undefined
    if (!joint?.locking || isLocked(joint, state.joints.get(joint.id))) return []
    // Until it is drawn up, that is what is owed.
    if (progressOf(joint, state).verdict !== 'Holds') return []
    const said = state.joints.get(joint.id)?.locked
    return [
      {
        id: { kind: 'locking', joint: joint.id },
        station: step.station,
        what: said ? `${joint.title}: not locked as wanted` : `${joint.title}: how is it locked?`,
        why: joint.locking.ifWrong,
        step: step.id,
        settle: { to: 'joint', joint: joint.id },
      },
    ]
  })

export const owes = {
  joint: owedKind({
    by: { joint: id },
    words: (plan, { joint }) => `Joint not drawn up: ${jointName(plan, joint)}`,
    onceReached: true,
    holdsStart: true,
  }),
  slackening: owedKind({
    by: { joint: id },
    words: (plan, { joint }) => `Not eased bolt by bolt: ${jointName(plan, joint)}`,
    onceReached: true,
  }),
  locking: owedKind({
    by: { joint: id },
    words: (plan, { joint }) => `Not locked: ${jointName(plan, joint)}`,
    holdsStart: true,
  }),
}
export const sources = [joints, slackenings, lockings]
