import { database } from '../../db/client.ts'
import { machine } from '../../db/fleet.ts'
import { noSuchMachine } from '../../db/jobs.ts'
import { refusal, tagOf } from '../../http/answer.ts'
import { route } from '../../http/route.ts'

export default route('signed in', async event => {
  const tag = tagOf(event)
  const found = await machine(database(), tag)
  if (!found) throw refusal(404, noSuchMachine(tag))
  return found
})
