import { stepsLeft } from '../parts/needs.ts'
import type { Owing, Source } from './owing.ts'

export const stepsUndone: Source = ({ plan, state }) =>
  stepsLeft(plan, state).flatMap((step): Owing[] => {
    const gate = plan.gates.find(one => one.before.has(step.id))
    // The last gate is not behind itself.
    if (!gate && step.closes) return []
    return [
      {
        id: { kind: 'step', step: step.id },
        station: step.station,
        what: step.title,
        why: 'Not done yet',
        step: gate?.step.id ?? null,
        settle: { to: 'step', step: step.id },
      },
    ]
  })
