import { SHARE_OF_TOLERANCE } from '../../gauging/index.ts'
import { fromBase, toBase, type LengthSystem, type UnitName } from '../../quantity/index.ts'
import type { Check, Moment } from '../../sheet/index.ts'
import { showFigure } from './show.ts'

/** Further out than this many widths of its limits, a figure is likelier a slip than a wear. */
const WIDTHS_OUT = 3
/** Further from the last overhaul's than this many widths, likewise. */
const WIDTHS_AWAY = 10

/** The width that readings of a check are held against: between its limits, or from its best end to a lone one. Base unit. */
export function widthOf({ limits: { min, max, best = 0 } }: Pick<Check, 'limits'>): number | undefined {
  if (min !== undefined && max !== undefined) return max - min
  const lone = max ?? min
  return lone === undefined ? undefined : Math.abs(lone - best) || Math.abs(lone) || undefined
}

/** A figure in words, with its unit. */
function said(value: number, check: Pick<Check, 'unit' | 'decimals'>, system: LengthSystem): string {
  const { figure, unit } = showFigure(value, check, system)
  return `${figure} ${unit}`.trim()
}

/**
 * What is odd about a figure before it is kept: far outside its limits, or far from what the last overhaul found. The
 * sentence to ask with; null when nothing is. Base units. `last` is the newest figure of an earlier overhaul.
 */
export function doubtOf(
  check: Pick<Check, 'limits' | 'unit' | 'decimals' | 'title'>,
  value: number,
  last: number | null,
  system: LengthSystem = 'mm',
): string | null {
  const width = widthOf(check)
  if (width === undefined || !Number.isFinite(value)) return null
  const say = (one: number) => said(one, check, system)
  const { min = -Infinity, max = Infinity } = check.limits
  const out = value < min ? min - value : value > max ? value - max : 0
  const before = last === null ? '' : ` The last overhaul found ${say(last)}.`
  if (out > WIDTHS_OUT * width)
    return `${say(value)} lies ${say(out)} ${value < min ? 'under' : 'over'} the limit.${before} Is that what the gauge shows?`
  if (last !== null && Math.abs(value - last) > WIDTHS_AWAY * width)
    return `${say(value)} is far from the last overhaul, which found ${say(last)}. Is that what the gauge shows?`
  return null
}

/** Units that are taken for each other where none is typed. */
const TAKEN_FOR: Partial<Record<UnitName, UnitName>> = {
  'mm': 'in',
  'in': 'mm',
  'µm': 'thou',
  'thou': 'µm',
  '°C': '°F',
  '°F': '°C',
  'N·m': 'lbf·ft',
  'lbf·ft': 'N·m',
  'bar': 'psi',
  'psi': 'bar',
}
const unitWord = (unit: UnitName) => (unit === 'in' ? 'inches' : unit)
/** How much nearer the figure has to lie in the other unit before that is asked. */
const MUCH_NEARER = 4

/**
 * Whether a figure that was typed without a unit was likelier meant in another one: in that it lies much nearer to what the
 * last overhaul found, else to the best figure, else to the middle of two limits. The sentence to ask with; null where not.
 * @param value what was read, base unit
 * @param unit the unit it was read in
 */
export function unitDoubtOf(
  check: Pick<Check, 'limits' | 'unit' | 'decimals'>,
  value: number,
  last: number | null,
  unit: UnitName,
  system: LengthSystem = 'mm',
): string | null {
  const { min, max, best } = check.limits
  const middle = min !== undefined && max !== undefined ? (min + max) / 2 : undefined
  const wanted = last ?? best ?? middle
  const other = TAKEN_FOR[unit]
  const width = widthOf(check)
  if (wanted === undefined || other === undefined || width === undefined) return null
  const meant = toBase(fromBase(value, unit), other)
  const off = Math.abs(meant - wanted)
  // Whatever is made smaller lies nearer to nothing: that says nothing of the unit.
  if (off * MUCH_NEARER >= Math.abs(value - wanted) || off > Math.min(width, Math.abs(wanted))) return null
  const near = last === null ? 'what is wanted' : `the ${said(last, check, system)} of the last overhaul`
  const typed = Number(fromBase(value, unit).toPrecision(9))
  return `${typed} is read in ${unitWord(unit)}. In ${unitWord(other)} it would be ${said(meant, check, system)}, which is nearer to ${near}. Is it ${typed} ${unit}?`
}

/** Moments at which a part is as it ran: nothing was renewed or set yet. */
const AS_IT_RAN: readonly Moment[] = ['asFound', 'inspect']

/**
 * What is odd about a figure that has changed the other way than wear changes it, by more than tries may scatter. The
 * sentence to ask with; null where it is not. Base units.
 */
export function wearDoubtOf(
  check: Pick<Check, 'limits' | 'unit' | 'decimals' | 'wears'>,
  moment: Moment,
  value: number,
  last: number | null,
  system: LengthSystem = 'mm',
): string | null {
  const width = widthOf(check)
  if (!check.wears || last === null || width === undefined || !AS_IT_RAN.includes(moment)) return null
  const back = check.wears === 'up' ? last - value : value - last
  if (back <= width * SHARE_OF_TOLERANCE) return null
  const [way, only] = check.wears === 'up' ? ['less', 'more'] : ['more', 'less']
  return `${said(value, check, system)} is ${said(back, check, system)} ${way} than the last overhaul found, and with wear it only becomes ${only}. Is that what the gauge shows?`
}

/**
 * Leading digits that every figure inside the limits begins with, so that only the rest need be typed: `60.0` for 60.002 to
 * 60.021. Null where they do not reach past the decimal point, or leave fewer than two figures to type.
 */
export function leadingDigits(
  check: Pick<Check, 'limits' | 'unit' | 'decimals'>,
  system: LengthSystem = 'mm',
): string | null {
  const { min, max } = check.limits
  if (min === undefined || max === undefined || min < 0) return null
  const [low, high] = [min, max].map(one => showFigure(one, check, system).figure) as [string, string]
  if (low.length !== high.length) return null
  let same = 0
  while (same < low.length && low[same] === high[same]) same++
  const point = low.indexOf('.')
  if (point < 0 || same <= point) return null
  const kept = Math.min(same, low.length - 2)
  return kept > point ? low.slice(0, kept) : null
}

/** The figure as it is read when only its last digits were typed, as it is shown; null when what was typed is not just those. */
export function withLeading(lead: string, wanted: number, typed: string): string | null {
  return new RegExp(String.raw`^\d{1,${wanted}}$`).test(typed) ? lead + typed : null
}
