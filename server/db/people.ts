import { Hash } from '@adonisjs/hash'
import { Scrypt } from '@adonisjs/hash/drivers/scrypt'
import { and, asc, eq, inArray } from 'drizzle-orm'
import { v7 as uuid } from 'uuid'
import type { Role } from '../../core/job/index.ts'
import type { Database, Transaction } from './client.ts'
import { person } from './schema.ts'

const pins = new Hash(new Scrypt({}))

export interface Person {
  id: string
  name: string
  role: Role
}

const shown = { id: person.id, name: person.name, role: person.role }

export function peopleWhoSign(db: Database): Promise<Person[]> {
  return db.select(shown).from(person).where(eq(person.active, true)).orderBy(asc(person.name))
}

export async function namesOf(db: Database, ids: string[]): Promise<Person[]> {
  return ids.length ? db.select(shown).from(person).where(inArray(person.id, ids)) : []
}

export async function addPerson(
  db: Database | Transaction,
  { name, role, pin }: { name: string; role: Role; pin: string },
): Promise<Person> {
  const row = { id: uuid(), name, role }
  await db.insert(person).values({ ...row, pinHash: await pins.make(pin) })
  return row
}

/** The person, when the PIN is theirs; null otherwise, and a check is made either way so that timing tells nothing. */
export async function personWithPin(db: Database, id: string, pin: string): Promise<Person | null> {
  const [row] = await db
    .select()
    .from(person)
    .where(and(eq(person.id, id), eq(person.active, true)))
  const hash = row?.pinHash ?? (await nobodysHash)
  const right = await pins.verify(hash, pin)
  return row && right ? { id: row.id, name: row.name, role: row.role } : null
}

const nobodysHash = pins.make(uuid())
