import { fold, type AnyEntry } from '../../core/job/index.ts'
import type { Plan } from '../../core/sheet/index.ts'
import type { Transaction } from './client.ts'
import { projectionOf } from './folded.ts'
import { addEntries } from './ledger.ts'
import { writeEquipmentState, writeProjections } from './projections.ts'
import { job } from './schema.ts'

/** Adds a job with the whole of its ledger, judged elsewhere, and everything that is known of the machine by it. */
export async function addPast(
  tx: Transaction,
  plan: Plan,
  opened: typeof job.$inferInsert & { id: string },
  entries: readonly AnyEntry[],
): Promise<void> {
  await tx.insert(job).values(opened)
  const state = fold(plan, entries)
  const { signed, cancelled } = state
  const row = {
    id: opened.id,
    equipmentTag: opened.equipmentTag,
    signedAt: signed?.at ?? null,
    cancelledAt: cancelled?.at ?? null,
  }
  const projected = projectionOf({ plan, folded: { entries: [...entries], state } })
  await Promise.all([addEntries(tx, opened.id, entries, state), ...writeProjections(tx, row, null, projected)])
  await writeEquipmentState(tx, row, plan, null, projected, state)
}
