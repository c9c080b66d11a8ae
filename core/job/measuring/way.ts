import type { LengthSystem } from '../../quantity/index.ts'
import { placesAt, READINGS, type Growing } from '../../sums/bench/define.ts'
import { BENCH_SUMS, type BenchInput, type BenchSum, type ReadRow } from '../../sums/bench/index.ts'
import type { AnySum } from '../../sums/define.ts'
import type { Check, Moment, Plan, SumOf } from '../../sheet/index.ts'
import { writerOf } from './show.ts'

/** How a check is worked out: by a way of measuring, or by a sum of the Gauge room; and what the sheet says of it. */
export interface Way {
  sum: AnySum
  spec: SumOf
  /** How its table grows, where its rows come as it is read. */
  grows?: {
    after: (read: readonly ReadRow[]) => { names: string[]; isOver: boolean }
    isRow: (name: string) => boolean
    most: number
  }
}

/** A way of measuring as the sum of one check, its working written in one system of lengths. */
const sumFor = (bench: BenchSum, check: Check, system: LengthSystem): AnySum => ({
  name: bench.name,
  craft: 'gauging',
  title: bench.title,
  about: check.title,
  source: check.source,
  fields: bench.fields(check),
  example: {},
  bench: true,
  work: input => bench.work(input as BenchInput, check, writerOf(check, system)),
})

const growing = ({ after, isRow, most }: Growing, check: Check): Way['grows'] => ({
  after: read => after(read, check),
  isRow: name => isRow(name, check),
  most,
})

const MADE = new WeakMap<Check, Map<string, Way>>()

/** How a check is worked out at a moment. A check is described once: what is made of it is kept with it. */
export function wayOf(plan: Pick<Plan, 'sums'>, check: Check, moment: Moment, system: LengthSystem = 'mm'): Way {
  const made = MADE.get(check) ?? new Map<string, Way>()
  MADE.set(check, made)
  const bench = BENCH_SUMS.get(check.kind)
  // What the others give is taken as of the same moment; a sum of the Gauge room is the same at all of them.
  const key = bench?.from ? `${system} ${moment}` : system
  const known = made.get(key)
  if (known) return known
  const way: Way = bench
    ? {
        sum: sumFor(bench, check, system),
        spec: {
          name: bench.name,
          trend: 'value',
          ...(bench.from
            ? { from: bench.from(check, moment) }
            : { rows: { [READINGS]: bench.grows ? [] : (placesAt(check) as NonNullable<SumOf['rows']>[string]) } }),
        },
        ...(bench.grows ? { grows: growing(bench.grows, check) } : {}),
      }
    : { sum: sumNamed(plan, check), spec: check.sum! }
  made.set(key, way)
  return way
}

/** The sum of the Gauge room behind a check. A plan that works some out is made with them at hand. */
function sumNamed({ sums }: Pick<Plan, 'sums'>, check: Check): AnySum {
  const sum = sums.get(check.sum!.name)
  if (!sum) throw new Error(`The sum ${check.sum!.name} is not at hand for ${check.id}.`)
  return sum
}
