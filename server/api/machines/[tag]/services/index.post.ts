import { serviceSchema } from '#shared/schemas'
import { OPENERS } from '../../../../../core/job/index.ts'
import { database } from '../../../../db/client.ts'
import { machine } from '../../../../db/fleet.ts'
import { writeService } from '../../../../db/services.ts'
import { bodyFitting, refusal, tagOf } from '../../../../http/answer.ts'
import { route } from '../../../../http/route.ts'

/** A service between overhauls, by whoever is signed in. */
export default route(OPENERS, async (event, by) => {
  const tag = tagOf(event)
  const told = await bodyFitting(event, serviceSchema)
  const refused = await writeService(database(), tag, told, by, new Date().toISOString())
  if (refused) throw refusal(422, refused)
  return machine(database(), tag)
})
