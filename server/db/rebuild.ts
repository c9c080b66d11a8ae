import { asc, eq, or, sql } from 'drizzle-orm'
import { emptyFold, extend, isKind } from '../../core/job/index.ts'
import { digestOf } from './canonical.ts'
import type { Database } from './client.ts'
import { projectionOf } from './folded.ts'
import { entriesAfter } from './ledger.ts'
import { writeEquipmentState, writeProjections } from './projections.ts'
import { job } from './schema.ts'
import { planOf } from './sheets.ts'

export interface Rebuilt {
  jobs: number
  entries: number
  /** Jobs whose ledger is not the one that the job they belong to was told of, by number. */
  altered: number[]
}

/**
 * Makes projections anew from the ledger, job by job under the lock an append takes: safe while serving.
 * @param machine the tag of the machine whose jobs are meant, its sub-assemblies' with them; every machine's unless told
 */
export async function rebuildProjections(db: Database, machine?: string): Promise<Rebuilt> {
  const all = await db
    .select({ id: job.id, number: job.number })
    .from(job)
    .where(
      machine ? or(eq(job.equipmentTag, machine), sql`starts_with(${job.equipmentTag}, ${`${machine}.`})`) : undefined,
    )
    .orderBy(asc(job.number))
  let entries = 0
  const told = new Map<string, string>()
  const found = new Map<string, { number: number; digest: string }>()
  for (const { id, number } of all) {
    await db.transaction(async tx => {
      const [row] = await tx.select().from(job).where(eq(job.id, id)).for('update')
      const plan = await planOf(tx, row!)
      const ledger = await entriesAfter(tx, id, 0)
      entries += ledger.length
      const folded = extend(plan, emptyFold(), ledger)
      const now = projectionOf({ plan, folded })
      const { opened, signed, cancelled } = folded.state
      for (const one of ledger) {
        if (isKind(one, 'child.returned')) told.set(one.payload.job, one.payload.digest)
        if (isKind(one, 'job.signed') && opened?.payload.parent)
          found.set(id, { number, digest: digestOf(ledger, one.seq!) })
      }
      await Promise.all([
        tx
          .update(job)
          .set({ signedAt: signed?.at ?? null, cancelledAt: cancelled?.at ?? null })
          .where(eq(job.id, id)),
        ...writeProjections(tx, row!, null, now),
      ])
      await writeEquipmentState(tx, row!, plan, null, now, folded.state)
    })
  }
  const altered = [...told].flatMap(([id, digest]) => {
    const own = found.get(id)
    return own && own.digest !== digest ? [own.number] : []
  })
  return { jobs: all.length, entries, altered }
}
