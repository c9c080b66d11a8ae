import { sql } from 'drizzle-orm'
import { connectTo } from '../server/db/client.ts'

/** The address of a database beside another, under a name of its own. */
export const named = (url: string | URL, name: string): string => {
  const other = new URL(url)
  other.pathname = `/${name}`
  return other.href
}

/** The name of a worker's own copy of a database. */
export const copyName = (url: string | URL, worker: number | string): string =>
  `${new URL(url).pathname.slice(1)}_${worker}`

/**
 * A copy of a database that nobody is connected to, for one worker of the tests.
 * @param owner the address of the database, as its owner
 * @returns the name of the copy
 */
export async function copyFor(owner: string | URL, worker: number | string): Promise<string> {
  const [name, template] = [copyName(owner, worker), new URL(owner).pathname.slice(1)]
  const { db, end } = connectTo(named(owner, 'postgres'), 1)
  try {
    await db.execute(sql`drop database if exists ${sql.identifier(name)} with (force)`)
    await db.execute(sql`create database ${sql.identifier(name)} template ${sql.identifier(template)}`)
  } finally {
    await end()
  }
  return name
}
