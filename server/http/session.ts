import { randomUUID } from 'node:crypto'
import { getCookie, type H3Event } from 'h3'
import type { SignedInPerson } from '../../shared/answers.ts'
import { database } from '../db/client.ts'
import { rememberThisDevice } from './device.ts'
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

/** Numbers of sessions by their sealed cookies, so that one is opened once; what a number is worth its row says. */
const opened = new Map<string, string>()
const MOST_OPENED = 2000

/** The number of the session that a request comes with. */
export async function sessionIdOf(event: H3Event): Promise<string | null> {
  const sealed = getCookie(event, 'needler')
  const known = sealed && opened.get(sealed)
  if (known) return known
  const id = (await getUserSession(event)).secure?.session ?? null
  if (!sealed || !id) return id
  if (opened.size >= MOST_OPENED) opened.clear()
  opened.set(sealed, id)
  return id
}

/** Signs somebody in on this device, which is known by then. */
export async function signInAs(event: H3Event, person: SignedInPerson): Promise<void> {
  const before = await sessionIdOf(event)
  if (before) await endSession(database(), before)
  const id = randomUUID()
  await startSession(database(), id, person.id, await rememberThisDevice(event))
  const { name, role } = person
  await replaceUserSession(event, { user: { id: person.id, name, role }, secure: { session: id } })
  event.context.needlerPerson = person
}

export async function signOutOf(event: H3Event): Promise<void> {
  const id = await sessionIdOf(event)
  if (id) await endSession(database(), id)
  await clearUserSession(event)
}
