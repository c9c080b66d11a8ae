import type { Plan } from '../sheet/index.ts'
import { rootOf, readLedger } from './ledger/corrections.ts'
import { clockOf, isKind, type AnyEntry, type Entry } from './ledger/entry.ts'
import { atHand, emptyFold, extend, fold, foldCounted, senseOf, type Folded } from './fold.ts'
import { actOf } from './kinds.ts'
import { refusalsAbout, sentenceOf, together, type Refusal } from '../refusal.ts'
import { rolesWords } from './ledger/roles.ts'
import { hadSeen } from './ledger/seen.ts'
import { unmetNeeds } from './parts/needs.ts'
import { coveredAt } from './parts/over.ts'
import type { JobState } from './ledger/state.ts'
import { planIn } from './switching.ts'

const refusals = refusalsAbout('entry', {
  unknownKind: () => 'This server does not know that kind of entry. Reload the page; it may be a newer version.',
  role: ({ roles }: { roles: string }) => `This is done by ${roles}. Ask one to do it.`,
  notHere: () => 'The entry to correct is not in this job. Reload and try again.',
  why: () => 'Say why it is corrected.',
  corrected: () => 'That entry is corrected already. Correct the correction instead.',
  notYours: () => 'That is somebody else’s entry. They correct it themselves, or a lead does.',
  stands: () => 'That stands as it is. Write an addendum instead.',
  takeBack: () => 'That cannot be put otherwise. Take it back, and do it again.',
  covered: ({ over }: { over: string }) =>
    `“${over}” was done over it since. A lead corrects it now, or the step is taken up again.`,
  ground: ({ why }: { why: string }) => `A later act depends on it (${why}) Take that back first.`,
  doneAfter: ({ step }: { step: string }) => `“${step}” was done after it.`,
})

/** Whether a role may do such a thing at all; else why not. */
function roleRefusal(entry: AnyEntry): Refusal | null {
  const act = actOf(entry)
  if (!act) return refusals.unknownKind()
  return act.by.includes(entry.role) ? null : refusals.role({ roles: rolesWords(act.by) })
}

/**
 * Whether an entry that makes no sense where it has come to stand made sense to whoever made it, in the ledger as they had
 * seen it: then it is taken, and flagged by the fold. A signature is given to what is there now.
 */
function madeSenseThen(opened: Plan, { entries }: Folded, entry: AnyEntry): boolean {
  const act = actOf(entry)
  if (entry.seen === undefined || !act || act.neverLate || act.signature) return false
  const known = entries.filter(one => hadSeen(entry, one))
  return known.length < entries.length && ownRefusal(opened, stateThen(opened, known), entry) === null
}

/** The ledger as it was last seen by somebody, by the plan of its job: what comes with one press was seen together. */
const THEN = new WeakMap<Plan, Folded>()

function stateThen(opened: Plan, known: readonly AnyEntry[]): JobState {
  const before = THEN.get(opened) ?? emptyFold()
  const isMore = before.entries.length <= known.length && before.entries.every((one, i) => one === known[i])
  const then = isMore
    ? extend(opened, before, known.slice(before.entries.length))
    : { entries: known, state: fold(opened, known) }
  THEN.set(opened, then)
  return then.state
}

/** What of an entry can be judged by itself: whether this role may do such a thing, whether it makes sense, what hinders it. */
function ownRefusal(opened: Plan, state: JobState, entry: AnyEntry): Refusal | null {
  const plan = planIn(opened, state)
  return roleRefusal(entry) ?? senseOf(plan, state, entry) ?? hinderedRefusal(plan, state, entry)
}

/** What hinders an entry that makes sense, as it arrives live. */
function hinderedRefusal(plan: Plan, state: JobState, entry: AnyEntry): Refusal | null {
  const act = actOf(entry)!
  // What was done late counts where the parts allow it; the fold keeps what it went past as debts.
  if (clockOf(entry) === 'late' && !act.neverLate) return null
  return together(act.live?.(atHand(plan, state), entry) ?? [])
}

/**
 * Whether an entry is given with a PIN: a signature, and a correction of what somebody else did. `entries` are those before
 * it.
 */
export const wantsPin = (entries: () => readonly AnyEntry[], entry: AnyEntry): boolean =>
  Boolean(actOf(entry)?.signature) ||
  (isKind(entry, 'entry.corrected') &&
    entries().some(one => one.id === entry.payload.target && one.madeBy !== entry.madeBy))

/**
 * Whether an entry may join the ledger as it arrives: null, or why not. Beside its own sense, what
 * hinders it where it stands, and who may do it; a correction is judged in the past it reaches back to.
 */
export function refusalOf(plan: Plan, folded: Folded, entry: AnyEntry): Refusal | null {
  const now = planIn(plan, folded.state)
  const refused = roleRefusal(entry)
  if (refused) return refused
  const nonsense = senseOf(now, folded.state, entry)
  if (nonsense) return madeSenseThen(plan, folded, entry) ? null : nonsense
  return (
    hinderedRefusal(now, folded.state, entry) ??
    (isKind(entry, 'entry.corrected') ? correctionRefusal(plan, folded, entry) : null)
  )
}

/**
 * A correction is an entry like any other: its replacement keeps the kind, is judged in the state before what it
 * corrects by the role of whoever corrects, and nothing later may lose its ground.
 */
