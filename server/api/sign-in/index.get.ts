import type { DoorAnswer } from '#shared/answers'
import { database } from '../../db/client.ts'
import { peopleWhoSign } from '../../db/people.ts'
import { siteOf } from '../../db/site.ts'
import { deviceOf } from '../../http/device.ts'
import { route } from '../../http/route.ts'

/** The names to choose from; a device that is not known is asked for the site's code first, where there is one, and told none. */
export default route('open', async (event): Promise<DoorAnswer> => {
  const { name, pinLength, codeHash } = await siteOf(database())
  const asksCode = codeHash !== null && (await deviceOf(event)) === null
  return { site: { name, pinLength }, people: asksCode ? [] : await peopleWhoSign(database()), asksCode }
})
