import { entriesSchema } from '#shared/schemas'
import { WRITERS } from '../../../../core/job/index.ts'
import { ledgerDatabase } from '../../../db/client.ts'
import { append } from '../../../db/append.ts'
import { bodyFitting, idOf, refusal } from '../../../http/answer.ts'
import { intoJob, staysOpen } from '../../../http/queues.ts'
import { route } from '../../../http/route.ts'

/** Entries, one or many; which role may do which is the act's to say. Nobody's turn waits for a body that comes slowly. */
export default route(
  WRITERS,
  async (event, by) => {
    const id = idOf(event)
    const fresh = await bodyFitting(event, entriesSchema)
    const answer = await intoJob(id, () => append(ledgerDatabase(), id, by, fresh))
    if (!answer.kept) throw refusal(answer.status, answer.why, { entry: answer.entry })
    return { entries: answer.entries, lastSeq: answer.lastSeq }
  },
  staysOpen,
)
