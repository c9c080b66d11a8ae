import { VERDICT_WORDS } from '../../verdict.ts'
import {
  fromOf,
  MOMENTS,
  proposedByOut,
  readingKey,
  stepsBefore,
  type Moment,
  type Plan,
  type Step,
} from '../../sheet/index.ts'
import type { ActKind } from '../ledger/act.ts'
import { refusalsAbout, type Refusal } from '../../refusal.ts'
import { HANDS } from '../ledger/roles.ts'
import { by, figures, section, text } from '../ledger/section.ts'
import { choice, id, optional, words, type Shaped } from '../ledger/shape.ts'
import { stampOf, type JobState, type Stamp } from '../ledger/state.ts'
import { checkName } from '../ledger/words.ts'
import { showValue } from '../measuring/show.ts'
import { checkResults, type CheckResult } from '../measuring/results.ts'
import { canBeReopened, coveredAt } from '../parts/over.ts'
import { resultOfVoided, voidReadings } from '../parts/voided.ts'
import { notTaken } from './sense.ts'

/** Something that was out, put right where it is and measured again: as it was and as it is both stand. */

const refusals = refusalsAbout('remedy', {
  notOut: ({ check }: { check: string }) => `${check} does not fail now: there is nothing to put right.`,
  asFound: ({ check }: { check: string }) =>
    `${check}: what was found stays as it was found. What is put right is read again where the sheet asks for it.`,
  workedOut: ({ check }: { check: string }) =>
    `${check} is worked out from other readings. Put right what they were read of, and measure that again.`,
  noSuchPlace: ({ check, place }: { check: string; place: string }) => `${check} was not read at “${place}”.`,
  inRounds: ({ check, loop }: { check: string; loop: string }) =>
    `${check} is read in rounds. Say what was changed, and begin another round of ${loop}.`,
  elsewhere: ({ check, step }: { check: string; step: string }) =>
    `${check} cannot be got at where it was read any more. Take “${step}” up again.`,
})

const shape = {
  check: id,
  moment: choice(MOMENTS),
  /** The place that was put right, where it is judged place by place; every place that is out where it is left out. */
  place: optional(id),
  /** What was done about it. */
  remedy: words(200),
} as const
type Remedy = Shaped<typeof shape>

/**
 * Where something that is out is put right: here, in another round, once what lies over it is off again, or by another
 * choice than the one that was made in spite of it. Null where it is not.
 */
export type Door =
  | { to: 'remedy' }
  | { to: 'round'; loop: string }
  | { to: 'reopen'; step: string }
  | { to: 'choice'; axis: string; choice: string }
  | null

/**
 * The step to take up again for something that cannot be put right where it is: the one that the sheet says mends it; else,
 * where it is worked out of other readings, the last one before it at which something was put on or drawn up.
 */
function stepToMend(plan: Plan, state: JobState, { check, worked }: CheckResult, readAt: string): Step | undefined {
  const done = plan.sheet.steps.filter(
    step => state.steps.has(step.id) && !plan.loopOf.has(step.id) && canBeReopened(plan, step),
  )
  const before = stepsBefore(plan.steps, readAt)
  return (
    done.find(step => step.mends?.includes(check.id) && before.has(step.id)) ??
    (worked.cells.length ? undefined : done.findLast(step => before.has(step.id) && (step.fits || step.joint)))
  )
}

/**
 * What is read again where a check is put right: the check itself, or, where it is worked out of others, those of them
 * that are read at the same step. What lies between two parts is put right so only where the sheet says how: else one of
 * them becomes another.
 */
function readHere(plan: Plan, state: JobState, result: CheckResult): CheckResult[] {
  if (result.worked.cells.length) return [result]
  const stepAt = ({ check, moment }: CheckResult) => check.at.find(one => one.moment === moment)?.step
  const results = checkResults(plan, state)
  const { sum, remedies } = result.check
  const from = sum || remedies ? (result.worked.spec.from ?? {}) : {}
  const sources = Object.values(from).flatMap(text => {
    const { of, at } = fromOf(text)!
    const source = results.get(readingKey(of, at as Moment))
    return source?.read.size && source.moment === result.moment && stepAt(source) === stepAt(result) ? [source] : []
  })
  return [...new Set(sources)]
}

/** What was decided on the job against what this check proposes by being out. */
function choiceAgainst({ sheet, variants }: Plan, check: string): Door {
  const against = proposedByOut(sheet, check).find(
    ({ axis, choice }) => variants[axis] !== undefined && variants[axis] !== choice,
  )
  return against ? { to: 'choice', ...against } : null
}

/** The door past a check that is out at a moment. */
export function doorOf(plan: Plan, state: JobState, result: CheckResult): Door {
  const { check, moment, judgement, worked, history } = result
  const at = check.at.find(one => one.moment === moment)
  if (check.evidence || judgement.verdict !== 'Out' || history || !at) return null
  if (moment === 'asFound') return choiceAgainst(plan, check.id)
  const loop = plan.loopOf.get(at.step)
  if (loop?.until.includes(check.id)) return { to: 'round', loop: loop.id }
  const isReadHere = readHere(plan, state, result).length > 0
  const step = isReadHere && !worked.cells.length ? undefined : stepToMend(plan, state, result, at.step)
  if (step) return { to: 'reopen', step: step.id }
  const choice = check.remedies ? null : choiceAgainst(plan, check.id)
  if (choice) return choice
  if (!isReadHere) return null
  const covered = coveredAt(plan, state, { check: check.id, moment })
  return covered ? { to: 'reopen', step: covered.step.id } : { to: 'remedy' }
}

