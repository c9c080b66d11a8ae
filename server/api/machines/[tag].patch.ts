import { hoursSchema } from '#shared/schemas'
import { OPENERS } from '../../../core/job/index.ts'
import { database } from '../../db/client.ts'
import { machine, readMeters } from '../../db/fleet.ts'
import { bodyFitting, refusal, tagOf } from '../../http/answer.ts'
import { route } from '../../http/route.ts'

/** What its meters show. */
export default route(OPENERS, async (event, by) => {
  const tag = tagOf(event)
  const read = await bodyFitting(event, hoursSchema)
  const refused = await readMeters(database(), tag, read, by.id)
  if (refused) throw refusal(422, refused)
  return machine(database(), tag)
})
