import { accept, refuse, type Result } from '../result.ts'
import { AMBIGUOUS_WORDS, BASE_UNIT, UNITS, type Kind, type Unit, type UnitName } from './units.ts'

/** What a field takes: its kind, the unit a bare number is read in, and the span a believable value lies in. */
export interface Field {
  kind: Kind
  /** Unit of a bare number; the base unit of the kind when left out. */
  unit?: UnitName
  /** Least and greatest believable value, in the base unit. Outside it a value is challenged, never stored. */
  span?: readonly [number, number]
  /** What is being measured, named in a refusal: "journal, drive end". */
  label?: string
  /** Pressures: which reference the field means, and a bare number has. A unit that says the other, or neither, is refused. */
  reference?: 'gauge' | 'absolute'
}

export interface Quantity {
  /** In the base unit of the kind. */
  value: number
  /** The unit the text was in. */
  unit: UnitName
}

const NUMBER = String.raw`[+-]?(?:\d+[\s-]+\d+/\d+|\d+/\d+|[\d.,]*\d[\d.,]*(?:e[+-]?\d{1,2}(?![\d.,]))?)`
const SHAPE = new RegExp(String.raw`^(${NUMBER})\s*(.*)$`, 'iu')

const squeeze = (text: string) => text.toLowerCase().replace(/\s+/g, '')

/** Every spelling of every unit. One spelling may belong to two kinds (°F as a temperature and as a difference). */
const SPELLINGS: Map<string, UnitName[]> = new Map()
for (const name of Object.keys(UNITS) as UnitName[]) {
  const unit: Unit = UNITS[name]
  for (const spelling of new Set([name, ...(unit.also ?? [])].map(squeeze)))
    SPELLINGS.set(spelling, [...(SPELLINGS.get(spelling) ?? []), name])
}

function findUnit(text: string, kind: Kind): Result<UnitName> {
  const key = squeeze(text)
  const ambiguous = AMBIGUOUS_WORDS[key]
  if (ambiguous) return refuse(ambiguous)
  const names = SPELLINGS.get(key)
  // As it is spelt, where capitals tell two units apart: mΩ and MΩ.
  const spelt = names?.find(name => name === text.trim() && UNITS[name].kind === kind)
  if (spelt) return accept(spelt)
  const mine = names?.find(name => UNITS[name].kind === kind)
  if (mine) return accept(mine)
  if (names?.[0])
    return refuse(
      `“${text}” is a unit of ${KIND_WORDS[UNITS[names[0]].kind]}; this field takes ${KIND_WORDS[kind]}. Give it in ${BASE_UNIT[kind]}.`,
    )
  if (text.split(/\s+/).filter(word => SPELLINGS.has(squeeze(word))).length > 1)
    return refuse(`“${text}” names two units. Leave one.`)
  return refuse(`“${text}” is not a unit known here. Give the figure in ${BASE_UNIT[kind]}, or leave the unit out.`)
}

const KIND_WORDS: Record<Kind, string> = {
  length: 'length',
  torque: 'torque',
  pressure: 'pressure',
  temperature: 'temperature',
  temperatureDifference: 'temperature difference',
  mass: 'mass',
  force: 'force',
  angle: 'angle',
  speed: 'speed',
  time: 'time',
  count: 'count',
  ratio: 'a bare figure or a share',
  velocity: 'vibration velocity',
  resistance: 'resistance',
  volume: 'volume',
  temperatureRate: 'rate of temperature',
  unbalance: 'unbalance',
  current: 'current',
  power: 'power',
  voltage: 'voltage',
  frequency: 'frequency',
}

/** Decimal readings of a figure: one when it is plain, two when a comma may be decimal or thousands. */
function readFigure(written: string): Result<number[]> {
  const [figure = '', power] = written.toLowerCase().split('e')
  if (power !== undefined) {
    const read = readFigure(figure)
    return read.ok ? accept(read.value.map(one => Number(`${one}e${power}`))) : read
  }
  const body = figure.replace(/^[+-]/, '')
  const sign = figure.startsWith('-') ? -1 : 1
  const fraction = /^(?:(\d+)[\s-]+)?(\d+)\/(\d+)$/.exec(body)
  if (fraction) {
    const [, whole, over, under] = fraction
    if (Number(under) === 0) return refuse(`“${figure}” divides by nothing. Check the fraction.`)
    return accept([sign * (Number(whole ?? 0) + Number(over) / Number(under))])
  }
  const marks = body.replace(/\d/g, '')
  if (marks.includes('.') && marks.includes(','))
    return refuse(
      `“${figure}” has both a point and a comma. Write the figure with one decimal mark and no thousands mark.`,
    )
  if (marks.length > 1) return refuse(`“${figure}” has more than one decimal mark. Write it with one.`)
  const asDecimal = sign * Number(body.replace(',', '.'))
  const thousands = /^[1-9]\d{0,2},\d{3}$/.test(body)
  return accept(thousands ? [asDecimal, sign * Number(body.replace(',', ''))] : [asDecimal])
}

