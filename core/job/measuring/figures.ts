import { toBase } from '../../quantity/index.ts'
import { OPEN, type Judgement } from '../../verdict.ts'
import { reduceCell, type Cell } from './cells.ts'
import type { CheckResult } from './results.ts'
import { figureInBase } from './work.ts'

/** What stands in one cell of a check, in the base unit of its kind. */
export interface CellFigure {
  cell: Cell
  value: number
  /** How it stands by itself; Open where it is not judged so. */
  judgement: Judgement
  /** Read of a part that has been renewed since. */
  history: boolean
  takenAt: string
}

/** What one cell reads, in the base unit of its kind; null where that is no figure, not all its tries are in, or they disagree. */
export function figureIn({ worked, read }: Pick<CheckResult, 'worked' | 'read'>, cell: Cell): number | null {
  const one = read.get(cell.key)
  if (!one || worked.missing.includes(cell) || worked.scattered.includes(cell)) return null
  // What is judged by itself has its figure in the answer: of what is asked, which answer it is.
  const judged = worked.answer?.ok ? figureInBase(worked.answer.value, cell.key) : null
  if (judged !== null) return judged
  const value = reduceCell(cell, one)?.value
  return cell.as.type === 'number' && typeof value === 'number' ? toBase(value, cell.as.unit) : null
}

/** Every figure of a check that is read in more than one cell, by the cell: where there is one, the check's value is it. */
export function cellFigures(result: CheckResult): CellFigure[] {
  const { worked, read, places, past } = result
  if (worked.cells.length < 2) return []
  return worked.cells.flatMap(cell => {
    const value = figureIn(result, cell)
    return value === null
      ? []
      : [
          {
            cell,
            value,
            judgement: places.get(cell.key)?.judgement ?? OPEN,
            history: past.has(cell.key),
            takenAt: read.get(cell.key)!.at,
          },
        ]
  })
}
