import { VERDICT_WORDS } from '../../verdict.ts'
import { OTHER } from '../../looks/codes.ts'
import type { Plan, Step } from '../../sheet/index.ts'
import type { ActKind } from '../ledger/act.ts'
import type { AnyEntry } from '../ledger/entry.ts'
import { partsIn, setPart } from '../ledger/part.ts'
import { refusalsAbout, type Refusal } from '../../refusal.ts'
import { HANDS } from '../ledger/roles.ts'
import { by, section, text, type RecordScene } from '../ledger/section.ts'
import { hadSeen } from '../ledger/seen.ts'
import { id, list, optional, why, type Shaped } from '../ledger/shape.ts'
import {
  accountedFor,
  countKey,
  lubricantKey,
  stampOf,
  stamped,
  type Draft,
  type JobState,
  type Stamp,
} from '../ledger/state.ts'
import { partName, partNames, stepName } from '../ledger/words.ts'
import { showValue } from '../measuring/show.ts'
import { lubricantFault } from '../parts/confirm.ts'
import { slackened } from '../parts/joints.ts'
import { answerText, standsMet } from '../parts/mates.ts'
import { lookKey } from '../parts/looks.ts'
import { canBeReopened, isOnTrial, laterThan, undoneWith, type Later } from '../parts/over.ts'
import { holdStands } from '../parts/holds.ts'
import { roundOf } from '../parts/rounds.ts'
import { unsettle } from '../parts/unsettle.ts'
import { resultOfVoided, voidReadings } from '../parts/voided.ts'
import { stepsAbout } from '../parts/about.ts'
import type { MateAnswer } from './mates.ts'
import { unknown } from './sense.ts'

/** A step that went wrong is taken up again: what lies over it comes off, and what was done and read since is done and read anew. */

const refusals = refusalsAbout('step', {
  notDone: ({ step }: { step: string }) => `“${step}” is not done now: there is nothing to take up again.`,
  notReopened: ({ step }: { step: string }) =>
    `“${step}” puts nothing together. Where it was not done as said, take it back.`,
  inRounds: ({ step, loop }: { step: string; loop: string }) =>
    `“${step}” is gone through in rounds: begin another round of ${loop}.`,
  notAfter: ({ step, after }: { step: string; after: string }) =>
    `“${step}” was not done after “${after}”. Look again what comes off with it.`,
  both: ({ step }: { step: string }) => `“${step}” cannot come off and stay on. Say which.`,
  whyReopened: () => 'Say what is wrong, for the record.',
  leadReopens: ({ step, what }: { step: string; what: string }) =>
    `“${step}” lies behind “${what}”, which is signed or shut. A lead takes it up again: ask one.`,
  notComingOff: ({ part, step }: { part: string; step: string }) =>
    `${part} does not come off with “${step}”, so it was not harmed by it.`,
  undone: ({ step }: { step: string }) =>
    `“${step}” was taken up again meanwhile. What was done there before is undone with it: do it again.`,
})

/** What is seen on a part that was harmed. */
const HARMED = { code: OTHER.id, grade: 3, note: 'Harmed as it came off again' }

const shape = {
  step: id,
  why,
  /** Of what was done after it: what comes off with it, and what stays on. What neither names goes as it is proposed. */
  off: optional(list(id, 400)),
  on: optional(list(id, 400)),
  /** Parts that were harmed as they came off: they are decided again. */
  harmed: optional(list(id, 400)),
} as const
type Given = Shaped<typeof shape>

/** What was said and found of what came off, as it stood. */
interface First {
  mates: readonly (Stamp & MateAnswer)[]
  lubricants: readonly { step: string; on: string; medium: string }[]
  counts: readonly { part: string; n: number }[]
}
export type Reopening = Stamp & Given & { undone: readonly string[]; first: First }

