import { setImmediate } from 'node:timers/promises'
import { and, asc, count, desc, eq, inArray, isNotNull, isNull, ne, notExists, sql } from 'drizzle-orm'
import { alias } from 'drizzle-orm/pg-core'
import { v7 as uuid } from 'uuid'
import {
  type Payloads,
  atOf,
  factsOf,
  openingOf,
  planIn,
  standingOf,
  type JobState,
  type LastFigures,
  type Standing,
} from '../../core/job/index.ts'
import { refusalsAbout, type Refusal } from '../../core/refusal.ts'
import { lastWanted, planFor, type Check } from '../../core/sheet/index.ts'
import type { JobAnswer, OpenJob, PastJob, SeenLast, SignedInPerson, WorkedAnswer } from '../../shared/answers.ts'
import type { RecordWork } from '../heavy/tasks.ts'
import type { Database, Transaction } from './client.ts'
import { appendIn } from './append.ts'
import { JOBS, type Kept } from './folded.ts'
import { entriesAfter } from './ledger.ts'
import { everybody } from './people.ts'
import { photosLast, printsOf } from './photos.ts'
import { entry, equipment, job, keptFact, keptLook, reading } from './schema.ts'
import { newestSheet, planOf, sheetOf } from './sheets.ts'

export type JobRow = typeof job.$inferSelect

export async function findJob(db: Database | Transaction, id: string): Promise<JobRow | null> {
  const [row] = await db.select().from(job).where(eq(job.id, id))
  return row ?? null
}

/** What the bench of one job starts from, as it stands at one moment. */
export async function jobWithLedger(db: Database, id: string): Promise<JobAnswer | null> {
  return db.transaction(
    async tx => {
      const row = await findJob(tx, id)
      if (!row) return null
      const { equipmentTag } = row
      const [machine] = await tx.select().from(equipment).where(eq(equipment.tag, equipmentTag))
      return {
        job: { id, number: row.number, equipmentTag, signedAt: row.signedAt, cancelledAt: row.cancelledAt },
        equipment: machine!,
        entries: await entriesAfter(tx, id, 0),
        people: await everybody(tx),
        last: await lastFigures(tx, row),
        seenLast: await seenLast(tx, row),
        photosLast: await photosLast(tx, row),
      }
    },
    { isolationLevel: 'repeatable read', accessMode: 'read only' },
  )
}

/** What the record of a job is made from. */
export async function recordWork(
  db: Database,
  { id }: JobRow,
  how: Pick<RecordWork, 'report' | 'lengths' | 'part'>,
): Promise<RecordWork> {
  const { job: row, entries, people, equipment: machine } = (await jobWithLedger(db, id))!
  const { sheet: name, version, variants } = openingOf(entries)
  const sheet = await sheetOf(db, name, version)
  return {
    ...{ sheet, variants, entries, number: row.number, machine },
    names: people.map(({ id: who, name }): [string, string] => [who, name]),
    pictures: await printsOf(db, id),
    ...how,
  }
}

/** The newest figure of every check as a whole, then of each of its cells, of the overhauls before this one. */
async function lastFigures(db: Database | Transaction, { id, equipmentTag }: JobRow): Promise<LastFigures> {
  const rows = await db
    .selectDistinctOn([reading.checkId, reading.cell], {
      check: reading.checkId,
      cell: reading.cell,
      value: reading.value,
    })
    .from(reading)
    .where(and(eq(reading.equipmentTag, equipmentTag), ne(reading.jobId, id), eq(reading.stands, true)))
    .orderBy(asc(reading.checkId), asc(reading.cell), desc(reading.takenAt))
  const found = new Map<string, Record<string, number>>()
  for (const { check, cell, value } of rows) found.set(check, { ...found.get(check), [cell]: value })
  return Object.fromEntries(found)
}

