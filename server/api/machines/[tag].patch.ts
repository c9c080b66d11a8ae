import { hoursSchema } from '#shared/schemas'
import { OPENERS } from '../../../core/job/index.ts'
import { database } from '../../db/client.ts'
import { machine, readHours } from '../../db/fleet.ts'
import { bodyFitting, refusal, tagOf } from '../../http/answer.ts'
import { route } from '../../http/route.ts'

/** The running hours as they stand on the meter. */
export default route(OPENERS, async (event, by) => {
  const tag = tagOf(event)
  const { hoursRun } = await bodyFitting(event, hoursSchema)
  const refused = await readHours(database(), tag, hoursRun, by.id)
  if (refused) throw refusal(422, refused)
  return machine(database(), tag)
})
