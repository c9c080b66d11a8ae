import { ROWS } from '../../gauging/index.ts'
import { fixed, type LengthSystem } from '../../quantity/index.ts'
import {
  ALL,
  fromOf,
  LAST,
  MOMENTS,
  liftedWith,
  stepsBefore,
  type Check,
  type Moment,
  type Plan,
  type Ref,
} from '../../sheet/index.ts'
import { runSum, type Answer } from '../../sums/define.ts'
import { MAKER } from '../../sums/limits.ts'
import { judgementOf, OPEN, type Judgement, type WorkingLine } from '../../verdict.ts'
import { allSaid, type Contested } from '../ledger/seen.ts'
import { changedAt } from '../ledger/part.ts'
import { remembering } from '../ledger/remembered.ts'
import { readingKey, type JobState, type Stamp } from '../ledger/state.ts'
import { partsAt, reduceCell, type Cell, type CellRead, type Tried } from './cells.ts'
import { showFigure, writerFor } from './show.ts'
import { wayOf } from './way.ts'
import { settleRivals, type Rival } from './rivals.ts'
import { figureIn } from './figures.ts'
import { decidingFigure, figureInBase, judgedOf, workOut, type Given, type Worked } from './work.ts'

/** What was read, by the key of its cell. */
export type Read = ReadonlyMap<string, Contested<CellRead>>

/** One place of a check as it stands by itself. */
export interface PlaceResult {
  cell: Cell
  judgement: Judgement
  /** What being out does, or would do. */
  consequence: string | null
}

/** A check at one moment: what it came to, how it stands, and what is still missing. */
export interface CheckResult {
  check: Check
  moment: Moment
  /** What was read of it, of two that had not seen each other the one that stands; and how it was worked out. */
  read: Read
  worked: Worked
  /** In the base unit of the check; null while nothing is measured. */
  value: number | null
  /** What it comes to in words, where no figure stands for it; null while that is not known. */
  told: string | null
  /** Least and greatest, where a part has many readings. */
  span: [number, number] | null
  judgement: Judgement
  /** The sentence on what being out does, where it is out. */
  consequence: string | null
  /** How each place stands that is judged by itself, by the key of its cell; those not read yet are not there. */
  places: ReadonlyMap<string, PlaceResult>
  /** How it was worked out, and what is to be known of it, in the display's units. */
  working: (system?: LengthSystem) => WorkingLine[]
  notes: (system?: LengthSystem) => string[]
  missing: Cell[]
  /** Cells that two tablets read without having seen each other. */
  rivals: readonly Rival[]
  /** Least and greatest of tries that disagree: then nothing is judged, and their mean means nothing. */
  scatter: [number, number] | null
  /** Why what was read, whole as it is, does not count and is taken again. */
  again: string | null
  /** Nothing is missing, here or at what it is worked out from, and what was read counts. */
  complete: boolean
  /** The acts it rests on. */
  stamps: readonly Stamp[]
  owed: boolean
  /** Some of it was read of a part that has been renewed since: kept and shown, and nothing rests on it. */
  history: boolean
  /** The cells that were, by their keys. */
  past: ReadonlySet<string>
}

/** What of a result the ledger says, beside what was read. */
export type OfLedger = 'read' | 'rivals' | 'stamps' | 'owed' | 'history' | 'past'

const DISAGREE = 'tries disagree'
const NO_EARLIER = 'no earlier figure of this machine'

/** Whether a reading tells of a part that has been renewed or reworked since. */
export const isHistory = (state: JobState, of: readonly Ref[], { n }: Pick<Stamp, 'n'>): boolean =>
  n < changedAt(state, of)

/** Whether there is anything to say of a check: a figure, or whatever else it comes to. */
export const isRead = (result: CheckResult | null | undefined): result is CheckResult =>
  result != null && (result.value !== null || (result.complete && result.told !== null))

/** The newest act behind a result; null where there is none. */
export const newestOf = ({ stamps }: Pick<CheckResult, 'stamps'>): Stamp | null =>
  stamps.reduce<Stamp | null>((newest, one) => (newest && newest.n > one.n ? newest : one), null)

/** What a check is worked out in: plan, state, and what the others give. */
interface Scene {
  plan: Plan
  state: JobState
  resultOf: Lookup
}
type Lookup = (check: string, moment: Moment) => CheckResult | null

const NONE_READ: Read = new Map()

/** The parts that each cell tells of, where those are not all that the check tells of. */
function ofCells(plan: Plan, check: Check, moment: Moment): (cell: CellRead) => readonly Ref[] {
  const { spec } = wayOf(plan, check, moment)
  return cell => partsAt(check, spec, cell)
}

