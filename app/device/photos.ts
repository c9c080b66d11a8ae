import type { Payloads } from '~~/core/job'
import { deviceDatabase } from './database'

/** A photograph whose file lies on this device and is still to be sent. */
export interface HeldPhoto {
  job: string
  sha256: string
  bytes: Uint8Array<ArrayBuffer>
  /** By this device; ISO 8601 UTC. */
  takenAt: string
  /** What its entry says; it is made again where the page went before it was. */
  payload: Payloads['photo.added']
  /** Whether its entry was made. */
  isNamed: boolean
  /** The sentence that refused the file, once the server has. */
  refused: string | null
}

const isHeld = (row: Partial<HeldPhoto>): row is HeldPhoto =>
  typeof row.job === 'string' && typeof row.sha256 === 'string' && row.bytes instanceof Uint8Array && !!row.payload

/** What is still to be sent, the oldest first; nothing where this browser keeps nothing. */
export async function heldPhotos(): Promise<HeldPhoto[]> {
  const rows = await deviceDatabase()
    .then(db => db.getAll('photos'))
    .catch(() => [])
  return rows.filter(isHeld)
}

/** Keeps one, before its entry is made: whatever happens then, the picture is not lost. False where this browser keeps nothing. */
export const keepPhoto = (one: HeldPhoto): Promise<boolean> =>
  deviceDatabase()
    .then(db => db.put('photos', one))
    .then(
      () => true,
      () => false,
    )

export const dropPhoto = (job: string, sum: string): Promise<void> =>
  deviceDatabase()
    .then(db => db.delete('photos', [job, sum]))
    .catch(() => {})

/** Whether the entry of a photograph still waits on this device, refused or not, or may do so. */
export const entryWaits = ({ job, sha256 }: HeldPhoto): Promise<boolean> =>
  deviceDatabase()
    .then(db => db.getAllFromIndex('outbox', 'job', job))
    .then(
      rows => rows.some(row => row.entries.some(one => one.kind === 'photo.added' && one.payload.sha256 === sha256)),
      () => true,
    )
