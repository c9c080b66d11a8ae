import { existsSync } from 'node:fs'
import { resolve } from 'node:path'
import { migrate } from 'drizzle-orm/postgres-js/migrator'
import { database } from './client.ts'

/** Brings the database up to the newest migration. The folder is found from where the command starts, or told. */
export async function migrateToNewest(): Promise<void> {
  const migrationsFolder = resolve(process.env.NEEDLER_MIGRATIONS ?? 'server/db/migrations')
  if (!existsSync(migrationsFolder))
    throw new Error(
      `The migrations are not at ${migrationsFolder}. Start from the project folder, or set NEEDLER_MIGRATIONS.`,
    )
  await migrate(database(), { migrationsFolder })
}
