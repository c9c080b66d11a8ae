import type { AnyEntry, Projection } from '../../core/job/index.ts'
import { wholeSheet, type ShelfSheet } from '../../core/sheet/index.ts'
import type { Transaction } from './client.ts'
import { addEntries, type Closed } from './ledger.ts'
import { writeEquipmentState, writeProjections } from './projections.ts'
import { job } from './schema.ts'

/** A job that was worked and judged elsewhere: its ledger, what that comes to, and whether it is closed. */
export interface Past {
  entries: readonly AnyEntry[]
  projected: Projection
  closed: Closed
}

/** Adds a job with the whole of its ledger, and everything that is known of the machine by it. */
export async function addPast(
  tx: Transaction,
  sheet: ShelfSheet,
  opened: typeof job.$inferInsert & { id: string },
  { entries, projected, closed }: Past,
): Promise<void> {
  await tx.insert(job).values(opened)
  const row = {
    id: opened.id,
    equipmentTag: opened.equipmentTag,
    signedAt: closed.signed?.at ?? null,
    cancelledAt: closed.cancelled?.at ?? null,
  }
  await Promise.all([addEntries(tx, opened.id, entries, closed), ...writeProjections(tx, row, null, projected)])
  const whole = wholeSheet(sheet, opened.variants)
  await writeEquipmentState(tx, row, { whole }, null, projected, closed)
}
