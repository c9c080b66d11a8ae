import { availableParallelism } from 'node:os'
import { fileURLToPath } from 'node:url'
import workerpool, { type Pool } from 'workerpool'
import type { WorkProgress } from '../../shared/answers.ts'
import { FONT_FILES, type Fonts } from '../reports/fonts.ts'
import type { Tasks } from './tasks.ts'

/** There are so many pieces of work waiting already that one more is not taken. */
export class TooMuch extends Error {}

interface Desk {
  pool: Pool
  /** Those who wait, in order: told when one fewer goes before them. */
  waiting: ((before: number) => void)[]
}

/** Somebody waits for a record at a screen, and scripts send lists of sums: neither waits for the other. */
const WORKERS: Record<keyof Tasks, number> = { record: 1, sum: Math.max(1, availableParallelism() - 1) }
const MOST_WAITING = 24
/** A piece of work that takes longer is ended, ms. */
const LONGEST_MS = 120_000

async function fontsOf(): Promise<Fonts> {
  const kept = useStorage('assets:server')
  const read = async (file: string) => [file, Uint8Array.from((await kept.getItemRaw(`fonts:${file}`)) as Buffer)]
  return Object.fromEntries(await Promise.all(Object.values(FONT_FILES).map(read))) as Fonts
}

const desks = new Map<keyof Tasks, Promise<Desk>>()

async function open(task: keyof Tasks): Promise<Desk> {
  const fonts = task === 'record' ? await fontsOf() : {}
  const pool = workerpool.pool(fileURLToPath(new URL('./heavy.mjs', import.meta.url)), {
    workerType: 'thread',
    maxWorkers: WORKERS[task],
    workerThreadOpts: { workerData: { fonts } },
  })
  return { pool, waiting: [] }
}

const deskFor = (task: keyof Tasks) => desks.get(task) ?? desks.set(task, open(task)).get(task)!

/**
 * Has a piece of work done in a worker thread, in turn.
 * @param onProgress is told how many go before it and how far it is
 * @param stopped ends it, wherever it is: nobody waits for it any more
 * Throws {@link TooMuch} when too many wait already.
 */
export async function heavily<T extends keyof Tasks>(
  task: T,
  given: Parameters<Tasks[T]>[0],
  onProgress: (now: WorkProgress) => void = () => {},
  stopped?: AbortSignal,
): Promise<Awaited<ReturnType<Tasks[T]>>> {
  const { pool, waiting } = await deskFor(task)
  if (waiting.length >= MOST_WAITING) throw new TooMuch()
  const told = (before: number) => onProgress({ before })
  const { busyWorkers } = pool.stats()
  waiting.push(told)
  if (busyWorkers >= WORKERS[task]) told(waiting.length)
  const leave = () => {
    const place = waiting.indexOf(told)
    if (place < 0) return
    waiting.splice(place, 1)
    waiting.slice(place).forEach((one, i) => one(place + i + 1))
  }
  const work = pool.exec(task, [given], {
    on: (news: { begun: true } | { share: number }) => {
      leave()
      onProgress('share' in news ? news : { share: 0 })
    },
  })
  const stop = () => void work.cancel()
  stopped?.addEventListener('abort', stop, { once: true })
  try {
    return (await work.timeout(LONGEST_MS)) as Awaited<ReturnType<Tasks[T]>>
  } finally {
    leave()
    stopped?.removeEventListener('abort', stop)
  }
}

/** Ends every worker, whatever it is at. */
export async function closeDesks(): Promise<void> {
  await Promise.all([...desks.values()].map(async desk => (await desk).pool.terminate(true)))
  desks.clear()
}
