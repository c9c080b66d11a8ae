import { endFloat, lift, reduceRoundPart, reduceRunout, reduceTries } from '../gauging/index.ts'
import { displayLength, fixed, type LengthSystem } from '../quantity/index.ts'
import { fromOf, MOMENTS, ridersOf, stepsBefore, type Check, type Moment, type Plan, type Ref } from '../sheet/index.ts'
import type { Answer } from '../sums/define.ts'
import { MAKER } from '../sums/limits.ts'
import { judge, worstVerdict, type Judgement, type WorkingLine } from '../verdict.ts'
import { worseEnd } from '../fits/index.ts'
import { widthOf } from './doubt.ts'
import { showFigure } from './show.ts'
import {
  cellKey,
  readingKey,
  renewedAt,
  type CellReading,
  type FigureRead,
  type JobState,
  type Stamp,
} from './state.ts'
import { decidingFigure, figureInBase, judgedOf, sumOf, workSum, type CellValue, type WorkedSum } from './sum-checks.ts'
import { placeName } from './words.ts'

/** A place still to be measured. */
export interface Cell {
  station?: string
  plane?: string
}

/** A check at one moment: what it came to, how it stands, and what is still missing. */
export interface CheckResult {
  check: Check
  moment: Moment
  /** In the base unit of the check; null while nothing is measured. */
  value: number | null
  /** Least and greatest, where a part has many readings. */
  span: [number, number] | null
  judgement: Judgement
  /** The sentence on what being out does, where it is thin or out. */
  consequence: string | null
  /** How it was worked out, and what is to be known of it, in the display's units. */
  working: (system?: LengthSystem) => WorkingLine[]
  notes: (system?: LengthSystem) => string[]
  missing: Cell[]
  /** Least and greatest of tries that disagree: then nothing is judged, and their mean means nothing. */
  scatter: [number, number] | null
  /** Why what was read, whole as it is, does not count and is taken again. */
  again: string | null
  /** The acts it rests on. */
  stamps: readonly Stamp[]
  /** Of a check that is worked out by a sum: the sum as far as it goes. */
  worked?: WorkedSum
  owed: boolean
  /** Taken of a part that has been renewed since: kept and shown, and nothing rests on it. */
  history: boolean
}

const NOTHING = () => []
const OPEN: Judgement = { verdict: 'Open', share: null, side: null }

export function cellsOf(check: Check): Cell[] {
  const stations = check.stations ?? [undefined]
  const planes = check.planes ?? [undefined]
  return stations.flatMap(station => planes.map(plane => ({ station, plane })))
}

/** Figures that one try of a check has. */
export const figuresPerTry = (check: Check) =>
  check.kind === 'runout' ? (check.sweep ?? 8) : check.kind === 'endFloat' || check.kind === 'lift' ? 2 : 1

/** Whether a reading tells of a part that has been renewed since. */
export const isHistory = (state: JobState, check: Check, cell: Pick<CellReading, 'n'>) =>
  cell.n < renewedAt(state, check.of)

interface Reduced {
  value: number
  span?: [number, number]
  working: CheckResult['working']
  notes: CheckResult['notes']
  judgement?: Judgement
  consequence?: string
  scatter?: [number, number]
}

/** What of a reading is worked on, kept or still on the pad. */
type Taken = Pick<CellReading, 'station' | 'plane' | 'tries' | 'style'>

/** One try row of a check as one figure, in the base unit; what cannot be is no number. */
export function figureOf(check: Check, cell: Pick<Taken, 'style'>, row: readonly number[]): number {
  if (check.kind === 'endFloat') return endFloat(row[0]!, row[1]!)
  if (check.kind === 'lift') {
    const total = lift(row[0]!, row[1]!, cell.style ?? 'signed readings')
    return total.ok ? total.value : Number.NaN
  }
  if (check.kind === 'runout') {
    const run = reduceRunout(row.map(mm => mm * 1000))
    return run.ok ? run.value.tirUm / 1000 : Number.NaN
  }
  return row[0]!
}

/** Figures of a check as its working writes them. */
const writer =
  (check: Check, system: LengthSystem = 'mm') =>
  (value: number) =>
    showFigure(value, check, system).figure

