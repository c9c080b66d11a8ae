import { drizzle, type PostgresJsDatabase } from 'drizzle-orm/postgres-js'
import postgres from 'postgres'
import { isHungUp } from './faults.ts'
import * as schema from './schema.ts'

export type Database = PostgresJsDatabase<typeof schema>
export type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0]

type Client = postgres.Sql | postgres.TransactionSql

export interface Connection {
  sql: postgres.Sql
  db: Database
  end: () => Promise<void>
}

/**
 * What is done in a transaction, with nothing said of an end of its connection: the transaction fails by that itself. Told
 * of it, the client would send its rollback into the dead connection, where it stays and spoils whatever is asked of that
 * one next. A transaction asks nothing of other connections, so that an end is always that of its own.
 */
const untilHungUp =
  <T>(act: (inner: postgres.TransactionSql) => T | Promise<T>) =>
  async (inner: postgres.TransactionSql): Promise<T> => {
    try {
      return await act(inner)
    } catch (error) {
      if (isHungUp(error)) return new Promise(() => {})
      throw error
    }
  }

/**
 * The client that is in use at each moment, its statements kept prepared on each connection: one way there and back each,
 * not two. Drizzle asks for everything through `unsafe`, and says of each that it is not to be prepared.
 */
function preparing<C extends Client>(client: () => C): C {
  return new Proxy(client(), {
    get(_, key) {
      const target = client()
      const value: unknown = Reflect.get(target, key)
      if (key === 'unsafe')
        return (query: string, parameters?: never[], options?: object) =>
          target.unsafe(query, parameters, { ...options, prepare: true })
      if (key === 'begin' || key === 'savepoint')
        return (...given: unknown[]) => {
          const act = given.pop() as (inner: postgres.TransactionSql) => unknown
          return (value as (...all: unknown[]) => unknown).call(
            target,
            ...given,
            untilHungUp(inner => act(preparing(() => inner))),
          )
        }
      return value
    },
  })
}

const open = (url: string, options: postgres.Options<Record<string, postgres.PostgresType>>) =>
  postgres(url, { onnotice: () => {}, ...options })

const databaseOn = (client: () => postgres.Sql): Database =>
  drizzle(preparing(client), { schema, casing: 'snake_case' })

/** A query that is put together once for each database handle. */
export function onceFor<Q>(make: (db: Database) => Q): (db: Database) => Q {
  const made = new WeakMap<Database, Q>()
  return db => made.get(db) ?? made.set(db, make(db)).get(db)!
}

/** Opens a pool of connections to a database, for a command that may take its time. */
export function connectTo(url: string, max = 10): Connection {
  const sql = open(url, { max })
  return { sql, db: databaseOn(() => sql), end: () => sql.end({ timeout: 2 }) }
}

/** No request waits longer than this for anything: to connect, s; to be answered, to get a lock, to go on, ms. */
const PATIENCE = { connect: 2, statement: 15_000, lock: 5000, idle: 20_000 }

/**
 * Connections of the serving process for one purpose. They can be thrown away and are made anew under the same handle:
 * whatever hangs on the old ones fails at once.
 */
class Pool {
  private current: postgres.Sql
  readonly db: Database

  constructor(
    private readonly url: string,
    private readonly max: number,
  ) {
    this.current = this.made()
    this.db = databaseOn(() => this.current)
  }

  private made(): postgres.Sql {
    return open(this.url, {
      max: this.max,
      // No column holds an array. Asked of their types at each connection, nobody would hear that it failed. (Without it the
      // client's `reserve` waits for ever: commands, which use that, ask.)
      fetch_types: false,
      connect_timeout: PATIENCE.connect,
      backoff: 0.2 as never,
      connection: {
        application_name: 'needler',
        statement_timeout: PATIENCE.statement,
        lock_timeout: PATIENCE.lock,
        idle_in_transaction_session_timeout: PATIENCE.idle,
      },
    })
  }

  get sql(): postgres.Sql {
    return this.current
  }

  renew(): Promise<void> {
    const old = this.current
    this.current = this.made()
    // How rows are read was told to the first client by Drizzle.
    this.current.options.parsers = old.options.parsers
    this.current.options.serializers = old.options.serializers
    return old.end({ timeout: 0 })
  }

  end(): Promise<void> {
    return this.current.end({ timeout: 0.5 })
  }
}

/** What asks for what: nobody who reads waits behind those who write, and whether the database answers is asked beside both. */
const PURPOSES = { reading: 6, writing: 6, pulse: 1 } as const
type Purpose = keyof typeof PURPOSES

let pools: Record<Purpose, Pool> | undefined

/** The connections of this process; DATABASE_URL says where to. */
function poolFor(purpose: Purpose): Pool {
  const url = process.env.DATABASE_URL
  if (!url)
    throw new Error('DATABASE_URL is not set. Start Needler with its own command, or set it to a PostgreSQL address.')
  const poolOf = (name: Purpose) => new Pool(url, PURPOSES[name])
  pools ??= { reading: poolOf('reading'), writing: poolOf('writing'), pulse: poolOf('pulse') }
  return pools[purpose]
}

/** Everything but the ledger: what is read, who is signed in, people and the site. */
export const database = (): Database => poolFor('reading').db
/** Jobs and their ledgers, where they are written. */
export const ledgerDatabase = (): Database => poolFor('writing').db

/** Which database answers: this start of it, and which one of its databases. */
export async function whichDatabase(): Promise<string> {
  const [row] = await poolFor('pulse').sql<{ which: string }[]>`
    select extract(epoch from pg_postmaster_start_time()) || ' ' || oid as which
    from pg_database where datname = current_database()`
  return row!.which
}

/** Asks by text and values, as other packages do. */
export async function query({ text, values }: { text: string; values: unknown[] }) {
  const rows = await poolFor('reading').sql.unsafe(text, values as never[], { prepare: true })
  return { rows: [...rows], rowCount: rows.count }
}

/** Hears what is notified on some channels, on one connection of its own; `again` whenever it listens anew. */
export const hear = (channels: Record<string, (said: string) => void>, again: () => void): Promise<unknown> => {
  const { sql } = poolFor('pulse')
  return Promise.all(Object.entries(channels).map(([name, back]) => sql.listen(name, back))).then(() =>
    sql.listen('anew', () => {}, again),
  )
}

/** Lets go of every connection there is, and of whoever waits on one. */
export const letGo = async (): Promise<void> => {
  await Promise.all(Object.values(pools ?? {}).map(pool => pool.renew()))
}

export async function disconnect(): Promise<void> {
  await Promise.all(Object.values(pools ?? {}).map(pool => pool.end()))
  pools = undefined
}
