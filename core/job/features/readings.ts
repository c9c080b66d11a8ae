import { compareFoundLeft, LIFT_STYLES } from '../../gauging/index.ts'
import {
  MOMENTS,
  proposedByOut,
  readingKey,
  type Check,
  type Moment,
  type Plan,
  type Thing,
} from '../../sheet/index.ts'
import type { LengthSystem } from '../../quantity/index.ts'
import { READINGS } from '../../sums/bench/index.ts'
import type { At } from '../../sums/cells.ts'
import { workingText, worstVerdict } from '../../verdict.ts'
import type { ActKind, AtHand, Done } from '../ledger/act.ts'
import { timedAt } from '../ledger/entry.ts'
import { owedKind } from '../ledger/feature.ts'
import { refusalsAbout, type Refusal } from '../../refusal.ts'
import { HANDS } from '../ledger/roles.ts'
import { by, figures, section, text, type RecordScene } from '../ledger/section.ts'
import { hadSeen, settled, type Contested } from '../ledger/seen.ts'
import { choice, id, list, optional, words, type Shaped } from '../ledger/shape.ts'
import { stamped, type JobState } from '../ledger/state.ts'
import { changedAt, partState } from '../ledger/part.ts'
import { checkName, MOMENT_WORDS } from '../ledger/words.ts'
import { cellNamed, checkAt, readCell, reduceCell, unitOf, type Cell, type CellRead } from '../measuring/cells.ts'
import { isHistory, isRead, newestOf, standing, type CheckResult } from '../measuring/results.ts'
import { showFigure, showLimits, showTyped, showValue } from '../measuring/show.ts'
import { wayOf } from '../measuring/way.ts'
import { keyOf } from '../owed/id.ts'
import { isUnproved } from '../parts/voided.ts'
import { lengthOf } from '../parts/waits.ts'
import { beforeCover, type Owing, type Source } from '../owed/owing.ts'
import { notReadable, notTaken } from './sense.ts'

/** Readings: one entry a cell of a check, as it was typed. */

const refusals = refusalsAbout('reading', {
  unreadable: ({ why }: { why: string }) => why,
  workedOut: ({ check }: { check: string }) =>
    `${check} is worked out from other checks; it has no reading of its own.`,
  noSuchCell: ({ check, asked }: { check: string; asked: string }) =>
    `${check} has no such place to measure: ${asked}. Reload the job; the sheet may be another version.`,
  taken: ({ where, half }: { where: string; half: string }) =>
    `${where} is ${half}measured there already. Correct that reading, with the reason.`,
  tooManyRows: ({ check, most }: { check: string; most: number }) =>
    `${check} has ${most} rows, and takes no more. Read the rest at longer intervals, or leave rows out.`,
  tooEarly: ({ check, what }: { check: string; what: string }) =>
    `${check} is read once this is over: ${what}. Begin it, and read then; a lead can cut it short.`,
})

/** What is read at the end of a wait is not read before that is over. */
function tooEarly({ plan, state }: AtHand, entry: Done<{ check: string; moment: Moment }>): Refusal[] {
  const { check, moment } = entry.payload
  const { title, at } = plan.checks.get(check)!
  const step = plan.steps.get(at.find(one => one.moment === moment)!.step)
  if (!step?.wait || step.wait.once?.includes(check) || state.steps.has(step.id)) return []
  const waiting = state.waits.get(step.id)
  const isOver = waiting && (waiting.ended || lengthOf(step.wait, waiting, timedAt(entry)) !== 'short')
  return isOver ? [] : [refusals.tooEarly({ check: title, what: step.wait.what })]
}

