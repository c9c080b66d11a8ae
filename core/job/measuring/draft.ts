import { ROWS } from '../../gauging/index.ts'
import type { LengthSystem, UnitName } from '../../quantity/index.ts'
import type { Check, Plan } from '../../sheet/index.ts'
import { inSentence } from '../../sums/read.ts'
import { judgementOf, OPEN, type Judgement } from '../../verdict.ts'
import { checkAt, reduceCell, type Cell, type Reduced, type Tried } from './cells.ts'
import { doubtOf, unitDoubtOf, wearDoubtOf } from './doubt.ts'
import { foundIn, type FoundBefore } from './found-before.ts'
import { judged, workedWith, type CheckResult, type OfLedger } from './results.ts'
import { showFigure } from './show.ts'

/** What a cell would say if what is on the pad were kept. */
export interface Draft {
  /** The cell by itself; null where no try is whole yet. */
  reduced: Reduced | null
  /** How the cell stands by itself; Open where it is not judged so. */
  judgement: Judgement
  consequence: string | null
  /** The whole check with it in. */
  result: Omit<CheckResult, OfLedger>
}

/** What a check would come to, were a cell read so: worked out and judged by the same rules as what is kept. Tries that are not whole are left out. */
export function readDraft(plan: Plan, now: CheckResult, cell: Cell, tried: Tried): Draft {
  const { check, moment, worked } = now
  const values = tried.values.filter(row => row.length === cell.row.figures)
  const read = new Map<string, Tried>(now.read)
  if (values.length) read.set(cell.key, { ...tried, values })
  else read.delete(cell.key)
  const result = judged(plan, check, moment, workedWith(plan, check, moment, worked.derived, read), read)
  // Before all its tries are in, a place by itself still says how it would stand.
  const { answer, scattered } = result.worked
  const held = answer?.ok ? answer.value.figures.find(figure => figure.at === cell.key)?.held : undefined
  const alone = held && !scattered.some(one => one.key === cell.key) ? held : null
  return {
    reduced: values.length ? reduceCell(cell, { ...tried, values }) : null,
    judgement: alone ? judgementOf(alone) : OPEN,
    consequence: alone?.verdict === 'Out' ? alone.consequence : null,
    result,
  }
}

/** What a figure on the pad is held against before it is kept. */
export interface HeldAgainst {
  /** What earlier overhauls found last of this check, of the part that is there. */
  found: FoundBefore
  system: LengthSystem
  /** What the other checks read now. */
  results?: ReadonlyMap<string, CheckResult>
  /** The unit that a figure was read in which was typed without one. */
  bareIn?: UnitName | null
}

/** What can never read less than something else at the same moment, and does. */
function underFloor(
  { check, moment, value }: Pick<CheckResult, 'check' | 'moment' | 'value'>,
  { results = new Map(), system }: HeldAgainst,
): string | null {
  const say = (one: number, of: Check) => {
    const { figure, unit } = showFigure(one, of, system)
    return `${figure} ${unit}`
  }
  const [above, below] = [...results.values()]
    .flatMap((one): [Worded, Worded][] => {
      const mine = { check, value }
      if (one.moment !== moment || one.value === null) return []
      return [
        ...(check.above === one.check.id ? [[mine, one] as [Worded, Worded]] : []),
        ...(one.check.above === check.id ? [[one, mine] as [Worded, Worded]] : []),
      ]
    })
    .find(([over, under]) => over.value! < under.value!) ?? [null, null]
  return above && below
    ? `${above.check.title} reads ${say(above.value!, above.check)}, and ${inSentence(below.check.title)} ${say(below.value!, below.check)}: it cannot be less. Which of them is wrong?`
    : null
}
type Worded = Pick<CheckResult, 'check' | 'value'>

/**
 * What is odd about what is on the pad, before it is kept: it cannot be so, or it is far from what it should be. The
 * sentence to ask with; null when nothing is.
 * @param cell the one on the pad
 */
export function oddnessOf({ reduced, result }: Draft, cell: Cell, against: HeldAgainst): string | null {
  const { moment, worked, value, complete } = result
  const check = checkAt(result.check, cell)
  const { found, system, bareIn } = against
  if (!reduced) return null
  if (worked.sum.bench) {
    if (typeof reduced.value !== 'number') return null
    const [one, last] = [reduced.figures.at(-1)!, foundIn(found, cell)]
    // The readings of a sweep lie about their own middle.
    const isBare = bareIn && !ROWS[cell.row.of].isSmall
    return (
      (isBare ? unitDoubtOf(check, one, last, bareIn, system) : null) ??
      doubtOf(check, one, last, system) ??
      wearDoubtOf(check, moment, one, last, system) ??
      underFloor({ check, moment, value: one }, against)
    )
  }
  if (worked.answer && !worked.answer.ok) return worked.answer.why
  return complete && value !== null ? doubtOf(check, value, foundIn(found), system) : null
}
