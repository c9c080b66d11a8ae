import type { WorkProgress, WorkSaid } from '~~/shared/answers'

/** The events in a text, and what of it is not a whole one yet. */
export function eventsIn(text: string): { events: WorkSaid[]; rest: string } {
  const blocks = text.split('\n\n')
  const rest = blocks.pop()!
  const events = blocks.flatMap(block => {
    const lines = block.split('\n')
    const at = (name: string) => lines.find(line => line.startsWith(`${name}: `))?.slice(name.length + 2)
    const [event, data] = [at('event'), at('data')]
    return event && data ? [{ event, data: JSON.parse(data) } as WorkSaid] : []
  })
  return { events, rest }
}

/** A refusal in the server's own words. */
class Refusal extends Error {
  readonly data: { data: { why: string } }
  constructor(why: string) {
    super(why)
    this.data = { data: { why } }
  }
}

/** Asks for something that takes long, and hears how far it is. Throws the server's refusal, or that it was not reached. */
export async function askLong<T>(
  path: string,
  onProgress: (now: WorkProgress) => void,
  stopped: AbortSignal,
): Promise<T> {
  const answer = await fetch(path, { headers: { accept: 'text/event-stream' }, signal: stopped })
  if (!answer.ok)
    throw Object.assign(new Refusal(((await answer.json()) as { data?: { why?: string } }).data?.why ?? ''), {
      statusCode: answer.status,
    })
  const reader = answer.body!.pipeThrough(new TextDecoderStream()).getReader()
  for (let text = ''; ;) {
    const { done, value } = await reader.read()
    if (done) throw new Refusal('The server broke off. Try again.')
    const { events, rest } = eventsIn(text + value)
    text = rest
    for (const said of events) {
      if (said.event === 'done') return said.data as T
      if (said.event === 'refused') throw new Refusal(said.data.why)
      onProgress(said.data)
    }
  }
}
