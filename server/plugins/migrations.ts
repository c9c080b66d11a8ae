import { migrateToNewest } from '../db/migrate.ts'

/** Requests wait until the database is at the newest migration; without it there is nothing to serve. */
export default defineNitroPlugin(nitro => {
  const ready = migrateToNewest().catch((error: Error) => {
    console.error(`The database could not be brought up to date: ${error.message}`)
    process.exit(1)
  })
  nitro.hooks.hook('request', () => ready)
})