const shape = {
  check: id,
  moment: choice(MOMENTS),
  /** The cell that was read: a field of the check's sum, and in a table the place and the column. */
  field: id,
  place: optional(id),
  column: optional(id),
  /** What was typed or chosen, one row a try; several figures a row for a pair or a sweep. */
  tries: { ...list({ is: 'list', of: words(200), least: 1, most: 72 } as const, 20), least: 1 },
  /** The unit a bare figure was typed in; the cell's own where it is left out. */
  unit: optional(words(12)),
  instrument: optional(words(60)),
  /** Leading digits that were not typed: they are what every figure inside the limits begins with. */
  leading: optional(words(20)),
  /** How the two figures of a lift were written down. */
  style: optional(choice(LIFT_STYLES)),
} as const
type ReadingTaken = Shaped<typeof shape>

/** The cell an entry was read in, whatever the other cells say; undefined where the check has none such. */
const cellOf = (plan: Plan, check: Check, { moment, ...at }: ReadingTaken): Cell | undefined =>
  cellNamed(wayOf(plan, check, moment), check, at)

/** What was typed of a cell, read: once for an entry, however often its ledger is folded. */
const READ = new WeakMap<ReadingTaken, { cell: Cell; read: ReturnType<typeof readCell> }>()

function readIn(payload: ReadingTaken, cell: Cell) {
  const known = READ.get(payload)
  if (known?.cell === cell) return known.read
  const read = readCell(cell, payload.tries, payload.unit, payload.style)
  READ.set(payload, { cell, read })
  return read
}

const taken: ActKind<ReadingTaken> = {
  shape,
  by: HANDS,
  corrected: 'replace',
  sense: (plan, state, entry) => {
    const { payload } = entry
    const strange = notTaken(plan, payload)
    if (strange) return strange
    const check = plan.checks.get(payload.check)!
    const cell = cellOf(plan, check, payload)
    if (!cell) return noSuchCell(plan, check, payload)
    const read = readIn(payload, cell)
    if (!read.ok) return refusals.unreadable({ why: read.why })
    return againRefusal(state, check, entry, cell) ?? tooManyRows(plan, state, check, payload)
  },
  live: (at, entry) => [...notReadable(at, entry.payload), ...tooEarly(at, entry)],
  apply: (state, entry, plan) => {
    const { payload } = entry
    const cell = cellOf(plan, plan.checks.get(payload.check)!, payload)!
    const read = readIn(payload, cell)
    if (!read.ok) return
    const key = readingKey(payload.check, payload.moment)
    const cells = new Map(state.readings.get(key))
    const now = stamped(entry, state, { ...payload, values: read.value.values })
    // Which of two is the worse is seen once they are worked out; see `measuring/rivals.ts`.
    cells.set(
      cell.key,
      settled(cells.get(cell.key), now, entry, () => false),
    )
    state.readings.set(key, cells)
  },
  words: (plan, payload) => {
    const check = plan.checks.get(payload.check)
    const cell = check && (check.kind !== 'sum' || plan.sums.size) ? cellOf(plan, check, payload) : undefined
    const typed = showTyped(payload, cell ? unitOf(cell) : (payload.unit ?? null))
    const leading = payload.leading ? ` (${payload.leading} not typed)` : ''
    const where = [checkName(plan, payload.check), MOMENT_WORDS[payload.moment], cell ? cell.name : payload.place]
    return `${where.filter(Boolean).join(', ')}: ${typed}${leading}`
  },
}

function noSuchCell(plan: Plan, check: Check, { moment, field, place, column }: ReadingTaken & At): Refusal {
  const { sum, spec } = wayOf(plan, check, moment)
  if (spec.from && !Object.keys(sum.fields).some(key => spec.from![key] === undefined && !sum.fields[key]!.maker))
    return refusals.workedOut({ check: check.title })
  const asked = [place, column, field].filter(Boolean).join(', ')
  return refusals.noSuchCell({ check: check.title, asked: asked.slice(0, 80) })
}

/** A table that grows has an end. */
function tooManyRows(plan: Plan, state: JobState, check: Check, { moment, place }: ReadingTaken): Refusal | null {
  const most = wayOf(plan, check, moment).grows?.most
  if (most === undefined) return null
  const rows = new Set([...(state.readings.get(readingKey(check.id, moment))?.values() ?? [])].map(one => one.place))
  return rows.has(place) || rows.size < most ? null : refusals.tooManyRows({ check: check.title, most })
}

