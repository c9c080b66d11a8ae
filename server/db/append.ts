import type { AppendAnswer, Person, RefusedAnswer, SentEntry, SignedInPerson } from '../../shared/answers.ts'
import { ACTS, isSameGround, takeIn, wantsPin, type AnyEntry } from '../../core/job/index.ts'
import { refusalsAbout } from '../../core/refusal.ts'
import { sorted } from './canonical.ts'
import { checkClaims, checked, doersOf, isPlain, Refused, type RefusalStatus } from './claims.ts'
import type { Database, Transaction } from './client.ts'
import { FoldedJobs, JOBS, projectionOf, type Kept } from './folded.ts'
import { wordToParent } from './parent.ts'
import { addEntries, addIfLastIs, entriesAfter, iso, lockedJob } from './ledger.ts'
import { writeEquipmentState, writeProjections } from './projections.ts'
import { planOf } from './sheets.ts'
import { within } from '../live/turns.ts'

export type Appended = ({ kept: true } & AppendAnswer) | ({ kept: false; status: RefusalStatus } & RefusedAnswer)

/** Two ledgers may hold the same act in another key order. */
const sameJson = (a: unknown, b: unknown): boolean => JSON.stringify(sorted(a)) === JSON.stringify(sorted(b))

const refusals = refusalsAbout('sent', {
  taken: () => 'That entry number is taken by another act. Reload the job and do the act again.',
  ownOnly: () => 'That is written by the server itself, when the job it tells of is opened, signed or cancelled.',
  pin: () => 'That is given with a PIN: whoever signs it gives theirs.',
  noJob: () => 'There is no such job. It may belong to another site; go back to the bench list.',
})

/** How entries arrive: when, and whether whoever sends them has just given their PIN. */
export interface Arrival {
  /** The server's clock; a past that is loaded arrives when it was made. */
  at: (one: SentEntry) => string
  signed: boolean
  /** Written by the server itself, which alone writes some kinds. */
  isOwn?: true
}
const now = () => new Date().toISOString()
export const PLAIN: Arrival = { at: now, signed: false }
export const SIGNED: Arrival = { at: now, signed: true }
export const OWN: Arrival = { at: now, signed: true, isOwn: true }

/** What of this was sent before, by its number. */
function knownAmong(entries: readonly AnyEntry[], fresh: readonly SentEntry[]): Map<string, AnyEntry> {
  const ids = new Set(fresh.map(one => one.id))
  return new Map(entries.filter(one => ids.has(one.id)).map(one => [one.id, one]))
}

/** What is sent on top of a ledger, judged; nothing of it is written yet. */
interface Judged {
  before: Kept
  fresh: AnyEntry[]
  answer: Extract<Appended, { kept: true }>
  /** The job as it stands once that is committed. */
  after: Kept
}

/** Judges what is sent. Throws {@link Refused} with the first thing that is wrong with it. */
function judge(
  before: Kept,
  sent: SentEntry[],
  by: Person,
  doerOf: (one: SentEntry) => Person,
  arrival: Arrival,
): Judged {
  const { plan } = before
  const known = knownAmong(before.folded.entries, sent)
  const fresh: AnyEntry[] = []
  const answers = sent.map(raw => {
    const doer = doerOf(raw)
    if (ACTS[raw.kind].serverOnly && !arrival.isOwn) throw new Refused(403, refusals.ownOnly(), raw.id)
    const one = checked(() => [...before.folded.entries, ...fresh], raw, doer)
    const first = known.get(one.id)
    if (first) {
      if (first.kind !== one.kind || first.madeBy !== doer.id || !sameJson(first.payload, one.payload))
        throw new Refused(409, refusals.taken(), one.id)
      return { id: one.id, seq: first.seq!, receivedAt: first.receivedAt! }
    }
    const { id, kind, payload, act, seen, tablet, clock } = one
    const [seq, receivedAt] = [before.seq + fresh.length + 1, arrival.at(one)]
    // As it will be read again from its row.
    const candidate = {
      ...{ id, kind, payload, act, madeBy: doer.id, role: doer.role, madeAt: iso(one.madeAt), receivedAt, seq },
      ...(doer.id === by.id ? {} : { vouchedBy: by.id }),
      ...(seen === undefined ? {} : { seen }),
      ...(tablet === undefined ? {} : { tablet }),
      ...(clock ? { clock: { ...clock, measuredAt: iso(clock.measuredAt) } } : {}),
    } as AnyEntry
    if (!arrival.signed && wantsPin(() => [...before.folded.entries, ...fresh], candidate))
      throw new Refused(403, refusals.pin(), id)
    fresh.push(candidate)
    known.set(id, candidate)
    return { id, seq, receivedAt }
  })
  const seq = before.seq + fresh.length
  const answer = { kept: true as const, entries: answers, lastSeq: seq }
  if (!fresh.length) return { before, fresh, answer, after: before }
  const taken = takeIn(plan, before.folded, fresh)
  if (!taken.ok) throw new Refused(422, taken.why, taken.entry.id)
  const { folded } = taken
  const isSame = isSameGround(before.folded.state, folded.state)
  const projected = (isSame && before.projected) || projectionOf({ plan, folded })
  return { before, fresh, answer, after: { plan, folded, seq, projected } }
}

