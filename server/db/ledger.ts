import { and, asc, eq, gt, sql } from 'drizzle-orm'
import { payloadFitting } from '../../shared/schemas.ts'
import type { AppendAnswer, Person, SentEntry, SignedInPerson } from '../../shared/answers.ts'
import {
  ACTS,
  competenceWords,
  emptyFold,
  extend,
  isKind,
  isSameCompetence,
  isSameGround,
  rolesWords,
  rootOf,
  takeIn,
  type ActKind,
  type AnyEntry,
  type JobState,
} from '../../core/job/index.ts'
import type { Database, Transaction } from './client.ts'
import { everybody, isOnlyLead } from './people.ts'
import { FoldedJobs, projectionOf, type Kept } from './folded.ts'
import { writeEquipmentState, writeProjections } from './projections.ts'
import { turns } from './turns.ts'
import { entry, job } from './schema.ts'
import { planOf } from './sheets.ts'

type RefusalStatus = 400 | 403 | 404 | 409 | 422

export type Appended =
  ({ kept: true } & AppendAnswer) | { kept: false; status: RefusalStatus; why: string; entry: string | null }

/** Thrown inside the transaction to roll the whole batch back; caught where it started. */
class Refused extends Error {
  constructor(
    readonly status: RefusalStatus,
    readonly why: string,
    readonly entry: string | null,
  ) {
    super(why)
  }
}

type EntryRow = typeof entry.$inferSelect

const iso = (text: string) => new Date(text).toISOString()

const asEntry = ({ id, kind, payload, act, madeBy, role, madeAt, receivedAt, seq, vouchedBy }: EntryRow) =>
  ({
    ...{ id, kind, payload, act, madeBy, role, madeAt: iso(madeAt), receivedAt: iso(receivedAt), seq },
    ...(vouchedBy ? { vouchedBy } : {}),
  }) as AnyEntry

export async function entriesAfter(db: Database | Transaction, jobId: string, seq: number): Promise<AnyEntry[]> {
  const rows = await db
    .select()
    .from(entry)
    .where(and(eq(entry.jobId, jobId), gt(entry.seq, seq)))
    .orderBy(asc(entry.seq))
  return rows.map(asEntry)
}

/** Two ledgers may hold the same act in another key order; PostgreSQL keeps jsonb keys in its own. */
const sameJson = (a: unknown, b: unknown): boolean => JSON.stringify(sorted(a)) === JSON.stringify(sorted(b))
const sorted = (value: unknown): unknown =>
  Array.isArray(value)
    ? value.map(sorted)
    : value && typeof value === 'object'
      ? Object.fromEntries(
          Object.entries(value)
            .filter(([, one]) => one !== undefined)
            .sort(([a], [b]) => (a < b ? -1 : 1))
            .map(([key, one]) => [key, sorted(one)]),
        )
      : value

/** When entries arrive: the server's clock; a past that is loaded arrives when it was made. */
export type Arrival = (one: SentEntry) => string
const now: Arrival = () => new Date().toISOString()

/** What of an entry can be refused before the ledger is asked: a role, or a replacement that does not fit its kind. */
function checked(entries: () => readonly AnyEntry[], one: SentEntry, by: Person): SentEntry {
  const act = ACTS[one.kind]
  if (!act.by.includes(by.role))
    throw new Refused(403, `This is done by ${rolesWords(act.by)}. Ask one to do it.`, one.id)
  if (one.kind !== 'entry.corrected') return one
  const correction = one as SentEntry & { payload: { target: string; replacement?: unknown } }
  const { replacement } = correction.payload
  const root = replacement ? rootOf(entries(), correction.payload.target) : undefined
  if (!replacement || !root) return one
  const fits = payloadFitting(root.kind, replacement)
  if ('why' in fits) throw new Refused(422, fits.why, one.id)
  return { ...correction, payload: { ...correction.payload, replacement: fits.payload } }
}

/**
 * Who did what is sent: whoever is signed in, or, where they lead and say so, somebody they vouch for. What another did
 * is never taken for an act of whoever happens to be signed in.
 */
async function doersOf(tx: Transaction, by: Person, fresh: SentEntry[]): Promise<(one: SentEntry) => Person> {
  const others = fresh.filter(one => one.by && one.by !== by.id)
  if (!others.length) return () => by
  const people = new Map((await everybody(tx)).map(one => [one.id, one]))
  for (const one of others) {
    const who = people.get(one.by!)
    if (!who) throw new Refused(422, 'There is nobody of that name here. Reload the page.', one.id)
    if (!one.vouched) throw new Refused(409, `${who.name} did that. They sign in, or a lead vouches for it.`, one.id)
    if (by.role !== 'lead') throw new Refused(403, `Only a lead vouches for what ${who.name} did.`, one.id)
    if (ACTS[one.kind].signature)
      throw new Refused(403, `A signature is given with one’s own PIN: ${who.name} signs it.`, one.id)
  }
  return one => (one.by && people.get(one.by)) || by
}

