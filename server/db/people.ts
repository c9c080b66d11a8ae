import { randomInt } from 'node:crypto'
import { Hash } from '@adonisjs/hash'
import { Scrypt } from '@adonisjs/hash/drivers/scrypt'
import { and, asc, eq } from 'drizzle-orm'
import { v7 as uuid } from 'uuid'
import type { Competence, Role } from '../../core/job/index.ts'
import type { NewPin, Person, PersonRow, SignedInPerson } from '../../shared/answers.ts'
import type { Database, Transaction } from './client.ts'
import { person } from './schema.ts'
import { endSessionsOf } from './sessions.ts'
import { siteOf } from './site.ts'

const secrets = new Hash(new Scrypt({}))
export const hashSecret = (secret: string) => secrets.make(secret)
export const isSecret = (hash: string, secret: string) => secrets.verify(hash, secret)

const named = { id: person.id, name: person.name, role: person.role }
const shown = { ...named, competences: person.competences }

export function peopleWhoSign(db: Database | Transaction): Promise<Person[]> {
  return db.select(named).from(person).where(eq(person.active, true)).orderBy(asc(person.name))
}

/** Whether somebody is the only one here who leads. */
export async function isOnlyLead(db: Database | Transaction, id: string): Promise<boolean> {
  const leads = (await peopleWhoSign(db)).filter(one => one.role === 'lead')
  return leads.length === 1 && leads[0]!.id === id
}

/** Everybody who ever was here, for names on what they did. */
export function everybody(db: Database | Transaction): Promise<PersonRow[]> {
  return db
    .select({ ...shown, active: person.active })
    .from(person)
    .orderBy(asc(person.name))
}

/** A new PIN of the site's length, any figure alike. */
const makePin = (length: number) => Array.from({ length }, () => randomInt(10)).join('')

export async function addPerson(
  db: Database | Transaction,
  { name, role, pin, competences = [] }: { name: string; role: Role; pin?: string; competences?: Competence[] },
): Promise<NewPin> {
  const row = { id: uuid(), name, role, competences }
  const given = pin ?? makePin((await siteOf(db)).pinLength)
  await db.insert(person).values({ ...row, pinHash: await hashSecret(given) })
  return { person: row, pin: given }
}

/** What may be changed of a person. A new PIN, another role or taking out ends their sessions. */
export interface PersonChange {
  role?: Role
  pin?: 'new'
  active?: boolean
  competences?: Competence[]
}

export type Changed =
  { ok: true; person: PersonRow; pin: string | null } | { ok: false; status: 404 | 409; why: string }

export async function changePerson(db: Database, id: string, change: PersonChange): Promise<Changed> {
  return db.transaction(async (tx): Promise<Changed> => {
    // One change at a time, so that two of them cannot take out the last lead together.
    const leads = await tx
      .select(named)
      .from(person)
      .where(and(eq(person.role, 'lead'), eq(person.active, true)))
      .for('update')
    const [before] = await tx.select().from(person).where(eq(person.id, id)).for('update')
    if (!before) return { ok: false, status: 404, why: 'There is nobody of that name here. Reload the list.' }
    const isLastLead = leads.length === 1 && leads[0]!.id === id
    if (isLastLead && (change.active === false || (change.role && change.role !== 'lead')))
      return { ok: false, status: 409, why: `${before.name} is the only lead. Make somebody else a lead first.` }
    const pin = change.pin ? makePin((await siteOf(tx)).pinLength) : null
    const [row] = await tx
      .update(person)
      .set({
        role: change.role ?? before.role,
        active: change.active ?? before.active,
        competences: change.competences ?? before.competences,
        pinHash: pin ? await hashSecret(pin) : before.pinHash,
      })
      .where(eq(person.id, id))
      .returning({ ...shown, active: person.active })
    // Papers are looked up as they are needed.
    if (change.role || change.pin || change.active !== undefined) await endSessionsOf(tx, id)
    return { ok: true, person: row!, pin }
  })
}

/** The person, when the PIN is theirs; null otherwise, and a check is made either way so that timing tells nothing. */
export async function personWithPin(db: Database, id: string, pin: string): Promise<SignedInPerson | null> {
  const [row] = await db
    .select()
    .from(person)
    .where(and(eq(person.id, id), eq(person.active, true)))
  const hash = row?.pinHash ?? (await nobodysHash)
  const right = await isSecret(hash, pin)
  return row && right ? { id: row.id, name: row.name, role: row.role, competences: row.competences } : null
}

const nobodysHash = hashSecret(uuid())
