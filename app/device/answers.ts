import { deviceDatabase } from './database'

/** An answer, and since when it lies here where the server could not be asked. */
export interface Answered<T> {
  value: T
  keptAt: string | null
}

/** A proxy that does not reach the server, or the server its database: as good as no network. */
const NOT_THERE = new Set([502, 503, 504, 507])

/** Whether a request failed because nobody was there to answer it: not refused, not broken. */
export function isUnreached(error: unknown): boolean {
  const { statusCode } = error as { statusCode?: number }
  return !statusCode || NOT_THERE.has(statusCode)
}

/** Calls back when the page has nothing better to do, and soon in any case. */
function afterShown(act: () => void): void {
  if ('requestIdleCallback' in window) requestIdleCallback(act, { timeout: 1000 })
  else setTimeout(act, 200)
}

let ahead = new Map<string, Promise<unknown>>()

/** Asks for what a page shows while the page itself is still fetched and put together. What nobody took is let go. */
export function askAhead(paths: readonly string[]): void {
  ahead = new Map(paths.map(path => [path, $fetch(path)]))
  // Whether it failed is for who takes it; nobody may.
  for (const answer of ahead.values()) answer.catch(() => {})
}

/** What was asked ahead, once; who asks again wants what is so by then. */
function taken<T>(path: string): Promise<T> | undefined {
  const answer = ahead.get(path)
  ahead.delete(path)
  return answer as Promise<T> | undefined
}

/** Asks the server, and keeps its answer; without the network, what it answered last. Throws when there is neither. */
export async function askOrKept<T>(path: string): Promise<Answered<T>> {
  try {
    const value = await (taken<T>(path) ?? $fetch<T>(path))
    const keptAt = new Date().toISOString()
    // First it is shown, then it is kept: a large answer takes its time to copy.
    afterShown(() => {
      void deviceDatabase()
        .then(db => db.put('answers', { path, value, keptAt }))
        .catch(() => {})
    })
    return { value, keptAt: null }
  } catch (error) {
    const look = () => deviceDatabase().then(db => db.get('answers', path))
    // Where the browser keeps nothing, the sentence is still that of the network.
    const kept = isUnreached(error) ? await look().catch(() => undefined) : undefined
    if (!kept) throw error
    return { value: kept.value as T, keptAt: kept.keptAt }
  }
}

/** Where the worker that keeps the pages keeps photographs that were looked at (`nuxt.config.ts`). */
const PHOTOGRAPHS = 'photographs'

/** Takes the answers and jobs off this device, when somebody signs out; what waits to be sent stays. */
export async function forgetAnswers(): Promise<void> {
  const db = await deviceDatabase()
  await Promise.all([
    db.clear('answers'),
    db.clear('jobs'),
    db.clear('entries'),
    globalThis.caches?.delete(PHOTOGRAPHS),
  ])
}
