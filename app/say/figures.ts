import { displayLength, fixed } from '~~/core/quantity'
import type { Figure } from '~~/core/sums'

/** A figure of an answer as the screen shows it: lengths in the chosen system, everything else as it is. */
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
  const text = fixed(value, decimals)
  const [whole = '', part] = text.split('.')
  return {
    figure: `${whole.replace(/\B(?=(\d{3})+$)/g, ' ')}${part === undefined ? '' : `.${part}`}`,
    unit: unit === '1' ? '' : unit,
  }
}

/** A figure in the unit the screen shows, nothing rounded: for places on a scale. */
export const shownValue = (value: number, unit: string | undefined, lengths: 'mm' | 'inch'): number =>
  lengths === 'inch' && (unit === 'mm' || unit === 'µm') ? value / 25.4 : value

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
