import { VERDICT_WORDS } from '../../verdict.ts'
import { canBeReopened } from '../parts/over.ts'
import { readingKey } from '../../sheet/index.ts'
import type { ActKind } from '../ledger/act.ts'
import { owedKind } from '../ledger/feature.ts'
import { refusalsAbout } from '../../refusal.ts'
import { HANDS } from '../ledger/roles.ts'
import { by, section, text } from '../ledger/section.ts'
import { id, list, why, words, type Shaped } from '../ledger/shape.ts'
import { stampOf, stamped } from '../ledger/state.ts'
import { checkName, loopName, partName } from '../ledger/words.ts'
import { showValue } from '../measuring/show.ts'
import type { Owing, Source } from '../owed/owing.ts'
import { momentsIn, onTrial, roundsOf, shortOf, voidInLoop, type Round, type RoundGoal } from '../parts/rounds.ts'
import { unsettle } from '../parts/unsettle.ts'
import type { Voided } from '../parts/voided.ts'
import { unknown } from './sense.ts'

/** Steps gone through in rounds, until what they aim at has come out good. */

const refusals = refusalsAbout('round', {
  strange: ({ what, loop, choices }: { what: string; loop: string; choices: string }) =>
    `“${what}” is not on the sheet of ${loop}. Choose from: ${choices}.`,
  notBegun: ({ loop }: { loop: string }) => `${loop} has not been begun yet. Go through it first.`,
  onTrial: ({ part }: { part: string }) => `${part} is still on for the trial. Take it off, then begin another round.`,
  doneAfter: ({ step, loop, isTakenUp }: { step: string; loop: string; isTakenUp: boolean }) =>
    `“${step}” was done after ${loop}. ${isTakenUp ? 'Take it up again' : 'Take that back'} first.`,
  notIn: ({ check, loop }: { check: string; loop: string }) => `${check} is not read in ${loop}.`,
  notRead: ({ check }: { check: string }) => `${check} has not been read, so there is nothing to void.`,
  cause: () => 'Say what spoiled it, for the record.',
})

const beginning = {
  loop: id,
  /** What was changed, in the words of the sheet. */
  changed: { ...list(words(200), 12), least: 1 },
} as const

/** A loop is gone through once more: its steps are to be done again, and what the change voids is read again. */
const begun: ActKind<Shaped<typeof beginning>> = {
  shape: beginning,
  by: HANDS,
  corrected: 'take back',
  sense: (plan, state, { payload }) => {
    const loop = plan.loops.get(payload.loop)
    if (!loop) return unknown('loop', payload.loop)
    const strange = payload.changed.find(say => !loop.changes.some(one => one.say === say))
    if (strange !== undefined)
      return refusals.strange({
        what: strange,
        loop: loop.title,
        choices: loop.changes.map(one => one.say).join(', '),
      })
    if (!loop.steps.some(step => state.steps.has(step))) return refusals.notBegun({ loop: loop.title })
    const [on] = onTrial(plan, state)
    if (on) return refusals.onTrial({ part: partName(plan, on) })
    const later = plan.sheet.steps.find(step => step.after?.includes(loop.id) && state.steps.has(step.id))
    return later
      ? refusals.doneAfter({ step: later.title, loop: loop.title, isTakenUp: canBeReopened(plan, later) })
      : null
  },
  apply: (state, entry, plan) => {
    const loop = plan.loops.get(entry.payload.loop)!
    const { changed } = entry.payload
    const voids = loop.changes.filter(one => changed.includes(one.say)).flatMap(one => one.voids)
    voidInLoop(state, plan, loop, voids, changed.join('; '), stampOf(entry, state))
    for (const step of loop.steps) unsettle(state, plan.steps.get(step)!)
    state.rounds.set(loop.id, [...(state.rounds.get(loop.id) ?? []), stamped(entry, state, entry.payload)])
  },
  words: (plan, { loop, changed }) => `Another round of ${loopName(plan, loop)}. Changed: ${changed.join('; ')}`,
}

