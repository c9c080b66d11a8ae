import { asc, eq } from 'drizzle-orm'
import { emptyFold, extend } from '../../core/job/index.ts'
import type { Database } from './client.ts'
import { projectionOf } from './folded.ts'
import { entriesAfter } from './ledger.ts'
import { writeEquipmentState, writeProjections } from './projections.ts'
import { job } from './schema.ts'
import { planOf } from './sheets.ts'

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
