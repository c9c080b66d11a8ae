import { fixed } from '../../../quantity/index.ts'
import { figures, section, text } from '../../ledger/section.ts'
import { id } from '../../ledger/shape.ts'
import { drawingText, isLocked, NO_JOINT, progressOf, pullText, type JointState } from '../../parts/joints.ts'
import { boltEased, jointSlackened } from './eased.ts'
import { jointLocked } from './locked.ts'
import { boltPulled } from './pulled.ts'

export { owes, sources } from './owed.ts'

/** Joints: eased bolt by bolt, drawn up in passes, locked. */
export const slice = () => ({ joints: new Map<string, JointState>() })
export const acts = {
  'bolt.pulled': boltPulled,
  'bolt.eased': boltEased,
  'joint.slackened': jointSlackened,
  'joint.locked': jointLocked,
}
export const sections = {
  joints: section({
    title: 'Joints',
    in: 'work',
    rows: ({ plan, state, who }) =>
      plan.sheet.joints
        .filter(joint => {
          const { passes, strays, eased } = state.joints.get(joint.id) ?? NO_JOINT
          return passes.length || strays.length || eased.length
        })
        .map(joint => {
          const { pulled, verdict } = progressOf(joint, state)
          const { order, locked, strays, outOfTurn } = state.joints.get(joint.id)!
          return {
            title: joint.title,
            wanted: `${drawingText(joint)}${order && order !== joint.pattern ? `; drawn up ${order}, which is allowed` : ''}`,
            torques: [...pulled]
              .sort((a, b) => a.bolt - b.bolt)
              .map(one => `${one.bolt}: ${pullText(one)}`)
              .join(', '),
            verdict: isLocked(joint, { locked }) || verdict !== 'Holds' ? verdict : ('Open' as const),
            outOfTurn: outOfTurn.map(
              one => `bolt ${one.bolt} eased in the turn of ${one.turnOf}, ${who(one.by)}. ${joint.slacken!.why}`,
            ),
            putRight: strays.map(
              one =>
                `bolt ${one.bolt}, pass ${one.pass}: ${one.torqueNm === undefined ? pullText(one) : `${fixed(one.torqueNm, 1)} N·m`}, ${one.side}, ${who(one.by)}`,
            ),
            locked: locked
              ? `Locked: ${locked.say}${locked.newPieces === undefined ? '' : `, ${locked.newPieces} new`}`
              : null,
          }
        }),
    columns: [
      { head: 'Joint', width: 3, cell: row => text(row.title) },
      { head: 'Wanted', width: 3, cell: row => text(row.wanted) },
      {
        head: 'Last pass by bolt, torques in N·m; set: wrench set and clicked',
        width: 5,
        cell: row => ({
          ...figures(row.torques),
          small: [
            ...row.outOfTurn.map(one => `Out of turn: ${one}`),
            ...row.putRight.map(one => `Put right: ${one}`),
            ...(row.locked ? [row.locked] : []),
          ],
        }),
      },
      { head: 'Verdict', width: 2, cell: row => ({ verdict: row.verdict }) },
    ],
  }),
}
export const pads = { joint: { joint: id }, slackening: { joint: id } } as const
