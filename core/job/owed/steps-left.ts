import { stepsLeft } from '../steps.ts'
import type { Owing, Source } from './owing.ts'

export const stepsUndone: Source = ({ plan, state }) =>
  stepsLeft(plan, state)
    .filter(step => step.id !== plan.closing?.step.id)
    .map((step): Owing => ({
      id: { kind: 'step', step: step.id },
      station: step.station,
      what: step.title,
      why: 'Not done yet',
      step: plan.closing?.before.has(step.id) ? plan.closing.step.id : null,
      settle: { to: 'step', step: step.id },
    }))
