import { displayLength, fixed, fromBase, UNITS, type LengthSystem } from '../quantity/index.ts'
import type { Check } from '../sheet/index.ts'

type Shown = Pick<Check, 'unit' | 'decimals'>

/** A base-unit value of a check as figure and unit; lengths follow the chosen system. */
export function showFigure(
  value: number,
  { unit, decimals }: Shown,
  system: LengthSystem = 'mm',
): { figure: string; unit: string } {
  return UNITS[unit].kind === 'length'
    ? displayLength(value, system, decimals)
    : { figure: fixed(fromBase(value, unit), decimals), unit }
}

/** A result of a check in words: figure and unit; where there is a span, least to greatest. */
export function showValue(
  check: Shown,
  result: { value: number | null; span: [number, number] | null },
  system: LengthSystem = 'mm',
): string {
  if (result.value === null) return 'not measured'
  const { figure, unit } = showFigure(result.value, check, system)
  const span =
    result.span && result.span[0] !== result.span[1]
      ? ` (${result.span.map(end => showFigure(end, check, system).figure).join(' to ')})`
      : ''
  return `${figure}${span} ${unit}`
}

/** The limits of a check in words, with unit. */
export function showLimits(check: Shown & Pick<Check, 'limits'>, system: LengthSystem = 'mm'): string {
  const { min, max } = check.limits
  const end = (value: number) => showFigure(value, check, system)
  if (min !== undefined && max !== undefined) return `${end(min).figure} to ${end(max).figure} ${end(max).unit}`
  return max !== undefined
    ? `${end(max).figure} ${end(max).unit} at most`
    : `${end(min!).figure} ${end(min!).unit} at least`
}
