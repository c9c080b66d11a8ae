import { and, eq, gt, isNull, sql } from 'drizzle-orm'
import type { SignedInPerson } from '../../shared/answers.ts'
import type { Database, Transaction } from './client.ts'
import { person, session } from './schema.ts'

/** A long shift; longer, and somebody signs in again. */
const LASTS = sql`interval '12 hours'`

/** Who a session stands for now: null once it is ended, too old, or the person is taken out. Their role is today's. */
export async function sessionPerson(db: Database, id: string): Promise<SignedInPerson | null> {
  const [row] = await db
    .select({ id: person.id, name: person.name, role: person.role, competences: person.competences })
    .from(session)
    .innerJoin(person, eq(person.id, session.personId))
    .where(
      and(
        eq(session.id, id),
        isNull(session.endedAt),
        eq(person.active, true),
        gt(session.startedAt, sql`now() - ${LASTS}`),
      ),
    )
  return row ?? null
}

export async function startSession(db: Database, id: string, personId: string): Promise<void> {
  await db.insert(session).values({ id, personId })
}

export async function endSession(db: Database, id: string): Promise<void> {
  await db
    .update(session)
    .set({ endedAt: sql`now()` })
    .where(and(eq(session.id, id), isNull(session.endedAt)))
  await tellEnded(db, id)
}

/** Ends every session of a person: they are out from the next request, and their streams at once. */
export async function endSessionsOf(db: Database | Transaction, personId: string): Promise<void> {
  const ended = await db
    .update(session)
    .set({ endedAt: sql`now()` })
    .where(and(eq(session.personId, personId), isNull(session.endedAt)))
    .returning({ id: session.id })
  for (const { id } of ended) await tellEnded(db, id)
}

const tellEnded = (db: Database | Transaction, id: string) => db.execute(sql`select pg_notify('session_ended', ${id})`)
