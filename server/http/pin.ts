import { getRequestIP, type H3Event } from 'h3'
import { refusalsAbout } from '../../core/refusal.ts'
import type { SignedInPerson } from '../../shared/answers.ts'
import { forgetAttempts, giveBack, takeAttempt } from '../db/attempts.ts'
import { database } from '../db/client.ts'
import { isKnownFor, knowFor, mayKnowAnother } from '../db/devices.ts'
import { isAdmitted, isSecret, personWithPin, useAdmission } from '../db/people.ts'
import { siteOf } from '../db/site.ts'
import { fairRoom, TooMany } from '../live/turns.ts'
import { refusal } from './answer.ts'
import { deviceOf, rememberThisDevice, sealedDevice } from './device.ts'
import { gone } from './gone.ts'

/** A PIN that is given, for signing in or for a signature. */
export interface GivenPin {
  person: string
  pin: string
  /** From a lead: lets them in on a device that is new to them. */
  admission?: string
}

const refusals = refusalsAbout('pin', {
  admission: () => 'That code from a lead does not hold, or no longer. Ask for a new one.',
  tooMany: ({ what, seconds }: { what: string; seconds: number }) =>
    `${what} Wait ${waitWords(seconds)}, or ask a lead.`,
  siteCode: () => 'This device is new here: give the code of the site first. A lead knows it.',
  wrong: () => 'That PIN does not belong to that name. Check both and type it again.',
  newDevices: ({ name }: { name: string }) =>
    `${name} has signed in on several new devices today. Use one of those, or ask a lead for a code to come in here.`,
  nobodyWaits: () => 'Nobody waited for the answer.',
  crowd: () => 'Too many PINs are given from here at this moment. Wait a few seconds and type it again.',
  wrongCode: () => 'That is not the code of this site. A lead knows it.',
  ownFirst: ({ name }: { name: string }) =>
    `${name} chooses a PIN of their own first: sign in with the one that was given, then sign.`,
})

/** Wrong PINs of new devices that one address may give without a pause. */
const FREE_BY_ADDRESS = 30

/**
 * PINs are looked at few at once, devices and addresses by turns: whoever floods waits for themselves, and a colleague's
 * tablet comes in between. Each is hashed for some 80 ms.
 */
const looked = fairRoom(2, { each: 8, all: 400 })

const waitWords = (seconds: number) => (seconds < 90 ? `${seconds} seconds` : `${Math.ceil(seconds / 60)} minutes`)

/** Whether a device is asked for the site's code before anything else. */
export const asksCode = async (event: H3Event): Promise<boolean> =>
  (await siteOf(database())).codeHash !== null && (await deviceOf(event)) === null

/** What an attempt counts for, and with what: a pair of person and device that is known counts alone, all others together. */
interface Counted {
  isKnown: boolean
  keys: { key: string; free?: number }[]
}

async function countedAs(event: H3Event, { person, admission }: GivenPin): Promise<Counted> {
  const device = await deviceOf(event)
  const isKnown = device !== null && (await isKnownFor(database(), person, device))
  if (isKnown) return { isKnown, keys: [{ key: `${person} on ${device}` }] }
  if (admission) {
    if (!(await isAdmitted(database(), person, admission))) throw refusal(401, refusals.admission())
    return { isKnown, keys: [{ key: `${person} admitted` }] }
  }
  const address = getRequestIP(event) ?? 'unknown'
  return { isKnown, keys: [{ key: `${person} elsewhere` }, { key: `address ${address}`, free: FREE_BY_ADDRESS }] }
}

/** The attempt is counted before the PIN is looked at, so that many at once gain nothing. */
async function count({ isKnown, keys }: Counted, what = tooManyWords(isKnown)): Promise<void> {
  for (const { key, free } of keys) {
    const wait = await takeAttempt(database(), key, free)
    if (wait !== null) throw refusal(429, refusals.tooMany({ what, seconds: wait }), { admits: !isKnown })
  }
}

const tooManyWords = (isKnown: boolean) =>
  isKnown
    ? 'Too many wrong PINs. A lead can unlock the name.'
    : 'Too many wrong PINs for that name on devices that are new to it. A lead can give a code to come in here.'

async function look(event: H3Event, given: GivenPin): Promise<SignedInPerson> {
  if (await asksCode(event)) throw refusal(401, refusals.siteCode())
  const counted = await countedAs(event, given)
  await count(counted)
  const person = await personWithPin(database(), given.person, given.pin)
  if (!person) throw refusal(401, refusals.wrong())
  // Wrong ones of this pair are forgotten; those of strangers under the same name stand.
  for (const { key } of counted.keys)
    await (counted.isKnown || given.admission ? forgetAttempts(database(), key) : giveBack(database(), key))
  if (!counted.isKnown && !given.admission && !(await mayKnowAnother(database(), person.id)))
    throw refusal(403, refusals.newDevices({ name: person.name }), { admits: true })
  if (given.admission) await useAdmission(database(), person.id)
  await knowFor(database(), person.id, await rememberThisDevice(event))
  return person
}

/** Everything secret that is typed goes this way: few at once, whoever asks by turns. */
async function inTurn<T>(event: H3Event, act: () => Promise<T>): Promise<T> {
  const from = (await sealedDevice(event)) ?? `address ${getRequestIP(event) ?? 'unknown'}`
  try {
    return await looked(from, act, undefined, gone(event))
  } catch (error) {
    if (gone(event).aborted) throw refusal(408, refusals.nobodyWaits())
    if (error instanceof TooMany) throw refusal(429, refusals.crowd())
    throw error
  }
}

/** Makes a device known that gives the site's code; refused in words where it is another. */
export const checkCode = (event: H3Event, code: string): Promise<void> =>
  inTurn(event, async () => {
    const { codeHash } = await siteOf(database())
    // Where none is asked for, nothing becomes known by giving one.
    if (codeHash === null) return
    const counted = { isKnown: false, keys: [{ key: `code ${getRequestIP(event) ?? 'unknown'}` }] }
    await count(counted, 'Too many wrong codes from here.')
    if (!(await isSecret(codeHash, code))) throw refusal(401, refusals.wrongCode())
    await forgetAttempts(database(), counted.keys[0]!.key)
    await rememberThisDevice(event)
  })

/**
 * Whose PIN it is, with attempts counted; refused in words where it is not, or too many were wrong. The device a right one
 * is given on is known for them from then on.
 */
export const personByPin = (event: H3Event, given: GivenPin): Promise<SignedInPerson> =>
  inTurn(event, () => look(event, given))

/** Who signs, by their own PIN; one that a lead has given signs nothing. */
export async function signerOf(
  event: H3Event,
  { signer, pin }: { signer: string; pin: string },
): Promise<SignedInPerson> {
  const person = await personByPin(event, { person: signer, pin })
  if (person.pinIsOwn) return person
  throw refusal(403, refusals.ownFirst({ name: person.name }))
}
