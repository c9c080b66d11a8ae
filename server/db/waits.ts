import { and, asc, eq, isNull } from 'drizzle-orm'
import type { RunningWait } from '../../shared/answers.ts'
import type { Database } from './client.ts'
import { equipment, job, wait } from './schema.ts'

/** What waits over all open jobs; what may end first stands first. */
export async function openWaits(db: Database): Promise<RunningWait[]> {
  const rows = await db
    .select({
      job: job.id,
      number: job.number,
      tag: job.equipmentTag,
      name: equipment.name,
      stepId: wait.stepId,
      step: wait.step,
      what: wait.what,
      since: wait.since,
      leastAt: wait.leastAt,
      mostAt: wait.mostAt,
    })
    .from(wait)
    .innerJoin(job, eq(job.id, wait.jobId))
    .innerJoin(equipment, eq(equipment.tag, job.equipmentTag))
    .where(and(isNull(job.signedAt), isNull(job.cancelledAt)))
    .orderBy(asc(wait.leastAt), asc(wait.mostAt), asc(wait.since))
  const iso = (at: string) => new Date(at).toISOString()
  return rows.map(({ since, leastAt, mostAt, ...one }) => ({
    ...one,
    since: iso(since),
    leastAt: leastAt && iso(leastAt),
    mostAt: mostAt && iso(mostAt),
  }))
}
