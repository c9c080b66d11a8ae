import {
  handledAt,
  heldBy,
  readingKey,
  restingOn,
  stepsBefore,
  type Loop,
  type Plan,
  type Ref,
  type Step,
} from '../../sheet/index.ts'
import { partsIn, partState } from '../ledger/part.ts'
import type { JobState } from '../ledger/state.ts'
import { stepsAbout } from './about.ts'

/** What was done after a step, and whether it has to come off before that can be taken up again. */
export interface Later {
  step: Step
  /** It lies over the step, or over what does: proposed to come off. */
  over: boolean
}

/** Stations from which on a step is taken up again; what was done before them is taken back. */
const PUT_TOGETHER: readonly Step['station'][] = ['build', 'prove']

/** Something is put on, drawn up or smeared on at it: only hands undo it. */
const isPhysical = ({ fits, trial, joint, lubricants }: Step) =>
  Boolean(fits?.length || trial?.on?.length || lubricants?.length || (joint && joint.act !== 'slacken'))

/** Whether a step is taken up again, where it went wrong: then it stays on the record that it was done. Others are taken back. */
export const canBeReopened = ({ checksAt }: Plan, step: Step): boolean =>
  PUT_TOGETHER.includes(step.station) && (isPhysical(step) || Boolean(checksAt.get(step.id)?.length))

/** Whether one part came off before another could: then it lies over it. */
const cameOffBefore = ({ removedBy, steps }: Plan, upper: Ref, lower: Ref): boolean => {
  const [first, then] = [removedBy.get(upper), removedBy.get(lower)]
  return first !== undefined && then !== undefined && stepsBefore(steps, then.id).has(first.id)
}

/**
 * Whether what one step put on lies right over what another did: as the sheet says; else what is built up later and came off
 * earlier, what holds it, and what rests on it.
 */
function liesOver(plan: Plan, later: Step, step: Step): boolean {
  if (later === step || !isPhysical(later)) return false
  if (later.over) return later.over.includes(step.id)
  if (!stepsBefore(plan.steps, later.id).has(step.id)) return false
  const under = handledAt(plan, step, false)
  const resting = restingOn(plan, step.fits ?? [])
  const held = later.joint ? heldBy(plan, later, false) : []
  return (
    held.some(ref => step.fits?.includes(ref)) ||
    (later.fits ?? []).some(ref => resting.has(ref) || under.some(lower => cameOffBefore(plan, ref, lower)))
  )
}

const KNOWN = new WeakMap<Plan, Map<string, ReadonlySet<string>>>()

/** The steps that lie over one, those that lie over these included. */
export function stepsOver(plan: Plan, id: string): ReadonlySet<string> {
  const known = KNOWN.get(plan) ?? new Map<string, ReadonlySet<string>>()
  KNOWN.set(plan, known)
  const made = known.get(id)
  if (made) return made
  const over = new Set([id])
  for (const each of over)
    for (const later of plan.sheet.steps)
      if (!over.has(later.id) && PUT_TOGETHER.includes(later.station) && liesOver(plan, later, plan.steps.get(each)!))
        over.add(later.id)
  over.delete(id)
  known.set(id, over)
  return over
}

/** Whether a step put something on for a trial that is on now: then it is taken up again in its round. */
export const isOnTrial = (state: JobState, { trial }: Step): boolean =>
  (trial?.on ?? []).some(place => [...state.parts.values()].some(now => now.trial?.place === place))

/** When something was last done at a step, whether it is confirmed or only begun; null where nothing was, or it was left out. */
function doneAt(state: JobState, { id, fits = [], trial, joint }: Step): number | null {
  const settled = state.steps.get(id)
  if (settled) return settled.skipped === undefined ? settled.n : null
  const drawn = joint && joint.act !== 'slacken' ? (state.joints.get(joint.id)?.passes.flat() ?? []) : []
  const all = [
    ...partsIn(state, fits).flatMap(ref => partState(state, ref).fitted ?? []),
    ...(trial?.on ?? []).flatMap(ref => partState(state, ref).trial ?? []),
    ...drawn,
  ]
  return all.length ? Math.max(...all.map(one => one.n)) : null
}

