import { progressOf } from '../joints.ts'
import type { Owing, Source } from './owing.ts'

export const joints: Source = ({ plan, state }) =>
  plan.sheet.steps
    .filter(
      step => step.joint?.act === 'pull' && (!state.steps.has(step.id) || state.joints.get(step.joint.id)?.slackened),
    )
    .flatMap((step): Owing[] => {
      const joint = plan.joints.get(step.joint!.id)!
      const progress = progressOf(joint, state)
      if (progress.verdict === 'Holds') return []
      return [
        {
          id: { kind: 'joint', joint: joint.id },
          station: step.station,
          what: `${joint.title}: ${progress.pass === null ? 'not torqued' : `pass ${progress.pass} of ${joint.passes.length}`}`,
          why: progress.faults[0] ?? joint.why,
          step: step.id,
          settle: { to: 'step', step: step.id },
        },
      ]
    })
