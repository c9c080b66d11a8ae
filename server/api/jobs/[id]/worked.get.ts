import { database } from '../../../db/client.ts'
import { findJob, workedFor } from '../../../db/jobs.ts'
import { idOf, noSuchJob } from '../../../http/answer.ts'
import { route } from '../../../http/route.ts'

/** What worked on other machines of the same sheet, where something is stuck or will not go. */
export default route('signed in', async event => {
  const job = await findJob(database(), idOf(event))
  if (!job) throw noSuchJob()
  return workedFor(database(), job)
})
