import type { Plan } from '../sheet/index.ts'
import { effectiveEntries } from './corrections.ts'
import type { AnyEntry, Entry } from './entries.ts'
import { extend, isKind, type Folded } from './fold.ts'
import { hindrances } from './steps.ts'
import { viewJob } from './view.ts'

/**
 * Whether an entry may join the ledger as it arrives live: null, or the sentence that refuses it.
 * Beside the sense every entry must make, a step waits for what it needs, a signature for the gate, and a correction
 * may not pull the ground from under a later act.
 */
export function refusalOf(plan: Plan, folded: Folded, entry: AnyEntry): string | null {
  if (isKind(entry, 'entry.corrected')) return correctionRefusal(plan, folded, entry)
  const after = extend(plan, folded, [entry])
  const flag = after.state.flags.find(one => one.entry === entry.id)
  if (flag) return flag.why
  if (isKind(entry, 'step.done')) return stepRefusal(plan, folded, entry.payload.step)
  if (isKind(entry, 'job.signed')) {
    const { gate } = viewJob(plan, folded.state)
    return gate.open && gate.guards === 'hand-back'
      ? null
      : `The gate is shut: ${gate.reasons.length || 1} to settle first${gate.reasons[0] ? `, beginning with “${gate.reasons[0].what}”` : ''}.`
  }
  return null
}

function stepRefusal(plan: Plan, { state }: Folded, id: string): string | null {
  const step = plan.steps.get(id)!
  const unmoved = [
    ...(step.removes ?? [])
      .filter(ref => state.parts.get(ref)?.where !== 'off')
      .map(ref => `${plan.parts.get(ref)!.name} is not off yet`),
    ...(step.fits ?? [])
      .filter(ref => state.parts.get(ref)?.where !== 'fitted')
      .map(ref => `${plan.parts.get(ref)!.name} is not fitted yet`),
  ]
  const { owed } = viewJob(plan, state)
  const why = [...hindrances(plan, state, owed, step).map(one => one.text), ...unmoved]
  return why.length ? `“${step.title}” cannot be done yet. ${why.slice(0, 4).join('. ')}.` : null
}

function correctionRefusal(plan: Plan, folded: Folded, entry: Entry<'entry.corrected'>): string | null {
  const target = folded.entries.find(one => one.id === entry.payload.target)
  if (!target) return 'The entry to correct is not in this job. Reload and try again.'
  if (folded.state.signed) return 'The job is signed; write an addendum instead.'
  if (target.kind === 'job.opened') return 'The opening of a job cannot be taken back.'
  if (!isKind(target, 'entry.corrected') && !effectiveEntries(folded.entries).some(one => one.id === target.id))
    return 'That entry is corrected already. Correct the correction instead.'
  if (!entry.payload.why.trim()) return 'Say why it is corrected.'
  const flagged = new Set(folded.state.flags.map(one => one.entry))
  const broken = extend(plan, folded, [entry as AnyEntry]).state.flags.find(one => !flagged.has(one.entry))
  if (!broken) return null
  return broken.entry === target.id ? broken.why : `A later act depends on it (${broken.why}) Take that back first.`
}
