import { defineEventHandler } from 'h3'
import { database } from '../../../db/client.ts'
import { jobWithLedger } from '../../../db/jobs.ts'
import { jobIdOf, noSuchJob } from '../../../http/answer.ts'

export default defineEventHandler(async event => {
  const found = await jobWithLedger(database(), jobIdOf(event))
  if (!found) throw noSuchJob()
  return found
})
