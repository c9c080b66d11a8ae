import { createHash, randomBytes, randomInt } from 'node:crypto'
import { refusalsAbout, sentenceOf, type Refusal } from '../../core/refusal.ts'
import { Hash } from '@adonisjs/hash'
import { Scrypt } from '@adonisjs/hash/drivers/scrypt'
import { and, asc, eq, gt, sql } from 'drizzle-orm'
import { v7 as uuid } from 'uuid'
import type { Competence, Role } from '../../core/job/index.ts'
import type { NewPin, Person, PersonRow, SignedInPerson } from '../../shared/answers.ts'
import { isCommonPin } from '../../shared/pins.ts'
import type { Database, Transaction } from './client.ts'
import { lookOf } from './looks.ts'
import { person } from './schema.ts'
import { endSessionsOf } from './sessions.ts'
import { siteOf } from './site.ts'

const secrets = new Hash(new Scrypt({}))
export const hashSecret = (secret: string) => secrets.make(secret)
export const isSecret = (hash: string, secret: string) => secrets.verify(hash, secret)

const named = { id: person.id, name: person.name, role: person.role }
const shown = { ...named, competences: person.competences, pinIsOwn: person.pinIsOwn }

/** Everybody who works here, with what they may sign for. */
export const signersHere = (db: Database): Promise<SignedInPerson[]> =>
  db.select(shown).from(person).where(eq(person.active, true)).orderBy(asc(person.name))

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

/** A new PIN of the site's length, any figure alike; none that many choose. */
function makePin(length: number): string {
  const pin = Array.from({ length }, () => randomInt(10)).join('')
  return isCommonPin(pin) ? makePin(length) : pin
}

const refusals = refusalsAbout('person', {
  unknown: () => 'There is nobody of that name here. Reload the list.',
  lastLead: ({ name }: { name: string }) => `${name} is the only lead. Make somebody else a lead first.`,
  there: ({ name }: { name: string }) => `There is a ${name} already. Choose another name, or change theirs.`,
  alike: ({ name, other }: { name: string; other: string }) =>
    `There is a ${other} already, and “${name}” could be taken for it. Choose a name that cannot.`,
})

/** There is somebody of that name, or of one that cannot be told from it. */
export class NameTaken extends Error {
  constructor(readonly refusal: Refusal) {
    super(sentenceOf(refusal))
  }
}

/**
 * Somebody new, with a PIN that opens only the choosing of their own; one that is given is theirs already. Throws
 * {@link NameTaken}, however many of one name come at once.
 */
export async function addPerson(
  db: Database | Transaction,
  { name, role, pin, competences = [] }: { name: string; role: Role; pin?: string; competences?: Competence[] },
): Promise<NewPin> {
  const row = { id: uuid(), name, role, competences, pinIsOwn: pin !== undefined }
  const given = pin ?? makePin((await siteOf(db)).pinLength)
  const look = lookOf(name)
  const added = await db
    .insert(person)
    .values({ ...row, look, pinHash: await hashSecret(given) })
    .onConflictDoNothing()
    .returning({ id: person.id })
  if (added.length) return { person: row, pin: given }
  const [other] = await db.select(named).from(person).where(eq(person.look, look))
  const isSame = !other || other.name === name
  throw new NameTaken(isSame ? refusals.there({ name }) : refusals.alike({ name, other: other.name }))
}

/** Makes a PIN that only they know theirs. */
export async function setOwnPin(db: Database, id: string, pin: string): Promise<void> {
  await db
    .update(person)
    .set({ pinHash: await hashSecret(pin), pinIsOwn: true })
    .where(eq(person.id, id))
}

const hashOf = (code: string) => createHash('sha256').update(code).digest('hex')
/** Letters and figures that are not taken for each other. */
const LETTERS = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789'
const spelt = (code: string) => code.toUpperCase().replace(/[^A-Z0-9]/g, '')

/** A code with which somebody comes in on a device that is new to them, though others flood their name; good for a quarter of an hour. */
export async function admit(db: Database, id: string): Promise<string> {
  const code = [...randomBytes(8)].map(byte => LETTERS[byte % LETTERS.length]).join('')
  await db
    .update(person)
    .set({ admitHash: hashOf(code), admitUntil: sql`now() + interval '15 minutes'` })
    .where(eq(person.id, id))
  return `${code.slice(0, 4)} ${code.slice(4)}`
}

/** Whether a lead gave somebody this code, and it still holds. */
export async function isAdmitted(db: Database, id: string, code: string): Promise<boolean> {
  const rows = await db
    .select({ id: person.id })
    .from(person)
    .where(and(eq(person.id, id), eq(person.admitHash, hashOf(spelt(code))), gt(person.admitUntil, sql`now()`)))
  return rows.length > 0
}

/** A code is used once. */
export const useAdmission = (db: Database, id: string) =>
  db.update(person).set({ admitHash: null, admitUntil: null }).where(eq(person.id, id))

/** What may be changed of a person. A new PIN, another role or taking out ends their sessions. */
export interface PersonChange {
  role?: Role
  pin?: 'new'
  active?: boolean
  competences?: Competence[]
}

export type Changed =
  { ok: true; person: PersonRow; pin: string | null } | { ok: false; status: 404 | 409; refusal: Refusal }

export async function changePerson(db: Database, id: string, change: PersonChange): Promise<Changed> {
  return db.transaction(async (tx): Promise<Changed> => {
    // One change at a time, so that two of them cannot take out the last lead together.
    const leads = await tx
      .select(named)
      .from(person)
      .where(and(eq(person.role, 'lead'), eq(person.active, true)))
      .for('update')
    const [before] = await tx.select().from(person).where(eq(person.id, id)).for('update')
    if (!before) return { ok: false, status: 404, refusal: refusals.unknown() }
    const isLastLead = leads.length === 1 && leads[0]!.id === id
    if (isLastLead && (change.active === false || (change.role && change.role !== 'lead')))
      return { ok: false, status: 409, refusal: refusals.lastLead({ name: before.name }) }
    const pin = change.pin ? makePin((await siteOf(tx)).pinLength) : null
    const [row] = await tx
      .update(person)
      .set({
        role: change.role ?? before.role,
        active: change.active ?? before.active,
        competences: change.competences ?? before.competences,
        ...(pin ? { pinHash: await hashSecret(pin), pinIsOwn: false } : {}),
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
  if (!row || !right) return null
  const { id: number, name, role, competences, pinIsOwn } = row
  return { id: number, name, role, competences, pinIsOwn }
}

const nobodysHash = hashSecret(uuid())
