import { and, asc, count, desc, eq, inArray, isNotNull, isNull, ne, notExists, sql } from 'drizzle-orm'
import { alias } from 'drizzle-orm/pg-core'
import { v7 as uuid } from 'uuid'
import { emptyFold, extend, planIn, standingOf, type Standing } from '../../core/job/index.ts'
import type { JobAnswer, OpenJob, PastJob, SignedInPerson, WorkedAnswer } from '../../shared/answers.ts'
import type { Database, Transaction } from './client.ts'
import { appendIn, entriesAfter } from './ledger.ts'
import { everybody } from './people.ts'
import { entry, equipment, job, reading } from './schema.ts'
import { newestSheet, planOf, sheetOf } from './sheets.ts'

export type JobRow = typeof job.$inferSelect

export async function findJob(db: Database | Transaction, id: string): Promise<JobRow | null> {
  const [row] = await db.select().from(job).where(eq(job.id, id))
  return row ?? null
}

/** What the bench of one job starts from, as it stands at one moment. */
export async function jobWithLedger(db: Database, id: string): Promise<(JobAnswer & { job: JobRow }) | null> {
  return db.transaction(
    async tx => {
      const row = await findJob(tx, id)
      if (!row) return null
      const [machine] = await tx.select().from(equipment).where(eq(equipment.tag, row.equipmentTag))
      return {
        job: row,
        equipment: machine!,
        sheet: await sheetOf(tx, row.sheetId, row.sheetVersion),
        entries: await entriesAfter(tx, id, 0),
        people: await everybody(tx),
        last: await lastFigures(tx, row),
      }
    },
    { isolationLevel: 'repeatable read', accessMode: 'read only' },
  )
}

/** The newest figure of every check, of the overhauls before this one. */
async function lastFigures(db: Database | Transaction, { id, equipmentTag }: JobRow): Promise<Record<string, number>> {
  const rows = await db
    .selectDistinctOn([reading.checkId], { check: reading.checkId, value: reading.value })
    .from(reading)
    .where(and(eq(reading.equipmentTag, equipmentTag), ne(reading.jobId, id), eq(reading.stands, true)))
    .orderBy(asc(reading.checkId), desc(reading.takenAt))
  return Object.fromEntries(rows.map(one => [one.check, one.value]))
}

export async function openJobs(db: Database): Promise<OpenJob[]> {
  const rows = await db
    .select({ job, name: equipment.name })
    .from(job)
    .innerJoin(equipment, eq(equipment.tag, job.equipmentTag))
    .where(and(isNull(job.signedAt), isNull(job.cancelledAt)))
    .orderBy(asc(job.number))
  const names = new Map((await everybody(db)).map(one => [one.id, one.name]))
  return Promise.all(
    rows.map(async ({ job: row, name }) => {
      const stands = await standingNow(db, row)
      return {
        id: row.id,
        number: row.number,
        tag: row.equipmentTag,
        name,
        complaint: row.complaint,
        openedAt: row.openedAt,
        entries: row.lastSeq,
        stands: { ...stands, lastBy: names.get(stands.lastBy) ?? 'somebody no longer here' },
      }
    }),
  )
}

/** What freed, brought home or explained something on machines of the same sheet, oftenest first; what was taken back left out. */
export async function workedFor(db: Database, { id, sheetId }: JobRow): Promise<WorkedAnswer[]> {
  const what = sql<string>`coalesce(${entry.payload} ->> 'method', ${entry.payload} ->> 'means')`
  const step = sql<string>`${entry.payload} ->> 'step'`
  const correction = alias(entry, 'correction')
  return db
    .select({ step, what, times: count() })
    .from(entry)
    .innerJoin(job, eq(job.id, entry.jobId))
    .where(
      and(
        eq(job.sheetId, sheetId),
        ne(job.id, id),
        inArray(entry.kind, ['part.lifted', 'step.done', 'trouble.cleared']),
        sql`${what} is not null`,
        notExists(db.select({ id: correction.id }).from(correction).where(eq(correction.corrects, entry.id))),
      ),
    )
    .groupBy(step, what)
    .orderBy(desc(count()))
    .limit(200)
}

/** Where jobs stood at a place in their ledger: it may be thrown away at any time, and never holds for a longer ledger. */
const stood = new Map<string, { seq: number; stands: Standing }>()
const MOST_KEPT = 500

async function standingNow(db: Database, row: JobRow): Promise<Standing> {
  const known = stood.get(row.id)
  if (known?.seq === row.lastSeq) return known.stands
  const plan = await planOf(db, row)
  const folded = extend(plan, emptyFold(), await entriesAfter(db, row.id, 0))
  const stands = standingOf(planIn(plan, folded.state), folded)
  if (stood.size >= MOST_KEPT) stood.clear()
  stood.set(row.id, { seq: row.lastSeq, stands })
  return stands
}

export async function pastJobs(db: Database, tag: string): Promise<PastJob[]> {
  const rows = await db
    .select({
      id: job.id,
      number: job.number,
      complaint: job.complaint,
      openedAt: job.openedAt,
      signedAt: job.signedAt,
      hoursAtOpen: job.hoursAtOpen,
    })
    .from(job)
    .where(and(eq(job.equipmentTag, tag), isNotNull(job.signedAt)))
    .orderBy(desc(job.number))
  return rows.map(row => ({ ...row, signedAt: row.signedAt! }))
}

export type Opening =
  { ok: true; id: string; number: number } | { ok: false; status: 404 | 409; why: string; job?: string }

/** Opens a job on a machine with the newest sheet of its family. One machine has one open job. */
export async function openJob(
  db: Database,
  tag: string,
  complaint: string,
  by: SignedInPerson,
  at: string,
): Promise<Opening> {
  return db.transaction(async (tx): Promise<Opening> => {
    const [machine] = await tx.select().from(equipment).where(eq(equipment.tag, tag)).for('update')
    if (!machine)
      return { ok: false, status: 404, why: `There is no machine ${tag} in the yard. Check the tag on its plate.` }
    const [open] = await tx
      .select()
      .from(job)
      .where(and(eq(job.equipmentTag, tag), isNull(job.signedAt), isNull(job.cancelledAt)))
    if (open)
      return {
        ok: false,
        status: 409,
        why: `${tag} has job ${open.number} open already. Go on with that one.`,
        job: open.id,
      }
    const sheet = await newestSheet(tx, machine.sheetId)
    if (!sheet) return { ok: false, status: 404, why: `There is no build sheet for ${tag} on the shelf.` }
    const id = uuid()
    const act = uuid()
    const [row] = await tx
      .insert(job)
      .values({
        id,
        equipmentTag: tag,
        sheetId: sheet.id,
        sheetVersion: sheet.version,
        variants: machine.variants,
        complaint,
        hoursAtOpen: machine.hoursRun,
        openedAt: at,
      })
      .returning()
    await appendIn(tx, id, by, [
      {
        id: act,
        act,
        kind: 'job.opened',
        madeAt: at,
        payload: { equipment: tag, sheet: sheet.id, version: sheet.version, variants: machine.variants, complaint },
      },
    ])
    return { ok: true, id, number: row!.number }
  })
}
