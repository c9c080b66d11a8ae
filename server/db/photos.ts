import { and, desc, eq, isNotNull, ne, sql } from 'drizzle-orm'
import type { PhotoLast, SignedInPerson } from '../../shared/answers.ts'
import type { PictureSizeName } from '../../shared/pictures.ts'
import type { CleanPicture } from '../heavy/pictures.ts'
import { append, OWN, type Appended } from './append.ts'
import type { Database, Transaction } from './client.ts'
import { entry, job, keptPhoto, pictureFile } from './schema.ts'
import { ownEntry } from './parent.ts'

/** So many of the overhauls before are told to a bench. */
const MOST_LAST = 200

/** Whether a job has a photograph with these contents. */
export async function isNamed(db: Database, jobId: string, sha256: string): Promise<boolean> {
  const [row] = await db
    .select({ photo: keptPhoto.photo })
    .from(keptPhoto)
    .where(and(eq(keptPhoto.jobId, jobId), eq(keptPhoto.sha256, sha256)))
    .limit(1)
  return row !== undefined
}

/** The file of a photograph in one of its sizes; null where it has not arrived. */
export async function pictureOf(db: Database, sha256: string, size: PictureSizeName): Promise<Buffer | null> {
  const [row] = await db.select({ bytes: pictureFile[size] }).from(pictureFile).where(eq(pictureFile.sha256, sha256))
  return row?.bytes ?? null
}

/** The files of a job's photographs as they go to paper, those that are here. */
export async function printsOf(db: Database, jobId: string): Promise<[sha256: string, jpeg: Uint8Array][]> {
  const rows = await db
    .selectDistinct({ sha256: pictureFile.sha256, print: pictureFile.print })
    .from(pictureFile)
    .innerJoin(keptPhoto, eq(keptPhoto.sha256, pictureFile.sha256))
    .where(eq(keptPhoto.jobId, jobId))
  return rows.map(({ sha256, print }) => [sha256, Uint8Array.from(print)])
}

/** Whether the file is here already: sent before, or of another job. */
export async function isHere(db: Database, sha256: string): Promise<boolean> {
  const [row] = await db.select({ sha256: pictureFile.sha256 }).from(pictureFile).where(eq(pictureFile.sha256, sha256))
  return row !== undefined
}

/** Keeps the file of a photograph under the SHA-256 it was sent with; once it is here it never changes. */
export async function keepPicture(
  db: Database | Transaction,
  sha256: string,
  { keptSha256, whole, print, thumb }: CleanPicture,
): Promise<void> {
  const [a, b, c] = [whole, print, thumb].map(bytes => Buffer.from(bytes)) as [Buffer, Buffer, Buffer]
  await db.insert(pictureFile).values({ sha256, keptSha256, whole: a, print: b, thumb: c }).onConflictDoNothing()
}

/** Says in the ledger of a job that a file is here, once. */
export async function sayArrived(
  db: Database,
  jobId: string,
  sha256: string,
  by: SignedInPerson,
  at = new Date().toISOString(),
): Promise<Appended | null> {
  const [said] = await db
    .select({ id: entry.id })
    .from(entry)
    .where(and(eq(entry.jobId, jobId), eq(entry.kind, 'photo.arrived'), sql`${entry.payload}->>'sha256' = ${sha256}`))
    .limit(1)
  return said
    ? null
    : append(db, jobId, by, [ownEntry('photo.arrived', { sha256 }, at)], { ...OWN, at: one => one.madeAt })
}

/** Photographs of the overhauls before this one whose files are here, the newest first. */
export async function photosLast(
  db: Database | Transaction,
  { id, equipmentTag }: Pick<typeof job.$inferSelect, 'id' | 'equipmentTag'>,
): Promise<PhotoLast[]> {
  const rows = await db
    .select({ photo: keptPhoto, number: job.number })
    .from(keptPhoto)
    .innerJoin(job, eq(job.id, keptPhoto.jobId))
    .innerJoin(pictureFile, eq(pictureFile.sha256, keptPhoto.sha256))
    .where(and(eq(keptPhoto.equipmentTag, equipmentTag), ne(keptPhoto.jobId, id), isNotNull(job.signedAt)))
    .orderBy(desc(keptPhoto.takenAt), keptPhoto.photo)
    .limit(MOST_LAST)
  return rows.map(({ photo: { photo, sha256, width, height, on, words, shapes, takenAt }, number }) => ({
    ...{ photo, sha256, width, height, words, shapes, job: number },
    ...(on ? { on } : {}),
    takenAt: new Date(takenAt).toISOString(),
  }))
}
