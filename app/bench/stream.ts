/** Listens to the ledger of a job: says when it has grown, and whether the server is there. Returns what stops it. */
export function listenTo(
  job: string,
  hears: { grown: (seq: number) => void; reached: (isThere: boolean) => void },
): () => void {
  const stream = new EventSource(`/api/jobs/${job}/stream`)
  stream.onmessage = ({ data }) => {
    hears.reached(true)
    hears.grown(Number(data))
  }
  stream.onopen = () => hears.reached(true)
  stream.onerror = () => hears.reached(false)
  return () => stream.close()
}
