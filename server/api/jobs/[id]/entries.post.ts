import { entriesSchema } from '#shared/schemas'
import { WRITERS } from '../../../../core/job/index.ts'
import { database } from '../../../db/client.ts'
import { append } from '../../../db/ledger.ts'
import { bodyFitting, jobIdOf, refusal } from '../../../http/answer.ts'
import { route } from '../../../http/route.ts'

/** Entries, one or many; which role may do which is the act's to say. */
export default route(WRITERS, async (event, by) => {
  const fresh = await bodyFitting(event, entriesSchema)
  const answer = await append(database(), jobIdOf(event), by, fresh)
  if (!answer.kept) throw refusal(answer.status, answer.why, { entry: answer.entry })
  return { entries: answer.entries, lastSeq: answer.lastSeq }
})
