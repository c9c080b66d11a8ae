import { planFor, type Plan, type Step } from '../../sheet/index.ts'
import type { ActKind } from '../ledger/act.ts'
import { owedKind } from '../ledger/feature.ts'
import { refusalsAbout } from '../../refusal.ts'
import { by, section, text } from '../ledger/section.ts'
import { id, why, type Shaped } from '../ledger/shape.ts'
import { stamped, type JobState, type Stamp } from '../ledger/state.ts'
import { axisName, choiceName, STATION_WORDS } from '../ledger/words.ts'
import type { Owing, Source } from '../owed/owing.ts'
import { outOfReach, unknown } from './sense.ts'

/**
 * What kind of machine it is, or how far it is taken: decided at its step, or found to be otherwise. From then on the job
 * goes by another plan; what was done before stays as it was judged.
 */

const refusals = refusalsAbout('choice', {
  isThat: ({ axis }: { axis: string }) => `“${axis}” is that already.`,
  leadOnly: ({ axis }: { axis: string }) => `A lead decides “${axis}”. Ask one to do it.`,
  why: () => 'Say why, for the record.',
})

const shape = { axis: id, choice: id, why } as const
type Changed = Shaped<typeof shape>

const changed: ActKind<Changed> = {
  shape,
  by: ['fitter', 'lead'],
  corrected: 'take back',
  sense: (plan, _, { payload: { axis: name, choice, why: reason }, role }) => {
    const axis = plan.sheet.axes.find(one => one.id === name)
    if (!axis) return unknown('choice', name)
    if (!axis.choices.some(one => one.id === choice)) return unknown(`answer to “${axis.title}”`, choice)
    if (plan.variants[name] === choice) return refusals.isThat({ axis: axis.title })
    if (axis.decided?.by === 'lead' && role !== 'lead') return refusals.leadOnly({ axis: axis.title })
    return reason.trim() ? null : refusals.why()
  },
  live: (at, { payload }) => {
    const step = at.plan.sheet.axes.find(one => one.id === payload.axis)!.decided?.step
    return step && at.plan.steps.has(step) && !at.state.steps.has(step) ? outOfReach(at, step) : []
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

/** Steps that the sheet has and this job has not, by what was decided on it. What the machine does not have is nothing left out. */
export function leftOut(plan: Plan, { chosen }: Pick<JobState, 'chosen'>): Step[] {
  const isOfJob = (axis: string) =>
    chosen.some(one => one.axis === axis) || plan.sheet.axes.some(one => one.id === axis && one.decided)
  const whenOf = new Map(plan.source.steps.map(step => [step.id, step.when ?? {}]))
  const isLeftOut = (step: string) =>
    Object.entries(whenOf.get(step) ?? {}).some(
      ([axis, wanted]) => isOfJob(axis) && ![wanted].flat().includes(plan.variants[axis] ?? ''),
    )
  // Of two ways to do the same, the one not taken is nothing left out.
  const done = new Set(plan.sheet.steps.map(one => one.title))
  return plan.whole.steps.filter(one => !plan.steps.has(one.id) && !done.has(one.title) && isLeftOut(one.id))
}

/** What is still to be decided of the machine or of how far it is taken; what hangs on it waits. */
const undecided: Source = ({ plan }) =>
  plan.sheet.axes.flatMap(({ id: axis, title, decided }): Owing[] => {
    const step = decided && !plan.variants[axis] ? plan.steps.get(decided.step) : undefined
    return step
      ? [
          {
            id: { kind: 'axis', axis },
            station: step.station,
            what: title,
            why: decided!.ask,
            step: step.id,
            settle: { to: 'axis', axis },
            who: decided!.by ?? 'fitter',
          },
        ]
      : []
  })

/** `plan`: the one the job goes by since a choice was changed; null while it is the one it was opened with. */
export const slice = () => ({ plan: null as Plan | null, chosen: [] as (Stamp & Changed)[] })
export const acts = { 'variant.changed': changed }
export const owes = {
  axis: owedKind({
    by: { axis: id },
    words: (plan, { axis }) => axisName(plan, axis),
    never: () => 'decide it',
  }),
}
export const sources = [undecided]
export const sections = {
  decided: section({
    title: 'Decided on the job',
    in: 'decisions',
    rows: ({ plan, state, by: signed }) =>
      state.chosen.map(one => ({ what: choiceName(plan, one.axis, one.choice), why: one.why, ...signed(one) })),
    columns: [
      { head: 'What', width: 5, cell: row => text(row.what) },
      { head: 'Why', width: 7, cell: row => text(row.why) },
      by(),
    ],
  }),
  // It stays to be read, behind what was done.
  leftOut: section({
    title: 'Left out by what was decided',
    in: 'course',
    rows: ({ plan, state }) => {
      const steps = leftOut(plan, state)
      return [...new Set(steps.map(one => one.station))].map(station => ({
        station,
        steps: steps.filter(one => one.station === station).map(one => one.title),
      }))
    },
    columns: [
      { head: 'Station', width: 2, cell: row => text(STATION_WORDS[row.station]) },
      { head: 'Steps', width: 13, cell: row => text(row.steps.join('; ')) },
    ],
  }),
}
export const pads = { axis: { axis: id } } as const