/** A difference too small for the check's own unit, with its unit. */
function small(mm: number, system: LengthSystem = 'mm'): string {
  const { figure, unit } =
    system === 'inch' ? displayLength(mm, 'inch', 3, 'thou') : { figure: fixed(mm * 1000, 1), unit: 'µm' }
  return `${figure} ${unit}`
}

interface ReducedCell {
  mean: number
  line: (system?: LengthSystem) => WorkingLine
  notes: (system?: LengthSystem) => string[]
  scatter?: [number, number]
}

function reduceCell(check: Check, cell: Taken): ReducedCell {
  const what = placeName(cell)
  const figures = cell.tries.map(row => figureOf(check, cell, row))
  const tries = reduceTries(figures, { tolerance: widthOf(check) })
  if (!tries.ok) return { mean: Number.NaN, line: () => ({ what, sum: '', gives: '' }), notes: () => [tries.why] }
  const { mean, range, count, measureAgain, furthest } = tries.value
  const isPair = check.kind === 'endFloat' || check.kind === 'lift'
  const isSum = check.kind === 'lift' && cell.style === 'travels'
  return {
    mean,
    line: system => {
      const show = writer(check, system)
      const pair = (row: number[], i: number) =>
        isSum
          ? `${show(row[0]!)} + ${show(row[1]!)} = ${show(figures[i]!)}`
          : isPair
            ? `|${show(row[0]!)} − ${show(row[1]!)}| = ${show(figures[i]!)}`
            : show(row[0]!)
      const sum = count === 1 ? pair(cell.tries[0]!, 0) : `(${figures.map(show).join(' + ')}) / ${count}`
      const pairs = count > 1 && isPair ? `${cell.tries.map(pair).join('; ')}. ` : ''
      return {
        what: what || 'Mean of the tries',
        sum: pairs + sum,
        gives: measureAgain ? 'tries disagree' : show(mean),
      }
    },
    notes: (system = 'mm') => {
      if (!measureAgain) return []
      const { figure, unit } = showFigure(range, check, system)
      const odd = furthest === null ? '' : `; try ${furthest + 1} stands furthest off`
      return [`${what || 'The tries'}: ${count} tries spread over ${figure} ${unit}${odd}. Measure again.`]
    },
    ...(measureAgain ? { scatter: [Math.min(...figures), Math.max(...figures)] } : {}),
  }
}

/** One figure, or one in every place: then the worst of them stands for all. */
function reduceSingle(check: Check, cells: Taken[]): Reduced {
  const each = cells.map(cell => ({ cell, ...reduceCell(check, cell) }))
  const judged = each.map(one => ({ ...one, judgement: judge(one.mean, check.limits) }))
  const verdict = worstVerdict(judged.map(one => one.judgement.verdict))
  const worst = judged
    .filter(one => one.judgement.verdict === verdict)
    .reduce((a, b) => ((b.judgement.share ?? 0) > (a.judgement.share ?? 0) ? b : a))
  const means = each.map(one => one.mean)
  return {
    value: worst.mean,
    ...(each.length > 1 ? { span: [Math.min(...means), Math.max(...means)], judgement: worst.judgement } : {}),
    working: system => each.map(one => one.line(system)),
    notes: system => each.flatMap(one => one.notes(system)),
    scatter: each.find(one => one.scatter)?.scatter,
  }
}

function reduceRound(check: Check, cells: Taken[]): Reduced {
  const each = cells.map(cell => ({ cell, ...reduceCell(check, cell) }))
  const part = reduceRoundPart(
    each.map(({ cell, mean }) => ({ station: cell.station ?? '', plane: cell.plane ?? '', mm: mean })),
  )
  if (!part.ok) return { value: Number.NaN, working: () => [], notes: () => [part.why] }
  const { meanMm, leastMm, greatestMm, taperUm, barrelUm, outOfRoundUm, stations } = part.value
  const ends = [stations[0]!, stations.at(-1)!]
  return {
    value: meanMm,
    span: [leastMm, greatestMm],
    judgement: worseEnd(leastMm, greatestMm, check.limits),
    scatter: each.find(one => one.scatter)?.scatter,
    working: system => {
      const show = writer(check, system)
      const um = (value: number) => small(value / 1000, system)
      return [
        ...each.map(one => one.line(system)),
        ...stations.map(one => ({
          what: `${one.station || 'Station'}, mean`,
          sum: 'mean of its planes',
          gives: show(one.meanMm),
        })),
        ...(taperUm === null
          ? []
          : [{ what: 'Taper', sum: `${show(ends[0]!.meanMm)} − ${show(ends[1]!.meanMm)}`, gives: um(taperUm) }]),
        ...(barrelUm === null
          ? []
          : [{ what: barrelUm >= 0 ? 'Barrel' : 'Waist', sum: 'middle − mean of the ends', gives: um(barrelUm) }]),
        {
          what: 'Out of round, worst',
          sum: 'maximum − minimum of one station',
          gives: outOfRoundUm === null ? 'open: one plane only' : um(outOfRoundUm),
        },
      ]
    },
    notes: system => [...each.flatMap(one => one.notes(system)), 'Two-point readings miss odd lobes.'],
  }
}

