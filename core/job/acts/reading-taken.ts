import { parseQuantity, UNITS, type UnitName } from '../../quantity/index.ts'
import { MOMENTS, type Check } from '../../sheet/index.ts'
import type { ActKind } from '../act.ts'
import { figuresPerTry, isHistory } from '../results.ts'
import { HANDS } from '../roles.ts'
import { choice, id, list, optional, words, type Shaped } from '../shape.ts'
import { cellKey, readingKey, stamped, type JobState } from '../state.ts'
import { checkName, MOMENT_WORDS, placeName } from '../words.ts'
import { notReadable, notTaken } from './sense.ts'

const shape = {
  check: id,
  moment: choice(MOMENTS),
  station: optional(id),
  plane: optional(id),
  /** One row a try, in base units; several figures a row for float, lift and sweeps. */
  tries: list({ is: 'list', of: { is: 'number' }, least: 1, most: 72 } as const, 20),
  /** What was typed, figure by figure. */
  texts: list({ is: 'list', of: words(60), least: 1, most: 72 } as const, 20),
  /** The unit a bare number was typed in; the check's own where it is left out. */
  unit: optional(words(12)),
  instrument: optional(words(60)),
  /** Leading digits that were not typed: they are what every figure inside the limits begins with. */
  assumed: optional(words(20)),
  style: optional(choice(['signed readings', 'travels'])),
} as const

export type ReadingTaken = Shaped<typeof shape>

export const readingTaken: ActKind<ReadingTaken> = {
  shape,
  by: HANDS,
  corrected: 'replace',
  sense: (plan, state, { payload }) => {
    const strange = notTaken(plan, payload)
    if (strange) return strange
    const check = plan.checks.get(payload.check)!
    if (check.kind === 'clearance' || check.kind === 'sum')
      return `${check.title} is worked out from ${check.kind === 'sum' ? 'several figures' : 'two other checks'}; it has no reading of its own.`
    if (!takesPlace(check, payload)) return `${check.title} has no such place to measure.`
    return figuresRefusal(check, payload) ?? textsRefusal(check, payload) ?? againRefusal(state, check, payload)
  },
  live: (plan, state, { payload }) => notReadable(plan, state, payload),
  apply: (state, entry) => {
    const { check, moment, station, plane } = entry.payload
    const key = readingKey(check, moment)
    const cells = new Map(state.readings.get(key))
    cells.set(cellKey(station, plane), stamped(entry, state, entry.payload))
    state.readings.set(key, cells)
  },
  words: (plan, payload) => {
    const place = placeName(payload)
    const figures = payload.texts.map(row => row.join(' and ')).join('; ')
    const assumed = payload.assumed ? ` (${payload.assumed} not typed)` : ''
    return `${checkName(plan, payload.check)}, ${MOMENT_WORDS[payload.moment]}${place ? `, ${place}` : ''}: ${figures}${assumed}`
  },
}

const takesPlace = (check: Check, { station, plane }: ReadingTaken) =>
  (check.stations ? check.stations.includes(station ?? '') : station === undefined) &&
  (check.planes ? check.planes.includes(plane ?? '') : plane === undefined)

function figuresRefusal(check: Check, { tries }: ReadingTaken): string | null {
  if (!tries.length) return `${check.title}: there is no reading in it.`
  const figures = figuresPerTry(check)
  if (tries.some(row => row.length !== figures)) return `${check.title} takes ${figures} figures a try.`
  const [low, high] = check.span
  return tries.flat().some(figure => !(figure >= low && figure <= high))
    ? `${check.title}: a figure lies outside what can be believed (${low} to ${high}). Check it and take it again.`
    : null
}

/** What was typed is read again here, and must come to the figure that was sent with it. */
function textsRefusal(check: Check, { tries, texts, unit = check.unit }: ReadingTaken): string | null {
  if (check.choices)
    return texts.every((row, i) => check.choices![tries[i]?.[0] ?? -1]?.say === row[0])
      ? null
      : `${check.title}: that answer is not on the sheet. Choose one of: ${check.choices.map(one => one.say).join(', ')}.`
  if (!(unit in UNITS)) return `${check.title}: there is no unit “${unit}”.`
  if (texts.length !== tries.length || texts.some((row, i) => row.length !== tries[i]!.length))
    return `${check.title}: each figure comes with what was typed for it.`
  for (const [i, row] of texts.entries()) {
    for (const [j, text] of row.entries()) {
      const field = { kind: UNITS[check.unit].kind, unit: unit as UnitName, span: check.span, label: check.title }
      const read = parseQuantity(text, field)
      if (!read.ok) return read.why
      const figure = tries[i]![j]!
      if (Math.abs(read.value.value - figure) > 1e-9 * Math.max(1, Math.abs(figure)))
        return `${check.title}: “${text}” is ${Number(read.value.value.toPrecision(7))}, and ${Number(figure.toPrecision(7))} came with it. Take it again.`
    }
  }
  return null
}

/** What was found is never written over, half measured or whole: another figure for the same place is a correction. */
function againRefusal(state: JobState, check: Check, { moment, station, plane }: ReadingTaken): string | null {
  const before = state.readings.get(readingKey(check.id, moment))?.get(cellKey(station, plane))
  if (!before || (isHistory(state, check, before) && check.at.find(at => at.moment === moment)!.renewed)) return null
  return `${check.title} is ${before.tries.length < (check.tries ?? 1) ? 'half ' : ''}measured there already. Correct that reading, with the reason.`
}