function correctionRefusal(plan: Plan, folded: Folded, entry: Entry<'entry.corrected'>): Refusal | null {
  const own = claimRefusal(folded.entries, standingIn(folded.entries), entry) ?? coveredRefusal(plan, folded, entry)
  if (own) return own
  const { replacement } = entry.payload
  const corrected = [...folded.entries, entry as AnyEntry]
  const after = readLedger(corrected).counted
  const at = after.findIndex(one => one.id === entry.id)
  if (replacement && at >= 0) {
    const past = ownRefusal(plan, foldCounted(plan, after.slice(0, at)), after[at]!)
    if (past) return past
  }
  return groundRefusal(plan, folded.state, extend(plan, folded, [entry as AnyEntry]).state)
}

/** Entries of a ledger that stand: acts that count, and corrections in force. */
function standingIn(entries: readonly AnyEntry[]): ReadonlySet<string> {
  const { counted, inForce } = readLedger(entries)
  return new Set([...counted.map(one => one.id), ...inForce.keys()])
}

/** Why an entry may not be corrected at all by whoever would, or not in that way. */
function claimRefusal(
  entries: readonly AnyEntry[],
  standing: ReadonlySet<string>,
  { payload: { target: id, why, replacement }, madeBy, role }: Entry<'entry.corrected'>,
): Refusal | null {
  if (!why.trim()) return refusals.why()
  const target = entries.find(one => one.id === id)
  if (!target) return refusals.notHere()
  if (!standing.has(id)) return refusals.corrected()
  if (target.madeBy !== madeBy && role !== 'lead') return refusals.notYours()
  const root = rootOf(entries, id)!
  const { corrected: allowed = 'never', instead = refusals.stands() } = actOf(root) ?? {}
  if (allowed === 'never') return instead
  return replacement && allowed === 'take back' ? refusals.takeBack() : null
}

/** Entries that say how something stands, went in or reads: where that is covered, putting them otherwise is a lead's. */
const ANSWERS: readonly AnyEntry['kind'][] = [
  'mate.answered',
  'pieces.counted',
  'lubricant.applied',
  'joint.locked',
  'reading.taken',
  'part.looked',
]

/** Why what was said of something that lies under other work by now is not put otherwise by a fitter: it cannot be seen any more. */
function coveredRefusal(opened: Plan, { entries, state }: Folded, by: Entry<'entry.corrected'>): Refusal | null {
  const root = by.role === 'lead' ? undefined : rootOf(entries, by.payload.target)
  if (!root || !ANSWERS.includes(root.kind)) return null
  const plan = planIn(opened, state)
  const covered = coveredAt(plan, state, root.payload)
  return covered && refusals.covered({ over: covered.over.title })
}

/**
 * Corrections that come together, judged together: the ledger is read once with all of them in it, and each replacement is
 * judged in the past it reaches back to. Null where one of them may not be, or bears on another of them.
 */
function correctedTogether(plan: Plan, folded: Folded, run: readonly Entry<'entry.corrected'>[]): Folded | null {
  const standing = new Set(standingIn(folded.entries))
  for (const one of run) {
    const refused =
      ownRefusal(plan, folded.state, one as AnyEntry) ??
      claimRefusal(folded.entries, standing, one) ??
      coveredRefusal(plan, folded, one)
    if (refused) return null
    standing.delete(one.payload.target)
  }
  const entries = [...folded.entries, ...(run as readonly AnyEntry[])]
  const replacing = new Set(run.flatMap(one => (one.payload.replacement ? one.id : [])))
  let isRefused = false
  const state = foldCounted(plan, readLedger(entries).counted, (then, entry) => {
    if (!isRefused && replacing.has(entry.id)) isRefused = ownRefusal(plan, then, entry) !== null
  })
  return isRefused || groundRefusal(plan, folded.state, state) ? null : { entries, state }
}

/**
 * Takes entries in as they arrive, one after the other, corrections that follow on one another together: the ledger with
 * all of them, or the first that may not come in and why. Nothing is changed.
 */
export function takeIn(
  plan: Plan,
  folded: Folded,
  entries: readonly AnyEntry[],
): { ok: true; folded: Folded } | { ok: false; entry: AnyEntry; why: Refusal } {
  let now = folded
  for (let from = 0, alone = 0; from < entries.length;) {
    let to = from
    while (to < entries.length && isKind(entries[to]!, 'entry.corrected')) to++
    const run = entries.slice(from, to) as Entry<'entry.corrected'>[]
    const together = to > from && from >= alone ? correctedTogether(plan, now, run) : null
    if (together) {
      now = together
      from = to
      continue
    }
    // Of those that may not come in together, the first that may not is found one by one.
    alone = Math.max(alone, to)
    const entry = entries[from]!
    const why = refusalOf(plan, now, entry)
    if (why) return { ok: false, entry, why }
    now = extend(plan, now, [entry])
    from++
  }
  return { ok: true, folded: now }
}

/** What lost its ground between two states: acts that made sense and no longer do, steps whose needs are gone. */
function groundRefusal(opened: Plan, before: JobState, after: JobState): Refusal | null {
  const flagged = new Set(before.flags.map(one => one.entry))
  const broken = after.flags.find(one => !flagged.has(one.entry))
  const bare = (state: JobState) => {
    const plan = planIn(opened, state)
    return plan.sheet.steps.filter(step => state.steps.has(step.id) && unmetNeeds(plan, state, step).length)
  }
  const known = new Set(bare(before).map(step => step.id))
  const lost = bare(after).find(step => !known.has(step.id))
  const why = broken?.why ?? (lost ? refusals.doneAfter({ step: lost.title }) : null)
  return why && refusals.ground({ why: sentenceOf(why) })
}
