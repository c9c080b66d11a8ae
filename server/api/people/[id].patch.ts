import { personChangeSchema } from '#shared/schemas'
import { database } from '../../db/client.ts'
import { changePerson } from '../../db/people.ts'
import { bodyFitting, idOf, refusal } from '../../http/answer.ts'
import { route } from '../../http/route.ts'
import { openName } from '../../live/limits.ts'

/** Another role, a new PIN, taken out or let in again; `open` lets a name in that wrong PINs have shut. */
export default route(['lead'], async event => {
  const id = idOf(event)
  const { open, ...change } = await bodyFitting(event, personChangeSchema)
  if (open) await openName(id)
  if (!Object.keys(change).length) return { opened: true }
  const answer = await changePerson(database(), id, change)
  if (!answer.ok) throw refusal(answer.status, answer.why)
  return { person: answer.person, pin: answer.pin }
})
