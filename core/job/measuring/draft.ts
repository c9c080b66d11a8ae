import type { LengthSystem } from '../../quantity/index.ts'
import type { Plan } from '../../sheet/index.ts'
import { judgementOf, OPEN, type Judgement } from '../../verdict.ts'
import { reduceCell, type Cell, type Reduced, type Tried } from './cells.ts'
import { doubtOf } from './doubt.ts'
import { foundIn, type FoundBefore } from './found-before.ts'
import { judged, workedWith, type CheckResult, type OfLedger } from './results.ts'

/** What a cell would say if what is on the pad were kept. */
export interface Draft {
  /** The cell by itself; null where no try is whole yet. */
  reduced: Reduced | null
  /** How the cell stands by itself; Open where it is not judged so. */
  judgement: Judgement
  consequence: string | null
  /** The whole check with it in. */
  result: Omit<CheckResult, OfLedger>
}

/** What a check would come to, were a cell read so: worked out and judged by the same rules as what is kept. Tries that are not whole are left out. */
export function readDraft(plan: Plan, now: CheckResult, cell: Cell, tried: Tried): Draft {
  const { check, moment, worked } = now
  const values = tried.values.filter(row => row.length === cell.row.figures)
  const read = new Map<string, Tried>(now.read)
  if (values.length) read.set(cell.key, { ...tried, values })
  else read.delete(cell.key)
  const result = judged(plan, check, moment, workedWith(plan, check, moment, worked.derived, read), read)
  // Before all its tries are in, a place by itself still says how it would stand.
  const { answer, scattered } = result.worked
  const held = answer?.ok ? answer.value.figures.find(figure => figure.at === cell.key)?.held : undefined
  const alone = held && !scattered.some(one => one.key === cell.key) ? held : null
  return {
    reduced: values.length ? reduceCell(cell, { ...tried, values }) : null,
    judgement: alone ? judgementOf(alone) : OPEN,
    consequence: alone?.verdict === 'Out' ? alone.consequence : null,
    result,
  }
}

/**
 * What is odd about what is on the pad, before it is kept: it cannot be so, or it is far from what it should be. The
 * sentence to ask with; null when nothing is.
 * @param cell the one on the pad
 * @param found what earlier overhauls found last of this check
 */
export function oddnessOf(
  { reduced, result }: Draft,
  cell: Cell,
  found: FoundBefore,
  system: LengthSystem,
): string | null {
  const { check, worked, value, complete } = result
  if (!reduced) return null
  if (worked.sum.bench)
    return typeof reduced.value === 'number'
      ? doubtOf(check, reduced.figures.at(-1)!, foundIn(found, cell), system)
      : null
  if (worked.answer && !worked.answer.ok) return worked.answer.why
  return complete && value !== null ? doubtOf(check, value, foundIn(found), system) : null
}
