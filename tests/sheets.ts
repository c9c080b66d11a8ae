import { readFileSync } from 'node:fs'
import { parse } from 'yaml'
import { figuresPerTry } from '../core/job/index.ts'
import { exampleFigure } from '../demo/findings.ts'
import { Technician, type Findings } from '../demo/technician.ts'
import { SUMS_BY_NAME } from '../core/sums/index.ts'
import { planFor, readSheet, type Check, type Moment, type Sheet, type Variants } from '../core/sheet/index.ts'
import { people } from './pump.ts'

/** A small sheet made for tests, written out. */
export const sheetNamed = (name: string): Sheet =>
  readSheet(parse(readFileSync(new URL(`./sheets/${name}.yaml`, import.meta.url), 'utf8')))

/** Figures by check, at one moment or at all; what is not named is read as the sheet would best have it. */
export type Read = Partial<Record<string, number | string>>

const bestOf = ({ choices, limits: { min, max, best } }: Check) =>
  choices ? choices.findIndex(one => one.verdict === 'Holds') : (best ?? ((min ?? max ?? 0) + (max ?? min ?? 0)) / 2)

/** Somebody who works a sheet and finds what the test says. */
export function worker(sheet: Sheet, read: Read = {}, variants: Variants = {}): Technician {
  let n = 0
  const findings: Findings = {
    reading: (check: Check, moment: Moment) => {
      const figure = Number(read[`${check.id} ${moment}`] ?? read[check.id] ?? bestOf(check))
      return figuresPerTry(check) === 2 ? [0, figure] : [figure]
    },
    figure: (sum, check, moment, cell) =>
      String(
        read[`${check.id} ${moment} ${cell.name}`] ??
          read[`${check.id} ${cell.name}`] ??
          read[check.id] ??
          exampleFigure(sum, cell),
      ),
    choice: () => 'reuse',
    ...people,
  }
  const one = new Technician(planFor(sheet, variants, SUMS_BY_NAME), findings, {
    id: () => `e${String(++n).padStart(5, '0')}`,
    now: () => new Date(Date.UTC(2026, 4, 1) + n * 60_000).toISOString(),
  })
  one.open('T-1', 'Test')
  return one
}
