import { eq } from 'drizzle-orm'
import { benchRefusal, planIn } from '../../core/job/index.ts'
import { refusalsAbout } from '../../core/refusal.ts'
import type { SignedInPerson } from '../../shared/answers.ts'
import { appendIn, OWN } from './append.ts'
import { Refused } from './claims.ts'
import type { Database, Transaction } from './client.ts'
import { addMachine } from './fleet.ts'
import { JOBS } from './folded.ts'
import { openJobIn, type Opening } from './jobs.ts'
import { entriesAfter, lockedJob } from './ledger.ts'
import { ownEntry } from './parent.ts'
import { equipment } from './schema.ts'
import { newestSheet, planOf } from './sheets.ts'

const refusals = refusalsAbout('child', {
  noJob: () => 'There is no such job. It may belong to another site; go back to the bench list.',
  other: ({ own, name }: { own: string; name: string }) =>
    `There is a machine ${own} in the yard by another sheet, so ${name} cannot go by that tag. A lead looks into it.`,
  noSheet: ({ sheet }: { sheet: string }) =>
    `The sheet it goes by, ${sheet}, is not on the shelf. Put it there first: ./needler sheet put FILE`,
})

const LONGEST_TAG = 40

/** The tag a sub-assembly has in the yard: its machine's, with its own name behind. */
export function childTag(tag: string, part: string): string {
  const own = `.${part.replace('@', '.')}`
  return `${tag.slice(0, Math.max(1, LONGEST_TAG - own.length))}${own}`
}

/** The machine in the yard that a sub-assembly is, made where it was never on a bench of its own before. */
async function machineOf(
  tx: Transaction,
  tag: string,
  part: string,
  name: string,
  bench: { sheet: string; variants?: object },
) {
  const own = childTag(tag, part)
  const [parent] = await tx.select().from(equipment).where(eq(equipment.tag, tag)).for('update')
  const [there] = await tx.select({ sheet: equipment.sheetId }).from(equipment).where(eq(equipment.tag, own))
  const { areaId, line, hoursRun, hoursPerWeek } = parent!
  if (there && there.sheet !== bench.sheet) throw new Refused(409, refusals.other({ own, name }), null)
  // It has run as long as its machine has.
  if (there) await tx.update(equipment).set({ hoursRun, hoursPerWeek }).where(eq(equipment.tag, own))
  else {
    const refused = await addMachine(tx, {
      ...{ tag: own, name: `${name} of ${tag}`, areaId, line, hoursRun, hoursPerWeek },
      ...{ sheetId: bench.sheet, variants: { ...bench.variants } },
    })
    if (refused) throw new Refused(422, refused, null)
  }
  return own
}

/**
 * Opens a job of its own for a sub-assembly that is off, and writes so in the ledger it came from: both or neither. Refused
 * in words: no such job or part, one that is on, away already, or whose sheet is not on the shelf.
 */
export async function openChild(
  db: Database,
  parentId: string,
  part: string,
  by: SignedInPerson,
  at: string,
): Promise<Opening> {
  try {
    return await db.transaction(async tx => {
      const row = await lockedJob(tx, parentId)
      if (!row) throw new Refused(404, refusals.noJob(), null)
      const { folded, plan: opened } = await JOBS.at(row, await planOf(tx, row), after =>
        entriesAfter(tx, parentId, after),
      )
      const plan = planIn(opened, folded.state)
      const wrong = benchRefusal(plan, folded.state, part)
      if (wrong) throw new Refused(422, wrong, null)
      const place = plan.parts.get(part)!
      const bench = place.part.bench!
      if (!(await newestSheet(tx, bench.sheet))) throw new Refused(422, refusals.noSheet({ sheet: bench.sheet }), null)
      const { equipmentTag: tag, number } = row
      const own = await machineOf(tx, tag, part, place.name, bench)
      const complaint = folded.state.opened?.payload.complaint ?? ''
      const parent = { job: parentId, number, part, equipment: tag }
      const child = await openJobIn(tx, own, { complaint }, by, at, parent)
      if (!child.ok) throw new Refused(child.status, child.refusal, null)
      const said = { part, job: child.id, number: child.number, equipment: own }
      await appendIn(tx, parentId, by, [ownEntry('child.opened', said, at)], OWN)
      return child
    })
  } catch (error) {
    if (error instanceof Refused && (error.status === 404 || error.status === 409 || error.status === 422))
      return { ok: false, status: error.status, refusal: error.refusal }
    throw error
  }
}
