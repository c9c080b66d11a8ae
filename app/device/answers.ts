import { deviceDatabase } from './database'

/** An answer, and since when it lies here where the server could not be asked. */
export interface Answered<T> {
  value: T
  keptAt: string | null
}

/** Whether a request failed because nothing answered it: not refused, not broken. */
export const isUnreached = (error: unknown): boolean => !(error as { statusCode?: number }).statusCode

/** Asks the server, and keeps its answer; without the network, what it answered last. Throws when there is neither. */
export async function askOrKept<T>(path: string): Promise<Answered<T>> {
  try {
    const value = await $fetch<T>(path)
    void deviceDatabase()
      .then(db => db.put('answers', { path, value, keptAt: new Date().toISOString() }))
      .catch(() => {})
    return { value, keptAt: null }
  } catch (error) {
    const look = () => deviceDatabase().then(db => db.get('answers', path))
    // Where the browser keeps nothing, the sentence is still that of the network.
    const kept = isUnreached(error) ? await look().catch(() => undefined) : undefined
    if (!kept) throw error
    return { value: kept.value as T, keptAt: kept.keptAt }
  }
}

/** Takes the answers and jobs off this device, when somebody signs out; what waits to be sent stays. */
export async function forgetAnswers(): Promise<void> {
  const db = await deviceDatabase()
  await Promise.all([db.clear('answers'), db.clear('jobs'), db.clear('entries')])
}
