import type { LengthSystem } from '../../quantity/index.ts'
import type { Plan } from '../../sheet/index.ts'
import type { Judgement } from '../../verdict.ts'
import { reduceCell, type Cell, type Reduced, type Tried } from './cells.ts'
import { doubtOf } from './doubt.ts'
import { judged, workedWith, type CheckResult } from './results.ts'

/** What a cell would say if what is on the pad were kept. */
export interface Draft {
  /** The cell by itself; null where no try is whole yet. */
  reduced: Reduced | null
  /** How the cell stands by itself; Open where it is not judged so. */
  judgement: Judgement
  consequence: string | null
  /** The whole check with it in. */
  result: Omit<CheckResult, 'read' | 'rivals' | 'stamps' | 'owed' | 'history'>
}

const OPEN: Judgement = { verdict: 'Open', share: null, side: null }

/** What a check would come to, were a cell read so: worked out and judged by the same rules as what is kept. Tries that are not whole are left out. */
export function readDraft(plan: Plan, now: CheckResult, cell: Cell, tried: Tried): Draft {
  const { check, moment, worked } = now
  const values = tried.values.filter(row => row.length === cell.row.figures)
  const read = new Map<string, Tried>(now.read)
  if (values.length) read.set(cell.key, { ...tried, values })
  else read.delete(cell.key)
  const result = judged(plan, check, moment, workedWith(plan, check, moment, worked.derived, read), read)
  // Before all its tries are in, a place by itself still says how it would stand.
  const alone = judgedAlone(plan, now, cell, values, tried)
  return {
    reduced: values.length ? reduceCell(cell, { ...tried, values }) : null,
    judgement: alone?.judgement ?? OPEN,
    consequence: alone?.judgement.verdict === 'Out' ? alone.consequence : null,
    result,
  }
}

/** How one cell stands by itself, as many tries of it as there are. */
function judgedAlone(
  plan: Plan,
  { check, moment, worked }: CheckResult,
  cell: Cell,
  values: Tried['values'],
  tried: Tried,
) {
  if (!values.length || !worked.sum.bench) return null
  const alone = workedWith(plan, check, moment, worked.derived, new Map([[cell.key, { ...tried, values }]]))
  const held = alone.answer?.ok ? alone.answer.value.figures.find(figure => figure.at === cell.key)?.held : undefined
  return held && !alone.scattered.length
    ? { judgement: { verdict: held.verdict, share: held.share, side: held.side }, consequence: held.consequence }
    : null
}

/**
 * What is odd about what is on the pad, before it is kept: it cannot be so, or it is far from what it should be. The
 * sentence to ask with; null when nothing is. `last` is what the last overhaul found, in the check's base unit.
 */
export function oddnessOf({ reduced, result }: Draft, last: number | null, system: LengthSystem): string | null {
  const { check, worked, value, complete } = result
  if (!reduced) return null
  if (worked.sum.bench)
    return typeof reduced.value === 'number' ? doubtOf(check, reduced.figures.at(-1)!, last, system) : null
  if (worked.answer && !worked.answer.ok) return worked.answer.why
  return complete && value !== null ? doubtOf(check, value, last, system) : null
}
