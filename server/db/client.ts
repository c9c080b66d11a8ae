import { drizzle, type PostgresJsDatabase } from 'drizzle-orm/postgres-js'
import postgres from 'postgres'
import * as schema from './schema.ts'

export type Database = PostgresJsDatabase<typeof schema>
export type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0]

export interface Connection {
  sql: postgres.Sql
  db: Database
  end: () => Promise<void>
}

/**
 * The same client, its statements kept prepared on each connection: one way there and back each, not two. Drizzle asks for
 * everything through `unsafe`, and says of each that it is not to be prepared.
 */
function preparing<C extends postgres.Sql | postgres.TransactionSql>(client: C): C {
  return new Proxy(client, {
    get(target, key) {
      const value: unknown = Reflect.get(target, key)
      if (key === 'unsafe')
        return (query: string, parameters?: never[], options?: object) =>
          target.unsafe(query, parameters, { ...options, prepare: true })
      if (key === 'begin' || key === 'savepoint')
        return (...given: unknown[]) => {
          const act = given.pop() as (inner: postgres.TransactionSql) => unknown
          return (value as (...all: unknown[]) => unknown).call(target, ...given, (inner: postgres.TransactionSql) =>
            act(preparing(inner)),
          )
        }
      return value
    },
  })
}

/** Opens a pool of connections to a database. */
export function connectTo(url: string, max = 10): Connection {
  const sql = postgres(url, { max, onnotice: () => {} })
  return { sql, db: drizzle(preparing(sql), { schema, casing: 'snake_case' }), end: () => sql.end({ timeout: 2 }) }
}

let connection: Connection | undefined

/** The one connection pool of this process; DATABASE_URL says where. */
export function connect(): Connection {
  const url = process.env.DATABASE_URL
  if (!url)
    throw new Error('DATABASE_URL is not set. Start Needler with its own command, or set it to a PostgreSQL address.')
  return (connection ??= connectTo(url))
}

export const database = (): Database => connect().db

export async function disconnect(): Promise<void> {
  await connection?.end()
  connection = undefined
}
