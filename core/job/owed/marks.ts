import { keyOf } from './id.ts'
import type { Owing, Source } from './owing.ts'

export const marks: Source = ({ plan, state }) =>
  plan.sheet.steps.flatMap(step =>
    (step.marks ?? [])
      .filter(mate => !state.marks.has(mate) && !state.evidenceLost.has(keyOf({ kind: 'mark', mate })))
      .map((id): Owing => {
        const mate = plan.mates.get(id)!
        return {
          id: { kind: 'mark', mate: id },
          station: step.station,
          what: mate.title,
          why: mate.ifWrong,
          step: step.id,
          settle: { to: 'mark', mate: id },
          perishable: true,
        }
      }),
  )
