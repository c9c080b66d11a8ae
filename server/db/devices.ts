import { and, count, desc, eq, gt, inArray, isNull, lt, notExists, sql } from 'drizzle-orm'
import { v7 as uuid } from 'uuid'
import type { KnownDevice } from '../../shared/answers.ts'
import type { Database } from './client.ts'
import { device, knownDevice, session } from './schema.ts'
import { endSessionsOn } from './sessions.ts'

/** How many devices may become known for one person in a day, and how many stay known: the longest unused go. */
const NEW_A_DAY = 5
const MOST_KNOWN = 20

/** Whether it is one of ours: somebody has signed in there, or it gave the site's code. */
export async function isDevice(db: Database, id: string): Promise<boolean> {
  return (await db.select({ id: device.id }).from(device).where(eq(device.id, id))).length > 0
}

/** Keeps a device; `about` is what it says it is. */
export async function addDevice(db: Database, about: string): Promise<string> {
  const id = uuid()
  await db.insert(device).values({ id, about: about.slice(0, 200) })
  return id
}

const pair = (personId: string, deviceId: string) =>
  and(eq(knownDevice.personId, personId), eq(knownDevice.deviceId, deviceId))

/** Whether somebody has signed in on a device before. */
export async function isKnownFor(db: Database, personId: string, deviceId: string): Promise<boolean> {
  return (await db.select({ id: knownDevice.deviceId }).from(knownDevice).where(pair(personId, deviceId))).length > 0
}

/** Whether one more device may become known for somebody today. */
export async function mayKnowAnother(db: Database, personId: string): Promise<boolean> {
  const [row] = await db
    .select({ n: count() })
    .from(knownDevice)
    .where(and(eq(knownDevice.personId, personId), gt(knownDevice.knownAt, sql`now() - interval '1 day'`)))
  return row!.n < NEW_A_DAY
}

/** They have signed in there: it is known for them from now on. */
export async function knowFor(db: Database, personId: string, deviceId: string): Promise<void> {
  await db
    .insert(knownDevice)
    .values({ personId, deviceId })
    .onConflictDoUpdate({ target: [knownDevice.personId, knownDevice.deviceId], set: { usedAt: sql`now()` } })
  const unused = db
    .select({ id: knownDevice.deviceId })
    .from(knownDevice)
    .where(eq(knownDevice.personId, personId))
    .orderBy(desc(knownDevice.usedAt))
    .offset(MOST_KNOWN)
  await db.delete(knownDevice).where(and(eq(knownDevice.personId, personId), inArray(knownDevice.deviceId, unused)))
}

/** The devices that are known for somebody, those used last first. */
export const devicesOf = (db: Database, personId: string): Promise<KnownDevice[]> =>
  db
    .select({ id: device.id, about: device.about, knownAt: knownDevice.knownAt, usedAt: knownDevice.usedAt })
    .from(knownDevice)
    .innerJoin(device, eq(device.id, knownDevice.deviceId))
    .where(eq(knownDevice.personId, personId))
    .orderBy(desc(knownDevice.usedAt))

/** Takes a device from somebody: it is a stranger to them again, and they are signed out there. False when it was none of theirs. */
export async function takeDevice(db: Database, personId: string, deviceId: string): Promise<boolean> {
  const taken = await db.delete(knownDevice).where(pair(personId, deviceId)).returning({ id: knownDevice.deviceId })
  await endSessionsOn(db, personId, deviceId)
  return taken.length > 0
}

/** Sessions long over, and devices nobody has used for long, are cleared away. */
export async function clearDead(db: Database): Promise<void> {
  await db.delete(session).where(lt(session.startedAt, sql`now() - interval '30 days'`))
  await db.delete(knownDevice).where(lt(knownDevice.usedAt, sql`now() - interval '180 days'`))
  const known = db.select({ id: knownDevice.deviceId }).from(knownDevice).where(eq(knownDevice.deviceId, device.id))
  const going = db
    .select({ id: session.id })
    .from(session)
    .where(and(eq(session.deviceId, device.id), isNull(session.endedAt)))
  await db
    .delete(device)
    .where(and(lt(device.knownAt, sql`now() - interval '180 days'`), notExists(known), notExists(going)))
}
