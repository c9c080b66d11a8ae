import { and, asc, desc, eq, max, sql } from 'drizzle-orm'
import { v7 as uuid } from 'uuid'
import type { MachineAnswer, YardArea } from '../../shared/answers.ts'
import { refusalsAbout, type Refusal } from '../../core/refusal.ts'
import { fullVariants, type Moment } from '../../core/sheet/index.ts'
import type { Database, Transaction } from './client.ts'
import { keptFacts, noSuchMachine, pastJobs } from './jobs.ts'
import { area, buildSheet, equipment, equipmentState, fittedPart, hoursRead, job, person, reading } from './schema.ts'
import { machineStanding } from './projections.ts'
import { newestSheet, newestSheets, planOn, sheetOf } from './sheets.ts'
import { dueAfter, servicesOf } from '../../core/wear/services.ts'
import { lastServices, lessThanBefore, serviced } from './services.ts'

const refusals = refusalsAbout('machine', {
  taken: ({ tag }: { tag: string }) => `There is a machine ${tag} already. Check the tag on its plate.`,
  area: ({ area, known }: { area: string; known: string }) => `There is no area ${area}. There are: ${known}.`,
  sheet: ({ sheet, known }: { sheet: string; known: string }) =>
    `There is no build sheet ${sheet}. There are: ${known}.`,
  choice: ({ said, known }: { said: string; known: string }) =>
    `“${said}” is no choice of this sheet. It offers: ${known}.`,
})

/** The yard: areas with their machines, how each stands and what is next. */
export async function yard(db: Database, now: string): Promise<YardArea[]> {
  const [areas, machines, sheets, done] = await Promise.all([
    db.select().from(area).orderBy(asc(area.position)),
    db
      .select({
        areaId: equipment.areaId,
        tag: equipment.tag,
        name: equipment.name,
        line: equipment.line,
        sheetId: equipment.sheetId,
        variants: equipment.variants,
        hoursRun: equipment.hoursRun,
        hoursPerWeek: equipment.hoursPerWeek,
        uses: equipment.uses,
        lastOverhaulHours: equipmentState.lastOverhaulHours,
        lastOverhaulUses: equipmentState.lastOverhaulUses,
        lastOverhaulAt: equipmentState.lastOverhaulAt,
        openJobId: equipmentState.openJobId,
        openJobNumber: equipmentState.openJobNumber,
        worstCheck: equipmentState.worstCheck,
        worstVerdict: equipmentState.worstVerdict,
        worstShare: equipmentState.worstShare,
      })
      .from(equipment)
      .leftJoin(equipmentState, eq(equipmentState.equipmentTag, equipment.tag))
      .orderBy(asc(equipment.tag)),
    newestSheets(db),
    lastServices(db),
  ])
  const standing = new Map(areas.map(({ id }) => [id, [] as typeof machines]))
  for (const row of machines) standing.get(row.areaId)!.push(row)
  return areas.map(({ id, name }) => ({
    id,
    name,
    machines: standing.get(id)!.map(one => {
      const { whole } = planOn(sheets.get(one.sheetId)!, one.variants)
      const { hoursRun, hoursPerWeek, uses } = one
      const meters = { hoursRun, hoursPerWeek, uses }
      const overhaul = one.lastOverhaulAt
        ? { at: one.lastOverhaulAt, hours: one.lastOverhaulHours, uses: one.lastOverhaulUses ?? {} }
        : null
      return {
        tag: one.tag,
        name: one.name,
        line: one.line,
        family: whole.title,
        hoursRun,
        hoursSince: one.lastOverhaulHours === null ? null : hoursRun - one.lastOverhaulHours,
        lastOverhaulAt: one.lastOverhaulAt,
        openJob: one.openJobId ? { id: one.openJobId, number: one.openJobNumber! } : null,
        worst: one.worstVerdict
          ? {
              check: whole.checks.find(check => check.id === one.worstCheck)?.title ?? '',
              verdict: one.worstVerdict,
              share: one.worstShare,
            }
          : null,
        next: dueAfter(whole.service, overhaul, meters, now),
        services: servicesOf(whole.service, done.get(one.tag) ?? new Map(), overhaul, meters, now),
      }
    }),
  }))
}

