import type { Plan } from '../sheet/index.ts'
import { obligations } from './debts.ts'
import { undoneBy } from './features/reopenings.ts'
import { actOf, emptyState } from './kinds.ts'
import type { AtHand } from './ledger/act.ts'
import { effectiveEntries } from './ledger/corrections.ts'
import { clockOf, type AnyEntry } from './ledger/entry.ts'
import { hadSeen } from './ledger/seen.ts'
import { refusalsAbout, type Refusal } from '../refusal.ts'
import { branchState, isClosed, stamped, type Draft, type JobState } from './ledger/state.ts'

const refusals = refusalsAbout('ledger', {
  closed: ({ how }: { how: string }) => `The job is ${how}; only an addendum may follow.`,
})

/** Why an entry makes no sense where it stands, null when it does. */
export function senseOf(plan: Plan, state: JobState, entry: AnyEntry): Refusal | null {
  if (isClosed(state) && !actOf(entry)!.afterClose)
    return refusals.closed({ how: state.signed ? 'signed' : 'cancelled' })
  return undoneBy(plan, state, entry) ?? actOf(entry)!.sense(plan, state, entry)
}

/** A job as an act finds it; what is owed is worked out once, when it is asked for. */
export function atHand(plan: Plan, state: JobState): AtHand {
  let owed: AtHand['owed'] | null = null
  return {
    plan,
    state,
    get owed() {
      return (owed ??= obligations(plan, state))
    },
  }
}

/** A state that acts are taken into: to be read, and to be written to. */
type Branch = ReturnType<typeof branchState>

/** Takes one entry into the state in place; what makes no sense is flagged and not counted, unknown kinds are passed over. */
function take(opened: Plan, { state, draft }: Branch, entry: AnyEntry): void {
  // Every act is judged by the plan that is in force when it is made.
  const plan = state.plan ?? opened
  const act = actOf(entry)
  if (!act) return
  const why = senseOf(plan, state, entry)
  if (why) {
    draft.flags.push({ entry: entry.id, kind: entry.kind, why })
    // What its maker could not know made no sense any more is looked into before the machine is handed back.
    if (!isClosed(state) && isOvertaken(state, entry) && !act.sameAgain)
      draft.late.push(stamped(entry, state, { what: act.words(plan, entry.payload), why, nth: 0, counted: false }))
    hear(draft, entry)
    return
  }
  draft.count += 1
  if (clockOf(entry) === 'late' && act.live && !act.neverLate) {
    const what = act.words(plan, entry.payload)
    for (const [nth, why] of act.live(atHand(plan, state), entry).entries())
      draft.late.push(stamped(entry, state, { what, why, nth, counted: true }))
  }
  act.apply(draft, entry, plan)
  hear(draft, entry)
}

/** Whether something came into the ledger before an entry that its maker had not seen. */
const isOvertaken = ({ heard }: JobState, entry: AnyEntry): boolean =>
  [...heard].some(([tablet, seq]) => !hadSeen(entry, { seq, ...(tablet ? { tablet } : {}) }))

const hear = ({ heard }: Draft, { seq, tablet = '' }: AnyEntry): void => void (seq !== null && heard.set(tablet, seq))

/** The state of entries that count already, corrections taken in; `before` looks at each in the state it is taken into. */
export function foldCounted(
  plan: Plan,
  counted: readonly AnyEntry[],
  before?: (state: JobState, entry: AnyEntry) => void,
): JobState {
  const branch = branchState(emptyState())
  for (const entry of counted) {
    before?.(branch.state, entry)
    take(plan, branch, entry)
  }
  return branch.state
}

/** The state of a job: a pure function of its sheet and its ledger. Entries are in ledger order. */
export const fold = (plan: Plan, entries: readonly AnyEntry[]): JobState => foldCounted(plan, effectiveEntries(entries))

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
  const branch = branchState(folded.state)
  for (const entry of more) take(plan, branch, entry)
  return { entries, state: branch.state }
}

export const emptyFold = (): Folded => ({ entries: [], state: emptyState() })
