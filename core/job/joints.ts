import { jointProgress, type JointProgress } from '../joints/index.ts'
import type { Joint } from '../sheet/index.ts'
import type { JobState } from './state.ts'

export const boltCount = ({ layout }: Joint) => (layout.kind === 'circle' ? layout.bolts : layout.points.length)

/** How far a joint of the sheet is, by the job's ledger. */
export function progressOf(joint: Joint, state: JobState): JointProgress {
  return jointProgress({ ...joint, bolts: boltCount(joint) }, state.joints.get(joint.id)?.passes ?? [])
}