/** One machine: its newest readings, what sits in every place and since when, and its past jobs. */
export async function machine(db: Database, tag: string): Promise<MachineAnswer | null> {
  const [[row], [meter], readings, fitted, past, services, kept] = await Promise.all([
    db
      .select({ equipment, version: max(buildSheet.version) })
      .from(equipment)
      .innerJoin(buildSheet, eq(buildSheet.id, equipment.sheetId))
      .where(eq(equipment.tag, tag))
      .groupBy(equipment.tag),
    db
      .select({ at: hoursRead.readAt, by: person.name })
      .from(hoursRead)
      .leftJoin(person, eq(person.id, hoursRead.readBy))
      .where(eq(hoursRead.equipmentTag, tag))
      .orderBy(desc(hoursRead.readAt))
      .limit(1),
    db
      .select({
        checkId: reading.checkId,
        moment: sql<Moment>`${reading.moment}`,
        value: reading.value,
        verdict: reading.verdict,
        share: reading.share,
        stands: reading.stands,
        takenAt: reading.takenAt,
        number: job.number,
        hours: job.hoursAtOpen,
      })
      .from(reading)
      .innerJoin(job, eq(job.id, reading.jobId))
      .where(and(eq(reading.equipmentTag, tag), eq(reading.cell, ''), eq(job.equipmentTag, tag)))
      .orderBy(asc(reading.takenAt)),
    db
      .select({
        partRef: fittedPart.partRef,
        asNew: fittedPart.asNew,
        fittedAt: fittedPart.fittedAt,
        number: job.number,
      })
      .from(fittedPart)
      .innerJoin(job, eq(job.id, fittedPart.jobId))
      .where(eq(fittedPart.equipmentTag, tag))
      .orderBy(desc(fittedPart.fittedAt)),
    pastJobs(db, tag),
    serviced(db, tag),
    keptFacts(db, tag),
  ])
  if (!row) return null
  const { whole } = planOn(await sheetOf(db, row.equipment.sheetId, row.version!), row.equipment.variants)
  const standing = await machineStanding(db, tag, whole.checks)
  return {
    equipment: row.equipment,
    hoursRead: meter ?? null,
    sheet: { id: row.equipment.sheetId, version: row.version! },
    readings,
    standing: standing.map(({ checkId, cell, value, verdict, share }) => ({ checkId, cell, value, verdict, share })),
    fitted,
    past,
    serviced: services,
    kept,
  }
}

/**
 * Sets what the meters of a machine show, with who read them and when; `by` is null from the shell. Refused in words: no such
 * machine, or less than the work on it says it had.
 */
export async function readMeters(
  db: Database,
  tag: string,
  { hoursRun, uses = {} }: { hoursRun: number; uses?: Record<string, number> },
  by: string | null,
): Promise<Refusal | null> {
  return db.transaction(async tx => {
    const [row] = await tx.select().from(equipment).where(eq(equipment.tag, tag)).for('update')
    if (!row) return noSuchMachine(tag)
    const less = await lessThanBefore(tx, tag, { hoursRun, uses })
    if (less) return less
    await tx
      .insert(hoursRead)
      .values({ id: uuid(), equipmentTag: tag, hours: hoursRun, readBy: by, readAt: sql`now()` })
    await tx
      .update(equipment)
      .set({ hoursRun, uses: { ...row.uses, ...uses } })
      .where(eq(equipment.tag, tag))
    return null
  })
}

export const areas = (db: Database | Transaction) => db.select().from(area).orderBy(asc(area.position))

/** Adds an area behind the others; false when the name is taken. */
export async function addArea(db: Database, id: string, name: string): Promise<boolean> {
  const position = (await areas(db)).length
  return (await db.insert(area).values({ id, name, position }).onConflictDoNothing().returning()).length > 0
}

/** Adds a machine to the yard. Refused in words: an unknown area or sheet, a choice the sheet does not offer, a tag that is taken. */
export async function addMachine(
  db: Database | Transaction,
  row: typeof equipment.$inferInsert,
): Promise<Refusal | null> {
  const known = await areas(db)
  if (!known.some(one => one.id === row.areaId))
    return refusals.area({ area: row.areaId, known: known.map(one => one.id).join(', ') || 'none yet' })
  const sheet = await newestSheet(db, row.sheetId)
  if (!sheet) {
    const shelf = await db.selectDistinct({ id: buildSheet.id }).from(buildSheet)
    return refusals.sheet({ sheet: row.sheetId, known: shelf.map(one => one.id).join(', ') })
  }
  for (const [axis, choice] of Object.entries(row.variants)) {
    const found = sheet.axes.find(one => one.id === axis)
    if (!found?.choices.some(one => one.id === choice))
      return refusals.choice({
        said: `${axis}=${choice}`,
        known: sheet.axes.map(one => `${one.id}=${one.choices.map(each => each.id).join('|')}`).join(', '),
      })
  }
  const variants = fullVariants(sheet, row.variants)
  const added = await db
    .insert(equipment)
    .values({ ...row, variants })
    .onConflictDoNothing()
    .returning()
  return added.length ? null : refusals.taken({ tag: row.tag })
}
