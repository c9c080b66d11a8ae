import { fixed, fromBase, toBase, type UnitName } from '../quantity/index.ts'

/** Units a torque wrench is marked in. */
export const WRENCH_UNITS = ['N·m', 'lbf·ft', 'lbf·in'] as const satisfies readonly UnitName[]
export type WrenchUnit = (typeof WRENCH_UNITS)[number]

/** As they are said at the bench. */
export const WRENCH_UNIT_WORDS: Record<WrenchUnit, string> = { 'N·m': 'N·m', 'lbf·ft': 'ft-lb', 'lbf·in': 'in-lb' }

/** A torque as a wrench of this unit shows it: whole from a hundred on, else to a tenth, and to a hundredth under twenty. @param nm N·m */
export function torqueText(nm: number, unit: WrenchUnit): string {
  const shown = fromBase(nm, unit)
  // A pass of 4.05 to 4.95 is none of 4 to 5.
  const figure = Number(fixed(shown, shown >= 100 ? 0 : shown >= 20 ? 1 : 2))
  return `${figure} ${WRENCH_UNIT_WORDS[unit]}`
}

/** Further outside the span of the pass than this many of its widths, a figure is likelier a slip. */
const WIDTHS_OUT = 3

/**
 * What is odd about a torque before it is kept: the sentence to ask with, and the unit it would be right in, where there is
 * one. Null when nothing is. `figure` as typed in `unit`; the span of the pass in N·m.
 */
export function torqueDoubt(
  figure: number,
  unit: WrenchUnit,
  { least, most }: { least: number; most: number },
): { ask: string; other: WrenchUnit | null } | null {
  const fits = (as: WrenchUnit) => {
    const nm = toBase(figure, as)
    return nm >= least - 1e-9 && nm <= most + 1e-9
  }
  if (fits(unit)) return null
  const say = (as: WrenchUnit) => torqueText(toBase(figure, as), as)
  const other = WRENCH_UNITS.find(one => one !== unit && fits(one)) ?? null
  if (other)
    return {
      ask: `Was that ${say(other)}? In ${WRENCH_UNIT_WORDS[unit]} it is outside the span of this pass, in ${WRENCH_UNIT_WORDS[other]} it is ${torqueText(toBase(figure, other), unit)} and right.`,
      other,
    }
  const nm = toBase(figure, unit)
  const away = nm > most ? nm - most : least - nm
  return away > WIDTHS_OUT * (most - least)
    ? {
        ask: `${say(unit)} in a pass of ${torqueText(least, unit)} to ${torqueText(most, unit)}: is that what the wrench shows?`,
        other: null,
      }
    : null
}
