import { getQuery } from 'h3'
import { seqSchema } from '#shared/schemas'
import { database } from '../../../db/client.ts'
import { findJob } from '../../../db/jobs.ts'
import { entriesAfter } from '../../../db/ledger.ts'
import { fitting, idOf, noSuchJob } from '../../../http/answer.ts'
import { route } from '../../../http/route.ts'

export default route('signed in', async event => {
  const id = idOf(event)
  const after = fitting(seqSchema, getQuery(event).after)
  if (!(await findJob(database(), id))) throw noSuchJob()
  return entriesAfter(database(), id, after)
})
