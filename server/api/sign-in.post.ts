import { getRequestIP } from 'h3'
import { signInSchema } from '#shared/schemas'
import { database } from '../db/client.ts'
import { isSecret, personWithPin } from '../db/people.ts'
import { siteOf } from '../db/site.ts'
import { bodyFitting, refusal } from '../http/answer.ts'
import { deviceOf, rememberThisDevice } from '../http/device.ts'
import { route } from '../http/route.ts'
import { signInAs } from '../http/session.ts'
import { countSignIn, forgetSignIn } from '../live/limits.ts'

export default route('open', async event => {
  const { person: id, pin, code } = await bodyFitting(event, signInSchema)
  const address = getRequestIP(event) ?? 'unknown'
  const device = await deviceOf(event)
  // The attempt is counted before the PIN is looked at, so that many at once gain nothing.
  const wait = await countSignIn(id, device, address)
  if (wait !== null)
    throw refusal(429, `Too many wrong PINs. Wait ${Math.ceil(wait / 60)} minutes, or ask a lead to unlock the name.`)
  const { codeHash } = await siteOf(database())
  if (codeHash && !device && !(await isSecret(codeHash, code ?? '')))
    throw refusal(401, 'This device is new here: give the code of the site as well. A lead knows it.')
  const person = await personWithPin(database(), id, pin)
  if (!person) throw refusal(401, 'That PIN does not belong to that name. Check both and type it again.')
  await forgetSignIn(id, device, address)
  if (!device) await rememberThisDevice(event)
  await signInAs(event, person)
  return person
})
