import { fixed, fromBase } from '../quantity/index.ts'
import type { Check } from '../sheet/index.ts'

/** A value of a check as it is shown: figure and unit; where there is a span, least to greatest. */
export function showValue(check: Check, result: { value: number | null, span: [number, number] | null }): string {
  if (result.value === null) return 'not measured'
  const figure = (value: number) => fixed(fromBase(value, check.unit), check.decimals)
  const span = result.span && result.span[0] !== result.span[1] ? ` (${figure(result.span[0])} to ${figure(result.span[1])})` : ''
  return `${figure(result.value)}${span} ${check.unit}`
}

/** The limits of a check in words, with unit. */
export function showLimits(check: Check): string {
  const figure = (value: number) => fixed(fromBase(value, check.unit), check.decimals)
  const { min, max } = check.limits
  if (min !== undefined && max !== undefined) return `${figure(min)} to ${figure(max)} ${check.unit}`
  return max !== undefined ? `${figure(max)} ${check.unit} at most` : `${figure(min!)} ${check.unit} at least`
}
