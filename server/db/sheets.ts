import { isDeepStrictEqual } from 'node:util'
import { and, eq, max } from 'drizzle-orm'
import { SUMS_BY_NAME } from '../../core/sums/index.ts'
import { examineSheet } from '../../core/sheet/examination/index.ts'
import {
  planFor,
  readSheet,
  type Plan,
  type SheetSource,
  type ShelfSheet,
  type Variants,
} from '../../core/sheet/index.ts'
import type { Database, Transaction } from './client.ts'
import { buildSheet } from './schema.ts'

/** A sheet that is on the shelf now, or what is wrong with it, in sentences that name the place. */
export type Shelved = { sheet: ShelfSheet; isNew: boolean; faults?: undefined } | { faults: string[] }

/**
 * Examines what came and puts it on the shelf as a sheet; nothing unsound gets there. A version that is there already stays
 * as it is, since jobs may rest on it: another sheet by its name is a fault.
 */
export async function shelve(db: Database, source: unknown): Promise<Shelved> {
  const faults = examineSheet(source, SUMS_BY_NAME)
  if (faults.length) return { faults }
  const sheet = readSheet(source as SheetSource)
  const { id, version } = sheet
  const put = await db.insert(buildSheet).values({ id, version, body: sheet }).onConflictDoNothing().returning()
  if (put.length) return { sheet, isNew: true }
  return isDeepStrictEqual(asKept(await bodyOf(db, id, version)), asKept(sheet))
    ? { sheet, isNew: false }
    : { faults: [`version ${version} of ${id} is on the shelf and says something else: raise the version`] }
}

/** A sheet as it comes back from the shelf. */
const asKept = (sheet: unknown): unknown => JSON.parse(JSON.stringify(readSheet(sheet as SheetSource)))

/** Sheets by name and version: a version never changes, so what was read once stays good. */
const bodies = new Map<string, Promise<ShelfSheet | null>>()

/** A sheet by its name and version; null where it is not on the shelf. */
export function sheetOnShelf(db: Database | Transaction, id: string, version: number): Promise<ShelfSheet | null> {
  const key = `${id} ${version}`
  const known = bodies.get(key)
  if (known) return known
  const asked = bodyOf(db, id, version)
  bodies.set(key, asked)
  // What is not there today may be put there tomorrow.
  asked.then(
    found => found ?? bodies.delete(key),
    () => bodies.delete(key),
  )
  return asked
}

/** A sheet that jobs and machines rest on. Throws where it is missing. */
export async function sheetOf(db: Database | Transaction, id: string, version: number): Promise<ShelfSheet> {
  const found = await sheetOnShelf(db, id, version)
  if (!found) throw new Error(`Build sheet ${id} version ${version} is missing from the shelf.`)
  return found
}

async function bodyOf(db: Database | Transaction, id: string, version: number): Promise<ShelfSheet | null> {
  const [row] = await db
    .select({ body: buildSheet.body })
    .from(buildSheet)
    .where(and(eq(buildSheet.id, id), eq(buildSheet.version, version)))
  return row?.body ?? null
}

/** The newest version of every sheet on the shelf, by name. */
export async function newestSheets(db: Database | Transaction): Promise<Map<string, ShelfSheet>> {
  const rows = await db
    .select({ id: buildSheet.id, version: max(buildSheet.version) })
    .from(buildSheet)
    .groupBy(buildSheet.id)
  return new Map(await Promise.all(rows.map(async ({ id, version }) => [id, await sheetOf(db, id, version!)] as const)))
}

/** The newest version of one sheet; null when it is not on the shelf. */
export async function newestSheet(db: Database | Transaction, id: string): Promise<ShelfSheet | null> {
  const [row] = await db
    .select({ version: max(buildSheet.version) })
    .from(buildSheet)
    .where(eq(buildSheet.id, id))
  return row?.version == null ? null : sheetOf(db, id, row.version)
}

/** Nothing that was known of a database holds any more. */
export function forgetSheets(): void {
  bodies.clear()
  plans.clear()
}

const plans = new Map<string, Plan>()

/** A sheet settled for a machine. A version never changes, so a plan once made stays good. */
export function planOn(sheet: ShelfSheet, variants: Variants): Plan {
  const key = JSON.stringify([sheet.id, sheet.version, variants])
  const known = plans.get(key)
  if (known) return known
  const plan = planFor(sheet, variants, SUMS_BY_NAME)
  plans.set(key, plan)
  return plan
}

/** The plan a job was opened with. */
export const planOf = async (
  db: Database | Transaction,
  job: { sheetId: string; sheetVersion: number; variants: Variants },
): Promise<Plan> => planOn(await sheetOf(db, job.sheetId, job.sheetVersion), job.variants)