/** What the overhauls before this one saw last on every part that is still in the machine, look by look. */
async function seenLast(db: Database | Transaction, { id, equipmentTag }: JobRow): Promise<SeenLast[]> {
  const rows = await db
    .selectDistinctOn([keptLook.partRef, keptLook.lookId])
    .from(keptLook)
    .innerJoin(job, eq(job.id, keptLook.jobId))
    .where(and(eq(keptLook.equipmentTag, equipmentTag), ne(keptLook.jobId, id), isNotNull(job.signedAt)))
    .orderBy(keptLook.partRef, keptLook.lookId, desc(keptLook.seenAt))
  return rows.flatMap(
    ({ kept_look: { partRef: part, lookId, findings, seenFrom, stands, seenAt }, job: { number } }) =>
      stands
        ? [
            {
              part,
              look: lookId,
              findings,
              seenAt: new Date(seenAt).toISOString(),
              job: number,
              ...(seenFrom === null ? {} : { seenFrom }),
            },
          ]
        : [],
  )
}

/** What earlier jobs read off a machine and kept with it, the newest of each. */
export async function keptFacts(
  db: Database | Transaction,
  tag: string,
): Promise<{ fact: string; text: string; at: string }[]> {
  return db
    .selectDistinctOn([keptFact.factId], { fact: keptFact.factId, text: keptFact.text, at: keptFact.readAt })
    .from(keptFact)
    .innerJoin(job, eq(job.id, keptFact.jobId))
    .where(and(eq(keptFact.equipmentTag, tag), isNotNull(job.signedAt)))
    .orderBy(keptFact.factId, desc(keptFact.readAt))
}

/** What the jobs before left of a machine, of what its sheet takes from them: as it stood at the end. */
async function leftLast(tx: Transaction, tag: string, checks: readonly Check[]) {
  const wanted = lastWanted(checks)
  if (!wanted.length) return []
  const rows = await tx
    .selectDistinctOn([reading.checkId, reading.cell])
    .from(reading)
    .where(
      and(
        eq(reading.equipmentTag, tag),
        eq(reading.stands, true),
        inArray(
          reading.checkId,
          wanted.map(one => one.of),
        ),
      ),
    )
    .orderBy(asc(reading.checkId), asc(reading.cell), desc(reading.takenAt))
  return wanted.flatMap(({ of: check, figure }) => {
    const own = rows.filter(one => one.checkId === check)
    const whole = own.find(one => one.cell === '')
    const place = own.find(one => one.cell && atOf(one.cell).place === figure)
    const value = isFigure(figure) ? whole?.[figure] : place?.value
    return value === undefined ? [] : [{ check, figure, value }]
  })
}
const isFigure = (figure: string): figure is 'value' | 'least' | 'greatest' =>
  ['value', 'least', 'greatest'].includes(figure)

