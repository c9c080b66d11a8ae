import type { Row } from '../../gauging/index.ts'
import { accept } from '../../result.ts'
import type { Check } from '../../sheet/types.ts'
import { worstVerdict } from '../../verdict.ts'
import { cellKey } from '../cells.ts'
import { figureOf, gauged, heldOf, READINGS, readings, type BenchSum } from './define.ts'

const VALUE = 'value'

/** Something read in every place by itself, and judged there; the worst place stands for the check. */
const atPlaces = (name: string, title: string, row?: (check: Check) => Row): BenchSum => ({
  name,
  title,
  fields: check => readings(check, { [VALUE]: gauged(check, row?.(check)) }),
  work: ({ readings: read = [] }, check) => {
    const each = read.map(one => {
      const value = Number(one[VALUE])
      return { place: one.name, value, held: heldOf(value, check) }
    })
    const verdict = worstVerdict(each.map(one => one.held?.verdict ?? 'Open'))
    const worst = each
      .filter(one => (one.held?.verdict ?? 'Open') === verdict)
      .reduce((a, b) => ((b.held?.share ?? 0) > (a.held?.share ?? 0) ? b : a))
    const values = each.map(one => one.value)
    return accept({
      figures: [
        figureOf('value', worst.place || check.title, worst.value, check, worst.held),
        ...(each.length > 1
          ? [
              figureOf('least', 'Minimum', Math.min(...values), check),
              figureOf('greatest', 'Maximum', Math.max(...values), check),
            ]
          : []),
        ...each.map(({ place, value, held }) => {
          const at = cellKey({ field: READINGS, place, column: VALUE })
          return figureOf(at, place || check.title, value, check, held, at)
        }),
      ],
      working: [],
    })
  },
})

const sweepOf = ({ sweep = 8 }: Check): Row => ({ of: 'sweep', figures: sweep })

export const singleSum: BenchSum = atPlaces('single', 'A figure')
export const endFloatSum: BenchSum = atPlaces('endFloat', 'End float', () => ({ of: 'pair', figures: 2 }))
export const liftSum: BenchSum = atPlaces('lift', 'Lift', () => ({ of: 'lift', figures: 2 }))
export const runoutSum: BenchSum = atPlaces('runout', 'Run-out', sweepOf)
