import type { Check } from '../../sheet/index.ts'
import type { Cell } from './cells.ts'
import type { CheckResult } from './results.ts'

/** A place that a figure could have been read at, by mistake for another. */
export interface Alike {
  check: Check
  cell: Cell
  /** As it is called among all that are read so. */
  name: string
}

const isAlike = (one: CheckResult, other: CheckResult) =>
  one.check !== other.check &&
  one.moment === other.moment &&
  one.check.kind === other.check.kind &&
  one.check.unit === other.check.unit &&
  one.check.sum?.name === other.check.sum?.name

/**
 * Places of other checks that are read in the same way at the same moment and are still free: the other bearing, the other
 * end. A figure that was kept in the wrong place is moved to one of them.
 */
export const freeAlike = (results: ReadonlyMap<string, CheckResult>, result: CheckResult, cell: Cell): Alike[] =>
  [...results.values()].flatMap(other =>
    isAlike(result, other)
      ? other.worked.cells
          .filter(({ key, field, column }) => field === cell.field && column === cell.column && !other.read.has(key))
          .map(one => ({
            check: other.check,
            cell: one,
            name: other.worked.cells.length > 1 ? `${other.check.title}, ${one.name}` : other.check.title,
          }))
      : [],
  )
