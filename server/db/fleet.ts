import { asc, desc, eq } from 'drizzle-orm'
import type { Database } from './client.ts'
import { pastJobs } from './jobs.ts'
import { area, buildSheet, equipment, equipmentState, fittedPart, job, reading } from './schema.ts'
import { newestSheet } from './sheets.ts'
import { whatIsNext } from '../../core/wear/next.ts'

/** The yard: areas with their machines, how each stands and what is next. */
export async function yard(db: Database, now: string) {
  const areas = await db.select().from(area).orderBy(asc(area.position))
  const machines = await db
    .select()
    .from(equipment)
    .leftJoin(equipmentState, eq(equipmentState.equipmentTag, equipment.tag))
    .orderBy(asc(equipment.tag))
  const sheets = new Map(
    (await db.select().from(buildSheet).orderBy(asc(buildSheet.version))).map(row => [row.id, row.body]),
  )
  return areas.map(({ id, name }) => ({
    id,
    name,
    machines: machines
      .filter(row => row.equipment.areaId === id)
      .map(({ equipment: machine, equipment_state: state }) => {
        const sheet = sheets.get(machine.sheetId)!
        const hoursSince = machine.hoursRun - (state?.lastOverhaulHours ?? 0)
        return {
          tag: machine.tag,
          name: machine.name,
          line: machine.line,
          family: sheet.title,
          hoursRun: machine.hoursRun,
          hoursSince,
          lastOverhaulAt: state?.lastOverhaulAt ?? null,
          openJob: state?.openJobId ? { id: state.openJobId, number: state.openJobNumber! } : null,
          worst: state?.worstVerdict
            ? {
                check: sheet.checks.find(one => one.id === state.worstCheck)?.title ?? '',
                verdict: state.worstVerdict,
                share: state.worstShare,
              }
            : null,
          next: whatIsNext({
            hoursSince,
            hoursPerWeek: machine.hoursPerWeek,
            lastOverhaulAt: state?.lastOverhaulAt ?? null,
            service: sheet.service,
            now,
          }),
        }
      }),
  }))
}

export type YardArea = Awaited<ReturnType<typeof yard>>[number]
export type YardMachine = YardArea['machines'][number]

/** One machine: its newest readings, what sits in every place and since when, and its past jobs. */
export async function machine(db: Database, tag: string) {
  const [row] = await db.select().from(equipment).where(eq(equipment.tag, tag))
  if (!row) return null
  const sheet = await newestSheet(db, row.sheetId)
  const readings = await db
    .select({
      checkId: reading.checkId,
      moment: reading.moment,
      value: reading.value,
      verdict: reading.verdict,
      share: reading.share,
      takenAt: reading.takenAt,
      number: job.number,
      hours: job.hoursAtOpen,
    })
    .from(reading)
    .innerJoin(job, eq(job.id, reading.jobId))
    .where(eq(reading.equipmentTag, tag))
    .orderBy(asc(reading.takenAt))
  const fitted = await db
    .select({ partRef: fittedPart.partRef, asNew: fittedPart.asNew, fittedAt: fittedPart.fittedAt, number: job.number })
    .from(fittedPart)
    .innerJoin(job, eq(job.id, fittedPart.jobId))
    .where(eq(fittedPart.equipmentTag, tag))
    .orderBy(desc(fittedPart.fittedAt))
  return { equipment: row, sheet: sheet!, readings, fitted, past: await pastJobs(db, tag) }
}

export type Machine = NonNullable<Awaited<ReturnType<typeof machine>>>
