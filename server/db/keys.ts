import { createHash, randomBytes } from 'node:crypto'
import { asc, eq } from 'drizzle-orm'
import { v7 as uuid } from 'uuid'
import type { Database } from './client.ts'
import { apiKey } from './schema.ts'

const hashOf = (key: string) => createHash('sha256').update(key).digest('hex')

/** Makes a key; it is shown only now. Null when the name is taken. */
export async function addKey(db: Database, name: string): Promise<string | null> {
  const key = `nk_${randomBytes(24).toString('base64url')}`
  const made = await db
    .insert(apiKey)
    .values({ id: uuid(), name, hash: hashOf(key) })
    .onConflictDoNothing()
    .returning({ id: apiKey.id })
  return made.length ? key : null
}

export const listKeys = (db: Database) =>
  db.select({ name: apiKey.name, madeAt: apiKey.madeAt }).from(apiKey).orderBy(asc(apiKey.name))

/** Takes a key back; false when there is none of that name. */
export async function takeKeyBack(db: Database, name: string): Promise<boolean> {
  return (await db.delete(apiKey).where(eq(apiKey.name, name)).returning({ id: apiKey.id })).length > 0
}

/** The id of a key; null when there is no such key. */
export async function keyIdOf(db: Database, key: string): Promise<string | null> {
  const [row] = await db
    .select({ id: apiKey.id })
    .from(apiKey)
    .where(eq(apiKey.hash, hashOf(key)))
  return row?.id ?? null
}