/** What an entry says of whoever is signed in is looked up: a paper by their name, or that nobody else leads. */
async function checkClaims(tx: Transaction, by: SignedInPerson, fresh: SentEntry[]): Promise<void> {
  for (const one of fresh)
    for (const claim of (ACTS[one.kind] as ActKind<unknown>).claims?.(one.payload) ?? [])
      if ('competence' in claim) {
        const { competence } = claim
        if (!by.competences.some(held => isSameCompetence(held, competence)))
          throw new Refused(
            403,
            `“${competenceWords(competence)}” does not stand by your name. A lead writes it down under People; sign in again then.`,
            one.id,
          )
      } else if (!(await isOnlyLead(tx, by.id)))
        throw new Refused(403, 'There is another lead here: they sign it, or concede it.', one.id)
}

/** What an append came to, and the job as it stands by it once that is committed. */
interface Written {
  answer: Extract<Appended, { kept: true }>
  kept: Kept
}

/** What an append needs of its job, with the row locked until the end of the transaction. */
async function lockedJob(tx: Transaction, id: string): Promise<LockedJob | undefined> {
  const [row] = await tx.execute<LockedJob & Record<string, unknown>>(sql`
    select id, equipment_tag as "equipmentTag", sheet_id as "sheetId", sheet_version as "sheetVersion", variants,
           signed_at as "signedAt", cancelled_at as "cancelledAt", last_seq as "lastSeq"
    from job where id = ${id} for update`)
  return row
}
type LockedJob = Pick<
  typeof job.$inferSelect,
  'id' | 'equipmentTag' | 'sheetId' | 'sheetVersion' | 'variants' | 'signedAt' | 'cancelledAt' | 'lastSeq'
>

/** Adds entries to a ledger, moves its job on, and says so to whoever listens: one statement, one way there and back. */
function addEntries(tx: Transaction, jobId: string, entries: readonly AnyEntry[], state: JobState) {
  const rows = entries.map(one => ({
    ...{ id: one.id, seq: one.seq, kind: one.kind, payload: one.payload, act: one.act, role: one.role },
    ...{ made_by: one.madeBy, made_at: one.madeAt, received_at: one.receivedAt, vouched_by: one.vouchedBy ?? null },
    corrects: isKind(one, 'entry.corrected') ? one.payload.target : null,
  }))
  const seq = entries.at(-1)!.seq!
  return tx.execute(sql`
    with added as (
      insert into entry (job_id, id, seq, kind, payload, act, made_by, role, made_at, received_at, corrects, vouched_by)
      select ${jobId}::uuid, id, seq, kind, payload, act, made_by, role, made_at, received_at, corrects, vouched_by
      from jsonb_to_recordset(${JSON.stringify(rows)}::jsonb) as sent (
        id uuid, seq integer, kind text, payload jsonb, act uuid, made_by uuid, role role, made_at timestamptz,
        received_at timestamptz, corrects uuid, vouched_by uuid)
    ), moved as (
      update job set last_seq = ${seq}, signed_at = ${state.signed?.at ?? null}::timestamptz,
                     cancelled_at = ${state.cancelled?.at ?? null}::timestamptz
      where id = ${jobId}
    )
    select pg_notify('job_changed', ${`${jobId} ${seq}`})`)
}

/** What of this was sent before, by its number. */
function knownAmong(entries: readonly AnyEntry[], fresh: readonly SentEntry[]): Map<string, AnyEntry> {
  const ids = new Set(fresh.map(one => one.id))
  return new Map(entries.filter(one => ids.has(one.id)).map(one => [one.id, one]))
}

