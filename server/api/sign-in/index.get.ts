import type { DoorAnswer } from '#shared/answers'
import { database } from '../../db/client.ts'
import { peopleWhoSign } from '../../db/people.ts'
import { siteOf } from '../../db/site.ts'
import { asksCode } from '../../http/pin.ts'
import { route } from '../../http/route.ts'

/** The names to choose from; a device that is not known is asked for the site's code first, where there is one, and told none. */
export default route('open', async (event): Promise<DoorAnswer> => {
  const { name, pinLength } = await siteOf(database())
  const isAsked = await asksCode(event)
  return { site: { name, pinLength }, people: isAsked ? [] : await peopleWhoSign(database()), asksCode: isAsked }
})
