/** Long enough not to knock at a server that is starting again. */
const AGAIN_MS = 3000

/** Listens to the ledger of a job: says when it has grown, and whether the server is there. Returns what stops it. */
export function listenTo(
  job: string,
  hears: { grown: (seq: number) => void; reached: (isThere: boolean) => void },
): () => void {
  let stream: EventSource
  let again: ReturnType<typeof setTimeout> | undefined
  function listen() {
    stream = new EventSource(`/api/jobs/${job}/stream`)
    stream.onmessage = ({ data }) => {
      hears.reached(true)
      hears.grown(Number(data))
    }
    stream.onopen = () => hears.reached(true)
    stream.onerror = () => {
      hears.reached(false)
      // A refused stream ends for good; a lost one comes back by itself.
      if (stream.readyState === EventSource.CLOSED) again = setTimeout(listen, AGAIN_MS)
    }
  }
  listen()
  return () => {
    clearTimeout(again)
    stream.close()
  }
}
