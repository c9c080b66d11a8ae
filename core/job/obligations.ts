import { marksMeet } from '../marks/index.ts'
import {
  MOMENTS,
  STATIONS,
  type Mate,
  type Moment,
  type Plan,
  type Ref,
  type Station,
  type Step,
} from '../sheet/index.ts'
import type { MateAnswer } from './entries.ts'
import { progressOf } from './joints.ts'
import type { CheckResult } from './results.ts'
import { lostKey, partState, readingKey, type JobState } from './state.ts'

export type ObligationKind =
  'reading' | 'mark' | 'keep' | 'decision' | 'renewal' | 'out' | 'wrong way' | 'joint' | 'debt' | 'hold' | 'step'

/** Where an obligation is settled. */
export type Settle =
  | { to: 'reading'; check: string; moment: Moment }
  | { to: 'mark'; mate: string }
  | { to: 'part'; part: Ref }
  | { to: 'step'; step: string }

/** Something owed: what, why, and the step that cannot be done until it is settled. */
export interface Obligation {
  id: string
  kind: ObligationKind
  station: Station
  what: string
  why: string
  /** The step that waits for it; null when only the hand-back does. */
  step: string | null
  blocks: 'cover' | 'hand-back'
  settle: Settle
  /** Lost for good once that step is done. */
  perishable: boolean
  who: 'fitter' | 'lead'
}

interface Scene {
  plan: Plan
  state: JobState
  results: Map<string, CheckResult>
}
type Owing = Omit<Obligation, 'blocks' | 'perishable' | 'who'> & Partial<Pick<Obligation, 'perishable' | 'who'>>

const isSettled = (state: JobState, step: string | undefined) => step !== undefined && state.steps.has(step)

function readings({ plan, state, results }: Scene): Owing[] {
  const destroyedBy = new Map(
    plan.sheet.steps.flatMap(step =>
      (step.destroys ?? []).map(one => [readingKey(one.check, one.moment), step] as const),
    ),
  )
  return [...plan.checksAt].flatMap(([stepId, taken]) =>
    taken.flatMap(({ check, moment }): Owing[] => {
      const result = results.get(readingKey(check.id, moment))!
      if (
        !result.owed ||
        !result.missing.length ||
        check.kind === 'clearance' ||
        state.evidenceLost.has(lostKey({ check: check.id, moment }))
      )
        return []
      const destroyer = destroyedBy.get(readingKey(check.id, moment))
      const left = result.missing.length
      return [
        {
          id: `reading ${check.id} ${moment}`,
          kind: 'reading',
          station: plan.steps.get(stepId)!.station,
          what: left > 1 ? `${check.title}, ${left} readings` : check.title,
          why: destroyer ? `Gone once done: ${destroyer.title}` : `With the ${check.instrument}`,
          step: stepId,
          settle: { to: 'reading', check: check.id, moment },
          perishable: destroyer !== undefined,
        },
      ]
    }),
  )
}

function marks({ plan, state }: Scene): Owing[] {
  return plan.sheet.steps.flatMap(step =>
    (step.marks ?? [])
      .filter(id => !state.marks.has(id) && !state.evidenceLost.has(lostKey({ mate: id })))
      .map((id): Owing => {
        const mate = plan.mates.get(id)!
        return {
          id: `mark ${id}`,
          kind: 'mark',
          station: step.station,
          what: mate.title,
          why: mate.wrong,
          step: step.id,
          settle: { to: 'mark', mate: id },
          perishable: true,
        }
      }),
  )
}