/** The signature or the gate that what is taken up again lies behind: then a lead does it. */
function leadsOver(plan: Plan, state: JobState, undone: readonly Step[], stays: readonly Step[]): Step | undefined {
  const ids = new Set(undone.map(step => step.id))
  const isSigned = (step: Step) =>
    step.hold !== undefined &&
    holdStands(plan, state, step) === 'signed' &&
    (step.hold.covers ?? [step.id]).some(covered => ids.has(covered))
  return (
    [...undone, ...stays].find(step => step.closes && state.steps.has(step.id)) ??
    plan.sheet.steps.find(step => state.steps.has(step.id) && isSigned(step))
  )
}

/** Parts that come off with what is undone. */
const comingOff = (state: JobState, undone: readonly Step[]): string[] =>
  undone.flatMap(({ fits = [] }) => partsIn(state, fits))

/** What taking a step up again comes to, before it is done: for whoever is to say it. */
export interface Prospect {
  /** What was put on or drawn up after it, the newest first, with what is proposed of each. */
  later: Later[]
  /** Parts that come off; those that are always new are wanted anew. */
  parts: { ref: string; name: string; isAlwaysNew: boolean }[]
  /** What is turned, read or tried again besides, by its title. */
  again: string[]
  /** The signature or the shut gate it lies behind: then a lead does it. */
  behind: string | null
}

/** What comes off and is done anew with a step, as it was said so far. */
export function prospectOf(plan: Plan, state: JobState, step: string, said: Pick<Given, 'off' | 'on'> = {}): Prospect {
  const later = laterThan(plan, state, step)
  const undone = undoneWith(plan, state, step, said)
  const put = new Set([step, ...later.map(one => one.step.id)])
  return {
    later,
    parts: comingOff(state, undone).map(ref => {
      const { name, part } = plan.parts.get(ref)!
      return { ref, name, isAlwaysNew: part.renewal === 'always' }
    }),
    again: undone.filter(one => !put.has(one.id)).map(one => one.title),
    behind:
      leadsOver(
        plan,
        state,
        undone,
        later.map(one => one.step),
      )?.title ?? null,
  }
}

function reopenRefusal(plan: Plan, state: JobState, payload: Given, isLead: boolean): Refusal | null {
  const step = plan.steps.get(payload.step)
  if (!step) return unknown('step', payload.step)
  const title = step.title
  const settled = state.steps.get(step.id)
  if (!settled) return refusals.notDone({ step: title })
  if (!canBeReopened(plan, step) || settled.skipped !== undefined) return refusals.notReopened({ step: title })
  const loop = plan.loopOf.get(step.id)
  if (loop && !isOnTrial(state, step)) return refusals.inRounds({ step: title, loop: loop.title })
  const { off = [], on = [], harmed = [] } = payload
  const strange = [...off, ...on].find(one => !plan.steps.has(one))
  if (strange !== undefined) return unknown('step', strange)
  const later = laterThan(plan, state, step.id).map(one => one.step)
  const early = [...off, ...on].find(one => !later.some(each => each.id === one))
  if (early !== undefined) return refusals.notAfter({ step: stepName(plan, early), after: title })
  const both = off.find(one => on.includes(one))
  if (both !== undefined) return refusals.both({ step: stepName(plan, both) })
  const undone = undoneWith(plan, state, step.id, payload)
  const parts = comingOff(state, undone)
  const unharmed = harmed.find(ref => !parts.includes(ref))
  if (unharmed !== undefined) return refusals.notComingOff({ part: partName(plan, unharmed), step: title })
  if (!payload.why.trim()) return refusals.whyReopened()
  if (isLead) return null
  const over = leadsOver(plan, state, undone, later)
  return over ? refusals.leadReopens({ step: title, what: over.title }) : null
}

