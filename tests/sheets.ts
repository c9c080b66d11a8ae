import { exampleFigure } from '../demo/findings.ts'
import { finderOf, namesOf, placeOf, seenBy, type Figures } from '../demo/figures.ts'
import { Technician, type Findings } from '../demo/technician.ts'
import { SUMS_BY_NAME } from '../core/sums/index.ts'
import { everyVariant, planFor, type Check, type Moment, type Sheet, type Variants } from '../core/sheet/index.ts'
import type { Payloads } from '../core/job/index.ts'
import { people } from './pump.ts'

export { librarySheet, librarySheetNames, sheetNamed, sourceOf } from './shelf.ts'

/** What is read of a machine. What is not named is read as the sheet would best have it. */
export type Read = Figures

const bestOf = ({ choices, limits: { min, max, best } }: Check) =>
  choices ? choices.findIndex(one => one.verdict === 'Holds') : (best ?? ((min ?? max ?? 0) + (max ?? min ?? 0)) / 2)

/** A run-out of this much, swept round. */
const swept = (figure: number, n: number) =>
  Array.from({ length: n }, (_, i) => Number(((figure / 2) * Math.cos((i / n) * 2 * Math.PI)).toFixed(4)))

/** Figures and answers of a table, and nothing else where it is to be whole. */
export function findingsOf(figures: Read, isWhole = false): Findings {
  const find = finderOf(figures)
  const must = <T>(value: T | undefined, names: string[], otherwise: () => T): T => {
    if (value === undefined && isWhole) throw new Error(`No figure is written for ${names[0]}.`)
    return value ?? otherwise()
  }
  return {
    reading: (check: Check, moment: Moment, { place, row }) => {
      const names = namesOf(check.id, moment, placeOf(check, place))
      const said = must(find(names), names, () => bestOf(check))
      const figure = typeof said === 'string' ? (check.choices?.findIndex(one => one.say === said) ?? -1) : said
      if (figure < 0 && check.choices) throw new Error(`${check.id} has no answer “${said}”.`)
      return row.figures === 1 ? [figure] : row.figures === 2 ? [0, figure] : swept(figure, row.figures)
    },
    figure: (sum, check, moment, cell) => {
      const names = [
        `${check.id} ${moment} ${cell.name}`,
        `${check.id} ${cell.name}`,
        `${check.id} ${moment}`,
        check.id,
      ]
      return String(must(find(names), names, () => exampleFigure(sum, cell, check)))
    },
    choice: () => 'reuse',
    seen: seenBy(find),
    ...people,
  }
}

/** Somebody who works a sheet and finds what the test says. */
export function worker(
  sheet: Sheet,
  figures: Read | Findings = {},
  variants: Variants = {},
  Who: typeof Technician = Technician,
): Technician {
  let n = 0
  let passed = 0
  const findings = 'reading' in figures ? (figures as Findings) : findingsOf(figures as Read)
  const one = new Who(planFor(sheet, variants, SUMS_BY_NAME), findings, {
    id: () => `e${String(++n).padStart(5, '0')}`,
    now: () => new Date(Date.UTC(2026, 4, 1) + n * 60_000 + passed).toISOString(),
    pass: ms => {
      passed += ms
    },
  })
  one.open('T-1', 'Test')
  return one
}

/** What is chosen on a job of a sheet that takes the machine furthest apart. */
export const furthest = (sheet: Sheet): Variants =>
  everyVariant({ axes: sheet.axes.filter(axis => axis.decided) })
    .map(variants => ({ variants, steps: planFor(sheet, variants).sheet.steps.length }))
    .reduce((most, one) => (one.steps > most.steps ? one : most)).variants

/** Who works a job that was opened with what earlier ones left or kept of its machine. */
export const openedWith = (more: Pick<Payloads['job.opened'], 'last' | 'kept'>): typeof Technician =>
  class extends Technician {
    override open(equipment: string, complaint: string) {
      const { sheet, variants } = this.plan
      this.act('job.opened', { equipment, sheet: sheet.id, version: sheet.version, variants, complaint, ...more })
    }
  }