/** Whether what was read of a cell at an earlier moment was put right since: it stays as it was found then, and says nothing later. */
const isPutRight = ({ putRight }: JobState, { id }: Check, cell: string, { n }: Pick<Stamp, 'n'>): boolean =>
  putRight.some(one => one.check === id && one.cell === cell && n < one.n)

/**
 * What counts as read at a moment. At build and as left that is what was read of the parts that are there: what was read of
 * one before another went in for it, or before it was reworked, is read again. Where only what was renewed is read again, the
 * other places keep what they had: the newest reading that tells of the part that is there.
 */
export function readAt(plan: Plan, state: JobState, check: Check, moment: Moment): Read {
  const own = state.readings.get(readingKey(check.id, moment)) ?? NONE_READ
  if (moment === 'asFound' || moment === 'inspect' || changedAt(state, check.of) === 0) return own
  const of = ofCells(plan, check, moment)
  const isThere = ([key, cell]: [string, Contested<CellRead>]) =>
    !isHistory(state, of(cell), cell) && !isPutRight(state, check, key, cell)
  const upTo = atOf(check, moment).renewed ? MOMENTS.slice(0, MOMENTS.indexOf(moment) + 1) : []
  const earlier = upTo.flatMap(one => [...(state.readings.get(readingKey(check.id, one)) ?? NONE_READ)])
  const kept = [...earlier, ...own].filter(isThere)
  return kept.length === own.size && kept.every(([key, cell]) => own.get(key) === cell) ? own : new Map(kept)
}

/** The newest complete result of a check up to and including a moment: a part not measured again keeps what it had. */
function newestUpTo(
  resultOf: Lookup,
  check: string,
  moment: Moment,
  counts: (result: CheckResult) => boolean,
): CheckResult | null {
  const upTo = MOMENTS.slice(0, MOMENTS.indexOf(moment) + 1).toReversed()
  return upTo.map(one => resultOf(check, one)).find(one => one?.complete && counts(one)) ?? null
}

const isCurrent = ({ history }: CheckResult) => !history
/** What was found is made of what was found; from the build on only of parts that are in. */
const countsAt = (moment: Moment) => (MOMENTS.indexOf(moment) < MOMENTS.indexOf('build') ? () => true : isCurrent)

/** Masses of all that a step moves, kg: what it takes off or fits, and what lifts with that as the sheet has it then. */
function massesAt({ plan }: Scene, step: string): number[] {
  const { removes = [], fits = [] } = plan.steps.get(step) ?? {}
  const before = stepsBefore(plan.steps, step)
  const isDone = (by: Plan['removedBy'], ref: Ref) => before.has(by.get(ref)?.id ?? '')
  const along = [
    ...removes.flatMap(ref => liftedWith(plan, ref)).filter(ref => !isDone(plan.removedBy, ref)),
    ...fits.flatMap(ref => liftedWith(plan, ref)).filter(ref => !plan.removedBy.has(ref) || isDone(plan.fittedBy, ref)),
  ]
  const all = [...new Set([...removes, ...fits, ...along])]
  return all.flatMap(ref => plan.parts.get(ref)?.part.massKg ?? [])
}

const totalOf = (masses: readonly number[]): number | null => masses.reduce((sum, one) => sum + one, 0) || null

/** What one place of a result reads, or all of them, base unit; null where one is not there yet. */
function figureAtPlace(result: CheckResult, place: string): Given {
  const { cells } = result.worked
  if (place === ALL) {
    const all = cells.map(cell => figureIn(result, cell))
    return all.every(one => one !== null) ? all : null
  }
  const cell = cells.find(one => one.place === place)
  return cell ? figureIn(result, cell) : null
}

/** One figure of another result, base unit. */
function figureOfResult(result: CheckResult, figure: string): Given {
  const {
    value,
    span,
    worked: { answer, cells },
  } = result
  if (figure === 'value') return value
  if (figure === 'least') return span?.[0] ?? value
  if (figure === 'greatest') return span?.[1] ?? value
  if (figure === ALL || cells.some(one => one.place === figure)) return figureAtPlace(result, figure)
  return answer?.ok ? figureInBase(answer.value, figure) : null
}

/** What the last job on this machine left, as it was written into this one when it was opened; undefined where nothing was. */
const leftLast = ({ state }: Scene, check: string, figure: string): number | undefined =>
  state.opened?.payload.last?.find(one => one.check === check && one.figure === figure)?.value

const NOTHING_DERIVED: { values: Worked['derived']; behind: CheckResult[] } = { values: {}, behind: [] }