const reopened: ActKind<Given> = {
  shape,
  by: HANDS,
  corrected: 'take back',
  sameAgain: true,
  sense: (plan, state, { payload, role }) => reopenRefusal(plan, state, payload, role === 'lead'),
  apply: (state, entry, plan) => {
    const { payload } = entry
    const stamp = stampOf(entry, state)
    const undone = undoneWith(plan, state, payload.step, payload)
    const ids = undone.map(step => step.id)
    const first = takeOff(plan, state, undone, payload.harmed ?? [])
    const isAt = (about: object) => stepsAbout(plan, about).some(step => ids.includes(step))
    const read = undone.flatMap(step =>
      (plan.checksAt.get(step.id) ?? []).map(({ check, moment }) => ({ check: check.id, moment })),
    )
    const cause = `${stepName(plan, payload.step)} taken up again`
    const own = plan.loopOf.get(payload.step)
    const loops = [...plan.loops.values()].filter(loop => loop !== own && loop.steps.some(step => ids.includes(step)))
    for (const one of read) {
      const { step } = plan.checks.get(one.check)!.at.find(at => at.moment === one.moment)!
      const loop = plan.loopOf.get(step)?.id
      voidReadings(state, [one], {
        ...stamp,
        cause,
        ...(loop ? { loop, round: roundOf(state as JobState, loop) } : {}),
      })
    }
    for (const [key, { check, moment }] of state.evidenceLost)
      if (isAt({ check, moment })) state.evidenceLost.delete(key)
    for (const [key, { of }] of state.concessions) if (of.kind !== 'decision' && isAt(of)) state.concessions.delete(key)
    for (const step of undone) unsettle(state, step)
    // What was tried in rounds is tried in another.
    for (const loop of loops)
      state.rounds.set(loop.id, [
        ...(state.rounds.get(loop.id) ?? []),
        stamped(entry, state, { loop: loop.id, changed: [cause] }),
      ])
    for (const part of payload.harmed ?? [])
      state.looks.set(lookKey(part, entry.id), stamped(entry, state, { part, findings: [HARMED] }))
    // What is put together again is looked at again.
    for (const [key, { look }] of state.looks)
      if (ids.includes(plan.looks.get(look ?? '')?.step ?? '')) state.looks.delete(key)
    state.reopenings.push(stamped(entry, state, { ...payload, undone: ids, first }))
  },
  words: (plan, { step, why: reason }) => `Taken up again: ${stepName(plan, step)}. ${reason}`,
}

/** Takes off what the steps put on, in place, and lets go what they drew up; what was said of it is handed back. */
function takeOff(plan: Plan, state: Draft, undone: readonly Step[], harmed: readonly string[]): First {
  const tried = undone.flatMap(({ trial }) => trial?.on ?? [])
  const onTrial = [...state.parts].flatMap(([ref, now]) => (now.trial && tried.includes(now.trial.place) ? [ref] : []))
  const parts = new Set([...comingOff(state as JobState, undone), ...onTrial])
  const ids = new Set(undone.map(step => step.id))
  // What was built up on the bench on a part that goes in later still stands on it when that comes out again.
  const gone = [...plan.mates.values()].filter(
    ({ id, asked }) => plan.sidesOf.get(id)!.some(ref => parts.has(ref)) || ids.has(asked ?? ''),
  )
  const mates = gone.flatMap(({ id: mate }) => (state.mates.get(mate) ?? []) as Stamp & MateAnswer)
  for (const { id: mate } of gone) state.mates.delete(mate)
  const lubricants = undone.flatMap(({ id: step, lubricants: on = [] }) =>
    on.flatMap(one => {
      const medium = state.lubricants.get(lubricantKey(step, one.on))?.medium
      return medium === undefined ? [] : [{ step, on: one.on, medium }]
    }),
  )
  const counts = [...parts].flatMap(part => {
    const count = state.counts.get(countKey(part, 'in'))
    state.counts.delete(countKey(part, 'in'))
    return count ? [{ part, n: accountedFor(count) }] : []
  })
  for (const ref of parts) {
    const isUsedUp = plan.parts.get(ref)!.part.renewal === 'always' || harmed.includes(ref)
    setPart(state, ref, {
      where: 'off',
      fitted: undefined,
      trial: undefined,
      ...(isUsedUp ? { renewed: undefined } : {}),
      ...(harmed.includes(ref) ? { decision: undefined, returned: undefined } : {}),
    })
  }
  for (const { joint } of undone)
    if (joint && joint.act !== 'slacken' && state.joints.has(joint.id))
      state.joints.set(joint.id, slackened(state.joints.get(joint.id)))
  return { mates, lubricants, counts }
}

