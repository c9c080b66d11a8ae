import { database } from '../../db/client.ts'
import { openJobs } from '../../db/jobs.ts'
import { route } from '../../http/route.ts'

export default route('signed in', () => openJobs(database()))
