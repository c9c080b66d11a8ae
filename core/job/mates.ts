import { marksMeet } from '../marks/index.ts'
import type { Mate, Plan, Ref } from '../sheet/index.ts'
import { partState, type JobState, type MateAnswer } from './state.ts'

/** Whether a fitted part stands the way its mark asks. The one rule for refit, gate and record. */
export function mateMet(mate: Mate, mark: { deg: number } | undefined, answer: MateAnswer): boolean {
  if (mate.rule.kind !== 'aligned' || answer.deg === undefined || !mark) return answer.met
  const { deg = 0, toleranceDeg = 5, symmetry } = mate.rule
  return marksMeet(answer.deg - mark.deg, { deg, toleranceDeg, symmetry }).meets
}

/**
 * What is asked when a part goes back: its mates whose other side is there already, so each is asked when its second
 * part goes on. `also` names parts that go back before it in the same act.
 */
export function matesAsked(plan: Plan, state: JobState, part: Ref, also: readonly Ref[] = []): Mate[] {
  return (plan.matesOf.get(part) ?? []).filter(mate => {
    const other = mate.a === part ? mate.b : mate.a
    return mate.rule.kind !== 'free' && (also.includes(other) || partState(state, other).where !== 'off')
  })
}

/** The newest answer on a mate among the parts that are fitted; null while none is. */
export function mateAnswer(plan: Plan, state: JobState, mate: Mate): (MateAnswer & { part: Ref }) | null {
  return (
    [mate.a, mate.b]
      .flatMap(part => {
        const fitted = partState(state, part).fitted
        const answer = fitted?.answers.find(one => one.mate === mate.id)
        return answer ? [{ ...answer, part, n: fitted!.n }] : []
      })
      .sort((a, b) => b.n - a.n)[0] ?? null
  )
}
