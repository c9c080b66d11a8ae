import type { Check } from '../../sheet/index.ts'
import { showFigure } from './show.ts'
import type { LengthSystem } from '../../quantity/index.ts'

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
  const say = (one: number) => {
    const { figure, unit } = showFigure(one, check, system)
    return `${figure} ${unit}`
  }
  const { min = -Infinity, max = Infinity } = check.limits
  const out = value < min ? min - value : value > max ? value - max : 0
  const before = last === null ? '' : ` The last overhaul found ${say(last)}.`
  if (out > WIDTHS_OUT * width)
    return `${say(value)} lies ${say(out)} ${value < min ? 'under' : 'over'} the limit.${before} Is that what the gauge shows?`
  if (last !== null && Math.abs(value - last) > WIDTHS_AWAY * width)
    return `${say(value)} is far from the last overhaul, which found ${say(last)}. Is that what the gauge shows?`
  return null
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

/** The figure as it is read when only its last digits were typed; null when what was typed is not just those. */
export function withLeading(lead: string, wanted: number, typed: string): string | null {
  return new RegExp(String.raw`^\d{${wanted}}$`).test(typed) ? lead + typed : null
}
