import type { Grown } from '~~/shared/answers'
import { pauseAfter } from './pauses'

export interface Hears {
  grown: (by: Grown) => void
  reached: (isThere: boolean) => void
  /** The server is there and its database is not. */
  databaseAway: () => void
}

/**
 * Listens to the ledger of a job: says when it has grown, and by what, and whether the server and its database are there. After an
 * error, whatever it is, it tries again after pauses that grow; each time it is told the newest number, so nothing said
 * meanwhile is missed. Returns what stops it.
 */
export function listenTo(job: string, hears: Hears, Stream: typeof EventSource = EventSource): () => void {
  let stream: EventSource
  let again: ReturnType<typeof setTimeout> | undefined
  let failures = 0
  function listen() {
    stream = new Stream(`/api/jobs/${job}/stream`)
    stream.onmessage = ({ data }) => {
      failures = 0
      hears.reached(true)
      hears.grown(JSON.parse(data) as Grown)
    }
    stream.addEventListener('database', ({ data }) => {
      if (data === 'away') hears.databaseAway()
      else hears.reached(true)
    })
    stream.onerror = () => {
      stream.close()
      hears.reached(false)
      again = setTimeout(listen, pauseAfter(++failures, Math.random()))
    }
  }
  listen()
  return () => {
    clearTimeout(again)
    stream.close()
  }
}
