import { and, eq, gt, inArray, isNull, ne, sql, type SQL } from 'drizzle-orm'
import type { SignedInPerson } from '../../shared/answers.ts'
import { onceFor, type Database, type Transaction } from './client.ts'
import { person, session } from './schema.ts'

/** A long shift; longer, and somebody signs in again. */
const LASTS = sql`interval '12 hours'`

/** Who a session stands for now: null once it is ended, too old, or the person is taken out. Their role is today's. */
export async function sessionPerson(db: Database, id: string): Promise<SignedInPerson | null> {
  const [row] = await whose(db).execute({ id })
  return row ?? null
}

/** Asked at every request, so it is put together once. */
const whose = onceFor((db: Database) =>
  db
    .select({
      id: person.id,
      name: person.name,
      role: person.role,
      competences: person.competences,
      pinIsOwn: person.pinIsOwn,
    })
    .from(session)
    .innerJoin(person, eq(person.id, session.personId))
    .where(
      and(
        eq(session.id, sql.placeholder('id')),
        isNull(session.endedAt),
        eq(person.active, true),
        gt(session.startedAt, sql`now() - ${LASTS}`),
      ),
    )
    .prepare('whose_session'),
)

export async function startSession(db: Database, id: string, personId: string, deviceId: string): Promise<void> {
  await db.insert(session).values({ id, personId, deviceId })
}

/** When a session ends by itself, s from now; null when it is over. */
export async function lastsFor(db: Database, id: string): Promise<number | null> {
  const [row] = await db
    .select({ left: sql<number>`extract(epoch from ${session.startedAt} + ${LASTS} - now())::float` })
    .from(session)
    .where(and(eq(session.id, id), isNull(session.endedAt)))
  return row && row.left > 0 ? row.left : null
}

export async function endSession(db: Database, id: string): Promise<void> {
  await db
    .update(session)
    .set({ endedAt: sql`now()` })
    .where(and(eq(session.id, id), isNull(session.endedAt)))
  await tellEnded(db, id)
}

/** Ends every session of a person, but one where it is said: they are out from the next request, and their streams at once. */
export const endSessionsOf = (db: Database | Transaction, personId: string, but?: string) =>
  endAll(db, and(eq(session.personId, personId), but === undefined ? undefined : ne(session.id, but)))

/** Ends the sessions of a person on one device. */
export const endSessionsOn = (db: Database | Transaction, personId: string, deviceId: string) =>
  endAll(db, and(eq(session.personId, personId), eq(session.deviceId, deviceId)))

async function endAll(db: Database | Transaction, which: SQL | undefined): Promise<void> {
  const ended = await db
    .update(session)
    .set({ endedAt: sql`now()` })
    .where(and(which, isNull(session.endedAt)))
    .returning({ id: session.id })
  for (const { id } of ended) await tellEnded(db, id)
}

const tellEnded = (db: Database | Transaction, id: string) => db.execute(sql`select pg_notify('session_ended', ${id})`)

/** Which of some sessions are over. */
export async function endedAmong(db: Database, ids: string[]): Promise<string[]> {
  const going = await db
    .select({ id: session.id })
    .from(session)
    .where(and(inArray(session.id, ids), isNull(session.endedAt)))
  const known = new Set(going.map(one => one.id))
  return ids.filter(id => !known.has(id))
}
