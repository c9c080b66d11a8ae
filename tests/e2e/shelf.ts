import { connectTo } from '../../server/db/client.ts'
import { addMachine } from '../../server/db/fleet.ts'
import { shelve } from '../../server/db/sheets.ts'
import { sentenceOf } from '../../core/refusal.ts'
import type { Sheet, Variants } from '../../core/sheet/index.ts'
import { sheetNamed } from '../sheets.ts'

/** A machine by a small sheet made for tests, or by another, in the yard of the database the browser tests run on. */
export async function machineBy(
  by: string | Sheet,
  tag: string,
  title: string,
  variants: Variants = {},
): Promise<void> {
  const { db, end } = connectTo(process.env.DATABASE_URL!, 1)
  const sheet = typeof by === 'string' ? sheetNamed(by) : by
  const { faults } = await shelve(db, sheet)
  if (faults) throw new Error(faults.join('\n'))
  const refused = await addMachine(db, {
    tag,
    name: title,
    areaId: 'beet',
    line: 'tests',
    sheetId: sheet.id,
    variants,
    hoursRun: 100,
    hoursPerWeek: 10,
  })
  await end()
  // A second try of the same test finds it there.
  if (refused && refused.code !== 'machine.taken') throw new Error(sentenceOf(refused))
}
