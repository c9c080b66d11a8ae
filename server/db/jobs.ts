import { and, asc, desc, eq, isNotNull, isNull } from 'drizzle-orm'
import { v7 as uuid } from 'uuid'
import type { JobAnswer, OpenJob, PastJob, Person } from '../../shared/answers.ts'
import type { Database, Transaction } from './client.ts'
import { appendIn, entriesAfter } from './ledger.ts'
import { everybody } from './people.ts'
import { equipment, job } from './schema.ts'
import { newestSheet, sheetOf } from './sheets.ts'

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
      }
    },
    { isolationLevel: 'repeatable read', accessMode: 'read only' },
  )
}

export async function openJobs(db: Database): Promise<OpenJob[]> {
  return db
    .select({
      id: job.id,
      number: job.number,
      tag: job.equipmentTag,
      name: equipment.name,
      complaint: job.complaint,
      openedAt: job.openedAt,
      entries: job.lastSeq,
    })
    .from(job)
    .innerJoin(equipment, eq(equipment.tag, job.equipmentTag))
    .where(and(isNull(job.signedAt), isNull(job.cancelledAt)))
    .orderBy(asc(job.number))
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
export async function openJob(db: Database, tag: string, complaint: string, by: Person, at: string): Promise<Opening> {
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
