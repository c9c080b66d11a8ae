import { personChangeSchema } from '#shared/schemas'
import { forgetAllAttempts } from '../../../db/attempts.ts'
import { database } from '../../../db/client.ts'
import { admit, changePerson } from '../../../db/people.ts'
import { bodyFitting, idOf, refusal } from '../../../http/answer.ts'
import { route } from '../../../http/route.ts'

/**
 * Another role, a new PIN, taken out or let in again; `open` forgets wrong PINs of a name, `admit` makes a code with which
 * they come in on a device that is new to them.
 */
export default route(['lead'], async event => {
  const id = idOf(event)
  const { open, admit: isAdmitting, ...change } = await bodyFitting(event, personChangeSchema)
  // Also where nothing else is changed, to say that there is nobody of that name.
  const answer = await changePerson(database(), id, change)
  if (!answer.ok) throw refusal(answer.status, answer.refusal)
  if (open) await forgetAllAttempts(database(), `${id} `)
  const code = isAdmitting ? await admit(database(), id) : null
  return { person: answer.person, pin: answer.pin, code }
})
