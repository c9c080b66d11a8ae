import type { Plan } from '../sheet/index.ts'
import { effectiveEntries } from './corrections.ts'
import type { AnyEntry, Entry, EntryKind } from './entries.ts'
import { RULES } from './rules.ts'
import { branchState, emptyState, type JobState } from './state.ts'

/** Takes one entry into the state in place; what makes no sense is flagged and not counted, unknown kinds are passed over. */
function take(plan: Plan, state: JobState, entry: AnyEntry): void {
  const rule = RULES[entry.kind] as (typeof RULES)[EntryKind] | undefined
  if (!rule) return
  const typed = rule as {
    sense: (p: Plan, s: JobState, e: AnyEntry) => string | null
    apply: (s: JobState, e: AnyEntry, p: Plan) => void
  }
  const why =
    state.signed && entry.kind !== 'addendum.written'
      ? 'The job is signed; only an addendum may follow.'
      : typed.sense(plan, state, entry)
  if (why) state.flags.push({ entry: entry.id, kind: entry.kind, why })
  else typed.apply(state, entry, plan)
}

/** The state of a job: a pure function of its sheet and its ledger. Entries are in ledger order. */
export function fold(plan: Plan, entries: readonly AnyEntry[]): JobState {
  const state = emptyState()
  for (const entry of effectiveEntries(entries)) take(plan, state, entry)
  return state
}

/** A ledger with its state, kept up to date as entries come. */
export interface Folded {
  entries: readonly AnyEntry[]
  state: JobState
}

/**
 * Adds entries to a folded ledger without changing it. Equal to folding the whole ledger at once, however it is cut:
 * a correction reaches back, so then everything is folded anew.
 */
export function extend(plan: Plan, folded: Folded, more: readonly AnyEntry[]): Folded {
  const entries = [...folded.entries, ...more]
  if (more.some(entry => entry.kind === 'entry.corrected')) return { entries, state: fold(plan, entries) }
  const state = branchState(folded.state)
  for (const entry of more) take(plan, state, entry)
  return { entries, state }
}

export const emptyFold = (): Folded => ({ entries: [], state: emptyState() })

/** Whether an entry is of the given kind, for reading a ledger. */
export function isKind<K extends EntryKind>(entry: AnyEntry, kind: K): entry is Extract<AnyEntry, Entry<K>> {
  return entry.kind === kind
}
