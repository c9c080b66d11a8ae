import { sql } from 'drizzle-orm'
import { defineEventHandler } from 'h3'
import { database } from '../db/client.ts'

export default defineEventHandler(async () => {
  await database().execute(sql`select 1`)
  return { well: true }
})
