import { entriesSchema } from '#shared/schemas'
import { WRITERS } from '../../../../core/job/index.ts'
import { ledgerDatabase } from '../../../db/client.ts'
import { append, PLAIN, SIGNED } from '../../../db/append.ts'
import { bodyFitting, idOf, refusal } from '../../../http/answer.ts'
import { signerOf } from '../../../http/pin.ts'
import { intoJob, staysOpen } from '../../../http/queues.ts'
import { route } from '../../../http/route.ts'

/**
 * Entries, one or many; which role may do which is the act's to say. What is signed comes with signer and PIN, whoever this
 * device is signed in for. Nobody's turn waits for a body that comes slowly.
 */
export default route(
  WRITERS,
  async (event, by) => {
    const id = idOf(event)
    const sent = await bodyFitting(event, entriesSchema)
    const [who, entries, arrival] =
      'signer' in sent ? [await signerOf(event, sent), sent.entries, SIGNED] : [by, sent, PLAIN]
    const answer = await intoJob(id, () => append(ledgerDatabase(), id, who, entries, arrival))
    if (!answer.kept) throw refusal(answer.status, answer.refusal, { entry: answer.entry })
    return { entries: answer.entries, lastSeq: answer.lastSeq }
  },
  staysOpen,
)
