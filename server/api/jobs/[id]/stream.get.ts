import { createEventStream, defineEventHandler } from 'h3'
import { database } from '../../../db/client.ts'
import { findJob } from '../../../db/jobs.ts'
import { jobIdOf, noSuchJob } from '../../../http/answer.ts'
import { onJobChanged } from '../../../live/changes.ts'

/** Says the newest sequence number whenever the ledger grows, and once at the start. */
export default defineEventHandler(async event => {
  const id = jobIdOf(event)
  const stream = createEventStream(event)
  const stop = await onJobChanged(id, seq => void stream.push(String(seq)))
  const job = await findJob(database(), id)
  if (!job) {
    stop()
    throw noSuchJob()
  }
  const beat = setInterval(() => void stream.push({ event: 'beat', data: '' }), 20_000)
  stream.onClosed(async () => {
    clearInterval(beat)
    stop()
    await stream.close()
  })
  void stream.push(String(job.lastSeq))
  return stream.send()
})
