import { v7 as uuid } from 'uuid'
import { and, desc, eq, isNull, lte } from 'drizzle-orm'
import { alias } from 'drizzle-orm/pg-core'
import { competenceFor, qualified, signerWords } from '../../core/job/index.ts'
import { refusalsAbout, type Refusal } from '../../core/refusal.ts'
import type { Done } from '../../core/wear/services.ts'
import type { ServiceRow, SignedInPerson } from '../../shared/answers.ts'
import type { Database, Transaction } from './client.ts'
import { noSuchMachine } from './jobs.ts'
import { equipment, hoursRead, job, person, serviceDone } from './schema.ts'
import { newestSheet, planOn } from './sheets.ts'

const refusals = refusalsAbout('service', {
  less: ({ tag, had, of }: { tag: string; had: number; of: string }) =>
    `${tag} had ${had} ${of} already when it was last worked on. Read the meter again; a new meter counts on from the old one: add its count to that.`,
  unknown: ({ tag, known }: { tag: string; known: string }) =>
    `Nothing of that name is done to ${tag} between overhauls. Its sheet has: ${known || 'nothing'}.`,
  ahead: () => 'That time is still to come. Write it down once it is done.',
  doer: ({ name, doer }: { name: string; doer: string }) =>
    `“${name}” is done by ${doer}, and that does not stand by your name, or has run out. A lead writes it down under People once the paper has been seen.`,
  other: ({ by }: { by: string }) => `${by} wrote that down. They withdraw it, or a lead does.`,
  taken: () => 'That number is taken by another service. Reload the page, and write it down again.',
  gone: () => 'There is no such service on record. Reload the page.',
})

/** A clock may be so far ahead of the server's, ms. */
const AHEAD_MS = 10 * 60_000

type Meters = { hoursRun: number; uses: Record<string, number> }

/** Why what the meters show cannot be, by what they showed at jobs and services until then; null where it can. */
export async function lessThanBefore(
  tx: Transaction,
  tag: string,
  { hoursRun, uses }: Meters,
  until = '9999-12-31T00:00:00Z',
): Promise<Refusal | null> {
  const [jobs, services] = await Promise.all([
    tx
      .select({ hours: job.hoursAtOpen, uses: job.usesAtOpen })
      .from(job)
      .where(and(eq(job.equipmentTag, tag), isNull(job.cancelledAt), lte(job.openedAt, until))),
    tx
      .select({ hours: serviceDone.hours, uses: serviceDone.uses })
      .from(serviceDone)
      .where(and(eq(serviceDone.equipmentTag, tag), isNull(serviceDone.withdrawnAt), lte(serviceDone.doneAt, until))),
  ])
  const before = [...jobs, ...services]
  const had = Math.max(0, ...before.map(one => one.hours))
  if (hoursRun < had) return refusals.less({ tag, had, of: 'hours' })
  for (const [of, shown] of Object.entries(uses)) {
    const counted = Math.max(0, ...before.map(one => one.uses[of] ?? 0))
    if (shown < counted) return refusals.less({ tag, had: counted, of })
  }
  return null
}

/** When each service of each machine was last written down as done, by tag and service. */
export async function lastServices(db: Database): Promise<Map<string, Map<string, Done>>> {
  const rows = await db
    .selectDistinctOn([serviceDone.equipmentTag, serviceDone.serviceId])
    .from(serviceDone)
    .where(isNull(serviceDone.withdrawnAt))
    .orderBy(serviceDone.equipmentTag, serviceDone.serviceId, desc(serviceDone.doneAt))
  const found = new Map<string, Map<string, Done>>()
  for (const { equipmentTag, serviceId, doneAt, hours, uses } of rows) {
    const mine = found.get(equipmentTag) ?? new Map<string, Done>()
    found.set(equipmentTag, mine.set(serviceId, { at: doneAt, hours, uses }))
  }
  return found
}