function reduceSweeps(check: Check, cells: Taken[]): Reduced {
  const sweeps = cells.map(cell => ({ cell, run: reduceRunout(cell.tries.at(-1)!.map(mm => mm * 1000)) }))
  const good = sweeps.flatMap(({ cell, run }) => (run.ok ? [{ cell, ...run.value }] : []))
  const worst = Math.max(...good.map(one => one.tirUm)) / 1000
  return {
    value: worst,
    working: system => {
      const um = (value: number) => small(value / 1000, system)
      return good.map(one => ({
        what: placeName(one.cell) || 'Sweep',
        sum: `maximum − minimum; first harmonic ${um(one.eccentricityUm)}, high spot ${fixed(one.highSpotDeg, 0)}° on, form ${um(one.formErrorUm)}`,
        gives: um(one.tirUm),
      }))
    },
    notes: () => [
      ...sweeps.flatMap(({ run }) => (run.ok ? [] : [run.why])),
      ...(good.some(one => one.coarse) ? ['Fewer than 8 readings can take three lobes for a bend.'] : []),
    ],
  }
}

/** The worst answer, where a check is asked in several places. */
function reduceAsked(check: Check, cells: Taken[]): Reduced {
  const answers = cells
    .map(cell => ({ cell, at: cell.tries.at(-1)![0]! }))
    .map(one => ({ ...one, choice: check.choices![one.at]! }))
  const worst = worstVerdict(answers.map(one => one.choice.verdict))
  const told = answers.find(one => one.choice.verdict === worst)!
  return {
    value: told.at,
    judgement: { verdict: worst, share: null, side: null },
    consequence: told.choice.means,
    working: () =>
      answers.map(({ cell, choice }) => ({
        what: placeName(cell) || check.ask!,
        sum: choice.say,
        gives: choice.verdict,
      })),
    notes: () => answers.flatMap(({ choice }) => (choice.verdict !== 'Out' && choice.means ? [choice.means] : [])),
  }
}

type Read = Exclude<Check['kind'], 'clearance' | 'sum'>
const REDUCERS: Record<Read, (check: Check, cells: Taken[]) => Reduced> = {
  single: reduceSingle,
  endFloat: reduceSingle,
  lift: reduceSingle,
  round: reduceRound,
  runout: reduceSweeps,
  asked: reduceAsked,
}

function consequenceOf(check: Check, { verdict, side }: Judgement, own?: string): string | null {
  if (verdict !== 'Out') return null
  return own ?? (side === 'low' ? check.low : check.high) ?? null
}

const missingOf = (check: Check, cells: ReadonlyMap<string, Taken> | undefined) =>
  cellsOf(check).filter(
    ({ station, plane }) => (cells?.get(cellKey(station, plane))?.tries.length ?? 0) < (check.tries ?? 1),
  )

type Standing = Pick<CheckResult, 'missing' | 'owed' | 'history' | 'stamps'> &
  Partial<Pick<CheckResult, 'again' | 'worked'>>

function finish(check: Check, moment: Moment, reduced: Reduced | null, stands: Standing): CheckResult {
  const scatter = reduced?.scatter ?? null
  const judged =
    reduced && !scatter && !stands.missing.length ? (reduced.judgement ?? judge(reduced.value, check.limits)) : OPEN
  return {
    check,
    moment,
    value: reduced && Number.isFinite(reduced.value) ? reduced.value : null,
    span: reduced?.span ?? null,
    judgement: judged,
    consequence: consequenceOf(check, judged, reduced?.consequence),
    working: reduced?.working ?? NOTHING,
    notes: reduced?.notes ?? NOTHING,
    scatter,
    again: scatter ? 'tries disagree' : null,
    ...stands,
  }
}

