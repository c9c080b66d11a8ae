import { sql } from 'drizzle-orm'
import type { Database, Transaction } from './client.ts'

/** The next numbers for tags and bags, in order; no other device gets them, used or not. */
export async function takeLabels(db: Database | Transaction, count: number): Promise<number[]> {
  const rows = await db.execute<{ n: string }>(
    sql`select nextval('label_number') as n from generate_series(1, ${count}::int)`,
  )
  return rows.map(row => Number(row.n))
}
