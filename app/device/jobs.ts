import type { AnyEntry } from '~~/core/job'
import type { JobAnswer } from '~~/shared/answers'
import { isUnreached } from './answers'
import { deviceDatabase } from './database'

/** Jobs that lie on one device; of more, those not opened for longest go. */
const MOST = 20
const LAST = Number.MAX_SAFE_INTEGER
const ledgerOf = (id: string) => IDBKeyRange.bound([id, 0], [id, LAST])

/** Keeps a job as the server told it, and lets go of those not opened for long. */
async function keepJob({ entries, ...about }: JobAnswer): Promise<void> {
  const db = await deviceDatabase()
  const { id } = about.job
  const all = db.transaction(['jobs', 'entries'], 'readwrite')
  const [jobs, ledger] = [all.objectStore('jobs'), all.objectStore('entries')]
  await jobs.put({ id, about, usedAt: new Date().toISOString() })
  for (const entry of entries) void ledger.put({ job: id, seq: entry.seq!, entry })
  const old = (await jobs.getAll()).toSorted((a, b) => b.usedAt.localeCompare(a.usedAt)).slice(MOST)
  for (const one of old) {
    void jobs.delete(one.id)
    void ledger.delete(ledgerOf(one.id))
  }
  await all.done
}

/** Keeps what a ledger grew by. */
export async function keepEntries(id: string, entries: readonly AnyEntry[]): Promise<void> {
  const all = (await deviceDatabase()).transaction('entries', 'readwrite')
  for (const entry of entries) void all.store.put({ job: id, seq: entry.seq!, entry })
  await all.done
}

async function keptJob(id: string): Promise<JobAnswer | null> {
  const db = await deviceDatabase()
  const kept = await db.get('jobs', id)
  if (!kept) return null
  const entries = (await db.getAll('entries', ledgerOf(id))).map(one => one.entry)
  return { ...kept.about, entries }
}

/**
 * A job from the server; without the network, as it lies on this device, and when a copy of it does. Throws when there is
 * neither.
 */
export async function askJob(id: string): Promise<{ answer: JobAnswer; reached: boolean; copied: Promise<void> }> {
  try {
    const answer = await $fetch<JobAnswer>(`/api/jobs/${id}`)
    return { answer, reached: true, copied: keepJob(answer) }
  } catch (error) {
    const answer = isUnreached(error) ? await keptJob(id).catch(() => null) : null
    if (!answer) throw error
    return { answer, reached: false, copied: Promise.resolve() }
  }
}
