import { AWAY } from '../db/faults.ts'
import { refusal } from '../http/answer.ts'
import { personOf } from '../http/session.ts'
import { pulse } from '../live/pulse.ts'

/** The pages ask who is signed in by the session's own route: that too is told from the row, not from the cookie. */
export default defineNitroPlugin(() => {
  sessionHooks.hook('fetch', async (session, event) => {
    if (pulse().isAway) throw refusal(503, AWAY)
    const person = await personOf(event)
    if (person) session.user = person
    else delete session.user
  })
})