/** A figure in `unit` as a base-unit value; no rounding. */
export function toBase(figure: number, unit: UnitName): number {
  const { factor, offset } = UNITS[unit] as Unit
  return figure * factor + (offset ?? 0)
}

const inside = (value: number, span: Field['span']) => !span || (value >= span[0] && value <= span[1])

function challenge(value: number, unit: UnitName, field: Field): string {
  const [low, high] = field.span!
  const shown = tidy(fromBase(value, unit))
  const slip = [10, 100, 1000, 0.1, 0.01, 0.001].find(by => inside(value * by, field.span))
  const hint = slip
    ? ' Did the decimal mark slip?'
    : inside(value * 25.4, field.span) && field.kind === 'length'
      ? ' Was it in inches?'
      : ''
  return `${shown} ${unit} cannot be ${field.label ? `a reading of ${field.label}` : 'right here'}: expected is ${tidy(fromBase(low, unit))} to ${tidy(fromBase(high, unit))} ${unit}.${hint} Check it and type it again.`
}

const tidy = (value: number) => String(Number(value.toPrecision(7)))

/** Turns a base-unit value into `unit`. Base unit in, `unit` out; no rounding. */
export function fromBase(value: number, unit: UnitName): number {
  const { factor, offset } = UNITS[unit] as Unit
  return (value - (offset ?? 0)) / factor
}

/**
 * Reads a quantity as a technician types it or a gauge sends it: `4,25`, `1 3/8"`, `.0015"`, `225 ft-lb`, `80 Nm`.
 * A bare number is in the field's unit. The value comes back in the base unit of the kind.
 *
 * Refused with a sentence: an empty text, no number, two units, a unit of another kind, mixed or repeated decimal
 * marks, a comma that may be decimal or thousands where the span does not settle it, "ton", a mil that can only be a
 * millimetre, a pressure whose reference is not said where the field asks for it, a value outside the believable span.
 *
 * @example parseQuantity('3/16 in', { kind: 'length' }) // { ok: true, value: { value: 4.7625, unit: 'in' } }
 */
export function parseQuantity(text: string, field: Field): Result<Quantity> {
  const fieldUnit = field.unit ?? BASE_UNIT[field.kind]
  const clean = text.trim().replace(/[−–]/g, '-').replace(/⁄/g, '/')
  if (!clean) return refuse(`Nothing typed. Give the figure in ${fieldUnit}.`)
  if (clean.length > 40) return refuse('That is too long for one figure. Type one number with its unit.')
  const shape = SHAPE.exec(clean)
  if (!shape) return refuse(`“${clean}” is not a figure. Type a number, for example 4.25 ${fieldUnit}.`)
  const [, figureText = '', unitText = ''] = shape
  const figures = readFigure(figureText)
  if (!figures.ok) return figures
  const found = unitText ? findUnit(unitText, field.kind) : accept(fieldUnit)
  if (!found.ok) return found
  const unit: Unit = UNITS[found.value]

  if (field.reference && unitText && unit.reference !== field.reference)
    return refuse(
      unit.reference
        ? `“${clean}” is ${unit.reference} pressure; this field takes ${field.reference} pressure.`
        : `Gauge or absolute? This field takes ${field.reference} pressure: write it as ${field.reference === 'gauge' ? 'barg or psig' : 'bara or psia'}, or leave the unit out.`,
    )

  const values = figures.value.map(figure => toBase(figure, found.value))
  const believable = field.span ? values.filter(value => inside(value, field.span)) : values
  if (values.length > 1 && believable.length !== 1)
    return refuse(`“${figureText}”: is the comma decimal or thousands? Write it with a point, or without the comma.`)
  const value = believable[0]
  if (value === undefined) {
    if (/^mils?$/i.test(unitText) && inside(figures.value[0]!, field.span))
      return refuse(`A mil is a thousandth of an inch, ${tidy(values[0]!)} mm. If you mean millimetres, write mm.`)
    return refuse(challenge(values[0]!, found.value, field))
  }
  if (!Number.isFinite(value)) return refuse(`“${clean}” is too large to be a reading.`)
  return accept({ value, unit: found.value })
}
