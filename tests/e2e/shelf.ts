import { connectTo } from '../../server/db/client.ts'
import { addMachine } from '../../server/db/fleet.ts'
import { shelve } from '../../server/db/sheets.ts'
import { sheetNamed } from '../sheets.ts'

/** A machine by a small sheet made for tests, in the yard of the database the browser tests run on. */
export async function machineBy(name: string, tag: string, title: string): Promise<void> {
  const { db, end } = connectTo(process.env.DATABASE_URL!, 1)
  const sheet = sheetNamed(name)
  await shelve(db, sheet)
  const added = await addMachine(db, {
    tag,
    name: title,
    areaId: 'beet',
    line: 'tests',
    sheetId: sheet.id,
    variants: {},
    hoursRun: 100,
    hoursPerWeek: 10,
  })
  await end()
  // A second try of the same test finds it there.
  if (!added.ok && !/already|there/.test(added.why)) throw new Error(added.why)
}