/** What was found is never written over, half measured or whole: another figure for the same place is a correction. */
function againRefusal(
  state: JobState,
  check: Check,
  { payload: { moment }, ...maker }: Done<ReadingTaken>,
  cell: Cell,
): Refusal | null {
  const before = state.readings.get(readingKey(check.id, moment))?.get(cell.key)
  const isAtBuild = moment === 'build' || moment === 'asLeft'
  if (!before || (isAtBuild && isHistory(state, cell.of, before))) return null
  // Whoever had not seen it says something of their own; where two stand against each other, it is taken again.
  if (!hadSeen(maker, before) || before.rivals) return null
  return refusals.taken({
    where: cell.name ? `${check.title}, ${cell.name},` : check.title,
    half: before.tries.length < cell.tries ? 'half ' : '',
  })
}

/** Worked out of others alone: what is missing is owed there. */
const isDerived = ({ worked }: CheckResult) => !worked.cells.length && !worked.answer

/** Parts that another came for, or that came back, once their step was done: they are measured as the old one was before they go in. */
function toMeasureAnew(state: JobState, { moment, missing: cells }: CheckResult, step: string): string[] {
  const done = state.steps.get(step)
  return moment === 'build' && done
    ? cells.flatMap(cell => cell.of.filter(ref => changedAt(state, [ref]) > done.n))
    : []
}

const missing: Source = ({ plan, state, results }) =>
  [...plan.checksAt].flatMap(([stepId, checks]) =>
    checks.flatMap(({ check, moment }): Owing[] => {
      const result = results.get(readingKey(check.id, moment))!
      const of = { kind: 'reading', check: check.id, moment } as const
      if (!result.owed || result.complete || isDerived(result) || state.evidenceLost.has(keyOf(of))) return []
      const destroyer = plan.destroyedBy.get(readingKey(check.id, moment))
      const left = result.missing.length
      // Put right and not measured again is as wrong as it was.
      const isWrong = isUnproved(state, check.id, moment)
      const anew = toMeasureAnew(state, result, stepId)
      return [
        {
          id: of,
          station: plan.steps.get(stepId)!.station,
          ...(isWrong ? { wrong: wrongAt(plan, state, result, stepId) } : {}),
          ...(anew.length ? { wrong: { of: anew, at: stepId, isIn: false, check: check.id } } : {}),
          what: isWrong
            ? `${check.title}: put right, not measured again`
            : anew.length
              ? `${check.title}: not measured of what went in since`
              : left > 1
                ? `${check.title}, ${left} readings`
                : left
                  ? check.title
                  : `${check.title}: ${result.again}`,
          why: !left
            ? `${result.rivals.length ? 'Take it again' : 'Measure again and correct it'}, or a lead lets it pass`
            : destroyer
              ? `Lost with: ${destroyer.title}`
              : `${check.choices ? 'By' : 'With the'} ${check.instrument}`,
          step: stepId,
          settle: { to: 'reading', check: check.id, moment },
          perishable: destroyer !== undefined,
        },
      ]
    }),
  )

/**
 * What was found out is put right later and measured again; where that is left out, it stands. Where it was decided on the
 * job what it proposes by being out, that is its answer.
 */
const isLeftSo = (plan: Plan, { id: check }: Check) =>
  plan.whole.checks
    .find(one => one.id === check)!
    .at.some(({ moment, step }) => moment !== 'asFound' && !plan.steps.has(step)) &&
  !proposedByOut(plan.sheet, check).some(({ axis, choice }) => plan.variants[axis] === choice)

