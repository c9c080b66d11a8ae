import { isLoose, tightens } from './joints.ts'
import { unexplained } from './origins.ts'
import { undecided } from './proposals.ts'
import type { Plan, Step } from '../../sheet/index.ts'
import { partsIn, partState } from '../ledger/part.ts'
import { refusalsAbout, type Refusal } from '../../refusal.ts'
import { countKey, lubricantKey, readingKey, type JobState, type Stamp } from '../ledger/state.ts'
import { entriesOf, isSame } from '../ledger/same.ts'
import { isWanted } from './wanted.ts'

const refusals = refusalsAbout('hold', {
  undone: ({ step }: { step: string }) => `It signs for “${step}” as well, which is not done yet`,
  nothing: () => 'There is nothing to sign yet. It is signed once the work is done',
  undecided: ({ parts }: { parts: string }) => `${parts} not decided yet`,
  unexplained: ({ word }: { word: string }) => `It is not said yet where it came from: ${word}`,
  loose: () => 'The joint is not drawn up yet',
  ownWork: ({ otherwise }: { otherwise: string }) =>
    `You did some of this work yourself, or vouched for it. A hold point is signed by somebody else: a second pair of eyes${otherwise}`,
})

/** The steps a hold point signs for: its own, where the sheet names no others. */
const coversOf = (plan: Plan, step: Step): Step[] =>
  (step.hold?.covers ?? [step.id]).flatMap(id => plan.steps.get(id) ?? [])

/** How parts stand that meet at a step: what is asked there, or what it fits. */
const matesAt = (plan: Plan, { id, fits = [] }: Step) =>
  plan.sheet.mates.filter(({ a, b, asked }) => (asked ? asked === id : fits.includes(a) || fits.includes(b)))

const drawnUp = ({ joints }: JobState, id: string): Stamp[] => {
  const { passes = [], locked } = joints.get(id) ?? {}
  return [...passes.flat(), ...(locked ? [locked] : [])]
}

/** Readings taken at a step, parts moved and how they were seen to stand, pieces counted, bolts pulled, and at a deciding step every decision. */
export const workAt = (plan: Plan, state: JobState, step: Step): Stamp[] => [
  ...(plan.checksAt.get(step.id) ?? []).flatMap(({ check, moment }) => [
    ...(state.readings.get(readingKey(check.id, moment))?.values() ?? []),
  ]),
  ...(step.removes ?? []).flatMap(ref => partState(state, ref).lifted ?? []),
  ...(step.removes ?? []).flatMap(ref => state.counts.get(countKey(ref, 'out')) ?? []),
  ...partsIn(state, step.fits ?? []).flatMap(ref => partState(state, ref).fitted ?? []),
  ...(step.fits ?? []).flatMap(ref => state.counts.get(countKey(ref, 'in')) ?? []),
  ...(step.lubricants ?? []).flatMap(({ on }) => state.lubricants.get(lubricantKey(step.id, on)) ?? []),
  ...matesAt(plan, step).flatMap(mate => state.mates.get(mate.id) ?? []),
  ...(tightens(step) ? drawnUp(state, step.joint.id) : []),
  ...(step.station === 'decide'
    ? [...[...state.parts.values()].flatMap(now => now.decision ?? []), ...state.origins.values()]
    : []),
]

/** The acts a hold point covers; of a step before it, that it was confirmed, too. */
export const workOf = (plan: Plan, state: JobState, step: Step): Stamp[] =>
  coversOf(plan, step).flatMap(one => [
    ...workAt(plan, state, one),
    ...(one === step ? [] : [state.steps.get(one.id)].flatMap(done => done ?? [])),
  ])

/** Whether a step leaves anything to look at before it is confirmed. */
const leavesWork = (plan: Plan, step: Step) =>
  step.station === 'decide' ||
  Boolean(step.removes?.length || step.fits?.length || tightens(step) || plan.checksAt.get(step.id)?.length)

/** Whether a hold is signed, and signed for the work as it is now. */
export function holdStands(plan: Plan, state: JobState, step: Step): 'signed' | 'lapsed' | 'open' {
  const signed = state.holds.get(step.id)
  if (!signed) return 'open'
  return isSame(signed.basis, entriesOf(workOf(plan, state, step))) ? 'signed' : 'lapsed'
}

/** Whether somebody did some of the work that a hold covers, or vouched for it: then another signs it. */
export const didTheWork = (plan: Plan, state: JobState, step: Step, person: string): boolean =>
  workOf(plan, state, step).some(one => one.by === person || one.vouchedBy === person)

/** Why this person may not sign a hold now; empty when they may. */
export function holdHindrances(plan: Plan, state: JobState, step: Step, person: string): Refusal[] {
  const covers = coversOf(plan, step)
  const undone = covers.find(one => one !== step && !state.steps.has(one.id) && isWanted(plan, state, one))
  if (undone) return [refusals.undone({ step: undone.title })]
  if (covers.every(one => leavesWork(plan, one)) && !workOf(plan, state, step).length) return [refusals.nothing()]
  const isDeciding = covers.some(one => one.station === 'decide')
  const [open, ...more] = isDeciding ? undecided(plan, state) : []
  if (open) return [refusals.undecided({ parts: `${open.name}${more.length ? ` and ${more.length} more` : ''}` })]
  const [strange] = isDeciding ? unexplained(plan, state) : []
  if (strange) return [refusals.unexplained({ word: strange.word })]
  const loose = covers.find(one => isLoose(plan, state, one))
  if (loose) return [refusals.loose()]
  return didTheWork(plan, state, step, person)
    ? [
        refusals.ownWork({
          otherwise:
            step.hold?.by === 'lead'
              ? '. Where there is no other lead here, a lead accepts it at the gate, in writing, and it says so'
              : '',
        }),
      ]
    : []
}
