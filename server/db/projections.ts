import { and, desc, eq, inArray, isNotNull, isNull, sql } from 'drizzle-orm'
import { standingReadings, type JobState, type Projection } from '../../core/job/index.ts'
import type { Database, Transaction } from './client.ts'
import { equipmentState, fittedPart, job, keptFact, reading, stockMovement, wait } from './schema.ts'

type Row = Pick<typeof job.$inferSelect, 'id' | 'equipmentTag' | 'signedAt' | 'cancelledAt'>

/** Rows of one table, before and after: those that are new or other, and the keys of those that are gone. */
export function changesOf<T extends object>(
  before: readonly T[] | null,
  after: readonly T[],
  keyOf: (one: T) => string,
): { put: T[]; gone: string[] } {
  // On the same ground it is the same list: nothing to look through.
  if (before === after) return { put: [], gone: [] }
  const known = new Map((before ?? []).map(one => [keyOf(one), one]))
  const put = after.filter(one => {
    const old = known.get(keyOf(one))
    known.delete(keyOf(one))
    return !old || JSON.stringify(old) !== JSON.stringify(one)
  })
  return { put, gone: [...known.keys()] }
}

const readingKey = (one: Projection['readings'][number]) => `${one.checkId} ${one.moment} ${one.nth} ${one.cell}`

/**
 * Writes what changed of what the fleet asks of one job; all of it where it is not known what the tables hold. To be awaited
 * together, in the transaction that changes the ledger.
 */
export function writeProjections(
  tx: Transaction,
  row: Row,
  before: Projection | null,
  after: Projection,
): PromiseLike<unknown>[] {
  const mine = { jobId: row.id, equipmentTag: row.equipmentTag }
  const readings = changesOf(before?.readings ?? null, after.readings, readingKey)
  const fitted = changesOf(before?.fitted ?? null, after.fitted, one => one.partRef)
  const movements = changesOf(before?.movements ?? null, after.movements, one => one.entryId)
  const facts = changesOf(before?.facts ?? null, after.facts, one => one.factId)
  const waits = changesOf(before?.waits ?? null, after.waits, one => one.stepId)
  const excluded = (column: string) => sql.raw(`excluded.${column}`)
  return [
    ...(before
      ? []
      : [
          tx.delete(reading).where(eq(reading.jobId, row.id)),
          tx.delete(fittedPart).where(eq(fittedPart.jobId, row.id)),
          tx.delete(stockMovement).where(eq(stockMovement.jobId, row.id)),
          tx.delete(keptFact).where(eq(keptFact.jobId, row.id)),
          tx.delete(wait).where(eq(wait.jobId, row.id)),
        ]),
    ...(readings.gone.length
      ? [
          tx
            .delete(reading)
            .where(
              and(
                eq(reading.jobId, row.id),
                inArray(
                  sql`${reading.checkId} || ' ' || ${reading.moment} || ' ' || ${reading.nth} || ' ' || ${reading.cell}`,
                  readings.gone,
                ),
              ),
            ),
        ]
      : []),
    ...(readings.put.length
      ? [
          tx
            .insert(reading)
            .values(readings.put.map(one => ({ ...one, ...mine })))
            .onConflictDoUpdate({
              target: [reading.jobId, reading.checkId, reading.cell, reading.moment, reading.nth],
              set: {
                value: excluded('value'),
                least: excluded('least'),
                greatest: excluded('greatest'),
                verdict: excluded('verdict'),
                share: excluded('share'),
                stands: excluded('stands'),
                takenAt: excluded('taken_at'),
              },
            }),
        ]
      : []),
    ...(fitted.gone.length
      ? [tx.delete(fittedPart).where(and(eq(fittedPart.jobId, row.id), inArray(fittedPart.partRef, fitted.gone)))]
      : []),
    ...(fitted.put.length
      ? [
          tx
            .insert(fittedPart)
            .values(fitted.put.map(one => ({ ...one, ...mine })))
            .onConflictDoUpdate({
              target: [fittedPart.jobId, fittedPart.partRef],
              set: { asNew: excluded('as_new'), batch: excluded('batch'), fittedAt: excluded('fitted_at') },
            }),
        ]
      : []),
    ...(movements.gone.length ? [tx.delete(stockMovement).where(inArray(stockMovement.entryId, movements.gone))] : []),
    ...(movements.put.length
      ? [tx.insert(stockMovement).values(movements.put.map(one => ({ ...one, jobId: row.id })))]
      : []),
    ...(facts.gone.length
      ? [tx.delete(keptFact).where(and(eq(keptFact.jobId, row.id), inArray(keptFact.factId, facts.gone)))]
      : []),
    ...(facts.put.length
      ? [
          tx
            .insert(keptFact)
            .values(facts.put.map(one => ({ ...one, ...mine })))
            .onConflictDoUpdate({
              target: [keptFact.jobId, keptFact.factId],
              set: { text: excluded('text'), readAt: excluded('read_at') },
            }),
        ]
      : []),
    ...(waits.gone.length
      ? [tx.delete(wait).where(and(eq(wait.jobId, row.id), inArray(wait.stepId, waits.gone)))]
      : []),
    ...(waits.put.length
      ? [
          tx
            .insert(wait)
            .values(waits.put.map(one => ({ ...one, jobId: row.id })))
            .onConflictDoUpdate({
              target: [wait.jobId, wait.stepId],
              set: {
                step: excluded('step'),
                what: excluded('what'),
                since: excluded('since'),
                leastAt: excluded('least_at'),
                mostAt: excluded('most_at'),
              },
            }),
        ]
      : []),
  ]
}

