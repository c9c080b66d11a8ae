import { drizzle, type PostgresJsDatabase } from 'drizzle-orm/postgres-js'
import postgres from 'postgres'
import * as schema from './schema.ts'

export type Database = PostgresJsDatabase<typeof schema>
export type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0]

let connection: { sql: postgres.Sql; db: Database } | undefined

/** The one connection pool of this process; DATABASE_URL says where. */
export function connect() {
  if (connection) return connection
  const url = process.env.DATABASE_URL
  if (!url)
    throw new Error('DATABASE_URL is not set. Start Needler with its own command, or set it to a PostgreSQL address.')
  const sql = postgres(url, { max: 10, onnotice: () => {} })
  connection = { sql, db: drizzle(sql, { schema, casing: 'snake_case' }) }
  return connection
}

export const database = (): Database => connect().db

export async function disconnect(): Promise<void> {
  await connection?.sql.end({ timeout: 2 })
  connection = undefined
}