/** The newest act behind a result; null where there is none. */
export const newestOf = ({ stamps }: Pick<CheckResult, 'stamps'>): Stamp | null =>
  stamps.reduce<Stamp | null>((newest, one) => (newest && newest.n > one.n ? newest : one), null)

const reducerOf = (check: Check) => REDUCERS[check.kind as keyof typeof REDUCERS]

/** What a check is worked out in: plan, state, and what the others give. */
interface Scene {
  plan: Plan
  state: JobState
  resultOf: Lookup
}
type Lookup = (check: string, moment: Moment) => CheckResult | null

/** What was worked out of readings, kept with the map they lie in: that is another once anything of it is. */
const REDUCED = new WeakMap<object, { check: Check; reduced: Reduced }>()
const WORKED = new WeakMap<object, { check: Check; derived: string; worked: WorkedSum }>()

function measured({ state }: Scene, check: Check, moment: Moment): CheckResult {
  const read = state.readings.get(readingKey(check.id, moment))
  const cells = new Map(read)
  // Of a part renewed twice, what was read between is history too, and is owed again.
  if (atOf(check, moment).renewed) for (const [key, cell] of cells) if (isHistory(state, check, cell)) cells.delete(key)
  const taken = cellsOf(check).flatMap(({ station, plane }) => cells.get(cellKey(station, plane)) ?? [])
  const known = read && cells.size === read.size ? REDUCED.get(read) : undefined
  const reduced = known?.check === check ? known.reduced : taken.length ? reducerOf(check)(check, taken) : null
  if (reduced && read && cells.size === read.size) REDUCED.set(read, { check, reduced })
  return finish(check, moment, reduced, {
    missing: missingOf(check, cells),
    owed: isOwed(state, check, moment),
    history: taken.some(cell => isHistory(state, check, cell)),
    stamps: taken,
  })
}

/** A reading still on the pad. */
export interface Draft extends Pick<
  CheckResult,
  'value' | 'judgement' | 'consequence' | 'working' | 'notes' | 'scatter'
> {
  /** Every try as one figure. */
  figures: number[]
  range: number
  /** The tries spread too far; the one that stands furthest off, where one does. */
  again: { furthest: number | null } | null
}

/**
 * What a reading in one place would say if it were kept: reduced and judged by the same rules as a kept one.
 * Base units; tries that are not whole yet are left out. No try: no value, Open.
 */
export function readDraft(check: Check, taken: Taken): Draft {
  const per = figuresPerTry(check)
  const whole = { ...taken, tries: taken.tries.filter(row => row.length === per) }
  const figures = whole.tries.map(row => figureOf(check, whole, row))
  const tries = figures.length ? reduceTries(figures, { tolerance: widthOf(check) }) : null
  const { value, judgement, consequence, working, notes, scatter } = finish(
    check,
    check.at[0]!.moment,
    figures.length && check.kind !== 'clearance' ? reducerOf(check)(check, [whole]) : null,
    { missing: [], owed: true, history: false, stamps: [] },
  )
  const spread = tries?.ok ? tries.value : null
  return {
    value,
    judgement,
    consequence,
    working,
    notes,
    scatter,
    figures,
    range: spread?.range ?? 0,
    again: spread?.measureAgain ? { furthest: spread.furthest } : null,
  }
}

/** The newest complete result of a check up to and including a moment: a part not measured again keeps what it had. */
function newestUpTo(
  resultOf: Lookup,
  check: string,
  moment: Moment,
  counts: (result: CheckResult) => boolean,
): CheckResult | null {
  const upTo = MOMENTS.slice(0, MOMENTS.indexOf(moment) + 1).toReversed()
  return (
    upTo
      .map(one => resultOf(check, one))
      .find(one => one && one.value !== null && !one.again && !one.missing.length && counts(one)) ?? null
  )
}

const isCurrent = ({ history }: CheckResult) => !history
/** What was found is made of what was found; from the build on only of parts that are in. */
const countsAt = (moment: Moment) => (MOMENTS.indexOf(moment) < MOMENTS.indexOf('build') ? () => true : isCurrent)

