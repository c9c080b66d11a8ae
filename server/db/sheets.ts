import { and, eq } from 'drizzle-orm'
import { SUMS_BY_NAME } from '../../core/sums/index.ts'
import { planFor, type Plan, type Sheet, type Variants } from '../../core/sheet/index.ts'
import type { Database, Transaction } from './client.ts'
import { buildSheet } from './schema.ts'

/** Puts a sheet on the shelf; a version that is there already stays as it is, since jobs may rest on it. */
export async function shelve(db: Database, sheet: Sheet): Promise<void> {
  await db.insert(buildSheet).values({ id: sheet.id, version: sheet.version, body: sheet }).onConflictDoNothing()
}

export async function newestSheet(db: Database | Transaction, id: string): Promise<Sheet | null> {
  const rows = await db
    .select({ body: buildSheet.body, version: buildSheet.version })
    .from(buildSheet)
    .where(eq(buildSheet.id, id))
  return rows.sort((a, b) => b.version - a.version)[0]?.body ?? null
}

export async function sheetOf(db: Database | Transaction, id: string, version: number): Promise<Sheet> {
  const [row] = await db
    .select({ body: buildSheet.body })
    .from(buildSheet)
    .where(and(eq(buildSheet.id, id), eq(buildSheet.version, version)))
  if (!row) throw new Error(`Build sheet ${id} version ${version} is missing from the shelf.`)
  return row.body
}

const plans = new Map<string, Plan>()

/** The plan a job was opened with. A version never changes, so a plan once made stays good. */
export async function planOf(
  db: Database | Transaction,
  job: { sheetId: string; sheetVersion: number; variants: Variants },
): Promise<Plan> {
  const key = JSON.stringify([job.sheetId, job.sheetVersion, job.variants])
  const known = plans.get(key)
  if (known) return known
  const plan = planFor(await sheetOf(db, job.sheetId, job.sheetVersion), job.variants, SUMS_BY_NAME)
  plans.set(key, plan)
  return plan
}
