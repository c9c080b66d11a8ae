import { randomUUID } from 'node:crypto'
import type { H3Event } from 'h3'
import type { SignedInPerson } from '../../shared/answers.ts'
import { database } from '../db/client.ts'
import { endSession, sessionPerson, startSession } from '../db/sessions.ts'

declare module '#auth-utils' {
  interface SecureSessionData {
    session: string
  }
}

/** The cookie only carries a sealed number; who it stands for is looked up at every request. */
export async function personOf(event: H3Event): Promise<SignedInPerson | null> {
  const known = event.context.needlerPerson as SignedInPerson | null | undefined
  if (known !== undefined) return known
  const id = await sessionIdOf(event)
  const person = id ? await sessionPerson(database(), id) : null
  event.context.needlerPerson = person
  return person
}

/** The number of the session that a request comes with. */
export const sessionIdOf = async (event: H3Event): Promise<string | null> =>
  (await getUserSession(event)).secure?.session ?? null

export async function signInAs(event: H3Event, person: SignedInPerson): Promise<void> {
  const before = await sessionIdOf(event)
  if (before) await endSession(database(), before)
  const id = randomUUID()
  await startSession(database(), id, person.id)
  const { name, role } = person
  await replaceUserSession(event, { user: { id: person.id, name, role }, secure: { session: id } })
  event.context.needlerPerson = person
}

export async function signOutOf(event: H3Event): Promise<void> {
  const id = await sessionIdOf(event)
  if (id) await endSession(database(), id)
  await clearUserSession(event)
}
