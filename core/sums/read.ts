import { parseClock } from '../marks/clock.ts'
import {
  fromBase,
  parseQuantity,
  shownUnit as worldUnit,
  toBase,
  UNITS,
  type LengthSystem,
  type UnitName,
} from '../quantity/index.ts'
import { accept, type Result } from '../result.ts'
import type { NumberField } from './fields.ts'

type Measured = Pick<NumberField, 'unit' | 'span' | 'label' | 'reference' | 'clock'>

/** A label as it stands within a sentence; names inside it keep their capitals. */
export const inSentence = (label: string): string => label[0]!.toLowerCase() + label.slice(1)

/** The unit a bare number is read in: the one of the screen's own world; what is held in micrometres is thou there. */
export const shownUnit = (unit: UnitName, lengths: LengthSystem): UnitName =>
  unit === 'µm' && lengths === 'inch' ? 'thou' : worldUnit(unit, lengths)

/** A typed figure in the field's own unit, or why it is none; a bare figure is in the unit of the screen's own world. */
export const readNumber = (text: string, field: Measured, lengths: LengthSystem): Result<number> =>
  readIn(text, field, shownUnit(field.unit, lengths))

/** A typed figure in the field's own unit, or why it is none; a bare figure is in `unit`. */
export function readIn(text: string, field: Measured, unit: UnitName): Result<number> {
  if (field.clock && text.includes(':')) {
    const deg = parseClock(text)
    return deg.ok && field.clock === 'hours' ? accept(deg.value / 30) : deg
  }
  const [low, high] = field.span
  const plain = {
    kind: UNITS[field.unit].kind,
    unit,
    label: inSentence(field.label),
    reference: field.reference,
  }
  const own = (base: number) => Number(fromBase(base, field.unit).toPrecision(12))
  const read = parseQuantity(text, { ...plain, span: [toBase(low, field.unit), toBase(high, field.unit)] })
  if (read.ok) return accept(own(read.value.value))
  // A figure on the edge of its span may come back from inches a hair outside it.
  const loose = parseQuantity(text, plain)
  const edge = loose.ok ? Math.min(high, Math.max(low, own(loose.value.value))) : Number.NaN
  return loose.ok && Math.abs(own(loose.value.value) - edge) <= 1e-6 * (high - low) ? accept(edge) : read
}