/** Marks stay on the parts, whatever comes off. */
const STANDS: readonly AnyEntry['kind'][] = ['mark.made', 'evidence.lost', 'step.reopened', 'entry.corrected']

/**
 * Why an act that was made without knowing it is undone with a step that was taken up again: it was done on what has come
 * off since. Null where nothing it is about was.
 */
export function undoneBy(plan: Plan, { reopenings }: JobState, entry: AnyEntry): Refusal | null {
  if (entry.seen === undefined || STANDS.includes(entry.kind)) return null
  const unseen = reopenings.filter(one => !hadSeen(entry, one))
  if (!unseen.length) return null
  const about = stepsAbout(plan, entry.payload)
  const over = unseen.find(one => about.some(step => one.undone.includes(step)))
  return over ? refusals.undone({ step: stepName(plan, over.step) }) : null
}

/** What was wrong with it, as far as it was said: answers that were not met, pieces that were short. */
function foundWrong({ plan, state }: RecordScene, { first: { mates, counts, lubricants } }: Reopening): string[] {
  return [
    ...mates.flatMap(answer => {
      const mate = plan.mates.get(answer.mate)
      return mate && !answer.notYet && !standsMet(state, mate, answer)
        ? [`${mate.title}: ${answerText(answer)}, not met`]
        : []
    }),
    ...counts.flatMap(({ part, n }) => {
      const wanted = plan.parts.get(part)?.part.quantity
      return wanted === undefined || wanted === n ? [] : [`${partName(plan, part)}: ${n} of ${wanted} went back`]
    }),
    ...lubricants.flatMap(({ step, on, medium }) => {
      const wanted = plan.steps.get(step)?.lubricants?.find(one => one.on === on)
      const fault = wanted && lubricantFault(wanted, medium)
      return fault ? [fault] : []
    }),
  ]
}

export const slice = () => ({ reopenings: [] as Reopening[] })
export const acts = { 'step.reopened': reopened }
export const sections = {
  reopened: section({
    title: 'Taken up again',
    in: 'remarks',
    rows: scene => {
      const { plan, state, system, by: signed } = scene
      return state.reopenings.map(one => ({
        what: stepName(plan, one.step),
        why: one.why,
        found: foundWrong(scene, one),
        off: one.undone
          .filter(id => id !== one.step && (plan.steps.get(id)?.fits?.length || plan.steps.get(id)?.joint))
          .map(step => stepName(plan, step)),
        stayed: (one.on ?? []).map(step => stepName(plan, step)),
        harmed: one.harmed?.length ? partNames(plan, one.harmed) : '',
        read: state.voided
          .filter(gone => gone.entry === one.entry && plan.checks.has(gone.check))
          .map(gone => {
            const result = resultOfVoided(plan, state, gone)
            return `${result.check.title}: ${showValue(result.check, result, system)}, ${VERDICT_WORDS[result.judgement.verdict]}`
          }),
        ...signed(one),
      }))
    },
    columns: [
      { head: 'Step', width: 4, cell: row => text(row.what) },
      { head: 'What was wrong', width: 5, cell: row => ({ text: row.why, small: row.found }) },
      {
        head: 'Undone with it',
        width: 5,
        cell: row => ({
          small: [
            ...(row.off.length ? row.off : ['nothing else']),
            ...(row.stayed.length ? [`Stayed on: ${row.stayed.join('; ')}`] : []),
            ...(row.harmed ? [`Harmed: ${row.harmed}`] : []),
          ],
        }),
      },
      { head: 'Read before, and void', width: 5, cell: row => ({ small: row.read.length ? row.read : ['nothing'] }) },
      by(),
    ],
  }),
}
export const pads = { reopen: { step: id } } as const
