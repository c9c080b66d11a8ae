import { signInSchema } from '#shared/schemas'
import { database } from '../../db/client.ts'
import { siteOf } from '../../db/site.ts'
import { bodyFitting, refusal } from '../../http/answer.ts'
import { deviceOf } from '../../http/device.ts'
import { personByPin } from '../../http/pin.ts'
import { route } from '../../http/route.ts'
import { signInAs } from '../../http/session.ts'

export default route('open', async event => {
  const given = await bodyFitting(event, signInSchema)
  const { codeHash } = await siteOf(database())
  if (codeHash !== null && (await deviceOf(event)) === null)
    throw refusal(401, 'This device is new here: give the code of the site first. A lead knows it.')
  const person = await personByPin(event, given)
  await signInAs(event, person)
  return person
})
