import { MOMENTS, type Check, type Plan } from '../../sheet/index.ts'
import type { ActKind } from '../act.ts'
import { isHistory } from '../results.ts'
import { HANDS } from '../roles.ts'
import { choice, id, list, optional, record, words, type Shaped } from '../shape.ts'
import { readingKey, stamped, type JobState } from '../state.ts'
import { cellsOfSum, figureKey, readCell, sumOf, type SumCell } from '../sum-checks.ts'
import { checkName, MOMENT_WORDS } from '../words.ts'
import { notReadable, notTaken } from './sense.ts'

const shape = {
  check: id,
  moment: choice(MOMENTS),
  /** Fields of the sum, and cells of its tables, as they were typed or chosen. */
  figures: {
    ...list(
      record({
        field: id,
        row: optional({ is: 'number', whole: true, least: 0, most: 40 }),
        column: optional(id),
        said: words(200),
        /** The world a bare number was typed in; millimetres where it is left out. */
        lengths: optional(choice(['mm', 'inch'])),
      }),
      60,
    ),
    least: 1,
  },
  instrument: optional(words(60)),
} as const

export type FiguresTaken = Shaped<typeof shape>

/** Every cell a sum could ask for, whatever the others say. */
function cellNamed(plan: Plan, check: Check, figure: FiguresTaken['figures'][number]): SumCell | undefined {
  const sum = sumOf(plan, check)
  const field = sum.fields[figure.field]
  if (!field) return undefined
  const known = field.only ? { [field.only[0]]: field.only[1] } : {}
  return cellsOfSum(sum, check.sum!, known).find(one => figureKey(one) === figureKey(figure))
}

export const figuresTaken: ActKind<FiguresTaken> = {
  shape,
  by: HANDS,
  corrected: 'replace',
  sense: (plan, state, { payload }) => {
    const strange = notTaken(plan, payload)
    if (strange) return strange
    const check = plan.checks.get(payload.check)!
    if (check.kind !== 'sum') return `${check.title} is read with a gauge. Take it as a reading.`
    for (const figure of payload.figures) {
      const cell = cellNamed(plan, check, figure)
      if (!cell)
        return `${check.title} does not ask for ${figure.field}. Reload the job; the sheet may be another version.`
      const read = readCell(cell, figure.said, figure.lengths ?? 'mm')
      if (!read.ok) return read.why
      if (payload.figures.some(one => one !== figure && figureKey(one) === figureKey(figure)))
        return `${check.title}: ${cell.name.toLowerCase()} is said twice. Say it once.`
      const again = againRefusal(state, check, payload, cell)
      if (again) return again
    }
    return null
  },
  live: (plan, state, { payload }) => notReadable(plan, state, payload),
  apply: (state, entry, plan) => {
    const { check: name, moment, figures } = entry.payload
    const check = plan.checks.get(name)!
    const key = readingKey(name, moment)
    const taken = new Map(state.figures.get(key))
    for (const figure of figures) {
      const { said, lengths = 'mm' } = figure
      const read = readCell(cellNamed(plan, check, figure)!, said, lengths)
      if (read.ok) taken.set(figureKey(figure), stamped(entry, state, { value: read.value, said, lengths }))
    }
    state.figures.set(key, taken)
  },
  words: (plan, { check: name, moment, figures }) => {
    const check = plan.checks.get(name)
    const said = figures.map(one => {
      const cell = check?.sum && plan.sums.size ? cellNamed(plan, check, one) : undefined
      return `${cell?.name ?? one.field} ${one.said}${one.lengths === 'inch' ? ' (inches)' : ''}`
    })
    return `${checkName(plan, name)}, ${MOMENT_WORDS[moment]}: ${said.join('; ')}`
  },
}

/** What was read is never written over: another figure for the same place is a correction. */
function againRefusal(state: JobState, check: Check, { moment }: FiguresTaken, cell: SumCell): string | null {
  const before = state.figures.get(readingKey(check.id, moment))?.get(figureKey(cell))
  if (!before || (isHistory(state, check, before) && check.at.find(at => at.moment === moment)!.renewed)) return null
  return `${check.title}: ${cell.name.toLowerCase()} is read there already. Correct that reading, with the reason.`
}
