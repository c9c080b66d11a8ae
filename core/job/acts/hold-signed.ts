import type { ActKind } from '../act.ts'
import { coveredBy, holdHindrances, workOf } from '../holds.ts'
import { id, type Shaped } from '../shape.ts'
import { stamped } from '../state.ts'
import { stepName } from '../words.ts'
import { unknown } from './sense.ts'

const shape = { step: id } as const

export const holdSigned: ActKind<Shaped<typeof shape>> = {
  shape,
  by: ['lead'],
  corrected: 'take back',
  neverLate: true,
  signature: true,
  sense: (plan, _, { payload }) => (plan.steps.get(payload.step)?.hold ? null : unknown('hold point', payload.step)),
  live: (plan, state, { payload, madeBy }) => holdHindrances(plan, state, plan.steps.get(payload.step)!, madeBy),
  apply: (state, entry, plan) => {
    const step = plan.steps.get(entry.payload.step)!
    state.holds.set(step.id, stamped(entry, state, { covered: coveredBy(workOf(plan, state, step)) }))
  },
  words: (plan, payload) => `Hold point signed: ${stepName(plan, payload.step)}`,
}
