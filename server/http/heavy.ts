import { createEventStream, getHeader, type H3Event } from 'h3'
import type { WorkProgress, WorkSaid } from '../../shared/answers.ts'
import { heavily, TooMuch } from '../heavy/desk.ts'
import type { Tasks } from '../heavy/tasks.ts'
import { refusal } from './answer.ts'

const TOO_MUCH = 'Too much of that is asked for at this moment. Try again in a minute.'
const STOPPED = 'That took too long and was ended. Ask for less at a time.'

const inWords = (error: unknown) =>
  error instanceof TooMuch
    ? refusal(429, TOO_MUCH)
    : /Cancellation|Timeout/.test((error as Error).name + (error as Error).constructor.name)
      ? refusal(503, STOPPED)
      : error

/** Work for a worker thread, ended when whoever asked for it is gone. */
async function worked<T extends keyof Tasks>(
  event: H3Event,
  task: T,
  given: Parameters<Tasks[T]>[0],
  onProgress?: (now: WorkProgress) => void,
): Promise<Awaited<ReturnType<Tasks[T]>>> {
  const gone = new AbortController()
  const { res } = event.node
  const stop = () => void (res.writableFinished || gone.abort())
  res.once('close', stop)
  try {
    return await heavily(task, given, onProgress, gone.signal)
  } catch (error) {
    throw inWords(error)
  } finally {
    res.off('close', stop)
  }
}

/**
 * Answers with work of a worker thread. Who accepts a stream of events hears how far it is, and the answer as its last
 * event; who does not gets the answer alone.
 * @param answered makes the answer of what came of it; may refuse
 * @param wired how the answer stands in an event
 */
export async function answerHeavily<T extends keyof Tasks, A>(
  event: H3Event,
  task: T,
  given: Parameters<Tasks[T]>[0],
  answered: (got: Awaited<ReturnType<Tasks[T]>>) => A | Promise<A>,
  wired: (answer: A) => unknown = answer => answer,
): Promise<A | undefined> {
  if (!getHeader(event, 'accept')?.includes('text/event-stream')) return answered(await worked(event, task, given))
  const stream = createEventStream(event)
  let isGone = false
  const say = async ({ event: name, data }: WorkSaid) => {
    if (!isGone) await stream.push({ event: name, data: JSON.stringify(data) }).catch(() => {})
  }
  const work = async () => {
    try {
      const got = await worked(event, task, given, now => void say({ event: 'progress', data: now }))
      await say({ event: 'done', data: wired(await answered(got)) })
    } catch (error) {
      const why = (error as { data?: { why?: string } }).data?.why ?? 'That did not work here. Try again.'
      await say({ event: 'refused', data: { why } })
    } finally {
      await stream.close().catch(() => {})
    }
  }
  stream.onClosed(() => {
    isGone = true
  })
  void work()
  await stream.send()
  return undefined
}
