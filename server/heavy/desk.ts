import { availableParallelism } from 'node:os'
import { fileURLToPath } from 'node:url'
import workerpool, { type Pool } from 'workerpool'
import type { WorkProgress } from '../../shared/answers.ts'
import { fairRoom } from '../live/turns.ts'
import { FONT_FILES, type Fonts } from '../reports/fonts.ts'
import type { Tasks } from './tasks.ts'

/** Somebody waits for a record at a screen, and scripts send lists of sums: neither waits for the other. */
const WORKERS: Record<keyof Tasks, number> = {
  record: 1,
  sum: Math.max(1, availableParallelism() - 1),
  picture: 1,
}
/** Of one person, and over all: one more is not taken. A picture is large, and a tablet sends one after the other. */
const WAITING = { each: 6, all: 60 }
const PICTURES_WAITING = { each: 1, all: 20 }
/** A piece of work that takes longer is ended, ms. */
const LONGEST_MS = 120_000

/** What somebody asks to have done. */
export interface Piece<T extends keyof Tasks> {
  task: T
  /** Whoever asked: everybody's pieces are taken by turns. */
  who: string
  /** What it is made of; read once its turn has come. */
  given: () => Promise<Parameters<Tasks[T]>[0]>
  /** Is told how many go before it and how far it is. */
  onProgress?: (now: WorkProgress) => void
  /** Ends it, wherever it is: nobody waits for it any more. */
  gone: AbortSignal
}

async function fontsOf(): Promise<Fonts> {
  const kept = useStorage('assets:server')
  const read = async (file: string) => [file, Uint8Array.from((await kept.getItemRaw(`fonts:${file}`)) as Buffer)]
  return Object.fromEntries(await Promise.all(Object.values(FONT_FILES).map(read))) as Fonts
}

const pools = new Map<keyof Tasks, Promise<Pool>>()
const rooms = {
  record: fairRoom(WORKERS.record, WAITING),
  sum: fairRoom(WORKERS.sum, WAITING),
  picture: fairRoom(WORKERS.picture, PICTURES_WAITING),
}

async function open(task: keyof Tasks): Promise<Pool> {
  const fonts = task === 'record' ? await fontsOf() : {}
  return workerpool.pool(fileURLToPath(new URL('./heavy.mjs', import.meta.url)), {
    workerType: 'thread',
    maxWorkers: WORKERS[task],
    workerThreadOpts: { workerData: { fonts } },
  })
}

const poolFor = (task: keyof Tasks) => pools.get(task) ?? pools.set(task, open(task)).get(task)!

/** Has a piece of work done in a worker thread, in turn. Throws `TooMany` when too much waits already. */
export function heavily<T extends keyof Tasks>({
  task,
  who,
  given,
  onProgress = () => {},
  gone,
}: Piece<T>): Promise<Awaited<ReturnType<Tasks[T]>>> {
  const work = async (): Promise<Awaited<ReturnType<Tasks[T]>>> => {
    const [pool, from] = await Promise.all([poolFor(task), given()])
    // Gone while that was read.
    gone.throwIfAborted()
    onProgress({ share: 0 })
    const doing = pool.exec(task, [from], { on: (news: { share: number }) => onProgress(news) })
    const stop = () => void doing.cancel()
    gone.addEventListener('abort', stop, { once: true })
    try {
      return (await doing.timeout(LONGEST_MS)) as Awaited<ReturnType<Tasks[T]>>
    } finally {
      gone.removeEventListener('abort', stop)
    }
  }
  return rooms[task](who, work, before => onProgress({ before }), gone)
}

/** Ends every worker, whatever it is at. */
export async function closeDesks(): Promise<void> {
  await Promise.all([...pools.values()].map(async pool => (await pool).terminate(true)))
  pools.clear()
}