const voiding = { loop: id, checks: { ...list(id, 40), least: 1 }, cause: why } as const

/** Readings of a round that were spoiled: the shaft turned, a strip slid. They are read again. */
const voided: ActKind<Shaped<typeof voiding>> = {
  shape: voiding,
  by: HANDS,
  corrected: 'take back',
  sense: (plan, state, { payload: { loop: name, checks, cause } }) => {
    const loop = plan.loops.get(name)
    if (!loop) return unknown('loop', name)
    const strange = checks.find(check => !momentsIn(plan, loop, check).length)
    if (strange) return refusals.notIn({ check: checkName(plan, strange), loop: loop.title })
    const bare = checks.find(check =>
      momentsIn(plan, loop, check).every(moment => !state.readings.has(readingKey(check, moment))),
    )
    if (bare) return refusals.notRead({ check: checkName(plan, bare) })
    return cause.trim() ? null : refusals.cause()
  },
  apply: (state, entry, plan) => {
    const { loop, checks, cause } = entry.payload
    voidInLoop(state, plan, plan.loops.get(loop)!, checks, cause, stampOf(entry, state))
  },
  words: (plan, { loop, checks, cause }) =>
    `Void in ${loopName(plan, loop)}: ${checks.map(check => checkName(plan, check)).join(', ')}. ${cause}`,
}

/** Loops gone through that have not come out good: something is changed, and they are gone through again. */
const notGood: Source = ({ plan, state, results }) =>
  [...plan.loops.values()].flatMap((loop): Owing[] => {
    const waits = plan.sheet.steps.find(step => step.after?.includes(loop.id))
    const isThrough = loop.steps.every(step => state.steps.has(step))
    const [first, ...more] = isThrough ? shortOf(plan, loop, results) : []
    if (!waits || !first) return []
    const { check, judgement, consequence, again } = first
    return [
      {
        id: { kind: 'round', loop: loop.id },
        station: waits.station,
        what: `${loop.title}: ${check.title}, ${VERDICT_WORDS[judgement.verdict].toLowerCase()}${more.length ? ` and ${more.length} more` : ''}`,
        why: consequence ?? again ?? 'Change what it needs, and go through another round',
        step: waits.id,
        settle: { to: 'round', loop: loop.id },
      },
    ]
  })

export const slice = () => ({
  /** Rounds begun again, by loop. */
  rounds: new Map<string, readonly Round[]>(),
  voided: [] as Voided[],
})
export const acts = { 'round.begun': begun, 'round.voided': voided }
export const owes = {
  round: owedKind({ by: { loop: id }, words: (plan, { loop }) => `Not come out good: ${loopName(plan, loop)}` }),
}
export const sources = [notGood]
export const sections = {
  rounds: section({
    title: 'Rounds',
    in: 'work',
    rows: ({ plan, state, results, system, by: signed }) =>
      [...plan.loops.values()].flatMap(loop => {
        if (!loop.steps.some(step => state.steps.has(step)) && !state.rounds.has(loop.id)) return []
        return roundsOf(plan, state, results, loop).map(round => {
          const say = ({ result }: RoundGoal) =>
            `${result.check.title}: ${showValue(result.check, result, system)}, ${VERDICT_WORDS[result.judgement.verdict]}`
          const goals = [...round.goals.values()]
          return {
            loop: loop.title,
            n: round.n,
            changed: round.begun?.changed.join('; ') ?? '',
            read: goals.filter(one => one.void === null).map(say),
            voided: goals.filter(one => one.void !== null).map(one => `${say(one)}; void: ${one.void}`),
            ...signed(round.begun),
          }
        })
      }),
    columns: [
      { head: 'Round', width: 3, cell: row => ({ text: String(row.n), small: [row.loop] }) },
      { head: 'Changed before it', width: 3, cell: row => text(row.changed) },
      { head: 'Stands', width: 5, cell: row => ({ small: row.read }) },
      { head: 'Void', width: 5, cell: row => ({ small: row.voided }) },
      by(),
    ],
  }),
}
export const pads = { round: { loop: id } } as const
