import { createEventStream } from 'h3'
import { database } from '../../../db/client.ts'
import { findJob } from '../../../db/jobs.ts'
import { idOf, noSuchJob } from '../../../http/answer.ts'
import { staysOpen } from '../../../http/queues.ts'
import { route } from '../../../http/route.ts'
import { sessionIdOf } from '../../../http/session.ts'
import { listening, onDatabase, onJobChanged, onSessionEnded, onStopping } from '../../../live/changes.ts'

/** Says the newest sequence number whenever the ledger grows, and once at the start; that the database went or came; ends with the session. */
export default route(
  'signed in',
  async event => {
    const id = idOf(event)
    const job = await findJob(database(), id)
    if (!job) throw noSuchJob()
    await listening()
    const session = await sessionIdOf(event)
    const stream = createEventStream(event)
    const stops = [
      onJobChanged(id, seq => void stream.push(String(seq))),
      onStopping(() => void stream.close()),
      onDatabase(how => void stream.push({ event: 'database', data: how })),
      onSessionEnded(session!, () => void stream.close()),
    ]
    const beat = setInterval(() => void stream.push({ event: 'beat', data: '' }), 20_000)
    stream.onClosed(async () => {
      clearInterval(beat)
      stops.forEach(stop => stop())
      await stream.close()
    })
    // Read again: it may have grown while the listening began.
    void stream.push(String((await findJob(database(), id))!.lastSeq))
    return stream.send()
  },
  staysOpen,
)
