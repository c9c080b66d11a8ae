import { sql } from 'drizzle-orm'
import { database } from '../db/client.ts'
import { route } from '../http/route.ts'

export default route('open', async () => {
  await database().execute(sql`select 1`)
  return { well: true, now: new Date().toISOString() }
})
