import { createEventStream, type EventStream, type H3Event } from 'h3'
import { lastsFor } from '../db/sessions.ts'
import { database } from '../db/client.ts'
import { onSessionEnded } from '../live/changes.ts'
import { refusal } from './answer.ts'
import { sessionIdOf } from './session.ts'

/** How many streams one person has open at once: as many pages, over all their tablets. */
const MOST = 24
const open = new Map<string, number>()

const count = (person: string, by: 1 | -1) => {
  const now = (open.get(person) ?? 0) + by
  if (now > 0) open.set(person, now)
  else open.delete(person)
}

/**
 * A stream of events for somebody who is signed in. It ends with their session, whether that is ended or runs out, and is
 * refused where they have too many.
 * @param stops is called once it is over
 */
export async function personStream(event: H3Event, person: string, stops: () => void): Promise<EventStream> {
  if ((open.get(person) ?? 0) >= MOST)
    throw refusal(429, 'You have too many pages open. Close some, and this one goes on.')
  count(person, 1)
  const session = (await sessionIdOf(event))!
  const stream = createEventStream(event)
  const close = () => void stream.close()
  const stopHearing = onSessionEnded(session, close)
  const left = await lastsFor(database(), session)
  const end = setTimeout(close, Math.max(0, left ?? 0) * 1000)
  stream.onClosed(async () => {
    count(person, -1)
    clearTimeout(end)
    stopHearing()
    stops()
    await stream.close()
  })
  return stream
}
