import { viewsOf, type Moment, type Plan, type Ref } from '../../sheet/index.ts'
import { timeOf, type AnyEntry } from '../ledger/entry.ts'
import { hindrances } from '../owed/hindrances.ts'
import { unmetNeeds } from '../parts/needs.ts'
import { owedNow } from '../owed/index.ts'
import { partState, readingKey, type JobState } from '../ledger/state.ts'
import { firstWords, MOMENT_WORDS } from '../ledger/words.ts'

/** Why names make no sense: the sheet may be another version. */
export const unknown = (what: string, id: string) =>
  `This machine's sheet has no ${what} called “${id.slice(0, 60)}”. Reload the job; the sheet may be another version.`

export function knownParts(plan: Plan, refs: readonly Ref[]): string | null {
  const stranger = refs.find(ref => !plan.parts.has(ref))
  if (stranger !== undefined) return unknown('part', stranger)
  return new Set(refs).size === refs.length ? null : 'A part is named twice. Name each one once.'
}

export function offParts(plan: Plan, state: JobState, refs: readonly Ref[]): string | null {
  const strange = knownParts(plan, refs)
  if (strange) return strange
  const on = refs.find(ref => partState(state, ref).where !== 'off')
  return on === undefined ? null : `${plan.parts.get(on)!.name} is not off the machine.`
}

/** A step that an act was meant for, still to be done; else why the act has lost it. */
export function openStep(plan: Plan, state: JobState, id: string): string | null {
  const step = plan.steps.get(id)
  if (!step) return unknown('step', id)
  const settled = state.steps.get(id)
  return settled
    ? `“${step.title}” is ${settled.skipped ? 'left out' : 'done'} already. Look at the card again; it may have changed under your finger.`
    : null
}

/** What keeps a step from being worked on: its own hindrances, as sentences. */
export const stepHindrances = (
  plan: Plan,
  state: JobState,
  id: string,
  by: Pick<AnyEntry, 'madeBy' | 'madeAt' | 'receivedAt'>,
): string[] =>
  hindrances(plan, state, owedNow(plan, state), plan.steps.get(id)!, { person: by.madeBy, at: timeOf(by) }).map(
    one => `“${plan.steps.get(id)!.title}” cannot be done yet. ${one.text}`,
  )

/** What keeps a step out of reach: the steps before it that are not settled. */
export const outOfReach = (plan: Plan, state: JobState, id: string): string[] =>
  unmetNeeds(plan, state, plan.steps.get(id)!).map(
    need => `“${plan.steps.get(id)!.title}” cannot be reached yet. ${firstWords(need)}`,
  )

/** Why nothing is read there: the sheet has no such check, or not at that moment. */
export function notTaken(plan: Plan, { check: id, moment }: { check: string; moment: Moment }): string | null {
  const check = plan.checks.get(id)
  if (!check) return unknown('check', id)
  return check.at.some(at => at.moment === moment) ? null : `${check.title} is not taken at that moment.`
}

/** A reading belongs to a state its step can have: what keeps it from being taken, as sentences. */
export function notReadable(
  plan: Plan,
  state: JobState,
  { check: id, moment }: { check: string; moment: Moment },
): string[] {
  const check = plan.checks.get(id)!
  const { step } = check.at.find(at => at.moment === moment)!
  const gone = plan.destroyedBy.get(readingKey(id, moment))
  return [
    ...(gone && state.steps.has(gone.id) && !state.steps.get(gone.id)!.skipped
      ? [`${check.title}, ${MOMENT_WORDS[moment]}, is gone since “${gone.title}”. Say it was lost, with the reason`]
      : []),
    ...(plan.steps.has(step) ? outOfReach(plan, state, step) : []),
  ]
}

/** Why nothing is seen from there: this machine has no such end. */
export const notSeenFrom = ({ whole }: Plan, from: string | undefined): string | null =>
  from !== undefined && viewsOf(whole).includes(from)
    ? null
    : `Say from where it is seen: ${viewsOf(whole).join(', ')}.`

export const always = () => null
