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
  const kept = await readHours(database(), tag, hoursRun, by.id)
  if (!kept.ok) throw refusal(422, kept.why)
  return machine(database(), tag)
})
