import type { Moment, Plan, Ref } from '../sheet/index.ts'
import type { Verdict } from '../verdict.ts'
import { checkResults } from './results.ts'
import type { JobState } from './state.ts'

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
    takenAt: string
  }[]
  fitted: { partRef: Ref; asNew: boolean; batch: string | null; fittedAt: string }[]
  movements: { entryId: string; partRef: Ref; takenFrom: string; quantity: number; movedAt: string }[]
}

export function projectJob(plan: Plan, state: JobState): Projection {
  const readings = [...checkResults(plan, state).values()].flatMap((result): Projection['readings'] => {
    if (result.value === null || result.missing.length) return []
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
        takenAt: newestOf(plan, state, result.check.id, result.moment),
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
    movements: parts.flatMap(([partRef, now]) =>
      now.renewed
        ? [
            {
              entryId: now.renewed.entry,
              partRef,
              takenFrom: now.renewed.from,
              quantity: plan.parts.get(partRef)?.part.quantity ?? 1,
              movedAt: now.renewed.at,
            },
          ]
        : [],
    ),
  }
}

/** A check worked out from others is as new as the newest reading behind it. */
function newestOf(plan: Plan, state: JobState, check: string, moment: Moment): string {
  const { of } = plan.checks.get(check)!
  const sources = of ? [of.outer, of.inner] : [check]
  const times = [...state.readings]
    .filter(([key]) => sources.some(source => key === `${source} ${moment}` || (of && key.startsWith(`${source} `))))
    .flatMap(([, cells]) => [...cells.values()].map(cell => cell.at))
  return times.sort().at(-1) ?? state.opened!.madeAt
}

export interface LatestReading {
  checkId: string
  verdict: Verdict
  share: number | null
  takenAt: string
}

/** The check that has used most of its allowance, by the newest reading of each; null when none is measured. */
export function worstCheck(readings: readonly LatestReading[]): LatestReading | null {
  const newest = new Map<string, LatestReading>()
  for (const one of readings) {
    const known = newest.get(one.checkId)
    if (!known || one.takenAt >= known.takenAt) newest.set(one.checkId, one)
  }
  const used = (one: LatestReading) => (one.verdict === 'Out' ? 2 : (one.share ?? 0))
  return [...newest.values()].sort((a, b) => used(b) - used(a) || a.checkId.localeCompare(b.checkId))[0] ?? null
}
