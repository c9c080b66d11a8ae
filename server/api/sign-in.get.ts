import type { DoorAnswer } from '#shared/answers'
import { database } from '../db/client.ts'
import { peopleWhoSign } from '../db/people.ts'
import { siteOf } from '../db/site.ts'
import { deviceOf } from '../http/device.ts'
import { route } from '../http/route.ts'

/** The names to choose from; on a device that is not known, the site's code is asked for too, where there is one. */
export default route('open', async (event): Promise<DoorAnswer> => {
  const { name, pinLength, codeHash } = await siteOf(database())
  return {
    site: { name, pinLength },
    people: await peopleWhoSign(database()),
    asksCode: codeHash !== null && (await deviceOf(event)) === null,
  }
})