export async function openJobs(db: Database): Promise<OpenJob[]> {
  const [rows, people] = await Promise.all([
    db
      .select({ job, name: equipment.name })
      .from(job)
      .innerJoin(equipment, eq(equipment.tag, job.equipmentTag))
      .where(and(isNull(job.signedAt), isNull(job.cancelledAt)))
      .orderBy(asc(job.number)),
    everybody(db),
  ])
  const names = new Map(people.map(one => [one.id, one.name]))
  const all: OpenJob[] = []
  for (const { job: row, name } of rows) {
    const stands = await standingNow(db, row)
    all.push({
      id: row.id,
      number: row.number,
      tag: row.equipmentTag,
      name,
      complaint: row.complaint,
      openedAt: row.openedAt,
      entries: row.lastSeq,
      stands: { ...stands, lastBy: names.get(stands.lastBy) ?? 'somebody no longer here' },
    })
  }
  return all
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

/** Where jobs stood when that was last asked: it may be thrown away at any time. */
const stood = new Map<string, { state: JobState; stands: Standing }>()
const MOST_STOOD = 2000

/** A job as it stands by its row, of what this process knows of it and what came after. */
export async function foldedNow(db: Database | Transaction, row: JobRow): Promise<Kept> {
  const known = JOBS.notBehind(row)
  if (known) return known
  const kept = await JOBS.at(row, await planOf(db, row), after => entriesAfter(db, row.id, after))
  if (!JOBS.notBehind({ id: row.id, lastSeq: kept.seq })) JOBS.remember(row.id, kept)
  return kept
}

async function standingNow(db: Database, row: JobRow): Promise<Standing> {
  const { plan, folded } = await foldedNow(db, row)
  const { state } = folded
  const known = stood.get(row.id)
  if (known?.state === state) return known.stands
  // Others come in between: many jobs may have moved since this was last asked.
  await setImmediate()
  const stands = standingOf(planIn(plan, state), folded, known)
  if (stood.size >= MOST_STOOD) stood.clear()
  stood.set(row.id, { state, stands })
  return stands
}

/** The newest sequence numbers of some jobs. */
export const lastSeqs = (db: Database, ids: string[]) =>
  db.select({ id: job.id, lastSeq: job.lastSeq }).from(job).where(inArray(job.id, ids))

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

const refusals = refusalsAbout('opening', {
  isOpen: ({ tag, job }: { tag: string; job: number }) => `${tag} has job ${job} open already. Go on with that one.`,
  noMachine: ({ tag }: { tag: string }) => `There is no machine ${tag} in the yard. Check the tag on its plate.`,
  noSheet: ({ tag }: { tag: string }) => `There is no build sheet for ${tag} on the shelf.`,
  noSign: ({ sign }: { sign: string }) =>
    `This machine’s sheet knows no complaint “${sign}”. Reload the page, or say it in words.`,
})

export const noSuchMachine = (tag: string): Refusal => refusals.noMachine({ tag })

/** What was reported of a machine: in words, and of the signs that its sheet knows. */
export interface Reported {
  complaint: string
  signs?: string[]
}

export type Opening =
  { ok: true; id: string; number: number } | { ok: false; status: 404 | 409 | 422; refusal: Refusal; job?: string }

/** Opens a job on a machine with the newest sheet of its family. One machine has one open job. */
export async function openJob(
  db: Database,
  tag: string,
  reported: Reported,
  by: SignedInPerson,
  at: string,
): Promise<Opening> {
  return db.transaction(tx => openJobIn(tx, tag, reported, by, at))
}

/** The same inside a transaction of somebody else's; of one that is the bench of a part, with the job that came off. */
export async function openJobIn(
  tx: Transaction,
  tag: string,
  { complaint, signs = [] }: Reported,
  by: SignedInPerson,
  at: string,
  parent?: Payloads['job.opened']['parent'],
): Promise<Opening> {
  const [machine] = await tx.select().from(equipment).where(eq(equipment.tag, tag)).for('update')
  if (!machine) return { ok: false, status: 404, refusal: noSuchMachine(tag) }
  const [open] = await tx
    .select()
    .from(job)
    .where(and(eq(job.equipmentTag, tag), isNull(job.signedAt), isNull(job.cancelledAt)))
  if (open) return { ok: false, status: 409, refusal: refusals.isOpen({ tag, job: open.number }), job: open.id }
  const sheet = await newestSheet(tx, machine.sheetId)
  if (!sheet) return { ok: false, status: 404, refusal: refusals.noSheet({ tag }) }
  const id = uuid()
  const act = uuid()
  const plan = planFor(sheet, machine.variants)
  const strange = signs.find(sign => !plan.sheet.complaints?.some(one => one.id === sign))
  if (strange !== undefined) return { ok: false, status: 422, refusal: refusals.noSign({ sign: strange.slice(0, 60) }) }
  const kept = factsOf(plan).length ? (await keptFacts(tx, tag)).map(({ fact, text }) => ({ fact, text })) : []
  const last = await leftLast(tx, tag, plan.sheet.checks)
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
      usesAtOpen: machine.uses,
      openedAt: at,
    })
    .returning()
  await appendIn(tx, id, by, [
    {
      id: act,
      act,
      kind: 'job.opened',
      madeAt: at,
      payload: {
        ...{ equipment: tag, sheet: sheet.id, version: sheet.version, variants: machine.variants, complaint },
        ...(signs.length ? { signs } : {}),
        ...(last.length ? { last } : {}),
        ...(kept.length ? { kept } : {}),
        ...(parent ? { parent } : {}),
      },
    },
  ])
  return { ok: true, id, number: row!.number }
}
