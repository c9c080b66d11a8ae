import { planFor, type Plan } from '../../sheet/index.ts'
import type { ActKind } from '../ledger/act.ts'
import { id, why, type Shaped } from '../ledger/shape.ts'
import { stamped } from '../ledger/state.ts'
import { choiceName } from '../ledger/words.ts'
import { outOfReach, unknown } from './sense.ts'

const shape = { axis: id, choice: id, why } as const

/**
 * What kind of machine it is, or how far it is taken: decided at its step, or found to be otherwise. From then on the job
 * goes by another plan; what was done before stays as it was judged.
 */
export const variantChanged: ActKind<Shaped<typeof shape>> = {
  shape,
  by: ['fitter', 'lead'],
  corrected: 'take back',
  sense: (plan, _, { payload: { axis: name, choice, why: reason }, role }) => {
    const axis = plan.sheet.axes.find(one => one.id === name)
    if (!axis) return unknown('choice', name)
    if (!axis.choices.some(one => one.id === choice)) return unknown(`answer to “${axis.title}”`, choice)
    if (plan.variants[name] === choice) return `“${axis.title}” is that already.`
    if (axis.decided?.by === 'lead' && role !== 'lead') return `A lead decides “${axis.title}”. Ask one to do it.`
    return reason.trim() ? null : 'Say why, for the record.'
  },
  live: (plan, state, { payload }) => {
    const step = plan.sheet.axes.find(one => one.id === payload.axis)!.decided?.step
    return step && plan.steps.has(step) && !state.steps.has(step) ? outOfReach(plan, state, step) : []
  },
  apply: (state, entry, plan) => {
    const { axis, choice } = entry.payload
    state.chosen.push(stamped(entry, state, entry.payload))
    state.plan = switched(plan, axis, choice)
  },
  words: (plan, payload) => `${choiceName(plan, payload.axis, payload.choice)}. ${payload.why}`,
}

/** Plans made by switching, by the plan they came from; the same switch is made at every look at a long ledger. */
const made = new WeakMap<Plan, Map<string, Plan>>()

/** The plan of the same machine with one choice another. */
export function switched(plan: Plan, axis: string, choice: string): Plan {
  const known = made.get(plan) ?? new Map<string, Plan>()
  made.set(plan, known)
  const key = JSON.stringify([axis, choice])
  const next = known.get(key) ?? planFor(plan.source, { ...plan.variants, [axis]: choice }, plan.sums)
  known.set(key, next)
  return next
}
