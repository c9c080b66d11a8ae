import { readingKey, type Moment, type Plan, type Ref } from '../../sheet/index.ts'
import type { DrawnShape } from '../../photos/index.ts'
import type { Verdict } from '../../verdict.ts'
import { cellFigures, checkResults, newestOf, type CheckResult } from '../measuring/index.ts'
import { timeOf } from '../ledger/entry.ts'
import { changedAt } from '../ledger/part.ts'
import { STOCK } from '../ledger/words.ts'
import { lookKey, type Finding } from '../parts/looks.ts'
import type { Noted } from '../parts/noted.ts'
import { drawnFor, lineOf } from '../parts/photos.ts'
import { resultOfVoided } from '../parts/voided.ts'
import { endsOf, waitsOn } from '../parts/waits.ts'
import { countKey, differsIn, type JobState } from '../ledger/state.ts'

/** What the fleet asks of one job, made from its ledger and nothing else. */
export interface Projection {
  readings: {
    checkId: string
    /** The key of the cell it was read in; empty for what the check comes to as a whole. */
    cell: string
    moment: Moment
    /** 0 for what stands; from 1 what was out and was put right since, the oldest first. */
    nth: number
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
  /** What the machine says of itself. */
  facts: { factId: string; text: string; readAt: string }[]
  /** What was seen on parts: at a look of the sheet, or under an empty name in passing. */
  looks: {
    partRef: Ref
    lookId: string
    findings: Finding[]
    seenFrom: string | null
    stands: boolean
    seenAt: string
  }[]
  /** Photographs, for whoever has the same place before them next time. */
  photos: {
    photo: string
    sha256: string
    width: number
    height: number
    on: Noted | null
    words: string
    shapes: readonly DrawnShape[]
    takenAt: string
  }[]
  /** What waits: begun, and not over. Only a display knows what time it is. */
  waits: { stepId: string; step: string; what: string; since: string; leastAt: string | null; mostAt: string | null }[]
}

type Reading = Projection['readings'][number]

/** What a check came to as a whole; nothing before it is complete. */
function wholeReading(result: CheckResult, openedAt: string, nth = 0): Reading[] {
  if (result.value === null || !result.complete) return []
  const [least, greatest] = result.span ?? [result.value, result.value]
  return [
    {
      checkId: result.check.id,
      cell: '',
      moment: result.moment,
      nth,
      value: result.value,
      least,
      greatest,
      verdict: result.judgement.verdict,
      share: result.judgement.share,
      stands: !result.history && nth === 0,
      takenAt: newestOf(result)?.at ?? openedAt,
    },
  ]
}

/** What was read in each of its cells, whether the others are in or not; of a table that grows no row is one of the next. */
const cellReadings = (result: CheckResult, nth = 0): Reading[] =>
  (result.worked.grows ? [] : cellFigures(result)).map(({ cell, value, judgement, history, takenAt }) => ({
    checkId: result.check.id,
    cell: cell.key,
    moment: result.moment,
    nth,
    value,
    least: value,
    greatest: value,
    verdict: judgement.verdict,
    share: judgement.share,
    stands: !history && nth === 0,
    takenAt,
  }))

/** What was out and was put right since, as it was. */
function putRight(plan: Plan, state: JobState, openedAt: string): Reading[] {
  const times = new Map<string, number>()
  return state.voided.flatMap(one => {
    if (!one.isRemedied || !plan.checks.has(one.check)) return []
    const key = readingKey(one.check, one.moment)
    const nth = (times.get(key) ?? 0) + 1
    times.set(key, nth)
    const was = resultOfVoided(plan, state, one)
    return [...wholeReading(was, openedAt, nth), ...cellReadings(was, nth).filter(({ cell }) => one.cells.has(cell))]
  })
}

/** What was seen on a part at each look, and all that was seen in passing together. */
function looksKept(plan: Plan, state: JobState): Projection['looks'] {
  const kept = new Map<string, Projection['looks'][number]>()
  for (const { part, look, findings, seenFrom, n, at } of state.looks.values()) {
    const key = lookKey(part, look ?? '')
    const before = kept.get(key)
    kept.set(key, {
      ...{ partRef: part, lookId: look ?? '', seenFrom: seenFrom ?? before?.seenFrom ?? null, seenAt: at },
      findings: [...(before?.findings ?? []), ...findings],
      stands: n > changedAt(state, [part]) && plan.parts.get(part)?.part.renewal !== 'always',
    })
  }
  return [...kept.values()]
}

export function projectJob(plan: Plan, state: JobState): Projection {
  const openedAt = timeOf(state.opened!)
  const readings = [
    ...[...checkResults(plan, state).values()].flatMap(result => [
      ...wholeReading(result, openedAt),
      ...cellReadings(result),
    ]),
    ...putRight(plan, state, openedAt),
  ]
  const parts = [...state.parts]
  return {
    readings,
    fitted: parts.flatMap(([partRef, now]) =>
      now.fitted
        ? [{ partRef, asNew: now.fitted.as === 'new', batch: now.renewed?.batch ?? null, fittedAt: now.fitted.at }]
        : [],
    ),
    movements: [
      ...state.renewals.map(({ entry, part, from, at }) => ({
        entryId: entry,
        partRef: part,
        takenFrom: from,
        quantity: plan.parts.get(part)?.part.quantity ?? 1,
        movedAt: at,
      })),
      // Pieces put in for what was lost, as last counted.
      ...[...plan.parts.keys()].flatMap(partRef => {
        const { entry, at, fromStock = 0 } = state.counts.get(countKey(partRef, 'in')) ?? {}
        return entry && fromStock
          ? [{ entryId: entry, partRef, takenFrom: STOCK, quantity: fromStock, movedAt: at! }]
          : []
      }),
    ],
    facts: [...state.facts].map(([factId, { text, at }]) => ({ factId, text, readAt: at })),
    looks: looksKept(plan, state),
    photos: state.photos.map(one => ({
      ...{ photo: one.photo, sha256: one.sha256, width: one.width, height: one.height },
      ...{ on: one.on ?? null, words: lineOf(state, one), shapes: drawnFor(state, one), takenAt: one.at },
    })),
    waits: waitsOn(plan, state).map(({ step, wait, waiting: { begun } }) => {
      const { least, most } = endsOf(wait, begun.since)
      const about = { stepId: step.id, step: step.title, what: wait.what }
      return { ...about, since: begun.since, leastAt: least, mostAt: most }
    }),
  }
}

/**
 * Whether a job's projection rests on the same in two states of one ledger: then it need not be made again. What was read
 * of a check, and where a part is, is another thing once anything of it is; see `branchState`.
 */
export const isSameGround = (before: JobState, after: JobState): boolean =>
  !differsIn(before, after).some(key => GROUND.has(key))

const GROUND: ReadonlySet<keyof JobState> = new Set([
  'plan',
  'opened',
  'renewals',
  'readings',
  'voided',
  'putRight',
  'parts',
  'counts',
  'facts',
  'looks',
  'photos',
  'drawn',
  'waits',
])
