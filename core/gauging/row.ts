import { fixed } from '../quantity/index.ts'
import { accept, type Result } from '../result.ts'
import { endFloat, lift, LIFT_STYLES, type LiftStyle } from './float.ts'
import { reduceRunout } from './runout.ts'

/** How one try is read off a gauge: one figure, the two ends of a push or a lift, or a sweep round the turn. */
export type RowKind = 'figure' | 'pair' | 'lift' | 'sweep'
export interface Row {
  of: RowKind
  /** Figures that make one try whole. */
  figures: number
}

export const ONE_FIGURE: Row = { of: 'figure', figures: 1 }

/** How figures are written in a working: as the screen or the record shows them. */
export interface Writer {
  /** A figure in the unit of what is read, without the unit. */
  show: (value: number) => string
  /** A difference too small for that unit, with its own. */
  small: (value: number) => string
}

interface Rule {
  /** What is read next, in words; empty where one figure is a try. */
  next: (at: number, figures: number) => string
  /** The ways a try may be written down, where they are told apart. */
  styles?: readonly LiftStyle[]
  /** One try as one figure, in the unit it is read in. */
  figure: (row: readonly number[], style?: LiftStyle) => Result<number>
  /** The same as a sum with its numbers put in; without what it gives. */
  sum: (row: readonly number[], write: Writer, style?: LiftStyle) => string
  /** A try that is too small to say in the unit it is read in. */
  isSmall?: true
  notes?: (row: readonly number[]) => string[]
}

const ends = ['one way', 'the other way'] as const
const difference = (row: readonly number[], { show }: Writer) => `|${show(row[0]!)} − ${show(row[1]!)}|`

/** The ways to read one try, each whole: how many words it takes to ask for it, what it comes to, how that is written. */
export const ROWS: Record<RowKind, Rule> = {
  figure: {
    next: () => '',
    figure: row => accept(row[0]!),
    sum: (row, { show }) => show(row[0]!),
  },
  pair: {
    next: at => ends[at % 2]!,
    figure: row => accept(endFloat(row[0]!, row[1]!)),
    sum: difference,
  },
  lift: {
    next: at => ends[at % 2]!,
    styles: LIFT_STYLES,
    figure: (row, style = 'signed readings') => lift(row[0]!, row[1]!, style),
    sum: (row, write, style) =>
      style === 'travels' ? `${write.show(row[0]!)} + ${write.show(row[1]!)}` : difference(row, write),
  },
  sweep: {
    next: (at, figures) => `reading ${(at % figures) + 1} of ${figures}`,
    figure: row => {
      const run = reduceRunout(row)
      return run.ok ? accept(run.value.tirUm) : run
    },
    sum: (row, { small }) => {
      const run = reduceRunout(row)
      return run.ok
        ? `maximum − minimum; first harmonic ${small(run.value.eccentricityUm)}, high spot ${fixed(run.value.highSpotDeg, 0)}° on, form ${small(run.value.formErrorUm)}`
        : ''
    },
    isSmall: true,
    notes: row => (row.length < 8 ? ['Fewer than 8 readings can take three lobes for a bend.'] : []),
  },
}
