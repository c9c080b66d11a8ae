import type { Plan, Step } from '../../sheet/index.ts'
import { progressOf } from '../joints.ts'
import type { JobState } from '../state.ts'
import type { Owing, Source } from './owing.ts'

/** Slackened by a later step of the sheet, as after a trial, a joint is not owed any more by the step that torqued it. */
const isOver = ({ steps }: JobState, { sheet }: Plan, { id, joint }: Step) => {
  const done = steps.get(id)
  return Boolean(
    done &&
    sheet.steps.some(
      one => one.joint?.id === joint!.id && one.joint.act === 'slacken' && (steps.get(one.id)?.n ?? 0) > done.n,
    ),
  )
}

export const joints: Source = ({ plan, state }) =>
  plan.sheet.steps
    .filter(
      step =>
        step.joint?.act === 'pull' &&
        (!state.steps.has(step.id) || (state.joints.get(step.joint.id)?.slackened && !isOver(state, plan, step))),
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
