import { viewsOf, type Moment, type Plan, type Ref } from '../../sheet/index.ts'
import type { AtHand } from '../ledger/act.ts'
import { timeOf, type AnyEntry } from '../ledger/entry.ts'
import { partState } from '../ledger/part.ts'
import { refusalsAbout, type Refusal } from '../../refusal.ts'
import { readingKey, type JobState } from '../ledger/state.ts'
import { firstWords, MOMENT_WORDS } from '../ledger/words.ts'
import { hindrances } from '../owed/hindrances.ts'
import { unmetNeeds } from '../parts/needs.ts'
import { notedName, type Noted } from '../parts/noted.ts'

/** Refusals that several features share. */
const refusals = {
  ...refusalsAbout('sheet', {
    unknown: ({ what, id }: { what: string; id: string }) =>
      `This machine's sheet has no ${what} called “${id}”. Reload the job; the sheet may be another version.`,
    views: ({ views }: { views: string }) => `Say from where it is seen: ${views}.`,
    notThen: ({ check }: { check: string }) => `${check} is not taken at that moment.`,
  }),
  ...refusalsAbout('parts', {
    twice: () => 'A part is named twice. Name each one once.',
    notOff: ({ part }: { part: string }) => `${part} is not off the machine.`,
  }),
  ...refusalsAbout('step', {
    settled: ({ step, how }: { step: string; how: string }) =>
      `“${step}” is ${how} already. Look at the card again; it may have changed under your finger.`,
    hindered: {
      lead: ({ step }: { step: string }) => `“${step}” cannot be done yet.`,
      say: ({ what }: { step: string; what: string }) => what,
    },
    outOfReach: {
      lead: ({ step }: { step: string }) => `“${step}” cannot be reached yet.`,
      say: ({ what }: { step: string; what: string }) => what,
    },
  }),
  ...refusalsAbout('reading', {
    gone: ({ check, moment, step }: { check: string; moment: string; step: string }) =>
      `${check}, ${moment}, is gone since “${step}”. Say it was lost, with the reason.`,
  }),
}

/** Why names make no sense: the sheet may be another version. */
export const unknown = (what: string, id: string) => refusals.unknown({ what, id: id.slice(0, 60) })

/** Why what a note or a photograph is on makes no sense; null where the sheet has it. */
export function unknownThing(plan: Plan, on: Noted | undefined): Refusal | null {
  if (!on || notedName(plan, on) !== undefined) return null
  const { finding, ...thing } = on
  return finding !== undefined && notedName(plan, thing) !== undefined
    ? unknown('finding', finding)
    : unknown(on.what, on.id)
}

export function knownParts(plan: Plan, refs: readonly Ref[]): Refusal | null {
  const stranger = refs.find(ref => !plan.parts.has(ref))
  if (stranger !== undefined) return unknown('part', stranger)
  return new Set(refs).size === refs.length ? null : refusals.twice()
}

/** That a part is on the machine, where it would have to be off. */
export const notOff = (part: string) => refusals.notOff({ part })

export function offParts(plan: Plan, state: JobState, refs: readonly Ref[]): Refusal | null {
  const strange = knownParts(plan, refs)
  if (strange) return strange
  const on = refs.find(ref => partState(state, ref).where !== 'off')
  return on === undefined ? null : notOff(plan.parts.get(on)!.name)
}

/** A step that an act was meant for, still to be done; else why the act has lost it. */
export function openStep(plan: Plan, state: JobState, id: string): Refusal | null {
  const step = plan.steps.get(id)
  if (!step) return unknown('step', id)
  const settled = state.steps.get(id)
  return settled ? refusals.settled({ step: step.title, how: settled.skipped ? 'left out' : 'done' }) : null
}

/** That a step cannot be done yet, and what it waits for. */
export const hindered = ({ title }: { title: string }, what: string) => refusals.hindered({ step: title, what })

/** What keeps a step from being worked on: its own hindrances. */
export function stepHindrances(
  { plan, state, owed }: AtHand,
  id: string,
  by: Pick<AnyEntry, 'madeBy' | 'madeAt' | 'receivedAt'>,
): Refusal[] {
  const step = plan.steps.get(id)!
  return hindrances(plan, state, owed, step, { person: by.madeBy, at: timeOf(by) }).map(({ text }) =>
    hindered(step, text),
  )
}

/** What is wrong and must be put right before anything is worked at a step. */
export function wrongBefore({ plan, state, owed }: AtHand, id: string): Refusal[] {
  const step = plan.steps.get(id)!
  return hindrances(plan, state, owed, step).flatMap(({ text, wrong }) => (wrong ? [hindered(step, text)] : []))
}

/** What keeps a step out of reach: the steps before it that are not settled. */
export function outOfReach({ plan, state }: Pick<AtHand, 'plan' | 'state'>, id: string): Refusal[] {
  const step = plan.steps.get(id)!
  return unmetNeeds(plan, state, step).map(need => refusals.outOfReach({ step: step.title, what: firstWords(need) }))
}

/** Why nothing is read there: the sheet has no such check, or not at that moment. */
export function notTaken(plan: Plan, { check: id, moment }: { check: string; moment: Moment }): Refusal | null {
  const check = plan.checks.get(id)
  if (!check) return unknown('check', id)
  return check.at.some(at => at.moment === moment) ? null : refusals.notThen({ check: check.title })
}

/** A reading belongs to a state its step can have: what keeps it from being taken. */
export function notReadable(at: AtHand, { check: id, moment }: { check: string; moment: Moment }): Refusal[] {
  const { plan, state } = at
  const check = plan.checks.get(id)!
  const { step } = check.at.find(one => one.moment === moment)!
  const gone = plan.destroyedBy.get(readingKey(id, moment))
  return [
    ...(gone && state.steps.has(gone.id) && !state.steps.get(gone.id)!.skipped
      ? [refusals.gone({ check: check.title, moment: MOMENT_WORDS[moment], step: gone.title })]
      : []),
    ...(plan.steps.has(step) ? outOfReach(at, step) : []),
  ]
}

/** Why nothing is seen from there: this machine has no such end. */
export const notSeenFrom = ({ whole }: Plan, from: string | undefined): Refusal | null =>
  from !== undefined && viewsOf(whole).includes(from) ? null : refusals.views({ views: viewsOf(whole).join(', ') })

export const always = () => null
