import { withdrawalSchema } from '#shared/schemas'
import { OPENERS } from '../../../../../core/job/index.ts'
import { database } from '../../../../db/client.ts'
import { machine } from '../../../../db/fleet.ts'
import { withdrawService } from '../../../../db/services.ts'
import { bodyFitting, idOf, refusal, tagOf } from '../../../../http/answer.ts'
import { route } from '../../../../http/route.ts'

/** A service that was written down by mistake is withdrawn. */
export default route(OPENERS, async (event, by) => {
  const tag = tagOf(event)
  const id = idOf(event)
  await bodyFitting(event, withdrawalSchema)
  const refused = await withdrawService(database(), tag, id, by, new Date().toISOString())
  if (refused) throw refusal(422, refused)
  return machine(database(), tag)
})
