import { readingKey, type Check, type Plan, type Ref } from '../../sheet/index.ts'
import type { Cell, CheckResult } from '../measuring/index.ts'
import type { JobState } from '../ledger/state.ts'

type Results = ReadonlyMap<string, CheckResult>

/** The part that a cell was read of: its own, where it has one; else the foremost of the check. */
const partOf = ({ of }: Pick<Cell, 'of'>): Ref | undefined => of[0]

const inspected = (results: Results, { id }: Check) => results.get(readingKey(id, 'inspect'))

/** The parts that a result is out at: place by place, where it is judged so. */
function outParts(result: CheckResult): (Ref | undefined)[] {
  const places = [...result.places.values()]
  if (places.length) return places.filter(one => one.judgement.verdict === 'Out').map(one => partOf(one.cell))
  return result.judgement.verdict === 'Out' ? [result.check.of[0]] : []
}

/** The check that found a part out as it was inspected; undefined where none did. */
export const foundOut = (plan: Plan, results: Results, ref: Ref): Check | undefined =>
  plan.sheet.checks.find(check => {
    const result = inspected(results, check)
    return result !== undefined && outParts(result).includes(ref)
  })

/** Whether a part was looked at: measured, or something written of it. Nobody decides for what nobody looked at. */
export const isLookedAt = (plan: Plan, state: JobState, results: Results, ref: Ref): boolean =>
  state.observations.some(one => one.part === ref) ||
  plan.sheet.checks.some(check => {
    const { worked, read, value } = inspected(results, check) ?? {}
    if (!worked || value === null || value === undefined) return false
    return worked.cells.length
      ? worked.cells.some(cell => partOf(cell) === ref && read!.has(cell.key))
      : check.of[0] === ref
  })
