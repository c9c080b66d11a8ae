import type { Plan } from '../sheet/index.ts'
import { actOf } from './acts/index.ts'
import { rootOf, readLedger } from './corrections.ts'
import { clockOf, isKind, type AnyEntry, type Entry } from './entry.ts'
import { extend, foldCounted, senseOf, type Folded } from './fold.ts'
import { rolesWords } from './roles.ts'
import { unmetNeeds } from './steps.ts'
import type { JobState } from './state.ts'
import { planIn } from './switching.ts'

const sentence = (words: string) => (/[.)!?]$/.test(words) ? words : `${words}.`)

/** What of an entry can be judged by itself: whether this role may do such a thing, whether it makes sense, what hinders it. */
function ownRefusal(opened: Plan, state: JobState, entry: AnyEntry): string | null {
  const plan = planIn(opened, state)
  const act = actOf(entry)
  if (!act) return 'This server does not know that kind of entry. Reload the page; it may be a newer version.'
  if (!act.by.includes(entry.role)) return `This is done by ${rolesWords(act.by)}. Ask one to do it.`
  const nonsense = senseOf(plan, state, entry)
  if (nonsense) return nonsense
  // What was done late counts where the parts allow it; the fold keeps what it went past as debts.
  if (clockOf(entry) === 'late' && !act.neverLate) return null
  const [first, ...more] = act.live?.(plan, state, entry) ?? []
  return first === undefined
    ? null
    : [first, ...more.slice(0, 3).map(one => one.replace(/^“[^”]+” cannot be done yet\. /, ''))].map(sentence).join(' ')
}

/**
 * Whether an entry may join the ledger as it arrives: null, or the sentence that refuses it. Beside its own sense, what
 * hinders it where it stands, and who may do it; a correction is judged in the past it reaches back to.
 */
export function refusalOf(plan: Plan, folded: Folded, entry: AnyEntry): string | null {
  return (
    ownRefusal(plan, folded.state, entry) ??
    (isKind(entry, 'entry.corrected') ? correctionRefusal(plan, folded, entry) : null)
  )
}

/**
 * A correction is an entry like any other: its replacement keeps the kind, is judged in the state before what it
 * corrects by the role of whoever corrects, and nothing later may lose its ground.
 */
function correctionRefusal(plan: Plan, folded: Folded, entry: Entry<'entry.corrected'>): string | null {
  const { target: id, why, replacement } = entry.payload
  if (!why.trim()) return 'Say why it is corrected.'
  const target = folded.entries.find(one => one.id === id)
  if (!target) return 'The entry to correct is not in this job. Reload and try again.'
  const reading = readLedger(folded.entries)
  const stands = isKind(target, 'entry.corrected')
    ? reading.inForce.has(target.id)
    : reading.counted.some(one => one.id === target.id)
  if (!stands) return 'That entry is corrected already. Correct the correction instead.'
  if (target.madeBy !== entry.madeBy && entry.role !== 'lead')
    return 'That is somebody else’s entry. They correct it themselves, or a lead does.'
  const root = rootOf(folded.entries, id)!
  const allowed = actOf(root)?.corrected ?? 'never'
  if (allowed === 'never')
    return root.kind === 'job.opened'
      ? 'The opening of a job cannot be taken back. Cancel the job instead.'
      : 'That stands as it is. Write an addendum instead.'
  if (replacement && allowed === 'take back') return 'That cannot be put otherwise. Take it back, and do it again.'

  const corrected = [...folded.entries, entry as AnyEntry]
  const after = readLedger(corrected).counted
  const at = after.findIndex(one => one.id === entry.id)
  if (replacement && at >= 0) {
    const own = ownRefusal(plan, foldCounted(plan, after.slice(0, at)), after[at]!)
    if (own) return own
  }
  return groundRefusal(plan, folded.state, extend(plan, folded, [entry as AnyEntry]).state)
}

/** What lost its ground between two states: acts that made sense and no longer do, steps whose needs are gone. */
function groundRefusal(opened: Plan, before: JobState, after: JobState): string | null {
  const flagged = new Set(before.flags.map(one => one.entry))
  const broken = after.flags.find(one => !flagged.has(one.entry))
  const bare = (state: JobState) => {
    const plan = planIn(opened, state)
    return plan.sheet.steps.filter(step => state.steps.has(step.id) && unmetNeeds(plan, state, step).length)
  }
  const known = new Set(bare(before).map(step => step.id))
  const lost = bare(after).find(step => !known.has(step.id))
  const why = broken?.why ?? (lost ? `“${lost.title}” was done after it.` : null)
  return why && `A later act depends on it (${why}) Take that back first.`
}
