import { database } from '../../../db/client.ts'
import { findJob } from '../../../db/jobs.ts'
import { idOf, noSuchJob } from '../../../http/answer.ts'
import { staysOpen } from '../../../http/queues.ts'
import { route } from '../../../http/route.ts'
import { personStream } from '../../../http/streams.ts'
import { listening, onDatabase, onJobChanged, onStopping } from '../../../live/changes.ts'

/** Says the newest sequence number whenever the ledger grows, and once at the start; that the database went or came; ends with the session. */
export default route(
  'signed in',
  async (event, { id: person }) => {
    const id = idOf(event)
    const job = await findJob(database(), id)
    if (!job) throw noSuchJob()
    await listening()
    const stream = await personStream(event, person, to => {
      const beat = setInterval(() => void to.push({ event: 'beat', data: '' }), 20_000)
      return [
        () => clearInterval(beat),
        onJobChanged(id, seq => void to.push(String(seq))),
        onStopping(() => void to.close()),
        onDatabase(how => void to.push({ event: 'database', data: how })),
      ]
    })
    // Read again: it may have grown while the listening began.
    void stream.push(String((await findJob(database(), id))!.lastSeq))
    return stream.send()
  },
  staysOpen,
)
