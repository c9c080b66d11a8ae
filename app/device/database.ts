import { openDB, type DBSchema, type IDBPDatabase } from 'idb'
import type { AnyEntry } from '~~/core/job'
import type { JobAnswer } from '~~/shared/answers'
import type { Batch } from '~/bench/outbox'
import type { HeldPhoto } from './photos'

/** Raised where an answer has another shape: what was kept of the older one is let go. What waits to be sent stays. */
const SHAPE = 4

/** A batch as it lies on the device: of which job, and after which others. */
type BatchRow = { job: string; n: number } & Batch

interface Kept extends DBSchema {
  /** The last answer to a question, by its address. */
  answers: { key: string; value: { path: string; value: unknown; keptAt: string } }
  /** A job without its ledger. */
  jobs: { key: string; value: { id: string; about: Omit<JobAnswer, 'entries'>; usedAt: string } }
  entries: { key: [string, number]; value: { job: string; seq: number; entry: AnyEntry } }
  outbox: { key: string; value: BatchRow; indexes: { job: string } }
  /** Photographs that are still to be sent. */
  photos: { key: [string, string]; value: HeldPhoto }
  /** What could not be read, as it was found. */
  damaged: { key: number; value: { job: string; found: unknown } }
}

let opening: Promise<IDBPDatabase<Kept>> | undefined

/** What this device keeps so that the bench goes on without the network. Throws where the browser keeps nothing. */
export const deviceDatabase = () =>
  (opening ??= openDB<Kept>('needler', SHAPE, {
    upgrade(db, before, _, transaction) {
      if (before < 4) db.createObjectStore('photos', { keyPath: ['job', 'sha256'] })
      if (before) {
        void transaction.objectStore('answers').clear()
        return
      }
      db.createObjectStore('answers', { keyPath: 'path' })
      db.createObjectStore('jobs', { keyPath: 'id' })
      db.createObjectStore('entries', { keyPath: ['job', 'seq'] })
      db.createObjectStore('outbox', { keyPath: 'act' }).createIndex('job', 'job')
      db.createObjectStore('damaged', { autoIncrement: true })
    },
    terminated() {
      opening = undefined
    },
  }))
