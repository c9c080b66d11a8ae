import type { Writer } from '../../gauging/index.ts'
import { displayLength, fixed, fromBase, shownDecimals, shownUnit, type LengthSystem } from '../../quantity/index.ts'
import type { RunColumn, Check } from '../../sheet/index.ts'
import type { Cell } from './cells.ts'

type Shown = Pick<Check, 'unit' | 'decimals' | 'choices'>
type Limited = Shown & Pick<Check, 'limits'>

/** A base-unit value of a check as figure and unit, in the chosen system. */
export function showFigure(
  value: number,
  { unit, decimals, choices }: Shown,
  system: LengthSystem = 'mm',
): { figure: string; unit: string } {
  if (choices) return { figure: choices[value]?.say ?? '–', unit: '' }
  const shown = shownUnit(unit, system)
  const figure = fixed(fromBase(value, shown), shownDecimals(unit, decimals, system))
  return { figure, unit: shown === '1' ? '' : shown }
}

/** A result of a check in words: figure and unit; where there is a span, least to greatest. */
export function showValue(
  check: Shown,
  result: {
    value: number | null
    span: [number, number] | null
    scatter?: [number, number] | null
    told?: string | null
  },
  system: LengthSystem = 'mm',
): string {
  if (result.value === null) return result.told ?? 'not measured'
  const { figure, unit } = showFigure(result.value, check, system)
  if (result.scatter)
    return `${result.scatter.map(end => showFigure(end, check, system).figure).join(' to ')} ${unit}, tries disagree`
  const span =
    result.span && result.span[0] !== result.span[1]
      ? ` (${result.span.map(end => showFigure(end, check, system).figure).join(' to ')})`
      : ''
  return `${figure}${span} ${unit}`.trim()
}

/** What was typed or chosen in a cell, try by try, with its unit where that is not the cell's own. */
export function showTyped(
  { tries, unit }: { tries: readonly (readonly string[])[]; unit?: string },
  own: string | null,
): string {
  const figures = tries.map(row => row.join(' and ')).join('; ')
  return unit !== undefined && unit !== own ? `${figures} ${unit}` : figures
}

/** The limits of a check in words, with unit; of a run column by column. */
export function showLimits(check: Limited & Pick<Check, 'run' | 'alike'>, system: LengthSystem = 'mm'): string {
  if (check.choices)
    return check.choices
      .filter(one => one.verdict === 'Holds')
      .map(one => one.say)
      .join(', or ')
  if (check.run)
    return check.run.columns
      .flatMap((one, _, all) => [
        ...(one.limits ? [`${one.name} ${limitsIn({ ...one, limits: one.limits }, system)}`] : []),
        ...(one.rise ? [`${one.name} ${riseIn({ ...one, rise: one.rise }, all, system)}`] : []),
      ])
      .join('; ')
  const alike = check.alike ? [`alike within ${Number((check.alike.within * 100).toPrecision(4))} %`] : []
  const own = limitsIn(check, system)
  return [...(alike.length && own === 'none' ? [] : [own]), ...alike].join('; ')
}

/** How far a column may lie over another in its row: “at most 60 °C over air”. */
function riseIn(one: RunColumn & Required<Pick<RunColumn, 'rise'>>, all: readonly RunColumn[], system: LengthSystem) {
  const { figure, unit } = showFigure(one.rise.max, one, system)
  return `at most ${figure} ${unit} over ${all.find(({ id }) => id === one.rise.over)?.name ?? one.rise.over}`
}

function limitsIn(check: Limited, system: LengthSystem): string {
  const { min, max } = check.limits
  const end = (value: number) => showFigure(value, check, system)
  if (min !== undefined && min === max) return `${end(min).figure} ${end(min).unit}`.trim()
  if (min !== undefined && max !== undefined) return `${end(min).figure} to ${end(max).figure} ${end(max).unit}`.trim()
  return max !== undefined
    ? `maximum ${end(max).figure} ${end(max).unit}`.trim()
    : min === undefined
      ? 'none'
      : `minimum ${end(min).figure} ${end(min).unit}`.trim()
}

/** A difference too small for the unit that lengths are shown in, with its own unit. */
function small(mm: number, system: LengthSystem): string {
  const { figure, unit } =
    system === 'inch' ? displayLength(mm, 'inch', 3, 'thou') : { figure: fixed(mm * 1000, 1), unit: 'µm' }
  return `${figure} ${unit}`
}

/** How a working writes the figures of a check. */
export const writerOf = (check: Shown, system: LengthSystem = 'mm'): Writer => ({
  show: value => showFigure(value, check, system).figure,
  small: value => small(value, system),
})

/** How a working writes the figures of one cell: as its check's, or in the unit its field is held in. */
export const writerFor = ({ as }: Pick<Cell, 'as'>, check: Shown, system?: LengthSystem): Writer => {
  const plain = (value: number) => String(Number(value.toPrecision(7)))
  return as.type === 'number' && as.shown ? writerOf(check, system) : { show: plain, small: plain }
}
