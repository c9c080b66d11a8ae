import { displayLength, fixed, fromBase, isUnit, shownDecimals, shownUnit, toBase } from '~~/core/quantity'
import type { Figure } from '~~/core/sums'
import { thousands } from './words'

/** As many decimals as a figure was written with, as far as a screen shows any. */
export const decimalsWritten = (value: number): number =>
  Math.min(4, (String(Number(value.toFixed(4))).split('.')[1] ?? '').length)

/** A figure of an answer as the screen shows it: in the units of the chosen world, but where it is to stay as written. */
export function showFigureOf(
  { value, unit = '', decimals: wanted, as }: Pick<Figure, 'value' | 'unit' | 'decimals' | 'as'>,
  lengths: 'mm' | 'inch',
): { figure: string; unit: string } {
  if (typeof value === 'boolean') return { figure: value ? 'yes' : 'no', unit: '' }
  if (value === null) return { figure: '–', unit: '' }
  if (typeof value === 'string') return { figure: value, unit: '' }
  if (as === 'percent') return { figure: fixed(value * 100, 1), unit: '%' }
  const decimals = wanted ?? (Number.isInteger(value) ? 0 : 3)
  const inInches = lengths === 'inch' && as !== 'written'
  if (unit === 'mm' && inInches) return displayLength(value, 'inch', decimals)
  if (unit === 'µm' && inInches) return displayLength(value / 1000, 'inch', 3, 'thou')
  const other = inInches && isUnit(unit) ? shownUnit(unit, 'inch') : unit
  if (other !== unit && isUnit(unit) && isUnit(other))
    return {
      figure: inThrees(fixed(fromBase(toBase(value, unit), other), shownDecimals(unit, decimals, 'inch'))),
      unit: other,
    }
  return { figure: inThrees(fixed(value, decimals)), unit: unit === '1' ? '' : unit }
}

/** Long figures in threes. */
function inThrees(text: string): string {
  const [whole = '', part] = text.split('.')
  return `${thousands(whole)}${part === undefined ? '' : `.${part}`}`
}

/** What a line of a working gives, in the screen's own unit; null where that is the unit it was worked in. */
export function givesShown(gives: string, lengths: 'mm' | 'inch'): string | null {
  const read = /^(-?\d+(?:\.(\d+))?) (\S+)$/.exec(gives)
  if (!read || lengths === 'mm' || !isUnit(read[3]!)) return null
  const { figure, unit } = showFigureOf(
    { value: Number(read[1]), unit: read[3], decimals: read[2]?.length ?? 0 },
    lengths,
  )
  return unit === read[3] ? null : `${figure} ${unit}`
}

/** A figure in the unit the screen shows, nothing rounded: for places on a scale. */
export const shownValue = (value: number, unit: string | undefined, lengths: 'mm' | 'inch'): number =>
  lengths === 'mm' || unit === undefined || !isUnit(unit)
    ? value
    : unit === 'µm'
      ? value / 25.4
      : fromBase(toBase(value, unit), shownUnit(unit, lengths))

/** Limits in words, in the chosen system. */
export function limitWords(
  held: NonNullable<Figure['held']>,
  figure: Pick<Figure, 'value' | 'unit' | 'decimals' | 'as'>,
  lengths: 'mm' | 'inch',
): string {
  const say = (value: number) =>
    showFigureOf({ value, unit: figure.unit, decimals: figure.decimals, as: figure.as }, lengths)
  if (typeof figure.value !== 'number') return ''
  const unit = say(0).unit
  const { min, max } = held.limits
  if (min !== undefined && max !== undefined) return `${say(min).figure} to ${say(max).figure} ${unit}`.trim()
  if (max !== undefined) return `maximum ${say(max).figure} ${unit}`.trim()
  return min !== undefined ? `minimum ${say(min).figure} ${unit}`.trim() : ''
}
