import { LIFT_STYLES } from '../../gauging/index.ts'
import { MOMENTS, type Check, type Plan } from '../../sheet/index.ts'
import type { At } from '../../sums/cells.ts'
import type { ActKind, Done } from '../ledger/act.ts'
import { cellNamed, readCell, unitOf, type Cell } from '../measuring/cells.ts'
import { isHistory } from '../measuring/results.ts'
import { showTyped } from '../measuring/show.ts'
import { wayOf } from '../measuring/way.ts'
import { HANDS } from '../ledger/roles.ts'
import { hadSeen, settled } from '../ledger/seen.ts'
import { choice, id, list, optional, words, type Shaped } from '../ledger/shape.ts'
import { readingKey, stamped, type JobState } from '../ledger/state.ts'
import { checkName, MOMENT_WORDS } from '../ledger/words.ts'
import { notReadable, notTaken } from './sense.ts'

const shape = {
  check: id,
  moment: choice(MOMENTS),
  /** The cell that was read: a field of the check's sum, and in a table the place and the column. */
  field: id,
  place: optional(id),
  column: optional(id),
  /** What was typed or chosen, one row a try; several figures a row for a pair or a sweep. */
  tries: { ...list({ is: 'list', of: words(200), least: 1, most: 72 } as const, 20), least: 1 },
  /** The unit a bare figure was typed in; the cell's own where it is left out. */
  unit: optional(words(12)),
  instrument: optional(words(60)),
  /** Leading digits that were not typed: they are what every figure inside the limits begins with. */
  leading: optional(words(20)),
  /** How the two figures of a lift were written down. */
  style: optional(choice(LIFT_STYLES)),
} as const

export type ReadingTaken = Shaped<typeof shape>

/** The cell an entry was read in, whatever the other cells say; undefined where the check has none such. */
const cellOf = (plan: Plan, check: Check, { moment, ...at }: ReadingTaken): Cell | undefined =>
  cellNamed(wayOf(plan, check, moment), check, at)

/** What was typed of a cell, read: once for an entry, however often its ledger is folded. */
const READ = new WeakMap<ReadingTaken, { cell: Cell; read: ReturnType<typeof readCell> }>()

function readIn(payload: ReadingTaken, cell: Cell) {
  const known = READ.get(payload)
  if (known?.cell === cell) return known.read
  const read = readCell(cell, payload.tries, payload.unit, payload.style)
  READ.set(payload, { cell, read })
  return read
}

export const readingTaken: ActKind<ReadingTaken> = {
  shape,
  by: HANDS,
  corrected: 'replace',
  sense: (plan, state, entry) => {
    const { payload } = entry
    const strange = notTaken(plan, payload)
    if (strange) return strange
    const check = plan.checks.get(payload.check)!
    const cell = cellOf(plan, check, payload)
    if (!cell) return noSuchCell(plan, check, payload)
    const read = readIn(payload, cell)
    return read.ok ? againRefusal(state, check, entry, cell) : read.why
  },
  live: (plan, state, { payload }) => notReadable(plan, state, payload),
  apply: (state, entry, plan) => {
    const { payload } = entry
    const cell = cellOf(plan, plan.checks.get(payload.check)!, payload)!
    const read = readIn(payload, cell)
    if (!read.ok) return
    const key = readingKey(payload.check, payload.moment)
    const cells = new Map(state.readings.get(key))
    const now = stamped(entry, state, { ...payload, values: read.value.values })
    // Which of two is the worse is seen once they are worked out; see `measuring/rivals.ts`.
    cells.set(
      cell.key,
      settled(cells.get(cell.key), now, entry, () => false),
    )
    state.readings.set(key, cells)
  },
  words: (plan, payload) => {
    const check = plan.checks.get(payload.check)
    const cell = check && (check.kind !== 'sum' || plan.sums.size) ? cellOf(plan, check, payload) : undefined
    const figures = showTyped(payload, cell ? unitOf(cell) : (payload.unit ?? null))
    const leading = payload.leading ? ` (${payload.leading} not typed)` : ''
    const where = [checkName(plan, payload.check), MOMENT_WORDS[payload.moment], cell ? cell.name : payload.place]
    return `${where.filter(Boolean).join(', ')}: ${figures}${leading}`
  },
}

function noSuchCell(plan: Plan, check: Check, { moment, field, place, column }: ReadingTaken & At): string {
  const { sum, spec } = wayOf(plan, check, moment)
  if (spec.from && !Object.keys(sum.fields).some(key => spec.from![key] === undefined && !sum.fields[key]!.maker))
    return `${check.title} is worked out from other checks; it has no reading of its own.`
  const asked = [place, column, field].filter(Boolean).join(', ')
  return `${check.title} has no such place to measure: ${asked.slice(0, 80)}. Reload the job; the sheet may be another version.`
}

/** What was found is never written over, half measured or whole: another figure for the same place is a correction. */
function againRefusal(
  state: JobState,
  check: Check,
  { payload: { moment }, ...by }: Done<ReadingTaken>,
  cell: Cell,
): string | null {
  const before = state.readings.get(readingKey(check.id, moment))?.get(cell.key)
  if (!before || (isHistory(state, cell.of, before) && check.at.find(at => at.moment === moment)!.renewed)) return null
  // Whoever had not seen it says something of their own; where two stand against each other, it is taken again.
  if (!hadSeen(by, before) || before.rivals) return null
  const half = before.tries.length < cell.tries ? 'half ' : ''
  const where = cell.name ? `${check.title}, ${cell.name},` : check.title
  return `${where} is ${half}measured there already. Correct that reading, with the reason.`
}
