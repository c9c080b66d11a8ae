import { openingSchema } from '#shared/schemas'
import { ledgerDatabase } from '../../db/client.ts'
import { OPENERS } from '../../../core/job/index.ts'
import { openJob } from '../../db/jobs.ts'
import { bodyFitting, refusal } from '../../http/answer.ts'
import { route } from '../../http/route.ts'

export default route(OPENERS, async (event, by) => {
  const { equipment, ...reported } = await bodyFitting(event, openingSchema)
  const opening = await openJob(ledgerDatabase(), equipment, reported, by, new Date().toISOString())
  if (!opening.ok) throw refusal(opening.status, opening.refusal, { job: opening.job })
  return { id: opening.id, number: opening.number }
})
