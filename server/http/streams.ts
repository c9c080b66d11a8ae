import { createEventStream, type EventStream, type H3Event } from 'h3'
import { lastsFor } from '../db/sessions.ts'
import { database } from '../db/client.ts'
import { onSessionEnded } from '../live/changes.ts'
import { refusalsAbout } from '../../core/refusal.ts'
import { refusal } from './answer.ts'
import { sessionIdOf } from './session.ts'

const refusals = refusalsAbout('page', {
  tooMany: () => 'You have too many pages open. Close some, and this one goes on.',
})

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
 * @param hears begins what is said on it, and tells how each is stopped once the stream is over
 */
export async function personStream(
  event: H3Event,
  person: string,
  hears: (stream: EventStream) => (() => void)[],
): Promise<EventStream> {
  const session = (await sessionIdOf(event))!
  const left = (await lastsFor(database(), session)) ?? 0
  if ((open.get(person) ?? 0) >= MOST) throw refusal(429, refusals.tooMany())
  // Nothing is waited for from here on, so that nothing is counted or heard that is not stopped again.
  const stream = createEventStream(event)
  const close = () => void stream.close()
  const end = setTimeout(close, left * 1000)
  const stops = [onSessionEnded(session, close), () => clearTimeout(end), ...hears(stream)]
  count(person, 1)
  stream.onClosed(async () => {
    count(person, -1)
    stops.forEach(stop => stop())
    await stream.close()
  })
  return stream
}
