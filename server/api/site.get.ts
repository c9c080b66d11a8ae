import { database } from '../db/client.ts'
import { settingsOf, siteOf } from '../db/site.ts'
import { route } from '../http/route.ts'

export default route('signed in', async () => settingsOf(await siteOf(database())))
