import { sql } from 'drizzle-orm'
import { shelveLibrary } from '../server/db/library.ts'
import { migrateToNewest } from '../server/db/migrate.ts'
import { addPerson, peopleWhoSign } from '../server/db/people.ts'
import { APP_USER, appUrl, createDatabase, ownerUrl, withDatabase } from './place.ts'
import { Plain, say } from './plain.ts'

/** Anything: what it is is the same number for every start on a cluster. */
const STARTING = 7_031_842

/** Starts on one cluster take turns at making and filling databases: the second finds it done. */
export async function alone<T>(act: () => Promise<T>): Promise<T> {
  return withDatabase(ownerUrl('postgres'), async (_, { sql: client }) => {
    const held = await client.reserve()
    try {
      await held`select pg_advisory_lock(${STARTING})`
      return await act()
    } finally {
      await held`select pg_advisory_unlock(${STARTING})`
      held.release()
    }
  })
}

/** Says how far something is, every tenth of it. */
export function howFar(what: string): (done: number, all: number) => void {
  let said = 0
  return (done, all) => {
    const tenth = Math.floor((10 * done) / all)
    if (tenth === said) return
    said = tenth
    say(`  ${done} of ${all} ${what}`)
  }
}

/** Makes a database ready to be filled: there, and at the newest migration. */
export async function makeReady(name: string): Promise<void> {
  await createDatabase(name)
  await migrateToNewest(ownerUrl(name), APP_USER).catch((error: Error) => {
    throw new Plain(error.message)
  })
}

/** Makes a database ready to be served: at the newest migration, with the shipped sheets on its shelf. */
export async function prepare(name: string): Promise<void> {
  await makeReady(name)
  await withDatabase(appUrl(name), db => shelveLibrary(db))
}

/** An empty site gets somebody who can sign in, and is told what to do next. */
export async function welcome(name: string): Promise<void> {
  await withDatabase(appUrl(name), async db => {
    if (!(await peopleWhoSign(db)).length) {
      const { person, pin } = await addPerson(db, { name: 'First lead', role: 'lead' })
      say(
        `\n${person.name} may sign in as ${person.role}; the PIN is ${pin}. It is shown only now, and good only for choosing one of their own.`,
      )
    }
    const [row] = await db.execute<{ machines: number; areas: number }>(
      sql`select (select count(*)::int from equipment) as machines, (select count(*)::int from area) as areas`,
    )
    if (row!.machines) return
    say(`
There is no machine in the yard yet. From the shell:
  ./needler site --name 'Name of the site'${row!.areas ? '' : "\n  ./needler area add juice --name 'Juice end'"}
  ./needler machine add P-101 --name 'Raw-juice pump' --area juice --sheet m14-axially-split-pump
  ./needler person add 'A. Name' fitter`)
  })
}
