import { personOf } from '../http/session.ts'
import { checkThere } from '../http/there.ts'

/** The pages ask who is signed in by the session's own route: that too is told from the row, not from the cookie. */
export default defineNitroPlugin(() => {
  sessionHooks.hook('fetch', async (session, event) => {
    await checkThere()
    const person = await personOf(event)
    if (person) session.user = person
    else delete session.user
  })
})
