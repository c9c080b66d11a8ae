import { childSchema } from '#shared/schemas'
import { OPENERS } from '../../../../core/job/index.ts'
import { openChild } from '../../../db/children.ts'
import { ledgerDatabase } from '../../../db/client.ts'
import { bodyFitting, idOf, refusal } from '../../../http/answer.ts'
import { intoJob } from '../../../http/queues.ts'
import { route } from '../../../http/route.ts'

/** Opens a job of its own for a part that is off and has a sheet of its own. */
export default route(OPENERS, async (event, by) => {
  const id = idOf(event)
  const { part } = await bodyFitting(event, childSchema)
  const opening = await intoJob(id, () => openChild(ledgerDatabase(), id, part, by, new Date().toISOString()))
  if (!opening.ok) throw refusal(opening.status, opening.refusal, { job: opening.job })
  return { id: opening.id, number: opening.number }
})
