import { and, desc, eq, isNotNull, isNull } from 'drizzle-orm'
import { projectJob, worstCheck, type JobState } from '../../core/job/index.ts'
import type { Plan } from '../../core/sheet/index.ts'
import type { Transaction } from './client.ts'
import { equipmentState, fittedPart, job, reading, stockMovement } from './schema.ts'

/** Writes what the fleet asks of one job anew, from its state. Run in the transaction that changes the ledger. */
export async function writeProjections(
  tx: Transaction,
  row: { id: string; equipmentTag: string },
  plan: Plan,
  state: JobState,
): Promise<void> {
  const { readings, fitted, movements } = projectJob(plan, state)
  const mine = { jobId: row.id, equipmentTag: row.equipmentTag }
  await tx.delete(reading).where(eq(reading.jobId, row.id))
  await tx.delete(fittedPart).where(eq(fittedPart.jobId, row.id))
  await tx.delete(stockMovement).where(eq(stockMovement.jobId, row.id))
  if (readings.length) await tx.insert(reading).values(readings.map(one => ({ ...one, ...mine })))
  if (fitted.length) await tx.insert(fittedPart).values(fitted.map(one => ({ ...one, ...mine })))
  if (movements.length) await tx.insert(stockMovement).values(movements.map(one => ({ ...one, jobId: row.id })))
  await tx
    .update(job)
    .set({ signedAt: state.signed?.at ?? null, cancelledAt: state.cancelled?.at ?? null })
    .where(eq(job.id, row.id))
  await writeEquipmentState(tx, row.equipmentTag)
}

/** How a machine stands over all its jobs. */
async function writeEquipmentState(tx: Transaction, tag: string): Promise<void> {
  const [open] = await tx
    .select({ id: job.id, number: job.number })
    .from(job)
    .where(and(eq(job.equipmentTag, tag), isNull(job.signedAt), isNull(job.cancelledAt)))
    .orderBy(desc(job.number))
    .limit(1)
  const [last] = await tx
    .select({ at: job.signedAt, hours: job.hoursAtOpen })
    .from(job)
    .where(and(eq(job.equipmentTag, tag), isNotNull(job.signedAt)))
    .orderBy(desc(job.number))
    .limit(1)
  const worst = worstCheck(await tx.select().from(reading).where(eq(reading.equipmentTag, tag)))
  const row = {
    openJobId: open?.id ?? null,
    openJobNumber: open?.number ?? null,
    lastOverhaulAt: last?.at ?? null,
    lastOverhaulHours: last?.hours ?? null,
    worstCheck: worst?.checkId ?? null,
    worstVerdict: worst?.verdict ?? null,
    worstShare: worst?.share ?? null,
  }
  await tx
    .insert(equipmentState)
    .values({ equipmentTag: tag, ...row })
    .onConflictDoUpdate({ target: equipmentState.equipmentTag, set: row })
}