function clearance({ state, resultOf }: Scene, check: Check, moment: Moment): CheckResult {
  const outer = newestUpTo(resultOf, check.between!.outer, moment, countsAt(moment))
  const inner = newestUpTo(resultOf, check.between!.inner, moment, countsAt(moment))
  const owed = isOwed(state, check, moment)
  if (!outer || !inner) return finish(check, moment, null, { missing: [{}], owed, history: false, stamps: [] })
  const [outerLeast, outerGreatest] = outer.span ?? [outer.value!, outer.value!]
  const [innerLeast, innerGreatest] = inner.span ?? [inner.value!, inner.value!]
  const least = outerLeast - innerGreatest
  const greatest = outerGreatest - innerLeast
  return finish(
    check,
    moment,
    {
      value: outer.value! - inner.value!,
      span: [least, greatest],
      judgement: worseEnd(least, greatest, check.limits),
      working: system => {
        const show = writer(check, system)
        const less = (what: string, one: number, other: number, gives: number) => ({
          what,
          sum: `${show(one)} − ${show(other)}`,
          gives: show(gives),
        })
        return [
          less('Mean', outer.value!, inner.value!, outer.value! - inner.value!),
          less('Minimum', outerLeast, innerGreatest, least),
          less('Maximum', outerGreatest, innerLeast, greatest),
        ]
      },
      notes: NOTHING,
    },
    { missing: [], owed, history: outer.history || inner.history, stamps: [...outer.stamps, ...inner.stamps] },
  )
}

/** Masses of all that a step moves, kg: what it takes off or fits, and what rides on that as the sheet has it then. */
function massAt({ plan }: Scene, step: string): number | null {
  const { removes = [], fits = [] } = plan.steps.get(step) ?? {}
  const before = stepsBefore(plan.steps, step)
  const isDone = (by: Plan['removedBy'], ref: Ref) => before.has(by.get(ref)?.id ?? '')
  const along = [
    ...removes.flatMap(ref => ridersOf(plan, ref)).filter(ref => !isDone(plan.removedBy, ref)),
    ...fits.flatMap(ref => ridersOf(plan, ref)).filter(ref => !plan.removedBy.has(ref) || isDone(plan.fittedBy, ref)),
  ]
  const all = [...new Set([...removes, ...fits, ...along])]
  return all.reduce((sum, ref) => sum + (plan.parts.get(ref)?.part.massKg ?? 0), 0) || null
}

/** One figure of another result, base unit. */
function figureOfResult(result: CheckResult, figure: string): number | null {
  if (figure === 'value') return result.value
  if (figure === 'least') return result.span?.[0] ?? result.value
  if (figure === 'greatest') return result.span?.[1] ?? result.value
  return result.worked?.answer?.ok ? figureInBase(result.worked.answer.value, figure) : null
}

/** What a sum takes from other checks, by field; null where it cannot be had yet. */
function derivedFor(scene: Scene, check: Check, moment: Moment) {
  const values: Record<string, number | null> = {}
  const behind: CheckResult[] = []
  for (const [field, text] of Object.entries(check.sum!.from ?? {})) {
    const { of, at, figure } = fromOf(text)!
    if (of === 'mass') values[field] = massAt(scene, at)
    else {
      const found = newestUpTo(scene.resultOf, of, at as Moment, countsAt(moment))
      values[field] = found && figureOfResult(found, figure)
      if (found) behind.push(found)
    }
  }
  return { values, behind }
}

function reduceAnswer(check: Check, answer: Answer): Reduced {
  const deciding = decidingFigure(answer)
  const trend = figureInBase(answer, check.sum!.trend)
  return {
    value: trend ?? Number.NaN,
    judgement: deciding
      ? { verdict: deciding.held!.verdict, share: deciding.held!.share, side: deciding.held!.side }
      : OPEN,
    consequence: deciding?.held!.consequence ?? undefined,
    working: () => answer.working,
    notes: () => answer.notes ?? [],
  }
}

/** Where the limits of a sheet come from, and what being outside them does to this machine, a sum cannot know. */
const withSource = (answer: Answer, { source, low, high }: Check): Answer => ({
  ...answer,
  figures: answer.figures.map(one => {
    if (!one.held?.source.includes(MAKER)) return one
    const { held } = one
    const own = held.side === 'low' ? low : high
    const consequence = held.consequence ? (own ?? held.consequence) : held.consequence
    return { ...one, held: { ...held, consequence, source: held.source.replace(MAKER, source) } }
  }),
})