/** What was done to a machine between overhauls, the newest first. */
export async function serviced(db: Database, tag: string): Promise<ServiceRow[]> {
  const withdrawer = alias(person, 'withdrawer')
  const rows = await db
    .select({ row: serviceDone, by: { id: person.id, name: person.name }, withdrawnBy: withdrawer.name })
    .from(serviceDone)
    .innerJoin(person, eq(person.id, serviceDone.doneBy))
    .leftJoin(withdrawer, eq(withdrawer.id, serviceDone.withdrawnBy))
    .where(eq(serviceDone.equipmentTag, tag))
    .orderBy(desc(serviceDone.doneAt), desc(serviceDone.recordedAt))
  return rows.map(({ row: { id, serviceId, name, doneAt, hours, uses, note }, by, withdrawnBy }) => ({
    ...{ id, serviceId, name, doneAt, by, hours, uses, note, withdrawnBy },
  }))
}

type Told = Meters & { id: string; service: string; doneAt?: string; note: string }

/**
 * Writes down a service between overhauls, once, however often it is sent. Refused in words: an unknown machine or service,
 * a time to come, meters that go backwards, a paper that is wanted and does not stand by the name.
 */
export async function writeService(
  db: Database | Transaction,
  tag: string,
  { id, service, doneAt: day, hoursRun, uses, note }: Told,
  by: SignedInPerson,
  now: string,
): Promise<Refusal | null> {
  const doneAt = day ?? now
  return db.transaction(async tx => {
    const [machine] = await tx.select().from(equipment).where(eq(equipment.tag, tag)).for('update')
    if (!machine) return noSuchMachine(tag)
    const [there] = await tx.select().from(serviceDone).where(eq(serviceDone.id, id))
    if (there)
      return there.equipmentTag === tag && there.doneBy === by.id && there.serviceId === service
        ? null
        : refusals.taken()
    const sheet = await newestSheet(tx, machine.sheetId)
    const also = sheet ? (planOn(sheet, machine.variants).whole.service.also ?? []) : []
    const meant = also.find(one => one.id === service)
    if (!meant) return refusals.unknown({ tag, known: also.map(one => one.name).join(', ') })
    if (Date.parse(doneAt) > Date.parse(now) + AHEAD_MS) return refusals.ahead()
    const paper = meant.doer && competenceFor(meant.doer, by.competences, doneAt)
    if (meant.doer && qualified(meant.doer, by.role, paper, doneAt) !== 'yes')
      return refusals.doer({ name: meant.name, doer: signerWords(meant.doer) })
    const less = await lessThanBefore(tx, tag, { hoursRun, uses }, doneAt)
    if (less) return less
    await tx.insert(serviceDone).values({
      ...{ id, equipmentTag: tag, serviceId: service, name: meant.name, doneAt, doneBy: by.id },
      ...{ paper: paper ?? null, hours: hoursRun, uses, note },
    })
    // What was read then is what the meters show now, where it is the most they showed.
    const most = Object.fromEntries(
      Object.entries(uses).map(([of, shown]) => [of, Math.max(shown, machine.uses[of] ?? 0)]),
    )
    if (hoursRun > machine.hoursRun)
      await tx
        .insert(hoursRead)
        .values({ id: uuid(), equipmentTag: tag, hours: hoursRun, readBy: by.id, readAt: doneAt })
    await tx
      .update(equipment)
      .set({ hoursRun: Math.max(hoursRun, machine.hoursRun), uses: { ...machine.uses, ...most } })
      .where(eq(equipment.tag, tag))
    return null
  })
}

/** Withdraws a service that was written down by mistake: by who wrote it, or a lead. It stays on record and counts for nothing. */
export async function withdrawService(
  db: Database,
  tag: string,
  id: string,
  by: SignedInPerson,
  now: string,
): Promise<Refusal | null> {
  return db.transaction(async tx => {
    const [row] = await tx
      .select({ doneBy: serviceDone.doneBy, name: person.name, withdrawnAt: serviceDone.withdrawnAt })
      .from(serviceDone)
      .innerJoin(person, eq(person.id, serviceDone.doneBy))
      .where(and(eq(serviceDone.id, id), eq(serviceDone.equipmentTag, tag)))
      .for('update', { of: serviceDone })
    if (!row) return refusals.gone()
    if (row.withdrawnAt) return null
    if (by.role !== 'lead' && row.doneBy !== by.id) return refusals.other({ by: row.name })
    await tx.update(serviceDone).set({ withdrawnAt: now, withdrawnBy: by.id }).where(eq(serviceDone.id, id))
    return null
  })
}