function partDebts({ plan, state }: Scene): Owing[] {
  return [...plan.parts.values()].flatMap(({ ref, part, name }): Owing[] => {
    const now = partState(state, ref)
    if (now.where !== 'off') return []
    const step = plan.fittedBy.get(ref)?.id ?? null
    const base = { step, settle: { to: 'part', part: ref } as const }
    const always = part.renewal === 'always'
    const renews = always || now.decision?.choice === 'renew'
    return [
      ...(!now.kept && part.keep !== 'lay' && !always
        ? [
            {
              ...base,
              id: `keep ${ref}`,
              kind: 'keep',
              station: 'strip',
              what: `${part.keep === 'bag' ? 'Bag' : 'Tag'}: ${name}`,
              why: 'Off the machine with nothing to say where it came from',
            } as const,
          ]
        : []),
      ...(!always && !now.decision
        ? [
            {
              ...base,
              id: `decision ${ref}`,
              kind: 'decision',
              station: 'decide',
              what: `Decide: ${name}`,
              why: 'Reuse, rework, renew or send out',
            } as const,
          ]
        : []),
      ...(renews && !now.renewed
        ? [
            {
              ...base,
              id: `renewal ${ref}`,
              kind: 'renewal',
              station: 'decide',
              what: `New: ${name}`,
              why: always
                ? (part.renewalWhy ?? 'Always renewed')
                : part.kit
                  ? 'Decided to renew; in the kit'
                  : 'Decided to renew; not in the kit',
            } as const,
          ]
        : []),
    ]
  })
}

/** Whether a fitted part stands the way its mark asks. */
export function mateMet(mate: Mate, mark: { deg: number } | undefined, answer: MateAnswer): boolean {
  if (mate.rule.kind !== 'aligned' || answer.deg === undefined || !mark) return answer.met
  const { deg = 0, toleranceDeg = 5, symmetry } = mate.rule
  return marksMeet(answer.deg - mark.deg, { deg, toleranceDeg, symmetry }).meets
}

function wrongWay({ plan, state }: Scene): Owing[] {
  return [...plan.parts.values()].flatMap(({ ref, name }): Owing[] => {
    const fitted = partState(state, ref).fitted
    if (!fitted) return []
    const afterwards = stepAfter(plan, ref)
    const base = {
      kind: 'wrong way' as const,
      station: 'build' as const,
      step: afterwards,
      settle: { to: 'part', part: ref } as const,
    }
    const place =
      fitted.place && fitted.place !== ref
        ? [
            {
              ...base,
              id: `place ${ref}`,
              what: `${name} is in the place of ${plan.parts.get(fitted.place)?.name}`,
              why: 'Parts go back to the place they came from',
            },
          ]
        : []
    return [
      ...place,
      ...fitted.answers.flatMap((answer): Owing[] => {
        const mate = plan.mates.get(answer.mate)
        if (!mate || mateMet(mate, state.marks.get(answer.mate), answer)) return []
        return [
          {
            ...base,
            id: `wrong ${ref} ${mate.id}`,
            what: `${name}: ${mate.title.toLowerCase()} not met`,
            why: mate.wrong,
          },
        ]
      }),
    ]
  })
}

/** A fault of a fitted part holds up the cover where the part goes in before it. */
function stepAfter(plan: Plan, ref: Ref): string | null {
  const fit = plan.fittedBy.get(ref)
  const { closing } = plan
  return closing && fit && (closing.before.has(fit.id) || fit.id === closing.step.id) ? closing.step.id : null
}

function outs({ plan, results }: Scene): Owing[] {
  return plan.sheet.checks.flatMap((check): Owing[] => {
    const taken = MOMENTS.filter(moment => moment !== 'asFound')
      .map(moment => results.get(readingKey(check.id, moment)))
      .filter(one => one && one.value !== null && !one.missing.length && one.owed)
    const last = taken.at(-1)
    if (!last || last.judgement.verdict !== 'Out') return []
    const at = check.at.find(one => one.moment === last.moment)!
    const early = plan.closing && (plan.closing.before.has(at.step) || at.step === plan.closing.step.id)
    return [
      {
        id: `out ${check.id} ${last.moment}`,
        kind: 'out',
        station: plan.steps.get(at.step)!.station,
        what: `${check.title} is out`,
        why: last.consequence ?? `Held against ${check.source}`,
        step: early ? plan.closing!.step.id : null,
        settle: { to: 'reading', check: check.id, moment: last.moment },
        who: 'lead',
      },
    ]
  })
}