/** What a check takes from others, by field: null where it cannot be had yet, undefined where there never was any. */
function derivedFor(scene: Scene, check: Check, moment: Moment): typeof NOTHING_DERIVED {
  const { from } = wayOf(scene.plan, check, moment).spec
  if (!from) return NOTHING_DERIVED
  const values: Record<string, Given | undefined> = {}
  const behind = new Set<CheckResult>()
  for (const [field, text] of Object.entries(from)) {
    const { of, at, figure } = fromOf(text)!
    if (at === LAST) values[field] = leftLast(scene, of, figure)
    else if (of === 'mass') {
      const masses = massesAt(scene, at)
      values[field] = figure === ALL ? masses : totalOf(masses)
    } else {
      const found = newestUpTo(scene.resultOf, of, at as Moment, countsAt(moment))
      values[field] = found && figureOfResult(found, figure)
      if (found) behind.add(found)
    }
  }
  return { values, behind: [...behind] }
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

/** What a check comes to, with these readings in it. */
export function workedWith(
  plan: Plan,
  check: Check,
  moment: Moment,
  derived: Worked['derived'],
  read: ReadonlyMap<string, Tried>,
): Worked {
  const worked = workOut(wayOf(plan, check, moment), check, derived, read)
  return worked.answer?.ok ? { ...worked, answer: { ok: true, value: withSource(worked.answer.value, check) } } : worked
}

/** What was read of one cell, as a line of the working: its tries and their mean. */
function lineOf(cell: Cell, tried: Tried, check: Check, system?: LengthSystem): WorkingLine[] {
  const read = reduceCell(cell, tried)
  if (!read || cell.as.type !== 'number') return []
  const write = writerFor(cell, check, system)
  const rule = ROWS[cell.row.of]
  const gives = rule.isSmall ? write.small : write.show
  const rows = tried.values as number[][]
  const sums = rows.map(row => rule.sum(row, write, tried.style))
  const count = read.figures.length
  // What is read straight off is its own sum; a pair says what it comes to.
  const isPlain = cell.row.of === 'figure'
  const whole = (i: number) => (isPlain || rule.isSmall ? sums[i]! : `${sums[i]!} = ${gives(read.figures[i]!)}`)
  const mean = `(${read.figures.map(gives).join(' + ')}) / ${count}`
  return [
    {
      what: cell.name || (rule.isSmall ? 'Sweep' : count === 1 ? 'Read' : 'Mean of the tries'),
      sum: count === 1 ? whole(0) : isPlain ? mean : `${rows.map((_, i) => whole(i)).join('; ')}. ${mean}`,
      gives: read.scatter ? DISAGREE : gives(read.value as number),
    },
  ]
}

function notesOf(cell: Cell, tried: Tried, check: Check, system: LengthSystem = 'mm'): string[] {
  const read = reduceCell(cell, tried)
  if (!read) return []
  const own =
    cell.as.type === 'number' ? tried.values.flatMap(row => ROWS[cell.row.of].notes?.(row as number[]) ?? []) : []
  if (!read.scatter) return own
  const { figure, unit } = showFigure(read.range, check, system)
  const { furthest } = read.scatter
  const odd = furthest === null ? '' : `; try ${furthest + 1} stands furthest off`
  return [
    ...own,
    `${cell.name || 'The tries'}: ${read.figures.length} tries spread over ${figure} ${unit}${odd}. Measure again.`,
  ]
}

/** How each place stands that is judged by itself, and whose tries are all in and agree. */
function placesOf({ cells, missing, scattered, answer }: Worked) {
  const byKey = new Map(cells.map(cell => [cell.key, cell]))
  const places = new Map<string, PlaceResult>()
  for (const { at, held } of answer?.ok ? answer.value.figures : []) {
    const cell = at === undefined ? undefined : byKey.get(at)
    if (!cell || missing.includes(cell)) continue
    const judgement = held && !scattered.includes(cell) ? judgementOf(held) : OPEN
    places.set(cell.key, { cell, judgement, consequence: held?.consequence ?? null })
  }
  return places
}

/** The working of a check: what was read of it, tries and all, then what was made of that. */
const workingOf =
  (plan: Plan, check: Check, moment: Moment, worked: Worked, read: ReadonlyMap<string, Tried>) =>
  (system: LengthSystem = 'mm'): WorkingLine[] => {
    const { sum, cells, input, answer } = worked
    const tried = cells.flatMap(cell => {
      const one = read.get(cell.key)
      // Of a table that grows, what its columns come to is said, not every reading.
      return one && !worked.grows && (sum.bench || one.values.length > 1) ? lineOf(cell, one, check, system) : []
    })
    if (!answer?.ok) return tried
    const other = sum.bench && system !== 'mm' ? runSum(wayOf(plan, check, moment, system).sum, input) : answer
    return [...tried, ...(other.ok ? other.value.working : [])]
  }

/** What an answer comes to in words: what was asked for, else what decides it, else the first it says. */
function toldBy(answer: Answer): string | null {
  const told = answer.figures.find(one => one.key === answer.main) ?? decidingFigure(answer) ?? answer.figures[0]
  const { value = null, decimals = 3, unit = '' } = told ?? {}
  if (value === null) return null
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  return typeof value === 'string' ? value : `${fixed(value, decimals)} ${unit === '1' ? '' : unit}`.trim()
}

/** What is read of a check, worked out and judged; nothing of it is judged before it is whole. */
export function judged(
  plan: Plan,
  check: Check,
  moment: Moment,
  worked: Worked,
  read: ReadonlyMap<string, Tried>,
): Omit<CheckResult, OfLedger> {
  const { cells, missing, scattered, answer, derived, sum } = worked
  const given = answer?.ok ? answer.value : null
  const deciding = given && decidingFigure(given)
  const isGiven = Object.values(derived).every(one => one !== null)
  const isWhole = !missing.length && isGiven
  const told = worked.isFirst ? NO_EARLIER : given && worked.spec.trend === undefined ? toldBy(given) : null
  const odd = scattered[0] && reduceCell(scattered[0], read.get(scattered[0].key)!)?.scatter
  const figure = (key: string) => (given ? figureInBase(given, key) : null)
  const [least, greatest] = sum.bench ? [figure('least'), figure('greatest')] : [null, null]
  const open = given && judgedOf(given).find(one => one.held!.verdict === 'Open')
  const value = worked.spec.trend === undefined ? null : figure(worked.spec.trend)
  const again = !isWhole
    ? null
    : odd
      ? DISAGREE
      : answer && !answer.ok
        ? answer.why
        : open
          ? `${open.what}: ${open.held!.source}`
          : null
  const stands = deciding && isWhole && !odd ? judgementOf(deciding.held!) : OPEN
  return {
    check,
    moment,
    worked,
    value: value !== null && Number.isFinite(value) ? value : null,
    told: isWhole ? told : null,
    span: least !== null && greatest !== null ? [least, greatest] : null,
    judgement: stands,
    consequence: stands.verdict === 'Out' ? (deciding?.held?.consequence ?? null) : null,
    places: placesOf(worked),
    working: workingOf(plan, check, moment, worked, read),
    notes: system => [
      ...cells.flatMap(cell => (read.has(cell.key) ? notesOf(cell, read.get(cell.key)!, check, system) : [])),
      ...(given?.notes ?? []),
    ],
    missing,
    scatter: odd ? [odd.least, odd.greatest] : null,
    again,
    complete: isWhole && again === null,
  }
}

/** What is said of a result that two tablets read too far apart: it does not count until it is taken again. */
function takenAgain<R extends Pick<CheckResult, 'judgement' | 'consequence' | 'scatter' | 'again' | 'complete'>>(
  result: R,
  rivals: readonly Rival[],
): R {
  const apart = rivals.find(one => one.apart)
  if (!apart || result.again) return result
  const again = `${apart.cell.name ? `${apart.cell.name}: ` : ''}two readings lie too far apart`
  return { ...result, judgement: OPEN, consequence: null, scatter: apart.apart, again, complete: false }
}

/** All that a result is made from. */
interface Ground {
  plan: Plan
  check: Check
  moment: Moment
  derived: string
  behind: readonly CheckResult[]
  /** The parts it tells of that became others: how many times, and the last. */
  changes: string
}

const isSameGround = (one: Ground, other: Ground): boolean =>
  one.plan === other.plan &&
  one.check === other.check &&
  one.moment === other.moment &&
  one.derived === other.derived &&
  one.changes === other.changes &&
  one.behind.length === other.behind.length &&
  one.behind.every((result, i) => result === other.behind[i])

/** Results, kept with the map their readings lie in: that is another once anything of it is. What nobody has read yet is kept with its check. */
const KEPT = new WeakMap<object, { ground: Ground; result: CheckResult }>()

/** Every part that a check or any of its cells tells of. */
function toldOf(plan: Plan, check: Check, moment: Moment): ReadonlySet<Ref> {
  const known = TOLD_OF.get(check)
  if (known) return known
  const { rows = {} } = wayOf(plan, check, moment).spec
  const cells = [...Object.values(rows).flat(), ...(check.run?.columns ?? [])]
  const made = new Set([...check.of, ...cells.flatMap(one => one.of ?? [])])
  TOLD_OF.set(check, made)
  return made
}
const TOLD_OF = new WeakMap<Check, ReadonlySet<Ref>>()

/** How often parts became others, and when last: asked of every check at every act. */
function changesOf({ renewals, returns }: JobState, parts: ReadonlySet<Ref>): string {
  let [times, last] = [0, 0]
  for (const list of [renewals, returns])
    for (const { part, n } of list)
      if (parts.has(part)) {
        times++
        last = Math.max(last, n)
      }
  return `${times} ${last}`
}

function resultAt(scene: Scene, check: Check, moment: Moment): CheckResult {
  const { plan, state } = scene
  const all = readAt(plan, state, check, moment)
  const { values, behind } = derivedFor(scene, check, moment)
  const ground = {
    plan,
    check,
    moment,
    derived: values === NOTHING_DERIVED.values ? '' : JSON.stringify(values),
    behind,
    changes: changesOf(state, toldOf(plan, check, moment)),
  }
  const keptBy = all.size ? all : check
  const known = KEPT.get(keptBy)
  if (known && isSameGround(known.ground, ground)) return known.result
  const result = resultFrom(scene, check, moment, all, values, behind)
  KEPT.set(keptBy, { ground, result })
  return result
}

function resultFrom(
  { plan, state }: Scene,
  check: Check,
  moment: Moment,
  all: Read,
  values: Worked['derived'],
  behind: readonly CheckResult[],
): CheckResult {
  const first = workedWith(plan, check, moment, values, all)
  const { read, rivals } = settleRivals(check, first.cells, all, one => workedWith(plan, check, moment, values, one))
  const worked = rivals.length ? workedWith(plan, check, moment, values, read) : first
  const past = new Set(
    worked.cells.flatMap(({ key, of }) => {
      const one = read.get(key)
      return one && isHistory(state, of, one) ? [key] : []
    }),
  )
  const taken = worked.cells.flatMap(cell => (all.has(cell.key) ? allSaid<CellRead>(all.get(cell.key)!) : []))
  return {
    ...takenAgain(judged(plan, check, moment, worked, read), rivals),
    read,
    rivals,
    owed: isOwed(state, check, moment),
    history: past.size > 0 || behind.some(one => one.history),
    past,
    stamps: [...taken, ...behind.flatMap(one => one.stamps)],
  }
}

const atOf = (check: Check, moment: Moment) => check.at.find(one => one.moment === moment)!

/** A check as it is at one moment, which may have limits of its own; made once, so that it is the same one every time. */
export function atMoment(check: Check, moment: Moment): Check {
  const made = AT.get(check) ?? new Map<Moment, Check>()
  AT.set(check, made)
  const known = made.get(moment) ?? { ...check, limits: atOf(check, moment).limits ?? check.limits }
  made.set(moment, known)
  return known
}
const AT = new WeakMap<Check, Map<Moment, Check>>()

export const isOwed = (state: JobState, check: Check, moment: Moment): boolean =>
  !atOf(check, moment).renewed || changedAt(state, check.of) > 0

function resultsAfresh({ plan, state }: Pick<Scene, 'plan' | 'state'>): ReadonlyMap<string, CheckResult> {
  const known = new Map<string, CheckResult>()
  const underWay = new Set<string>()
  const resultOf: Lookup = (id, moment) => {
    const key = readingKey(id, moment)
    const before = known.get(key)
    if (before) return before
    const check = plan.checks.get(id)
    if (!check?.at.some(one => one.moment === moment) || underWay.has(key)) return null
    underWay.add(key)
    const result = resultAt({ plan, state, resultOf }, atMoment(check, moment), moment)
    known.set(key, result)
    return result
  }
  return new Map(
    plan.sheet.checks.flatMap(({ id, at }) =>
      at.map(({ moment }) => [readingKey(id, moment), resultOf(id, moment)!] as const),
    ),
  )
}

const remembered = remembering([resultsAfresh])

/** Every check at every moment it is taken, reduced and judged; keyed by check and moment, in the order of the sheet. */
export const checkResults = (plan: Plan, state: JobState): ReadonlyMap<string, CheckResult> =>
  remembered({ plan, state })[0]!

/** The newest moment at which a check is complete for the parts that are in: the one that stands. */
export function standing(results: ReadonlyMap<string, CheckResult>, check: Check): CheckResult | null {
  return newestUpTo((id, moment) => results.get(readingKey(id, moment)) ?? null, check.id, 'asLeft', isCurrent)
}
