import { meanOf, type Row } from '../../gauging/index.ts'
import { accept } from '../../result.ts'
import type { Check } from '../../sheet/types.ts'
import { holdAgainst, worstVerdict, type Held } from '../../verdict.ts'
import { cellKey } from '../cells.ts'
import { line, say } from '../define.ts'
import { figureOf, gauged, heldOf, READINGS, readings, type BenchSum } from './define.ts'

const VALUE = 'value'

interface AtPlace {
  place: string
  value: number
  held?: Held
}

/** How far places that should be alike lie apart, as a share of their mean, and the one that stands furthest from the middle. */
function unlike(
  each: readonly AtPlace[],
  { alike, source }: Check,
): { odd: AtPlace; held: Held; share: number } | null {
  if (!alike || each.length < 2) return null
  const ordered = each.toSorted((a, b) => a.value - b.value)
  const [least, greatest] = [ordered[0]!, ordered.at(-1)!]
  const mean = meanOf(each.map(one => one.value))
  const middle = meanOf(
    [ordered[Math.floor((each.length - 1) / 2)]!, ordered[Math.ceil((each.length - 1) / 2)]!].map(one => one.value),
  )
  const apart = greatest.value - least.value
  const share = apart === 0 ? 0 : apart / Math.abs(mean)
  const odd = greatest.value - middle >= middle - least.value ? greatest : least
  return { odd, share, held: holdAgainst(share, { max: alike.within }, source, { high: alike.why }) }
}

/** Something read in every place by itself, and judged there, and against the others where they should be alike; the worst place stands for the check. */
const atPlaces = (name: string, title: string, row?: (check: Check) => Row): BenchSum => ({
  name,
  title,
  fields: check => readings(check, { [VALUE]: gauged(check, row?.(check)) }),
  work: ({ readings: read = [] }, check) => {
    const alone = read.map((one): AtPlace => {
      const value = Number(one[VALUE])
      return { place: one.name, value, held: heldOf(value, check) }
    })
    const apart = unlike(alone, check)
    // Of what is not alike the odd one is to blame.
    const each = alone.map(one =>
      one === apart?.odd && apart.held.verdict === 'Out'
        ? { ...one, held: one.held?.verdict === 'Out' ? one.held : apart.held }
        : one,
    )
    const verdict = worstVerdict(each.map(one => one.held?.verdict ?? 'Open'))
    const worst = each
      .filter(one => (one.held?.verdict ?? 'Open') === verdict)
      .reduce((a, b) => ((b.held?.share ?? 0) > (a.held?.share ?? 0) ? b : a))
    const values = each.map(one => one.value)
    const mean = figureOf('value', 'Mean', meanOf(values), check)
    return accept({
      figures: [
        apart && !worst.held ? mean : figureOf('value', worst.place || check.title, worst.value, check, worst.held),
        ...(each.length > 1
          ? [
              figureOf('least', 'Minimum', Math.min(...values), check),
              figureOf('greatest', 'Maximum', Math.max(...values), check),
            ]
          : []),
        ...(apart
          ? [
              {
                key: 'spread',
                what: `Apart, ${apart.odd.place} furthest off`,
                value: apart.share,
                unit: '1',
                as: 'percent' as const,
                decimals: 1,
                held: apart.held,
              },
            ]
          : []),
        ...each.map(({ place, value, held }) => {
          const at = cellKey({ field: READINGS, place, column: VALUE })
          return figureOf(at, place || check.title, value, check, held, at)
        }),
      ],
      working: apart
        ? [
            line(
              'Apart',
              '(maximum − minimum) / mean',
              `(${say(Math.max(...values), 9)} − ${say(Math.min(...values), 9)}) / ${say(meanOf(values), 9)}`,
              `${say(apart.share * 100, 1)} %`,
            ),
          ]
        : [],
    })
  },
})

const sweepOf = ({ sweep = 8 }: Check): Row => ({ of: 'sweep', figures: sweep })

export const singleSum: BenchSum = atPlaces('single', 'A figure')
export const endFloatSum: BenchSum = atPlaces('endFloat', 'End float', () => ({ of: 'pair', figures: 2 }))
export const liftSum: BenchSum = atPlaces('lift', 'Lift', () => ({ of: 'lift', figures: 2 }))
export const runoutSum: BenchSum = atPlaces('runout', 'Run-out', sweepOf)