/** A check that is out, with the places that are, where it is judged place by place: a few by name, many by their number. */
function outAt({ check, places }: CheckResult): string {
  const named = [...places.values()].filter(one => one.cell.name)
  const out = named.filter(one => one.judgement.verdict === 'Out').map(one => one.cell.name)
  const where = out.length > 3 ? `${out.length} of ${named.length} places` : out.join('; ')
  return `${check.title} failed${where ? `: ${where}` : ''}`
}

/** What a check that is out is about: the parts of the places that are, where it is judged place by place. */
function wrongAt(plan: Plan, state: JobState, { check, places }: CheckResult, at: string): Thing {
  const out = [...places.values()].filter(one => one.judgement.verdict === 'Out').flatMap(one => one.cell.of)
  const of = out.length ? out : check.of
  const isIn = of.some(ref => partState(state, ref).where !== 'off')
  return { of, at, isIn, check: check.id, before: check.before }
}

/** What was found out on the bench goes in later: the first of the steps at which any of it does. */
function goesInAt(plan: Plan, { moment, check, places }: CheckResult): string | undefined {
  if (moment !== 'inspect') return undefined
  const out = [...places.values()].filter(one => one.judgement.verdict === 'Out').flatMap(one => one.cell.of)
  const fits = (out.length ? out : check.of).flatMap(ref => plan.fittedBy.get(ref)?.id ?? [])
  return fits.sort((a, b) => plan.stepNumber.get(a)! - plan.stepNumber.get(b)!)[0]
}

/** The reading that stands, where it is out. What was found before a part was renewed is history and owes nothing. */
const outs: Source = ({ plan, state, results }) =>
  plan.sheet.checks.flatMap((check): Owing[] => {
    const last = standing(results, check)
    if (check.evidence || !last?.owed || last.judgement.verdict !== 'Out') return []
    if (last.moment === 'asFound' && !isLeftSo(plan, check)) return []
    // In a loop it is put right by another round, which is owed itself.
    const at = check.at.find(one => one.moment === last.moment)!
    if (plan.loopOf.get(at.step)?.until.includes(check.id)) return []
    return [
      {
        id: { kind: 'out', check: check.id, moment: last.moment },
        station: plan.steps.get(at.step)!.station,
        what: outAt(last),
        why: last.consequence ?? `Held against ${check.source}`,
        step: beforeCover(plan, goesInAt(plan, last) ?? at.step),
        ...(last.moment === 'asFound' ? {} : { wrong: wrongAt(plan, state, last, at.step) }),
        settle: { to: 'reading', check: check.id, moment: last.moment },
        who: 'lead',
      },
    ]
  })

/** What two tablets read of one place, none of them having seen the other. */
const readTwice = ({ rivals }: CheckResult, who: RecordScene['who']): string[] =>
  rivals.flatMap(({ cell, said: [stands, ...others] }) =>
    others.map(
      one =>
        `${cell.name ? `${cell.name}: ` : ''}${who(stands!.by)} read ${showTyped(stands!, unitOf(cell))}, and ${who(one.by)}, not having seen that, ${showTyped(one, unitOf(cell))}; the worse stands`,
    ),
  )

/** What was read in each row of a table that grows. */
function runRows({ check, moment, worked: { grows, spec, cells }, read, places }: CheckResult, system: LengthSystem) {
  if (!grows || !read.size) return []
  return spec.rows![READINGS]!.flatMap(({ name: row }) => {
    const there = cells.filter(cell => cell.place === row && read.has(cell.key))
    if (!there.length) return []
    const said = there.map(cell => {
      const { value } = reduceCell(cell, read.get(cell.key)!)!
      const { figure, unit } = showFigure(value as number, checkAt(check, cell), system)
      return `${cell.as.label} ${figure} ${unit}`.trim()
    })
    const verdict = worstVerdict(there.flatMap(cell => places.get(cell.key)?.judgement.verdict ?? []))
    return [{ title: check.title, moment: MOMENT_WORDS[moment], row, read: said.join('; '), verdict }]
  })
}