function summed(scene: Scene, check: Check, moment: Moment): CheckResult {
  const { plan, state } = scene
  const read = state.figures.get(readingKey(check.id, moment)) ?? NONE_READ
  const taken = [...read.entries()].filter(([, one]) => !(atOf(check, moment).renewed && isHistory(state, check, one)))
  const { values, behind } = derivedFor(scene, check, moment)
  // Of what nobody has read yet, the check itself keeps what it comes to.
  const keptBy = taken.length ? (taken.length === read.size ? read : null) : check
  const derived = JSON.stringify(values)
  const known = keptBy && WORKED.get(keptBy)
  const worked =
    known && known.check === check && known.derived === derived
      ? known.worked
      : workedOut(plan, check, values, new Map(taken.map(([key, one]) => [key, one.value])))
  if (keptBy && known?.worked !== worked) WORKED.set(keptBy, { check, derived, worked })
  const { answer, missing, cells } = worked
  const reduced = answer?.ok ? reduceAnswer(check, answer.value) : null
  const open = answer?.ok ? judgedOf(answer.value).find(one => one.held!.verdict === 'Open') : undefined
  const stamps = taken.map(([, one]) => one)
  return finish(check, moment, reduced, {
    worked,
    // What waits for other checks is owed there.
    missing: cells.length ? missing.map(cell => ({ station: cell.name })) : answer ? [] : [{}],
    again: answer && !answer.ok ? answer.why : open ? `${open.what}: ${open.held!.source}` : null,
    owed: isOwed(state, check, moment),
    history: stamps.some(one => isHistory(state, check, one)) || behind.some(one => one.history),
    stamps: [...stamps, ...behind.flatMap(one => one.stamps)],
  })
}

const NONE_READ: ReadonlyMap<string, FigureRead> = new Map()

function workedOut(
  plan: Plan,
  check: Check,
  values: Readonly<Record<string, number | null>>,
  read: ReadonlyMap<string, CellValue>,
): WorkedSum {
  const worked = workSum(sumOf(plan, check), check, values, read)
  return worked.answer?.ok ? { ...worked, answer: { ok: true, value: withSource(worked.answer.value, check) } } : worked
}

const atOf = (check: Check, moment: Moment) => check.at.find(one => one.moment === moment)!

/** A check as it is at one moment, which may have limits of its own; made once, so that it is the same one every time. */
export function atMoment(check: Check, moment: Moment): Check {
  const at = atOf(check, moment)
  if (!at.limits) return check
  const made = LIMITED.get(at) ?? { ...check, limits: at.limits }
  LIMITED.set(at, made)
  return made
}
const LIMITED = new WeakMap<object, Check>()

export const isOwed = (state: JobState, check: Check, moment: Moment): boolean =>
  !atOf(check, moment).renewed || renewedAt(state, check.of) > 0

/** Every check at every moment it is taken, reduced and judged; keyed by check and moment, in the order of the sheet. */
export function checkResults(plan: Plan, state: JobState): Map<string, CheckResult> {
  const known = new Map<string, CheckResult>()
  const underWay = new Set<string>()
  const resultOf: Lookup = (id, moment) => {
    const key = readingKey(id, moment)
    const before = known.get(key)
    if (before) return before
    const check = plan.checks.get(id)
    if (!check?.at.some(one => one.moment === moment) || underWay.has(key)) return null
    underWay.add(key)
    const make = check.kind === 'clearance' ? clearance : check.kind === 'sum' ? summed : measured
    const result = make({ plan, state, resultOf }, atMoment(check, moment), moment)
    known.set(key, result)
    return result
  }
  return new Map(
    plan.sheet.checks.flatMap(({ id, at }) =>
      at.map(({ moment }) => [readingKey(id, moment), resultOf(id, moment)!] as const),
    ),
  )
}

/** The newest moment at which a check is complete for the parts that are in: the one that stands. */
export function standing(results: Map<string, CheckResult>, check: Check): CheckResult | null {
  return newestUpTo((id, moment) => results.get(readingKey(id, moment)) ?? null, check.id, 'asLeft', isCurrent)
}