/** Appends entries inside a transaction, under the lock of their job; `ahead` is good where it was judged on what is there. */
async function write(
  tx: Transaction,
  jobId: string,
  by: SignedInPerson,
  sent: SentEntry[],
  arrival: Arrival,
  jobs: FoldedJobs,
  ahead: Judged | null,
): Promise<Judged> {
  const row = await lockedJob(tx, jobId)
  if (!row) throw new Refused(404, refusals.noJob(), null)
  const before = await jobs.at(row, await planOf(tx, row), after => entriesAfter(tx, jobId, after))
  const isGood = ahead?.before === before
  const doerOf = isGood ? null : await doersOf(tx, by, sent)
  if (doerOf) await checkClaims(tx, by, sent)
  const judged = doerOf ? judge(before, sent, by, doerOf, arrival) : ahead!
  const { fresh, after } = judged
  if (!fresh.length) return judged
  const { state } = after.folded
  // Sent together, one after the other on the wire.
  await Promise.all([
    addEntries(tx, jobId, fresh, state),
    ...writeProjections(tx, row, before.projected, after.projected!),
  ])
  await writeEquipmentState(tx, row, after.plan, before.projected, after.projected!, state)
  const word = wordToParent(jobId, after.folded.entries, fresh, after.plan, state)
  // What its parent has no place for any more is not said: it was signed or cancelled since, or the part is another.
  if (word)
    await write(tx, word.parent, by, [word.entry], OWN, jobs, null).catch(error => {
      if (!(error instanceof Refused)) throw error
    })
  return judged
}

/** Appends entries inside a transaction of somebody else's: what is not committed yet is kept nowhere. */
export const appendIn = async (
  tx: Transaction,
  jobId: string,
  by: SignedInPerson,
  sent: SentEntry[],
  arrival = PLAIN,
): Promise<Extract<Appended, { kept: true }>> =>
  (await write(tx, jobId, by, sent, arrival, new FoldedJobs(), null)).answer

const isDoubled = (error: unknown): boolean => {
  const { code, cause } = error as { code?: string; cause?: unknown }
  return code === '23505' || (cause !== undefined && isDoubled(cause))
}

/** What is sent, judged on the job as it is kept here; null where that is not known or something has to be looked up first. */
function judgedAhead(jobs: FoldedJobs, jobId: string, by: SignedInPerson, sent: SentEntry[], arrival: Arrival) {
  const before = jobs.known(jobId)
  if (!before || !isPlain(by, sent)) return null
  try {
    return judge(before, sent, by, () => by, arrival)
  } catch (error) {
    // What is kept may be behind: it is refused under the lock, or not.
    if (error instanceof Refused) return null
    throw error
  }
}

/** Whether nothing but the ledger changes by it: neither what the fleet's tables hold nor whether the job is open. */
const isLedgerAlone = ({ before, fresh, after }: Judged): boolean => {
  const [was, is] = [before.folded.state, after.folded.state]
  return (
    fresh.length > 0 &&
    before.seq > 0 &&
    before.projected !== null &&
    before.projected === after.projected &&
    was.signed === is.signed &&
    was.cancelled === is.cancelled
  )
}

/** Longer than any statement may take: nobody's turn is kept from the others for ever. */
const LONGEST_MS = 20_000

/**
 * Appends one or many entries to a job's ledger, all or none, in one transaction with the projections.
 * An entry sent again by the same person is answered as the first time and not added twice.
 */
export async function append(
  db: Database,
  jobId: string,
  by: SignedInPerson,
  sent: SentEntry[],
  arrival = PLAIN,
  jobs = JOBS,
): Promise<Appended> {
  const attempt = () => within(LONGEST_MS, once())
  const once = async () => {
    const ahead = judgedAhead(jobs, jobId, by, sent, arrival)
    if (
      ahead &&
      isLedgerAlone(ahead) &&
      (await addIfLastIs(db, jobId, ahead.before.folded.entries.at(-1)!, ahead.fresh))
    )
      return ahead
    return db.transaction(tx => write(tx, jobId, by, sent, arrival, jobs, ahead))
  }
  try {
    // Sent to two jobs at once, the same number may be written by the other while this one looked.
    const { answer, after } = await attempt().catch(async error => {
      if (!isDoubled(error)) throw error
      jobs.forget(jobId)
      return attempt()
    })
    jobs.remember(jobId, after)
    return answer
  } catch (error) {
    if (error instanceof Refused)
      return { kept: false, status: error.status, refusal: error.refusal, entry: error.entry }
    if (isDoubled(error)) return { kept: false, status: 409, refusal: refusals.taken(), entry: null }
    throw error
  }
}
