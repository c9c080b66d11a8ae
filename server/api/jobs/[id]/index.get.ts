import { database } from '../../../db/client.ts'
import { jobWithLedger } from '../../../db/jobs.ts'
import { idOf, noSuchJob } from '../../../http/answer.ts'
import { route } from '../../../http/route.ts'

export default route('signed in', async event => {
  const found = await jobWithLedger(database(), idOf(event))
  if (!found) throw noSuchJob()
  return found
})
