import { fromBase } from './parse.ts'
import type { UnitName } from './units.ts'

/** Whether the screen speaks millimetres or inches, and with it newton metres or foot-pounds, bar or psi, and so on. */
export type LengthSystem = 'mm' | 'inch'

/** What a unit is shown as when the screen speaks inches, and how many decimals more that wants to say as much. */
const INCH_UNITS: Partial<Record<UnitName, readonly [UnitName, number]>> = {
  'mm': ['in', 1],
  'N·m': ['lbf·ft', 0],
  'N': ['lbf', 0],
  'kN': ['lbf', -3],
  'bar': ['psi', -1],
  'MPa': ['psi', -2],
  '°C': ['°F', 0],
  'K': ['Δ°F', 0],
  'kg': ['lb', 0],
  'mm/s': ['in/s', 1],
}

/** The unit a figure is shown and typed in: its own, or the one of the inch world. */
export const shownUnit = (unit: UnitName, system: LengthSystem): UnitName =>
  system === 'inch' ? (INCH_UNITS[unit]?.[0] ?? unit) : unit

/** Decimals that say in the shown unit as much as these do in the figure's own; never less than none. */
export const shownDecimals = (unit: UnitName, decimals: number, system: LengthSystem): number =>
  system === 'inch' ? Math.max(0, decimals + (INCH_UNITS[unit]?.[1] ?? 0)) : decimals

/** How a length field is shown in inches: decimal inch, thou for fits, or the nearest 1/64 for stock sizes. */
export type InchStyle = 'decimal' | 'thou' | 'fraction'

/**
 * A base-unit value as text in `unit` with a fixed number of decimals; rounding is for display only.
 * A negative nought is shown as nought. Range: any finite value.
 *
 * @example formatQuantity(59.983, 'mm', 3) // '59.983 mm'
 */
export function formatQuantity(value: number, unit: UnitName, decimals: number): string {
  return `${fixed(fromBase(value, unit), decimals)} ${unit}`
}

/** `toFixed` without a negative nought. */
export function fixed(value: number, decimals: number): string {
  const text = value.toFixed(decimals)
  return Number(text) === 0 ? (0).toFixed(decimals) : text
}

/**
 * A length as a fraction of an inch to the nearest 1/64, reduced: 34.925 mm → `1 3/8 in`.
 * @param mm any finite length in millimetres
 */
export function formatInchFraction(mm: number): string {
  const sixtyFourths = Math.round((Math.abs(mm) / 25.4) * 64)
  const sign = mm < 0 && sixtyFourths > 0 ? '-' : ''
  const whole = Math.floor(sixtyFourths / 64)
  let over = sixtyFourths % 64
  let under = 64
  while (over > 0 && over % 2 === 0) {
    over /= 2
    under /= 2
  }
  const parts = [whole || !over ? String(whole) : '', over ? `${over}/${under}` : '']
  return `${sign}${parts.filter(Boolean).join(' ')} in`
}

export interface LengthDisplay {
  figure: string
  unit: UnitName
}

/**
 * A length split into figure and unit the way the chosen system shows it. Millimetres keep `decimals`; inches keep
 * enough decimals that a micrometre is not lost (decimal inch: one more than millimetres; thou: one fewer than µm).
 */
export function displayLength(
  mm: number,
  system: LengthSystem,
  decimals = 3,
  style: InchStyle = 'decimal',
): LengthDisplay {
  if (system === 'mm') return { figure: fixed(mm, decimals), unit: 'mm' }
  if (style === 'thou') return { figure: fixed(fromBase(mm, 'thou'), 2), unit: 'thou' }
  if (style === 'fraction') return { figure: formatInchFraction(mm).replace(/ in$/, ''), unit: 'in' }
  return { figure: fixed(fromBase(mm, 'in'), decimals + 1), unit: 'in' }
}
