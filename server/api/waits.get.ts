import { database } from '../db/client.ts'
import { openWaits } from '../db/waits.ts'
import { route } from '../http/route.ts'

/** What waits over all open jobs; what time it is, only a display knows. */
export default route('signed in', () => openWaits(database()))
