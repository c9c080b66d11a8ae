import { existsSync } from 'node:fs'
import { resolve } from 'node:path'
import { sql } from 'drizzle-orm'
import { migrate } from 'drizzle-orm/postgres-js/migrator'
import { connectTo, type Database } from './client.ts'
import journal from './migrations/meta/_journal.json' with { type: 'json' }
import { LEDGER_FORMAT } from './site.ts'

const TOO_OLD =
  'This database was made by another version of Needler, and its ledger is written otherwise. The demo is started over with ./needler demo --fresh; a site keeps its data with the version that made it.'

const TOO_NEW =
  'This database was brought up to date by a newer version of Needler. Nothing was changed. Start that version; there is no way back but a backup made before (docs/operations.md).'

/** The newest change of the tables that this version knows of. */
const NEWEST = Math.max(...journal.entries.map(one => one.when))

/** Whether a newer version has changed the tables. */
async function isNewer(db: Database): Promise<boolean> {
  if (!(await has(db, '__drizzle_migrations', 'drizzle'))) return false
  const [row] = await db.execute<{ newest: string | null }>(
    sql`select max(created_at) as newest from drizzle.__drizzle_migrations`,
  )
  return Number(row?.newest ?? 0) > NEWEST
}

const has = async (db: Database, table: string, schema = 'public') =>
  (await db.execute<{ there: boolean }>(sql`select to_regclass(${`${schema}.${table}`}) is not null as there`))[0]!
    .there

/** Refuses, in words and before anything is changed, a database whose ledger this version does not read. */
async function checkFormat(db: Database): Promise<void> {
  if (await isNewer(db)) throw new Error(TOO_NEW)
  if (!(await has(db, 'entry'))) return
  if (!(await has(db, 'site'))) throw new Error(TOO_OLD)
  const [row] = await db.execute<{ format: number }>(sql`select ledger_format as format from site`)
  if (row && row.format !== LEDGER_FORMAT) throw new Error(TOO_OLD)
}

/**
 * Brings a database up to the newest migration. The folder is found from where the command starts, or told.
 * @param url whoever owns the tables: the application's own user may not change them
 * @param user who is given what the application needs and no more; nobody when the owner serves
 */
export async function migrateToNewest(url: string, user?: string): Promise<void> {
  const migrationsFolder = resolve(process.env.NEEDLER_MIGRATIONS ?? 'server/db/migrations')
  if (!existsSync(migrationsFolder))
    throw new Error(
      `The migrations are not at ${migrationsFolder}. Start from the project folder, or set NEEDLER_MIGRATIONS.`,
    )
  const { db, end } = connectTo(url, 1)
  try {
    await checkFormat(db)
    await migrate(db, { migrationsFolder })
    await db.execute(
      sql`insert into site (id, name, ledger_format) values (1, 'This site', ${LEDGER_FORMAT}) on conflict do nothing`,
    )
    if (user) await grant(db, user)
  } finally {
    await end()
  }
}

/** The application reads and writes rows, makes no tables, and only ever adds to the ledger. */
async function grant(db: Database, user: string): Promise<void> {
  const name = sql.identifier(user)
  await db.execute(sql`grant usage on schema public to ${name}`)
  await db.execute(sql`grant select, insert, update, delete on all tables in schema public to ${name}`)
  await db.execute(sql`grant usage on all sequences in schema public to ${name}`)
  await db.execute(sql`revoke update, delete, truncate on entry from ${name}`)
  await db.execute(sql`grant usage on schema drizzle to ${name}`)
  await db.execute(sql`grant select on all tables in schema drizzle to ${name}`)
}

/** Whether a database is ready to be served by this version; the sentence why not. */
export async function readiness(db: Database): Promise<string | null> {
  if (await isNewer(db)) return TOO_NEW
  if (!(await has(db, 'site')))
    return (await has(db, 'entry'))
      ? TOO_OLD
      : 'The database is empty. Prepare it with ./needler serve, or ./needler demo.'
  const [row] = await db.execute<{ format: number }>(sql`select ledger_format as format from site`)
  return row?.format === LEDGER_FORMAT ? null : TOO_OLD
}
