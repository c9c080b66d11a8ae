import type { TestProject } from 'vitest/node'
import { loadThornmere } from '../../demo/load.ts'
import { connectTo } from '../../server/db/client.ts'
import { migrateToNewest } from '../../server/db/migrate.ts'
import { copyFor } from '../databases.ts'

/** Loads the demo once, and copies it for every worker: what one file does, one beside it never meets. */
export default async function setUp({ vitest }: TestProject): Promise<void> {
  const owner = process.env.NEEDLER_OWNER_URL!
  await migrateToNewest(owner, 'needler_app')
  const { db, end } = connectTo(process.env.DATABASE_URL!, 1)
  await loadThornmere(db)
  await end()
  for (let worker = 1; worker <= vitest.config.maxWorkers; worker++) await copyFor(owner, worker)
}
