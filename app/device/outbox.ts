import { readBatch, type Outbox } from '~/bench/outbox'
import { deviceDatabase } from './database'

/** What waits on this device, by job, as it was last kept; nothing where this browser keeps nothing. */
export async function leftOutboxes(): Promise<Map<string, Outbox>> {
  const rows = await deviceDatabase()
    .then(db => db.getAll('outbox'))
    .catch(() => [])
  const byJob = new Map<string, Outbox>()
  for (const row of rows.toSorted((a, b) => a.n - b.n)) {
    const batch = readBatch(row)
    if (batch) byJob.set(row.job, [...(byJob.get(row.job) ?? []), batch])
  }
  return byJob
}

/** Lets go of what has landed in the ledger. */
export const dropBatch = (act: string): Promise<void> =>
  deviceDatabase()
    .then(db => db.delete('outbox', act))
    .catch(() => {})

/** What waits on this device for one job, with what keeps it in step; a row that cannot be read is set aside, and that is said. */
export async function keptOutbox(id: string) {
  const damaged = ref(false)
  /** False where this browser keeps nothing: then what waits is lost with the page. */
  const keeps = ref(true)
  const outbox = shallowRef<Outbox>([])
  let n = 0
  try {
    const db = await deviceDatabase()
    void navigator.storage?.persist?.()
    const all = db.transaction(['outbox', 'damaged'], 'readwrite')
    const rows = await all.objectStore('outbox').index('job').getAll(id)
    const read = rows.toSorted((a, b) => a.n - b.n).map(row => ({ row, batch: readBatch(row) }))
    for (const { row, batch } of read) {
      if (batch) continue
      damaged.value = true
      void all.objectStore('damaged').put({ job: id, found: row })
      void all.objectStore('outbox').delete(row.act)
    }
    await all.done
    n = Math.max(0, ...rows.map(row => row.n))
    outbox.value = read.flatMap(one => one.batch ?? [])
  } catch {
    keeps.value = false
  }

  /** Takes a changed outbox: only the rows that differ are written, so that two pages of one job do not take from each other. */
  async function keep(now: Outbox): Promise<void> {
    const before = new Map(outbox.value.map(batch => [batch.act, batch]))
    outbox.value = now
    try {
      const all = (await deviceDatabase()).transaction('outbox', 'readwrite', { durability: 'strict' })
      const held = new Map((await all.store.index('job').getAll(id)).map(row => [row.act, row.n]))
      for (const batch of now)
        if (before.get(batch.act) !== batch)
          void all.store.put({ ...batch, job: id, n: held.get(batch.act) ?? (n += 1) })
      const stays = new Set(now.map(batch => batch.act))
      for (const act of before.keys()) if (!stays.has(act)) void all.store.delete(act)
      await all.done
      keeps.value = true
    } catch {
      keeps.value = false
    }
  }
  return { outbox, damaged, keeps, keep }
}
