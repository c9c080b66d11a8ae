import type { Mate, Plan, Ref, Step } from '../sheet/index.ts'
import type { Act } from './entry.ts'
import { matesAsked } from './mates.ts'
import { partState, type JobState, type MateAnswer } from './state.ts'

/** What is said when a step is confirmed, beside that it is done. */
export interface Said {
  /** Rung of the ladder that freed it. */
  method?: string
  /** Numbers on bag and tag; without one nothing is bagged or tagged. */
  bag?: string
  tag?: string
  answers?: (part: Ref) => MateAnswer[]
}

/** Parts this step takes off that are kept in a bag, or under a tag. */
export const keptBy = (plan: Plan, step: Step, way: 'bag' | 'tag'): Ref[] =>
  (step.removes ?? []).filter(ref => {
    const { part } = plan.parts.get(ref)!
    return part.keep === way && part.renewal !== 'always'
  })

/** The parts a step fits that are still off, in order, each with the questions asked as it goes on. */
export function refitsOf(plan: Plan, state: JobState, step: Step): { part: Ref; asked: Mate[] }[] {
  const fits = (step.fits ?? []).filter(ref => partState(state, ref).where === 'off')
  return fits.map((part, i) => ({ part, asked: matesAsked(plan, state, part, fits.slice(0, i)) }))
}

/**
 * What confirming a step is made of, in order: its parts lifted, bagged and tagged, its parts refitted with the answers
 * on how they stand, and the step done. Kept whole or not at all.
 */
export function confirmationOf(plan: Plan, state: JobState, step: Step, said: Said): Act[] {
  const lifts = (step.removes ?? []).filter(ref => partState(state, ref).where !== 'off')
  const keeps = (way: 'bag' | 'tag') => keptBy(plan, step, way).filter(ref => lifts.includes(ref))
  const [bag, tag] = [said.bag?.trim(), said.tag?.trim()]
  return [
    ...(lifts.length
      ? [
          {
            kind: 'part.lifted' as const,
            payload: { parts: lifts, step: step.id, ...(said.method ? { method: said.method } : {}) },
          },
        ]
      : []),
    ...(bag && keeps('bag').length ? [{ kind: 'part.bagged' as const, payload: { parts: keeps('bag'), bag } }] : []),
    ...(tag && keeps('tag').length ? [{ kind: 'part.tagged' as const, payload: { parts: keeps('tag'), tag } }] : []),
    ...refitsOf(plan, state, step).map(({ part, asked }) => ({
      kind: 'part.refitted' as const,
      payload: {
        part,
        step: step.id,
        answers: (said.answers?.(part) ?? []).filter(one => asked.some(mate => mate.id === one.mate)),
      },
    })),
    { kind: 'step.done' as const, payload: { step: step.id } },
  ]
}
