import type { AnyEntry } from '~~/core/job'

/** Acts done with one press and sent together: all are kept, or none. */
export interface Batch {
  /** The number of the press. */
  act: string
  entries: AnyEntry[]
  /** The sentence that refused it, once the server has. */
  refused: string | null
}

/** What waits on this device to be sent, oldest first. Never changed in place. */
export type Outbox = readonly Batch[]

export const put = (outbox: Outbox, entries: AnyEntry[]): Outbox => [
  ...outbox,
  { act: entries[0]!.act, entries, refused: null },
]

/** Without what has landed in the ledger. */
export const landed = (outbox: Outbox, ids: ReadonlySet<string>): Outbox =>
  outbox.filter(batch => !batch.entries.every(one => ids.has(one.id)))

/** One batch refused, by its own number: whatever stands first by now. */
export const refuse = (outbox: Outbox, act: string, why: string): Outbox =>
  outbox.map(batch => (batch.act === act ? { ...batch, refused: why } : batch))

export const dismiss = (outbox: Outbox, act: string): Outbox => outbox.filter(batch => batch.act !== act)

export const waiting = (outbox: Outbox): Batch[] => outbox.filter(batch => !batch.refused)
export const refused = (outbox: Outbox): Batch[] => outbox.filter(batch => batch.refused)

/** The next batch to send: the oldest that waits, when it is this person's own; another's waits until they sign in again. */
export function nextFor(outbox: Outbox, person: string | undefined): Batch | null {
  const [first] = waiting(outbox)
  return first && first.entries[0]!.madeBy === person ? first : null
}

const isEntry = (value: unknown): value is AnyEntry =>
  typeof value === 'object' &&
  value !== null &&
  ['id', 'kind', 'act', 'madeBy', 'madeAt'].every(key => typeof (value as Record<string, unknown>)[key] === 'string')

const isBatch = (value: unknown): value is Batch => {
  const { act, entries, refused: why } = (value ?? {}) as Partial<Batch>
  return (
    typeof act === 'string' &&
    Array.isArray(entries) &&
    entries.length > 0 &&
    entries.every(isEntry) &&
    (why === null || typeof why === 'string')
  )
}

/** An outbox as it was kept on the device; null when what is there cannot be read. */
export function readOutbox(kept: string | null): Outbox | null {
  if (!kept) return []
  try {
    const read: unknown = JSON.parse(kept)
    return Array.isArray(read) && read.every(isBatch) ? read : null
  } catch {
    return null
  }
}
