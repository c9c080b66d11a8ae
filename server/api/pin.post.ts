import { pinFault } from '#shared/pins'
import { ownPinSchema } from '#shared/schemas'
import { database } from '../db/client.ts'
import { setOwnPin } from '../db/people.ts'
import { endSessionsOf } from '../db/sessions.ts'
import { siteOf } from '../db/site.ts'
import { bodyFitting, refusal } from '../http/answer.ts'
import { personByPin } from '../http/pin.ts'
import { route } from '../http/route.ts'
import { sessionIdOf } from '../http/session.ts'

/** Somebody chooses their own PIN, and gives the one they have: a tablet that is left open lets nobody else do it. */
export default route('with any PIN', async (event, { id }) => {
  const { pin, next } = await bodyFitting(event, ownPinSchema)
  const { pinLength } = await siteOf(database())
  const fault = pinFault(next, pinLength, pin)
  if (fault) throw refusal(422, fault)
  const person = await personByPin(event, { person: id, pin })
  await setOwnPin(database(), id, next)
  await endSessionsOf(database(), id, (await sessionIdOf(event)) ?? undefined)
  return { ...person, pinIsOwn: true }
})