/** What was put on, drawn up or smeared on after a step, the newest first: each is said to come off with it, or to stay on. */
export function laterThan(plan: Plan, state: JobState, id: string): Later[] {
  const over = stepsOver(plan, id)
  return plan.sheet.steps
    .filter(
      step =>
        PUT_TOGETHER.includes(step.station) &&
        isPhysical(step) &&
        !plan.loopOf.has(step.id) &&
        (over.has(step.id) || stepsBefore(plan.steps, step.id).has(id)),
    )
    .flatMap(step => {
      const n = doneAt(state, step)
      return n === null ? [] : [{ step, n }]
    })
    .sort((a, b) => b.n - a.n)
    .map(({ step }) => ({ step, over: over.has(step.id) }))
}

const hasRead = ({ checksAt }: Plan, state: JobState, { id }: Step) =>
  (checksAt.get(id) ?? []).some(({ check, moment }) => state.readings.has(readingKey(check.id, moment)))

/**
 * All that is undone with a step that is taken up again: what comes off with it, and what was turned, read, tried and run
 * on it since. What stays on, and what was read of that alone, is left as it is.
 * @param off what was said to come off; what was said of nothing goes as it is proposed
 * @param on what was said to stay on
 */
export function undoneWith(
  plan: Plan,
  state: JobState,
  id: string,
  { off = [], on = [] }: { off?: readonly string[]; on?: readonly string[] } = {},
): Step[] {
  const said = new Map([...off.map(one => [one, true] as const), ...on.map(one => [one, false] as const)])
  const later = laterThan(plan, state, id)
  const undone = new Set([id, ...later.filter(one => said.get(one.step.id) ?? one.over).map(one => one.step.id)])
  const stays = new Set(later.map(one => one.step.id).filter(one => !undone.has(one)))
  const isAfter = (step: Step) => {
    const before = stepsBefore(plan.steps, step.id)
    if (step.starts || step.loads === 'turns') return [...undone].some(one => before.has(one))
    // What was only read again takes no trial with it: that lies on what was put on.
    const loop = plan.loopOf.get(step.id)
    if (loop) return !isShut(loop) && [...undone].some(one => before.has(one) && isPhysical(plan.steps.get(one)!))
    return step.needs?.some(need => undone.has(need))
  }
  // In its own round only what follows it is done again. What stays on for good cannot be tried on again meanwhile.
  const own = plan.loopOf.get(id)
  const staysOn = plan.sheet.steps.flatMap(({ id: step, fits = [] }) =>
    undone.has(step) ? [] : fits.filter(place => partsIn(state, [place]).length),
  )
  const isShut = ({ steps }: Loop) =>
    steps.some(step => plan.steps.get(step)!.trial?.on?.some(place => staysOn.includes(place)))
  const drawnUp = (step: Step) => (step.joint && step.joint.act !== 'slacken' ? step.joint.id : null)
  const isUndone = (step: Step) => undone.has(step.id)
  for (let size = 0; size !== undone.size;) {
    size = undone.size
    const all = plan.sheet.steps.filter(isUndone)
    const loops = new Set(all.flatMap(step => plan.loopOf.get(step.id) ?? []).filter(loop => loop !== own))
    const joints = new Set(all.flatMap(step => drawnUp(step) ?? []))
    for (const step of plan.sheet.steps)
      if (
        // A trial is gone through as a whole, and a joint that is loose is loose from its first pass.
        loops.has(plan.loopOf.get(step.id)!) ||
        joints.has(drawnUp(step)!) ||
        (!stays.has(step.id) && PUT_TOGETHER.includes(step.station) && isAfter(step))
      )
        undone.add(step.id)
  }
  return plan.sheet.steps.filter(
    step => isUndone(step) && (state.steps.has(step.id) || doneAt(state, step) !== null || hasRead(plan, state, step)),
  )
}

/** What lies over something by now, and the step to take up again to get at it. */
export interface Covered {
  over: Step
  step: Step
}

/**
 * What was done last over what an act or something owed is about; null while it can still be got at. Of the steps it hangs on,
 * the last one is where it came to be so: what lies under that is held by it.
 */
export function coveredAt(plan: Plan, state: JobState, about: object): Covered | null {
  const steps = stepsAbout(plan, about).flatMap(id => plan.steps.get(id) ?? [])
  const step = steps.sort((a, b) => plan.stepNumber.get(b.id)! - plan.stepNumber.get(a.id)!)[0]
  if (!step) return null
  const done = [...stepsOver(plan, step.id)].flatMap(id => {
    const over = plan.steps.get(id)!
    const n = doneAt(state, over)
    return n === null ? [] : [{ over, n }]
  })
  const newest = done.sort((a, b) => b.n - a.n)[0]
  return newest ? { over: newest.over, step } : null
}
