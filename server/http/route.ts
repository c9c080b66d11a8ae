import { defineEventHandler, getHeader, isError, type EventHandler, type H3Event } from 'h3'
import { rolesWords, type Role } from '../../core/job/index.ts'
import { refusalsAbout } from '../../core/refusal.ts'
import type { SignedInPerson } from '../../shared/answers.ts'
import { database } from '../db/client.ts'
import { faultSaid } from '../db/faults.ts'
import { keyIdOf } from '../db/keys.ts'
import { pulse } from '../live/pulse.ts'
import { refusal } from './answer.ts'
import { checkOrigin, checkSize, isWrite, MOST_BYTES } from './door.ts'
import { log, plainError } from './log.ts'
import { atOnce, type Queue } from './queues.ts'
import { requestOf } from './requests.ts'
import { personOf } from './session.ts'
import { checkThere } from './there.ts'

/**
 * Who may come in by a route: everybody, who is signed in, who is signed in with one of these roles, or a script with a key.
 * A PIN that somebody else knows opens only what says so.
 */
export type Door = 'open' | 'signed in' | 'with any PIN' | readonly Role[] | 'signed in or key'

const refusals = refusalsAbout('admission', {
  key: () =>
    'That key is not known here. Ask for one: ./needler key add NAME (with --database needler_demo for the demo)',
  signIn: () => 'Sign in first: choose your name and give your PIN.',
  signInOrKey: () =>
    'Sign in, or send a key with the request: authorization: Bearer KEY. A key is made by ./needler key add NAME.',
  otherPerson: ({ name }: { name: string }) =>
    `${name} is signed in on this device. Sign in yourself, then do it again.`,
  givenPin: () => 'Choose a PIN of your own first: sign in again with the one you were given.',
  role: ({ roles }: { roles: string }) => `This is done by ${roles}. Ask one to do it.`,
})
const failures = refusalsAbout('failure', {
  unknown: ({ request = '' }: { request?: string }) =>
    `That did not work here. Try again; if it stays, tell the office this number: ${request}.`,
})

type Answer<P> = (event: H3Event, person: P) => unknown

/** Every route is made by this: it says who may come in and how much it takes, and refuses everything else before anything is read. */
export function route(
  door: 'open' | 'signed in or key',
  answer: Answer<SignedInPerson | null>,
  queue?: Queue,
  mostBytes?: number,
): EventHandler
export function route(
  door: 'signed in' | 'with any PIN' | readonly Role[],
  answer: Answer<SignedInPerson>,
  queue?: Queue,
  mostBytes?: number,
): EventHandler
export function route(
  door: Door,
  answer: Answer<SignedInPerson> | Answer<SignedInPerson | null>,
  queue = atOnce,
  mostBytes = MOST_BYTES,
): EventHandler {
  return defineEventHandler(async event => {
    try {
      if (isWrite(event)) checkSize(event, mostBytes)
      return await queue(event, async () => {
        await checkThere()
        return (answer as Answer<SignedInPerson | null>)(event, await admitted(event, door))
      })
    } catch (error) {
      throw isError(error) ? error : await fault(event, error)
    }
  })
}

/** The database's fault is said as what it is; one of ours stands in the log under the request's number, and the caller gets that. */
async function fault(event: H3Event, error: unknown) {
  const request = requestOf(event)
  const about = { request, route: event.context.matchedRoute?.path, err: plainError(error) }
  const known = await faultSaid(error)
  if (known) {
    log().warn(about, 'the database did not do it')
    void pulse().look()
    return refusal(known.status, known.refusal)
  }
  log().error(about, 'a request failed')
  return refusal(500, failures.unknown({ request }))
}

async function admitted(event: H3Event, door: Door): Promise<SignedInPerson | null> {
  const key = door === 'signed in or key' ? bearerOf(event) : null
  if (key !== null) {
    const id = await keyIdOf(database(), key)
    if (!id) throw refusal(401, refusals.key())
    event.context.needlerKey = id
    return null
  }
  if (isWrite(event)) checkOrigin(event)
  if (door === 'open') return null
  const person = await personOf(event)
  if (!person) throw refusal(401, door === 'signed in or key' ? refusals.signInOrKey() : refusals.signIn())
  // A page says for whom it writes: it may have been left open while another signed in.
  const meant = getHeader(event, 'x-needler-person')
  if (isWrite(event) && meant && meant !== person.id) throw refusal(409, refusals.otherPerson({ name: person.name }))
  if (!person.pinIsOwn && door !== 'with any PIN') throw refusal(403, refusals.givenPin(), { ownPin: true })
  if (typeof door !== 'string' && !door.includes(person.role))
    throw refusal(403, refusals.role({ roles: rolesWords(door) }))
  return person
}

const bearerOf = (event: H3Event) => /^Bearer\s+(\S+)$/i.exec(getHeader(event, 'authorization') ?? '')?.[1] ?? null
