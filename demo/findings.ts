import { finderOf, namesOf, placeOf, seenBy, type Figures } from './figures.ts'
import { saidIn, type Cell } from '../core/job/index.ts'
import type { Check, Moment, Ref } from '../core/sheet/index.ts'
import type { AnySum } from '../core/sums/index.ts'
import { UNITS } from '../core/quantity/index.ts'
import type { Findings } from './technician.ts'

/** How far through its allowance each check has got, 0 fresh to 1 at the limit; by check, else the general one. */
export interface Wear {
  general: number
  checks?: Record<string, number>
  renewed?: Ref[]
  /** What else was found: figures of sums, answers. */
  figures?: Figures
}

/**
 * Figures a machine with this wear would give. Everything is spread a little by a fixed rule of station, plane and try,
 * so that the demo tells the same story every time.
 */
export function wornFindings(wear: Wear, people: Pick<Findings, 'fitter' | 'lead'>, sound: Figures = {}): Findings {
  const own = finderOf(wear.figures ?? {})
  const usual = finderOf(sound)
  const renewed = new Set(wear.renewed ?? [])
  const share = (check: Check, moment: Moment) => {
    const fresh = moment === 'asLeft' || (moment === 'build' && check.of.some(ref => renewed.has(ref)))
    return fresh ? 0.15 : (wear.checks?.[check.id] ?? wear.general)
  }
  return {
    ...people,
    figure: (sum, check, moment, cell) => {
      const names = namesOf(check.id, moment, cell.name)
      return String(own(names) ?? usual(names) ?? exampleFigure(sum, cell, check))
    },
    choice: ref => (renewed.has(ref) ? 'renew' : 'reuse'),
    seen: seenBy(own),
    reading: (check, moment, { place, column, row }, attempt) => {
      const names = namesOf(check.id, moment, placeOf(check, place))
      const said = own(names) ?? usual(names)
      if (check.choices && said !== undefined) return [check.choices.findIndex(one => one.say === said)]
      if (check.choices)
        return [
          Math.max(
            0,
            check.choices.findIndex(one => one.verdict === 'Holds'),
          ),
        ]
      const { min, max, best = min !== undefined && max !== undefined ? (min + max) / 2 : 0 } = check.limits
      const worst =
        check.low && min !== undefined && (max === undefined || best - min > max - best) ? min : (max ?? min ?? best)
      const used = share(check, moment)
      const value = typeof said === 'number' ? said : best + (worst - best) * used
      // In the base unit, as the limits are; what is told apart on the gauge is in its own.
      const step = UNITS[check.unit].factor * 10 ** -check.decimals
      const stationIndex = check.stations?.findIndex(one => one.name === place) ?? 0
      // Stations and planes lie on the good side, so that the worst of them is the wear asked for.
      const spread = ((stationIndex + (column === 'B' ? 1 : 0)) % 3) * step * Math.sign(best - worst)
      const figure = toStep(value + spread + (attempt === 1 ? step * Math.sign(best - worst) : 0), step)
      if (row.of === 'pair') return [0, figure]
      if (row.of === 'lift') return [round(figure / 2, 3), round(figure / 2 - figure, 3)]
      if (row.of === 'sweep')
        return Array.from({ length: row.figures }, (_, i) =>
          round((value / 2) * Math.cos((((i / row.figures) * 360 - 60) * Math.PI) / 180), 3),
        )
      return [figure]
    },
  }
}

/** A figure of a sum as its worked example has it; a row more than that has repeats its last. */
export function exampleFigure({ example }: AnySum, cell: Cell, { sum }: Check): string {
  const places = cell.place === undefined ? -1 : sum!.rows![cell.field]!.findIndex(one => one.name === cell.place)
  const row = places < 0 ? undefined : Math.min(places, (example[cell.field] as unknown[]).length - 1)
  return saidIn(example, cell, row) ?? ''
}

/** The nearest whole number of steps. */
const toStep = (value: number, step: number) => Number((Math.round(value / step) * step).toPrecision(12))
const round = (value: number, decimals: number) => Number(value.toFixed(decimals))
