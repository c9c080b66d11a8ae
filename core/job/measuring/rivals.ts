import { SHARE_OF_TOLERANCE } from '../../gauging/index.ts'
import { worstVerdict, type Verdict } from '../../verdict.ts'
import type { Check } from '../../sheet/index.ts'
import { allSaid } from '../ledger/seen.ts'
import { checkAt, reduceCell, type Cell, type CellRead } from './cells.ts'
import { widthOf } from './doubt.ts'
import type { Read } from './results.ts'
import { decidingFigure, figureInBase, type Worked } from './work.ts'

/** A cell that two tablets read without having seen each other: what they read, the one that stands first. */
export interface Rival {
  cell: Cell
  said: CellRead[]
  /** Least and greatest, base unit, where they say the same of the machine and lie further apart than tries may: it is taken again. */
  apart: [number, number] | null
}

interface Tried {
  read: CellRead
  worked: Worked
}

/** How the check stands with one of them in it: at its place where it is judged there, else as a whole. */
function verdictWith(cell: Cell, { worked: { answer } }: Tried): Verdict {
  if (!answer?.ok) return 'Open'
  const own = answer.value.figures.find(one => one.at === cell.key)?.held
  return (own ?? decidingFigure(answer.value)?.held)?.verdict ?? 'Open'
}

/** What one of them comes to: its own figure where a gauge reads it, else what stands for the check. */
function valueWith(cell: Cell, tried: Tried): number | null {
  const { read, worked } = tried
  if (!worked.sum.bench)
    return worked.answer?.ok && worked.spec.trend !== undefined
      ? figureInBase(worked.answer.value, worked.spec.trend)
      : null
  const value = reduceCell(cell, read)?.value
  return typeof value === 'number' ? value : null
}

/**
 * Of what two tablets read of one cell, which stands: the worse for the machine. Both are kept.
 * @param work works the check out with what is given read
 */
export function settleRivals(
  check: Check,
  cells: readonly Cell[],
  read: Read,
  work: (read: Read) => Worked,
): { read: Read; rivals: Rival[] } {
  const rivals: Rival[] = []
  let now = read
  for (const cell of cells) {
    const contested = now.get(cell.key)
    if (!contested?.rivals) continue
    const tried = allSaid<CellRead>(contested).map(one => ({
      read: one,
      worked: work(new Map(now).set(cell.key, one)),
    }))
    const verdicts = tried.map(one => verdictWith(cell, one))
    const worst = tried[verdicts.indexOf(worstVerdict(verdicts))]!
    const values = tried.flatMap(one => valueWith(cell, one) ?? [])
    const [least, greatest] = [Math.min(...values), Math.max(...values)]
    const width = widthOf(checkAt(check, cell))
    const isApart = width !== undefined && greatest - least > width * SHARE_OF_TOLERANCE + 1e-9
    rivals.push({
      cell,
      said: [worst.read, ...tried.filter(one => one !== worst).map(one => one.read)],
      apart: new Set(verdicts).size === 1 && isApart ? [least, greatest] : null,
    })
    now = new Map(now).set(cell.key, worst.read)
  }
  return { read: now, rivals }
}