/** The cells that are read again: of the place that is named, else of every place that is out, else all; a run is begun anew. */
function cellsOut({ worked, places, read }: CheckResult, place: string | undefined): string[] {
  if (worked.grows) return [...read.keys()]
  const out = [...places.values()].filter(one => one.judgement.verdict === 'Out').map(one => one.cell.place ?? '')
  const named = place === undefined ? out : [place]
  const all = worked.cells.filter(cell => read.has(cell.key))
  return (named.length ? all.filter(cell => named.includes(cell.place ?? '')) : all).map(cell => cell.key)
}

function remedyRefusal(plan: Plan, state: JobState, { check: name, moment, place }: Remedy): Refusal | null {
  const strange = notTaken(plan, { check: name, moment })
  if (strange) return strange
  const { title: check } = plan.checks.get(name)!
  const result = checkResults(plan, state).get(readingKey(name, moment))!
  if (moment === 'asFound' || result.check.evidence) return refusals.asFound({ check })
  const door = doorOf(plan, state, result)
  if (!door)
    return result.judgement.verdict === 'Out' && !result.worked.cells.length
      ? refusals.workedOut({ check })
      : refusals.notOut({ check })
  if (door.to === 'round') return refusals.inRounds({ check, loop: plan.loops.get(door.loop)!.title })
  const read = readHere(plan, state, result)
  if (!read.length) return refusals.workedOut({ check })
  return place === undefined ||
    read.some(one => one.worked.cells.some(cell => cell.place === place && one.read.has(cell.key)))
    ? null
    : refusals.noSuchPlace({ check, place })
}

const remedied: ActKind<Remedy> = {
  shape,
  by: HANDS,
  corrected: 'take back',
  sense: (plan, state, { payload }) => remedyRefusal(plan, state, payload),
  live: ({ plan, state }, { payload: { check, moment } }) => {
    const door = doorOf(plan, state, checkResults(plan, state).get(readingKey(check, moment))!)
    return door?.to === 'reopen'
      ? [refusals.elsewhere({ check: checkName(plan, check), step: plan.steps.get(door.step)!.title })]
      : []
  },
  apply: (state, entry, plan) => {
    const { check, moment, place, remedy } = entry.payload
    const put = checkResults(plan, state as JobState).get(readingKey(check, moment))!
    const stamp = stampOf(entry, state)
    for (const result of readHere(plan, state as JobState, put)) {
      const { id } = result.check
      const out = cellsOut(result, place).map(cell => ({ cell, from: result.read.get(cell)!.moment }))
      const keys = out.filter(one => one.from === moment).map(one => one.cell)
      voidReadings(state, [{ check: id, moment, keys }], { ...stamp, cause: remedy, isRemedied: true })
      // What was found at an earlier moment stays there as it was found; it counts no more from here on.
      for (const one of out)
        if (one.from !== moment) state.putRight.push({ ...stamp, ...one, check: id, moment, remedy })
    }
  },
  words: (plan, { check, place, remedy }) =>
    `Put right: ${checkName(plan, check)}${place ? `, ${place}` : ''}. ${remedy}`,
}

/** A cell read at an earlier moment that was put right before it was read again. */
interface PutRight extends Stamp {
  check: string
  /** The moment at which it is read again. */
  moment: Moment
  /** The one at which it was found. */
  from: Moment
  cell: string
  remedy: string
}

export const slice = () => ({ putRight: [] as PutRight[] })
export const acts = { 'check.remedied': remedied }
export const sections = {
  remedied: section({
    title: 'Put right and measured again',
    in: 'remarks',
    rows: ({ plan, state, results, system, by: signed }) => {
      const say = (result: CheckResult) =>
        `${showValue(result.check, result, system)}, ${VERDICT_WORDS[result.judgement.verdict]}`
      const row = (stamp: Stamp, was: CheckResult, moment: Moment, remedy: string) => {
        const is = results.get(readingKey(was.check.id, moment))!
        return {
          title: was.check.title,
          was: say(was),
          remedy,
          is: is.complete ? say(is) : 'not measured again',
          ...signed(stamp),
        }
      }
      const known = ({ check }: { check: string }) => plan.checks.has(check)
      // What was found at an earlier moment still says how it was; several places put right at once are one line.
      const earlier = [...new Map(state.putRight.map(one => [one.entry, one])).values()].filter(known)
      return [
        ...state.voided
          .filter(one => one.isRemedied && known(one))
          .map(one => row(one, resultOfVoided(plan, state, one), one.moment, one.cause)),
        ...earlier.map(one => row(one, results.get(readingKey(one.check, one.from))!, one.moment, one.remedy)),
      ]
    },
    columns: [
      { head: 'Check', width: 4, cell: row => text(row.title) },
      { head: 'As it was', width: 4, cell: row => figures(row.was) },
      { head: 'What was done', width: 5, cell: row => text(row.remedy) },
      { head: 'As it is', width: 4, cell: row => figures(row.is) },
      by(),
    ],
  }),
}