/** Appends entries inside a transaction; see {@link append}. */
async function write(
  tx: Transaction,
  jobId: string,
  by: SignedInPerson,
  fresh: SentEntry[],
  arrival: Arrival,
  jobs: FoldedJobs,
): Promise<Written> {
  const row = await lockedJob(tx, jobId)
  if (!row)
    throw new Refused(404, 'There is no such job. It may belong to another site; go back to the bench list.', null)
  const plan = await planOf(tx, row)
  const before = await jobs.at(row, plan, after => entriesAfter(tx, jobId, after))
  const doerOf = await doersOf(tx, by, fresh)
  await checkClaims(tx, by, fresh)
  const known = knownAmong(before.folded.entries, fresh)
  const candidates: AnyEntry[] = []
  const answers = fresh.map(sent => {
    const doer = doerOf(sent)
    const one = checked(() => [...before.folded.entries, ...candidates], sent, doer)
    const first = known.get(one.id)
    if (first) {
      if (first.kind !== one.kind || first.madeBy !== doer.id || !sameJson(first.payload, one.payload))
        throw new Refused(409, TAKEN, one.id)
      return { id: one.id, seq: first.seq!, receivedAt: first.receivedAt! }
    }
    const { id, kind, payload, act } = one
    const [seq, receivedAt] = [before.seq + candidates.length + 1, arrival(one)]
    // As it will be read again from its row.
    const candidate = {
      ...{ id, kind, payload, act, madeBy: doer.id, role: doer.role, madeAt: iso(one.madeAt), receivedAt, seq },
      ...(doer.id === by.id ? {} : { vouchedBy: by.id }),
    } as AnyEntry
    candidates.push(candidate)
    known.set(id, candidate)
    return { id, seq, receivedAt }
  })
  const seq = before.seq + candidates.length
  const answer = { kept: true as const, entries: answers, lastSeq: seq }
  if (!candidates.length) return { answer, kept: before }
  const taken = takeIn(plan, before.folded, candidates)
  if (!taken.ok) throw new Refused(422, taken.why, taken.entry.id)
  const { folded } = taken
  const isSame = isSameGround(before.folded.state, folded.state)
  const after = { plan, folded, seq, projected: (isSame && before.projected) || projectionOf({ plan, folded }) }
  // Sent together, one after the other on the wire.
  await Promise.all([
    addEntries(tx, jobId, candidates, folded.state),
    ...writeProjections(tx, row, before.projected, after.projected),
  ])
  await writeEquipmentState(tx, row, before.projected, after.projected, folded.state)
  return { answer, kept: after }
}

/** Appends entries inside a transaction of somebody else's: what is not committed yet is kept nowhere. */
export const appendIn = async (
  tx: Transaction,
  jobId: string,
  by: SignedInPerson,
  fresh: SentEntry[],
): Promise<Extract<Appended, { kept: true }>> => (await write(tx, jobId, by, fresh, now, new FoldedJobs())).answer

const TAKEN = 'That entry number is taken by another act. Reload the job and do the act again.'

const isDoubled = (error: unknown): boolean => {
  const { code, cause } = error as { code?: string; cause?: unknown }
  return code === '23505' || (cause !== undefined && isDoubled(cause))
}

/** The jobs of this process. */
const OWN = new FoldedJobs()

/** One after the other for each job: who waits for another holds no connection meanwhile. */
const inTurn = turns()

/**
 * Appends one or many entries to a job's ledger, all or none, in one transaction with the projections.
 * An entry sent again by the same person is answered as the first time and not added twice.
 */
export async function append(
  db: Database | Transaction,
  jobId: string,
  by: SignedInPerson,
  fresh: SentEntry[],
  arrival: Arrival = now,
  jobs = OWN,
): Promise<Appended> {
  const attempt = () => db.transaction(tx => write(tx, jobId, by, fresh, arrival, jobs))
  return inTurn(jobId, async () => {
    try {
      // Sent to two jobs at once, the same number may be written by the other while this one looked.
      const { answer, kept } = await attempt().catch(async error => {
        if (!isDoubled(error)) throw error
        jobs.forget(jobId)
        return attempt()
      })
      jobs.remember(jobId, kept)
      return answer
    } catch (error) {
      if (error instanceof Refused) return { kept: false, status: error.status, why: error.why, entry: error.entry }
      if (isDoubled(error)) return { kept: false, status: 409, why: TAKEN, entry: null }
      throw error
    }
  })
}

/** Makes every projection anew from the ledger, job by job under the lock an append takes: safe while serving. */
export async function rebuildProjections(db: Database): Promise<{ jobs: number; entries: number }> {
  const all = await db.select({ id: job.id }).from(job).orderBy(asc(job.number))
  let entries = 0
  for (const { id } of all) {
    await db.transaction(async tx => {
      const [row] = await tx.select().from(job).where(eq(job.id, id)).for('update')
      const plan = await planOf(tx, row!)
      const ledger = await entriesAfter(tx, id, 0)
      entries += ledger.length
      const folded = extend(plan, emptyFold(), ledger)
      const now = projectionOf({ plan, folded })
      const { signed, cancelled } = folded.state
      await Promise.all([
        tx
          .update(job)
          .set({ signedAt: signed?.at ?? null, cancelledAt: cancelled?.at ?? null })
          .where(eq(job.id, id)),
        ...writeProjections(tx, row!, null, now),
      ])
      await writeEquipmentState(tx, row!, null, now, folded.state)
    })
  }
  return { jobs: all.length, entries }
}
