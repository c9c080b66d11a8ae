import { defineEventHandler } from 'h3'
import { openingSchema } from '#shared/schemas'
import { database } from '../../db/client.ts'
import { openJob } from '../../db/jobs.ts'
import { bodyFitting, refusal } from '../../http/answer.ts'
import { mayWrite } from '../../http/person.ts'

export default defineEventHandler(async event => {
  const by = await mayWrite(event)
  const { equipment, complaint } = await bodyFitting(event, openingSchema)
  const opening = await openJob(database(), equipment, complaint, by, new Date().toISOString())
  if (!opening.ok) throw refusal(opening.status, opening.why, { job: opening.job })
  return { id: opening.id, number: opening.number }
})
