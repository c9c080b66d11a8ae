import type { Cell, Reduced, Tried } from '~~/core/job'
import type { Check } from '~~/core/sheet'

/** What was read of a cell, as this screen shows it. */
export function useCellWords() {
  const { show, system } = useDisplay()

  /** A value of a cell with its unit; an answer as it was given. */
  function shown(check: Check, { as }: Cell, value: number): { figure: string; unit: string } {
    if (as.type !== 'number') return { figure: String(value), unit: '' }
    if (as.shown) return show(value, check)
    return showFigureOf({ value, unit: as.unit, decimals: decimalsWritten(value) }, system.value)
  }

  function sayCell(
    check: Check,
    cell: Cell,
    tried: Tried & { tries: readonly (readonly string[])[] },
    reduced: Reduced | null,
  ): string {
    if (reduced?.scatter) return 'disagree'
    return typeof reduced?.value === 'number'
      ? shown(check, cell, reduced.value).figure
      : (tried.tries.at(-1)?.[0] ?? '')
  }
  return { shown, sayCell }
}
