import type { SheetAnswer, SheetName } from '~~/shared/answers'
import { deviceDatabase } from './database'

/** A sheet, and when it lies on this device; that fails where the browser keeps nothing. */
export interface SheetHere extends SheetAnswer {
  copied: Promise<unknown>
}

/** What is being asked for just now: nobody asks twice at once. What is known lies on the device, and goes when somebody signs out. */
const asking = new Map<string, Promise<SheetHere>>()

/**
 * A build sheet in one version, which never changes: as it lies on this device, else from the server. Throws where it is on
 * neither.
 */
export function askSheet({ id, version }: SheetName): Promise<SheetHere> {
  const path = `/api/sheets/${encodeURIComponent(id)}/${version}`
  const answer = asking.get(path) ?? keptOrFetched(path).finally(() => asking.delete(path))
  asking.set(path, answer)
  return answer
}

async function keptOrFetched(path: string): Promise<SheetHere> {
  const kept = await deviceDatabase()
    .then(db => db.get('answers', path))
    .catch(() => undefined)
  if (kept) return { ...(kept.value as SheetAnswer), copied: Promise.resolve() }
  const value = await $fetch<SheetAnswer>(path)
  const copied = deviceDatabase().then(db => db.put('answers', { path, value, keptAt: new Date().toISOString() }))
  // Whoever shows a job says that it could not be kept; the plate of a machine needs no copy.
  copied.catch(() => {})
  return { ...value, copied }
}
