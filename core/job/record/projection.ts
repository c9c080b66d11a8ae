import type { Moment, Plan, Ref } from '../../sheet/index.ts'
import type { Verdict } from '../../verdict.ts'
import { checkResults, newestOf } from '../measuring/results.ts'
import { timeOf } from '../ledger/entry.ts'
import { differsIn, type JobState } from '../ledger/state.ts'

/** What the fleet asks of one job, made from its ledger and nothing else. */
export interface Projection {
  readings: {
    checkId: string
    moment: Moment
    value: number
    least: number
    greatest: number
    verdict: Verdict
    share: number | null
    /** False once the part it was taken of has been renewed. */
    stands: boolean
    takenAt: string
  }[]
  fitted: { partRef: Ref; asNew: boolean; batch: string | null; fittedAt: string }[]
  movements: { entryId: string; partRef: Ref; takenFrom: string; quantity: number; movedAt: string }[]
}

export function projectJob(plan: Plan, state: JobState): Projection {
  const readings = [...checkResults(plan, state).values()].flatMap((result): Projection['readings'] => {
    if (result.value === null || !result.complete) return []
    const [least, greatest] = result.span ?? [result.value, result.value]
    return [
      {
        checkId: result.check.id,
        moment: result.moment,
        value: result.value,
        least,
        greatest,
        verdict: result.judgement.verdict,
        share: result.judgement.share,
        stands: !result.history,
        takenAt: newestOf(result)?.at ?? timeOf(state.opened!),
      },
    ]
  })
  const parts = [...state.parts]
  return {
    readings,
    fitted: parts.flatMap(([partRef, now]) =>
      now.fitted
        ? [{ partRef, asNew: now.fitted.as === 'new', batch: now.renewed?.batch ?? null, fittedAt: now.fitted.at }]
        : [],
    ),
    movements: state.renewals.map(({ entry, part, from, at }) => ({
      entryId: entry,
      partRef: part,
      takenFrom: from,
      quantity: plan.parts.get(part)?.part.quantity ?? 1,
      movedAt: at,
    })),
  }
}

/**
 * Whether a job's projection rests on the same in two states of one ledger: then it need not be made again. What was read
 * of a check, and where a part is, is another thing once anything of it is; see `branchState`.
 */
export const isSameGround = (before: JobState, after: JobState): boolean =>
  !differsIn(before, after).some(key => GROUND.has(key))

const GROUND: ReadonlySet<keyof JobState> = new Set(['plan', 'opened', 'renewals', 'readings', 'parts'])

export interface LatestReading {
  checkId: string
  verdict: Verdict
  share: number | null
  stands: boolean
  takenAt: string
}

/** The check that has used most of its allowance, by the newest reading of each; null when none is measured. */
export function worstCheck(readings: readonly LatestReading[]): LatestReading | null {
  const newest = new Map<string, LatestReading>()
  for (const one of readings.filter(reading => reading.stands)) {
    const known = newest.get(one.checkId)
    if (!known || one.takenAt >= known.takenAt) newest.set(one.checkId, one)
  }
  const used = (one: LatestReading) => (one.verdict === 'Out' ? 2 : (one.share ?? 0))
  // Of several that are out, one that was measured tells more than one that was asked.
  const isAsked = (one: LatestReading) => Number(one.share === null)
  return (
    [...newest.values()].sort(
      (a, b) => used(b) - used(a) || isAsked(a) - isAsked(b) || a.checkId.localeCompare(b.checkId),
    )[0] ?? null
  )
}
