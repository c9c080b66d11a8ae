import { and, desc, eq, getTableColumns, inArray, isNotNull, isNull, sql } from 'drizzle-orm'
import type { AnyPgColumn, PgTable } from 'drizzle-orm/pg-core'
import { isOnlyFound, standingReadings, type Projection } from '../../core/job/index.ts'
import type { Check, Plan } from '../../core/sheet/index.ts'
import type { Database, Transaction } from './client.ts'
import type { Closed } from './ledger.ts'
import {
  equipmentState,
  fittedPart,
  job,
  keptFact,
  keptLook,
  keptPhoto,
  reading,
  stockMovement,
  wait,
} from './schema.ts'

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

/** A table of what the fleet asks of jobs: what it holds of one, and the columns that tell its rows apart there. */
interface Told {
  table: PgTable & Record<'jobId', AnyPgColumn>
  rows: (of: Projection) => readonly object[]
  key: readonly string[]
  /** They tell its rows apart over all jobs. */
  isUnique?: true
}

const READINGS = { table: reading, rows: of => of.readings, key: ['checkId', 'moment', 'nth', 'cell'] } satisfies Told
const TOLD = [
  READINGS,
  { table: fittedPart, rows: of => of.fitted, key: ['partRef'] },
  { table: stockMovement, rows: of => of.movements, key: ['entryId'], isUnique: true },
  { table: keptFact, rows: of => of.facts, key: ['factId'] },
  { table: keptLook, rows: of => of.looks, key: ['partRef', 'lookId'] },
  { table: keptPhoto, rows: of => of.photos, key: ['photo'] },
  { table: wait, rows: of => of.waits, key: ['stepId'] },
] satisfies Told[]

/** The key of a row as one text, and the same of a row that lies in the table. */
const keyText = (row: object, key: readonly string[]) =>
  key.map(one => String((row as Record<string, unknown>)[one])).join(' ')
const keyColumn = (columns: Record<string, AnyPgColumn>, key: readonly string[]) =>
  sql.join(
    key.map(one => sql`${columns[one]!}::text`),
    sql` || ' ' || `,
  )
const snake = (name: string) => name.replace(/[A-Z]/g, letter => `_${letter.toLowerCase()}`)

/** What writes to one table what changed in it of a job. */
function writerOf({ table, rows, key, isUnique }: Told) {
  const columns = getTableColumns(table) as Record<string, AnyPgColumn>
  const target = [...(isUnique ? [] : ['jobId']), ...key].map(one => columns[one]!)
  const rest = Object.keys(columns).filter(one => !['jobId', 'equipmentTag', ...key].includes(one))
  const set = Object.fromEntries(rest.map(one => [one, sql.raw(`excluded.${snake(one)}`)]))
  return (tx: Transaction, { id: jobId, equipmentTag }: Row, before: Projection | null, after: Projection) => {
    const { put, gone } = changesOf(before && rows(before), rows(after), one => keyText(one, key))
    const mine = { jobId, ...('equipmentTag' in columns ? { equipmentTag } : {}) }
    const own = eq(table.jobId, jobId)
    return [
      ...(before ? [] : [tx.delete(table).where(own)]),
      ...(gone.length ? [tx.delete(table).where(and(own, inArray(keyColumn(columns, key), gone)))] : []),
      ...(put.length
        ? [
            tx
              .insert(table)
              .values(put.map(one => ({ ...one, ...mine })))
              .onConflictDoUpdate({ target, set }),
          ]
        : []),
    ]
  }
}
const WRITERS = TOLD.map(writerOf)

/**
 * Writes what changed of what the fleet asks of one job; all of it where it is not known what the tables hold. To be awaited
 * together, in the transaction that changes the ledger.
 */
export const writeProjections = (
  tx: Transaction,
  row: Row,
  before: Projection | null,
  after: Projection,
): PromiseLike<unknown>[] => WRITERS.flatMap(write => write(tx, row, before, after))

/** Whether anything that a machine's standing rests on is another: a reading, or that the job is opened or closed. */
const isStanding = ({ signedAt, cancelledAt }: Row, closed: Closed, before: Projection | null, after: Projection) => {
  const { put, gone } = changesOf(before?.readings ?? null, after.readings, one => keyText(one, READINGS.key))
  return (
    before !== null &&
    !put.length &&
    !gone.length &&
    Boolean(signedAt) === Boolean(closed.signed) &&
    Boolean(cancelledAt) === Boolean(closed.cancelled)
  )
}

/** How every check of a machine stands, over all its jobs, the worst first. */
export async function machineStanding(db: Database | Transaction, tag: string, checks: readonly Check[]) {
  const newest = await db
    .selectDistinctOn([reading.checkId, reading.cell], { ...getTableColumns(reading), signedAt: job.signedAt })
    .from(reading)
    .innerJoin(job, eq(job.id, reading.jobId))
    .where(eq(reading.equipmentTag, tag))
    .orderBy(reading.checkId, reading.cell, desc(reading.takenAt), desc(reading.stands))
  const onlyFound = new Set(checks.filter(isOnlyFound).map(one => one.id))
  return standingReadings(
    newest.filter(one => !one.signedAt || !onlyFound.has(one.checkId)),
    one => one.jobId,
  )
}

/** How a machine stands over all its jobs, written where it may be another. */
export async function writeEquipmentState(
  tx: Transaction,
  row: Row,
  { whole }: Pick<Plan, 'whole'>,
  before: Projection | null,
  after: Projection,
  closed: Closed,
): Promise<void> {
  if (isStanding(row, closed, before, after)) return
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
    machineStanding(tx, tag, whole.checks),
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
