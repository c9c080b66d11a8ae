import { and, asc, eq, gt, sql } from 'drizzle-orm'
import { isKind, type AnyEntry, type JobState } from '../../core/job/index.ts'
import type { Database, Transaction } from './client.ts'
import { entry, type job } from './schema.ts'

type EntryRow = typeof entry.$inferSelect

/** A moment as it is read again from its row. */
export const iso = (text: string) => new Date(text).toISOString()

const asEntry = ({ id, kind, payload, act, madeBy, role, madeAt, receivedAt, seq, ...more }: EntryRow) => {
  const { vouchedBy, seen, tablet, clockBehindMs: behindMs, clockMeasuredAt: measuredAt } = more
  return {
    ...{ id, kind, payload, act, madeBy, role, madeAt: iso(madeAt), receivedAt: iso(receivedAt), seq },
    ...(vouchedBy ? { vouchedBy } : {}),
    ...(seen === null ? {} : { seen }),
    ...(tablet ? { tablet } : {}),
    ...(behindMs !== null && measuredAt ? { clock: { behindMs, measuredAt: iso(measuredAt) } } : {}),
  } as AnyEntry
}

export async function entriesAfter(db: Database | Transaction, jobId: string, seq: number): Promise<AnyEntry[]> {
  const rows = await db
    .select()
    .from(entry)
    .where(and(eq(entry.jobId, jobId), gt(entry.seq, seq)))
    .orderBy(asc(entry.seq))
  return rows.map(asEntry)
}

/** What an append needs of its job, with the row locked until the end of the transaction. */
export async function lockedJob(tx: Transaction, id: string): Promise<LockedJob | undefined> {
  const [row] = await tx.execute<LockedJob & Record<string, unknown>>(sql`
    select id, number, equipment_tag as "equipmentTag", sheet_id as "sheetId", sheet_version as "sheetVersion", variants,
           signed_at as "signedAt", cancelled_at as "cancelledAt", last_seq as "lastSeq"
    from job where id = ${id} for update`)
  return row
}
export type LockedJob = Pick<
  typeof job.$inferSelect,
  'id' | 'number' | 'equipmentTag' | 'sheetId' | 'sheetVersion' | 'variants' | 'signedAt' | 'cancelledAt' | 'lastSeq'
>

/** Entries as rows, in one parameter. */
const rowsOf = (entries: readonly AnyEntry[]) =>
  JSON.stringify(
    entries.map(one => ({
      ...{ id: one.id, seq: one.seq, kind: one.kind, payload: one.payload, act: one.act, role: one.role },
      ...{ made_by: one.madeBy, made_at: one.madeAt, received_at: one.receivedAt, vouched_by: one.vouchedBy ?? null },
      corrects: isKind(one, 'entry.corrected') ? one.payload.target : null,
      ...{ seen: one.seen ?? null, tablet: one.tablet ?? null },
      ...{ clock_behind_ms: one.clock?.behindMs ?? null, clock_measured_at: one.clock?.measuredAt ?? null },
    })),
  )

const INTO = sql`
  insert into entry (job_id, id, seq, kind, payload, act, made_by, role, made_at, received_at, corrects, vouched_by,
                     seen, tablet, clock_behind_ms, clock_measured_at)
  select moved.id, sent.id, sent.seq, sent.kind, sent.payload, sent.act, sent.made_by, sent.role, sent.made_at,
         sent.received_at, sent.corrects, sent.vouched_by, sent.seen, sent.tablet, sent.clock_behind_ms,
         sent.clock_measured_at`
const SENT = sql`(
  id uuid, seq integer, kind text, payload jsonb, act uuid, made_by uuid, role role, made_at timestamptz,
  received_at timestamptz, corrects uuid, vouched_by uuid, seen integer, tablet uuid, clock_behind_ms integer,
  clock_measured_at timestamptz)`

/** What the database passes on in one message stays under this, bytes. */
const MESSAGE = 8000

/** That a ledger has grown, as it is told to every process: with what it grew by, where that is short enough to pass on. */
function grownBy(jobId: string, entries: readonly AnyEntry[]): string {
  const grown = { job: jobId, seq: entries.at(-1)!.seq! }
  const whole = JSON.stringify({ ...grown, entries })
  return Buffer.byteLength(whole) < MESSAGE ? whole : JSON.stringify(grown)
}

/** Whether a job is closed, and how. */
export type Closed = Pick<JobState, 'signed' | 'cancelled'>

/** Adds entries to a ledger, moves its job on, and says so to whoever listens: one statement, one way there and back. */
export function addEntries(tx: Transaction, jobId: string, entries: readonly AnyEntry[], closed: Closed) {
  const seq = entries.at(-1)!.seq!
  return tx.execute(sql`
    with moved as (
      update job set last_seq = ${seq}, signed_at = ${closed.signed?.at ?? null}::timestamptz,
                     cancelled_at = ${closed.cancelled?.at ?? null}::timestamptz
      where id = ${jobId}
      returning id
    ), added as (${INTO} from moved, jsonb_to_recordset(${rowsOf(entries)}::jsonb) as sent ${SENT})
    select pg_notify('job_changed', ${grownBy(jobId, entries)})`)
}

/**
 * The same without a transaction around it, where nothing else is to be written: only if the ledger still ends with the
 * entry that is thought to be its last. Whether it was added; the update takes the row's lock and looks again under it.
 */
export async function addIfLastIs(
  db: Database,
  jobId: string,
  last: Pick<AnyEntry, 'id' | 'seq'>,
  entries: readonly AnyEntry[],
): Promise<boolean> {
  const seq = entries.at(-1)!.seq!
  const told = await db.execute(sql`
    with moved as (
      update job set last_seq = ${seq}
      where id = ${jobId} and last_seq = ${last.seq}
        and exists (select from entry where entry.job_id = ${jobId} and entry.seq = ${last.seq} and entry.id = ${last.id})
      returning id
    ), added as (${INTO} from moved, jsonb_to_recordset(${rowsOf(entries)}::jsonb) as sent ${SENT})
    select pg_notify('job_changed', ${grownBy(jobId, entries)}) from moved`)
  return told.length > 0
}
