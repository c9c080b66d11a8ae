import type { Grown } from '../../../../shared/answers.ts'
import { database } from '../../../db/client.ts'
import { findJob } from '../../../db/jobs.ts'
import { idOf, noSuchJob } from '../../../http/answer.ts'
import { staysOpen } from '../../../http/queues.ts'
import { route } from '../../../http/route.ts'
import { personStream } from '../../../http/streams.ts'
import { listening, onDatabase, onJobChanged, onStopping } from '../../../live/changes.ts'

/** Says what the ledger grows by, and once at the start how far it is; that the database went or came; ends with the session. */
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
        onJobChanged(id, grown => void to.push(JSON.stringify(grown))),
        onStopping(() => void to.close()),
        onDatabase(how => void to.push({ event: 'database', data: how })),
      ]
    })
    // Read again: it may have grown while the listening began.
    void stream.push(JSON.stringify({ seq: (await findJob(database(), id))!.lastSeq } satisfies Grown))
    return stream.send()
  },
  staysOpen,
)
