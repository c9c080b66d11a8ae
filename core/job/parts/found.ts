import { worstVerdict } from '../../verdict.ts'
import { readingKey, type Check, type Plan, type Ref } from '../../sheet/index.ts'
import type { Cell, CheckResult } from '../measuring/index.ts'
import type { JobState } from '../ledger/state.ts'

type Results = ReadonlyMap<string, CheckResult>

/** The part that a cell was read of: its own, where it has one; else the foremost of the check. */
const partOf = ({ of }: Pick<Cell, 'of'>): Ref | undefined => of[0]

const inspected = (results: Results, { id }: Check) => results.get(readingKey(id, 'inspect'))

/** The parts that a result is out at: place by place, where it is judged so. What was renewed since is out no more. */
function outParts(result: CheckResult): (Ref | undefined)[] {
  const places = [...result.places.values()]
  if (places.length)
    return places
      .filter(one => one.judgement.verdict === 'Out' && !result.past.has(one.cell.key))
      .map(one => partOf(one.cell))
  return result.judgement.verdict === 'Out' && !result.history ? [result.check.of[0]] : []
}

/** What a check says of one of its parts alone: of its own places, where some tell of it and not of the others; else the whole. */
export function resultOf(
  result: CheckResult,
  ref: Ref,
): Pick<CheckResult, 'check' | 'value' | 'span' | 'scatter' | 'judgement'> {
  const { check, places, worked } = result
  const own = [...places.values()].filter(({ cell }) => cell.of !== check.of && cell.of.includes(ref))
  const verdict = worstVerdict(own.map(one => one.judgement.verdict))
  const worst = own.find(one => one.judgement.verdict === verdict)
  if (!worst) return result
  const figures = worked.answer?.ok ? worked.answer.value.figures : []
  const value = figures.find(one => one.at === worst.cell.key)?.value
  return {
    check,
    value: typeof value === 'number' ? value : null,
    span: null,
    scatter: null,
    judgement: worst.judgement,
  }
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
