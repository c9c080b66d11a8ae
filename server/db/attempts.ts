import { eq, sql } from 'drizzle-orm'
import type { Database } from './client.ts'
import { pinAttempt } from './schema.ts'

/** Wrong PINs that are looked at without a pause; then each costs a longer one, s, up to the longest. */
const FREE = 5
const FIRST_PAUSE = 60
const LONGEST_PAUSE = 3600
/** After this long without any they are forgotten. */
const KEPT = sql`interval '1 day'`

/**
 * Counts an attempt before its PIN is looked at, in one statement, so that many at once gain nothing.
 * @param key what is counted together
 * @param free how many come without a pause
 * @returns null when the PIN may be looked at, else the seconds to wait
 */
export async function takeAttempt(db: Database, key: string, free = FREE): Promise<number | null> {
  const now = sql`clock_timestamp()`
  const isOld = sql`p.last_at < ${now} - ${KEPT}`
  const wrong = sql`case when ${isOld} then 1 else p.wrong + 1 end`
  // The power is bounded: a long flood would run it over.
  const pause = sql`least(${FIRST_PAUSE} * power(2, least((${wrong}) - ${free}::int, 20)), ${LONGEST_PAUSE})`
  const taken = await db.execute(sql`
    insert into pin_attempt as p (key, wrong, opens_at, last_at) values (${key}, 1, '-infinity', ${now})
    on conflict (key) do update set
      wrong = ${wrong},
      opens_at = case when (${wrong}) < ${free}::int then '-infinity'::timestamptz else ${now} + ${pause} * interval '1 second' end,
      last_at = ${now}
    where p.opens_at <= ${now}
    returning wrong`)
  if (taken.length) return null
  const [row] = await db.execute<{ wait: number }>(
    sql`select ceil(extract(epoch from opens_at - ${now}))::int as wait from pin_attempt where key = ${key}`,
  )
  return Math.max(1, row?.wait ?? 1)
}

/** The PIN was right: that attempt does not count, those before it do. */
export async function giveBack(db: Database, key: string): Promise<void> {
  await db
    .update(pinAttempt)
    .set({ wrong: sql`greatest(${pinAttempt.wrong} - 1, 0)`, opensAt: sql`'-infinity'` })
    .where(eq(pinAttempt.key, key))
}

/** Nothing was wrong. */
export async function forgetAttempts(db: Database, key: string): Promise<void> {
  await db.delete(pinAttempt).where(eq(pinAttempt.key, key))
}

/** Nothing was wrong of all whose key begins so. */
export async function forgetAllAttempts(db: Database, start: string): Promise<void> {
  await db.delete(pinAttempt).where(sql`starts_with(${pinAttempt.key}, ${start})`)
}

export const clearOldAttempts = (db: Database) =>
  db.delete(pinAttempt).where(sql`${pinAttempt.lastAt} < now() - ${KEPT}`)
