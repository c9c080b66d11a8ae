import { defineEventHandler, getRequestIP } from 'h3'
import { signInSchema } from '#shared/schemas'
import { database } from '../db/client.ts'
import { personWithPin } from '../db/people.ts'
import { bodyFitting, refusal } from '../http/answer.ts'
import { signInLimits } from '../live/limits.ts'

export default defineEventHandler(async event => {
  const { person: id, pin } = await bodyFitting(event, signInSchema)
  const limits = signInLimits()
  const address = getRequestIP(event) ?? 'unknown'
  // The attempt is counted before the PIN is looked at, so that many at once gain nothing.
  const counted = await Promise.all([limits.person.consume(id), limits.address.consume(address)]).catch(
    (full: { msBeforeNext?: number }) => full.msBeforeNext,
  )
  if (!Array.isArray(counted))
    throw refusal(429, `Too many wrong PINs. Wait ${Math.ceil((counted ?? 900_000) / 60_000)} minutes, or ask a lead.`)
  const person = await personWithPin(database(), id, pin)
  if (!person) throw refusal(401, 'That PIN does not belong to that name. Check both and type it again.')
  await Promise.all([limits.person.delete(id), limits.address.reward(address)])
  await setUserSession(event, { user: person })
  return person
})
