import { database } from '../../db/client.ts'
import { machine } from '../../db/fleet.ts'
import { refusal, tagOf } from '../../http/answer.ts'
import { route } from '../../http/route.ts'

export default route('signed in', async event => {
  const found = await machine(database(), tagOf(event))
  if (!found) throw refusal(404, 'There is no such machine in the yard. Check the tag on its plate.')
  return found
})