function joints({ plan, state }: Scene): Owing[] {
  return plan.sheet.steps
    .filter(
      step => step.joint?.act === 'pull' && (!state.steps.has(step.id) || state.joints.get(step.joint.id)?.slackened),
    )
    .flatMap((step): Owing[] => {
      const joint = plan.joints.get(step.joint!.id)!
      const progress = progressOf(joint, state)
      if (progress.verdict === 'Holds') return []
      return [
        {
          id: `joint ${joint.id}`,
          kind: 'joint',
          station: step.station,
          what: `${joint.title}: ${progress.pass === null ? 'not pulled' : `pass ${progress.pass} of ${joint.passes.length}`}`,
          why: progress.faults[0] ?? joint.why,
          step: step.id,
          settle: { to: 'step', step: step.id },
        },
      ]
    })
}

function debts({ plan, state }: Scene): Owing[] {
  return plan.sheet.steps
    .filter(step => isSettled(state, step.id))
    .flatMap(step =>
      (step.leaves ?? [])
        .filter(debt => !isSettled(state, debt.until))
        .map((debt): Owing => ({
          id: `debt ${debt.id}`,
          kind: 'debt',
          station: plan.steps.get(debt.until)!.station,
          what: debt.what,
          why: `Until: ${plan.steps.get(debt.until)!.title}`,
          step: afterDebt(plan, debt.until),
          settle: { to: 'step', step: debt.until },
        })),
    )
}

/** A debt is paid by its own step, so it holds up only what comes after: the cover, where that step comes before it. */
function afterDebt(plan: Plan, until: string): string | null {
  return plan.closing?.before.has(until) ? plan.closing.step.id : null
}

function holds({ plan, state }: Scene): Owing[] {
  return plan.sheet.steps
    .filter(step => step.hold && !state.holds.has(step.id))
    .map((step): Owing => ({
      id: `hold ${step.id}`,
      kind: 'hold',
      station: step.station,
      what: `Hold point: ${step.title}`,
      why: 'A second pair of eyes signs here',
      step: step.id,
      settle: { to: 'step', step: step.id },
      who: 'lead',
    }))
}

function undone({ plan, state }: Scene): Owing[] {
  return plan.sheet.steps
    .filter(step => !state.steps.has(step.id) && step.id !== plan.closing?.step.id)
    .map((step): Owing => ({
      id: `step ${step.id}`,
      kind: 'step',
      station: step.station,
      what: step.title,
      why: 'Not done yet',
      step: stepHeldUp(plan, step),
      settle: { to: 'step', step: step.id },
    }))
}

const stepHeldUp = (plan: Plan, step: Step) => (plan.closing?.before.has(step.id) ? plan.closing.step.id : null)

const SOURCES = [readings, marks, partDebts, wrongWay, outs, joints, debts, holds, undone]

/**
 * Everything owed, in station order. What a lead has conceded is left out; it stays on the record.
 * An obligation blocks the cover when the step that waits for it must come before the cover, else only the hand-back.
 */
export function obligations(plan: Plan, state: JobState, results: Map<string, CheckResult>): Obligation[] {
  const scene = { plan, state, results }
  const blocksCover = (step: string | null) =>
    step !== null && plan.closing !== null && (plan.closing.before.has(step) || step === plan.closing.step.id)
  return SOURCES.flatMap(source => source(scene))
    .filter(one => !state.concessions.has(one.id))
    .map((one): Obligation => ({
      perishable: false,
      who: 'fitter',
      ...one,
      blocks: blocksCover(one.step) ? 'cover' : 'hand-back',
    }))
    .sort((a, b) => STATIONS.indexOf(a.station) - STATIONS.indexOf(b.station))
}
