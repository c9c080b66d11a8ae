import { signInSchema } from '#shared/schemas'
import { bodyFitting } from '../../http/answer.ts'
import { personByPin } from '../../http/pin.ts'
import { route } from '../../http/route.ts'
import { signInAs } from '../../http/session.ts'

export default route('open', async event => {
  const person = await personByPin(event, await bodyFitting(event, signInSchema))
  await signInAs(event, person)
  return person
})
