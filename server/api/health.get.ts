import { whichDatabase } from '../db/client.ts'
import { route } from '../http/route.ts'

/** Asked on a connection of its own: who writes or reads much does not make it late. */
export default route('open', async () => {
  await whichDatabase()
  return { well: true, now: new Date().toISOString() }
})
