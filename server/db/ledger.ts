import { and, asc, eq, gt, inArray, sql } from 'drizzle-orm'
import {
  emptyFold,
  extend,
  fold,
  isKind,
  refusalOf,
  type AnyEntry,
  type EntryKind,
  type Folded,
} from '../../core/job/index.ts'
import type { Database, Transaction } from './client.ts'
import type { Person } from './people.ts'
import { writeProjections } from './projections.ts'
import { entry, job } from './schema.ts'
import { planOf } from './sheets.ts'

export interface NewEntry {
  id: string
  kind: EntryKind
  payload: unknown
  madeAt: string
}

export type Appended =
  | { kept: true; entries: { id: string; seq: number }[]; lastSeq: number }
  | { kept: false; status: 404 | 409 | 422; why: string; entry: string | null }

/** Thrown inside the transaction to roll the whole batch back; caught where it started. */
class Refused extends Error {
  constructor(
    readonly status: 404 | 409 | 422,
    readonly why: string,
    readonly entry: string | null,
  ) {
    super(why)
  }
}

type EntryRow = typeof entry.$inferSelect

const asEntry = ({ id, kind, payload, madeBy, role, madeAt, seq }: EntryRow) =>
  ({ id, kind, payload, madeBy, role, madeAt: new Date(madeAt).toISOString(), seq }) as AnyEntry

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

/** Appends entries inside a transaction; see {@link append}. */
export async function appendIn(
  tx: Transaction,
  jobId: string,
  by: Person,
  fresh: NewEntry[],
): Promise<Extract<Appended, { kept: true }>> {
  const [row] = await tx.select().from(job).where(eq(job.id, jobId)).for('update')
  if (!row)
    throw new Refused(404, 'There is no such job. It may belong to another site; go back to the bench list.', null)
  const known = new Map(
    (
      await tx
        .select()
        .from(entry)
        .where(
          inArray(
            entry.id,
            fresh.map(one => one.id),
          ),
        )
    ).map(one => [one.id, one]),
  )
  const plan = await planOf(tx, row)
  const before = await entriesAfter(tx, jobId, 0)
  let folded: Folded = { entries: before, state: fold(plan, before) }
  let seq = row.lastSeq
  const rows: (typeof entry.$inferInsert)[] = []
  const answers = fresh.map(one => {
    const first = known.get(one.id)
    if (first) {
      if (first.jobId !== jobId || first.kind !== one.kind || !sameJson(first.payload, one.payload))
        throw new Refused(
          409,
          'That entry number is taken by another act. Reload the job and do the act again.',
          one.id,
        )
      return { id: one.id, seq: first.seq }
    }
    const candidate = { ...one, madeBy: by.id, role: by.role, seq: seq + 1 } as AnyEntry
    const why = refusalOf(plan, folded, candidate)
    if (why) throw new Refused(422, why, one.id)
    seq += 1
    folded = extend(plan, folded, [candidate])
    rows.push({
      id: one.id,
      jobId,
      seq,
      kind: one.kind,
      payload: one.payload,
      madeBy: by.id,
      role: by.role,
      madeAt: one.madeAt,
      corrects: isKind(candidate, 'entry.corrected') ? candidate.payload.target : null,
    })
    return { id: one.id, seq }
  })
  if (rows.length) {
    await tx.insert(entry).values(rows)
    await tx.update(job).set({ lastSeq: seq }).where(eq(job.id, jobId))
    await writeProjections(tx, row, plan, folded.state)
    await tx.execute(sql`select pg_notify('job_changed', ${`${jobId} ${seq}`})`)
  }
  return { kept: true, entries: answers, lastSeq: seq }
}

/**
 * Appends one or many entries to a job's ledger, all or none, in one transaction with the projections.
 * An entry sent again is answered as the first time and not added twice.
 */
export async function append(
  db: Database | Transaction,
  jobId: string,
  by: Person,
  fresh: NewEntry[],
): Promise<Appended> {
  try {
    return await db.transaction(tx => appendIn(tx, jobId, by, fresh))
  } catch (error) {
    if (error instanceof Refused) return { kept: false, status: error.status, why: error.why, entry: error.entry }
    throw error
  }
}

/** Makes every projection anew from the ledger. */
export async function rebuildProjections(db: Database): Promise<number> {
  const jobs = await db.select().from(job).orderBy(asc(job.number))
  for (const row of jobs) {
    await db.transaction(async tx => {
      const plan = await planOf(tx, row)
      const { state } = extend(plan, emptyFold(), await entriesAfter(tx, row.id, 0))
      await writeProjections(tx, row, plan, state)
    })
  }
  return jobs.length
}
