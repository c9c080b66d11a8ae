import { createEventStream, getHeader, isError, type H3Event } from 'h3'
import { refusalsAbout, sentenceOf, type Refusal } from '../../core/refusal.ts'
import type { WorkSaid } from '../../shared/answers.ts'
import { heavily, type Piece } from '../heavy/desk.ts'
import type { Tasks } from '../heavy/tasks.ts'
import { TooMany } from '../live/turns.ts'
import { refusal } from './answer.ts'
import { gone } from './gone.ts'

const refusals = refusalsAbout('work', {
  tooMuch: () => 'Too much of that is asked for at this moment. Try again in a minute.',
  stopped: () => 'That took too long and was ended. Ask for less at a time.',
  failed: () => 'That did not work here. Try again.',
})

const inWords = (error: unknown) => {
  const { name, constructor } = error as Error
  return error instanceof TooMany
    ? refusal(429, refusals.tooMuch())
    : /Cancellation|Timeout|Abort/.test(name + constructor.name)
      ? refusal(503, refusals.stopped())
      : error
}

/** Has work done in a worker thread for whoever asked, in turn; it ends when they are gone. Refuses in words what is too much. */
export async function workedHeavily<T extends keyof Tasks>(
  event: H3Event,
  piece: Omit<Piece<T>, 'gone'>,
): Promise<Awaited<ReturnType<Tasks[T]>>> {
  try {
    return await heavily({ ...piece, gone: gone(event) })
  } catch (error) {
    throw inWords(error)
  }
}

/**
 * Answers with work of a worker thread. Who accepts a stream of events hears how far it is, and the answer as its last
 * event; who does not gets the answer alone. It ends when whoever asked is gone.
 * @param answered makes the answer of what came of it; may refuse
 * @param wired how the answer stands in an event
 */
export async function answerHeavily<T extends keyof Tasks, A>(
  event: H3Event,
  piece: Pick<Piece<T>, 'task' | 'who' | 'given'>,
  answered: (got: Awaited<ReturnType<Tasks[T]>>) => A | Promise<A>,
  wired: (answer: A) => unknown = answer => answer,
): Promise<A | undefined> {
  const work = (onProgress?: Piece<T>['onProgress']) => workedHeavily(event, { ...piece, onProgress })
  if (!getHeader(event, 'accept')?.includes('text/event-stream')) return answered(await work())
  const stream = createEventStream(event)
  let isGone = false
  const say = async ({ event: name, data }: WorkSaid) => {
    if (!isGone) await stream.push({ event: name, data: JSON.stringify(data) }).catch(() => {})
  }
  const saying = async () => {
    try {
      const got = await work(now => void say({ event: 'progress', data: now }))
      await say({ event: 'done', data: wired(await answered(got)) })
    } catch (error) {
      const known = isError<{ refusal?: Refusal }>(error) ? error.data?.refusal : undefined
      const what = known ?? refusals.failed()
      await say({ event: 'refused', data: { why: sentenceOf(what), refusal: what } })
    } finally {
      await stream.close().catch(() => {})
    }
  }
  stream.onClosed(() => {
    isGone = true
  })
  void saying()
  await stream.send()
  return undefined
}