export const slice = () => ({
  /** By check and moment, then by the key of the cell. */
  readings: new Map<string, ReadonlyMap<string, Contested<CellRead>>>(),
})
export const acts = { 'reading.taken': taken }
export const owes = {
  reading: owedKind({
    by: { check: id, moment: choice(MOMENTS) },
    words: (plan, { check, moment }) => `${checkName(plan, check)}, ${MOMENT_WORDS[moment]}`,
  }),
  out: owedKind({
    by: { check: id, moment: choice(MOMENTS) },
    words: (plan, { check, moment }) => `${checkName(plan, check)} failed, ${MOMENT_WORDS[moment]}`,
    basis: ({ results }, { check, moment }) => [...(results.get(readingKey(check, moment))?.stamps ?? [])],
    holdsStart: true,
  }),
}
export const sources = [missing, outs]
export const sections = {
  compared: section({
    title: 'As found and as left',
    in: 'work',
    rows: ({ plan, results, system }) =>
      plan.sheet.checks.flatMap(check => {
        if (check.choices) return []
        const found = results.get(readingKey(check.id, 'asFound'))
        const left = results.get(readingKey(check.id, 'asLeft'))
        if (!found || !left || found.value === null || left.value === null) return []
        const { change, moved } = compareFoundLeft(found.value, left.value, check.limits)
        return [
          {
            title: check.title,
            found: showValue(check, found, system),
            left: showValue(check, left, system),
            change: `${change > 0 ? '+' : ''}${showValue(check, { value: change, span: null }, system)}`,
            moved,
          },
        ]
      }),
    columns: [
      { head: 'Check', width: 4, cell: row => text(row.title) },
      { head: 'As found', width: 3, cell: row => figures(row.found) },
      { head: 'As left', width: 3, cell: row => figures(row.left) },
      { head: 'Change', width: 3, cell: row => figures(row.change) },
      { head: 'Moved', width: 3, cell: row => text(row.moved) },
    ],
  }),
  readings: section({
    title: 'Readings',
    in: 'work',
    rows: ({ results, system, who, by: signed }) =>
      [...results.values()].filter(isRead).map(result => ({
        title: result.check.title,
        at: result.moment,
        moment: `${MOMENT_WORDS[result.moment]}${result.check.evidence ? ', evidence' : ''}`,
        value: showValue(result.check, result, system),
        limits: showLimits(result.check, system),
        source: result.check.source,
        verdict: result.judgement.verdict,
        consequence: result.consequence,
        working: result.working(system),
        history: result.history,
        /** Why it does not count. */
        again: result.again,
        unseen: readTwice(result, who),
        ...signed(newestOf(result)),
      })),
    columns: [
      {
        head: 'Check',
        width: 4,
        cell: row => ({
          text: row.title,
          small: [row.moment, ...(row.history ? ['of the part before it was renewed or reworked'] : [])],
        }),
      },
      { head: 'Value', width: 4, cell: row => figures(row.value) },
      { head: 'Held against', width: 3, cell: row => ({ ...figures(row.limits), small: [row.source] }) },
      {
        head: 'Verdict and working',
        width: 5,
        cell: row => ({
          verdict: row.verdict,
          small: [...(row.consequence ? [row.consequence] : []), ...(row.again ? [row.again] : []), ...row.unseen],
          lines: row.working.map(workingText),
        }),
      },
      by(),
    ],
  }),
  runs: section({
    title: 'Runs, row by row',
    in: 'work',
    rows: ({ results, system }) => [...results.values()].flatMap(result => runRows(result, system)),
    columns: [
      { head: 'Run', width: 4, cell: row => ({ text: row.title, small: [row.moment] }) },
      { head: 'Row', width: 2, cell: row => figures(row.row) },
      { head: 'Read', width: 7, cell: row => text(row.read) },
      { head: 'Verdict', width: 2, cell: row => ({ verdict: row.verdict }) },
    ],
  }),
}
export const pads = { reading: { check: id, moment: choice(MOMENTS) } } as const