/** Whether anything that a machine's standing rests on is another: a reading, or that the job is opened or closed. */
const isStanding = ({ signedAt, cancelledAt }: Row, state: JobState, before: Projection | null, after: Projection) => {
  const { put, gone } = changesOf(before?.readings ?? null, after.readings, readingKey)
  return (
    before !== null &&
    !put.length &&
    !gone.length &&
    Boolean(signedAt) === Boolean(state.signed) &&
    Boolean(cancelledAt) === Boolean(state.cancelled)
  )
}

/** How every check of a machine stands, over all its jobs, the worst first. */
export async function machineStanding(db: Database | Transaction, tag: string) {
  const newest = await db
    .selectDistinctOn([reading.checkId, reading.cell])
    .from(reading)
    .where(eq(reading.equipmentTag, tag))
    .orderBy(reading.checkId, reading.cell, desc(reading.takenAt), desc(reading.stands))
  return standingReadings(newest, one => one.jobId)
}

/** How a machine stands over all its jobs, written where it may be another. */
export async function writeEquipmentState(
  tx: Transaction,
  row: Row,
  before: Projection | null,
  after: Projection,
  state: JobState,
): Promise<void> {
  if (isStanding(row, state, before, after)) return
  const tag = row.equipmentTag
  const [[open], [last], standing] = await Promise.all([
    tx
      .select({ id: job.id, number: job.number })
      .from(job)
      .where(and(eq(job.equipmentTag, tag), isNull(job.signedAt), isNull(job.cancelledAt)))
      .orderBy(desc(job.number))
      .limit(1),
    tx
      .select({ at: job.signedAt, hours: job.hoursAtOpen, uses: job.usesAtOpen })
      .from(job)
      .where(and(eq(job.equipmentTag, tag), isNotNull(job.signedAt)))
      .orderBy(desc(job.number))
      .limit(1),
    machineStanding(tx, tag),
  ])
  const [worst] = standing
  const written = {
    openJobId: open?.id ?? null,
    openJobNumber: open?.number ?? null,
    lastOverhaulAt: last?.at ?? null,
    lastOverhaulHours: last?.hours ?? null,
    lastOverhaulUses: last?.uses ?? null,
    worstCheck: worst?.checkId ?? null,
    worstVerdict: worst?.verdict ?? null,
    worstShare: worst?.share ?? null,
  }
  await tx
    .insert(equipmentState)
    .values({ equipmentTag: tag, ...written })
    .onConflictDoUpdate({ target: equipmentState.equipmentTag, set: written })
}
