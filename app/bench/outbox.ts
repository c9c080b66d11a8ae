import type { AnyEntry } from '~~/core/job'

/** Acts done with one press and sent together: all are kept, or none. */
export interface Batch {
  /** The number of the press. */
  act: string
  entries: AnyEntry[]
  /** The sentence that refused it, once the server has. */
  refused: string | null
  /** Done by somebody whose PIN could not be asked for. */
  unverified: boolean
  /** The lead who vouched for it on this device. */
  vouched: string | null
}

/** What waits on this device to be sent, oldest first. Never changed in place. */
export type Outbox = readonly Batch[]

/** Who is signed in with a PIN, and since when; ISO 8601 UTC. */
export interface SignedIn {
  id: string
  since: string
}

export const doerOf = (batch: Batch): string => batch.entries[0]!.madeBy

export const put = (outbox: Outbox, entries: AnyEntry[], unverified: boolean): Outbox => [
  ...outbox,
  { act: entries[0]!.act, entries, refused: null, unverified, vouched: null },
]

/** Without what has landed in the ledger. */
export const landed = (outbox: Outbox, ids: ReadonlySet<string>): Outbox =>
  outbox.some(batch => batch.entries.every(one => ids.has(one.id)))
    ? outbox.filter(batch => !batch.entries.every(one => ids.has(one.id)))
    : outbox

/** One batch refused, by its own number: whatever stands first by now. */
export const refuse = (outbox: Outbox, act: string, why: string): Outbox =>
  outbox.map(batch => (batch.act === act ? { ...batch, refused: why } : batch))

export const dismiss = (outbox: Outbox, act: string): Outbox => outbox.filter(batch => batch.act !== act)

/** A lead says that somebody did what waits under their name. */
export const vouch = (outbox: Outbox, doer: string, lead: string): Outbox =>
  outbox.map(batch => (batch.unverified && doerOf(batch) === doer ? { ...batch, vouched: lead } : batch))

export const waiting = (outbox: Outbox): Batch[] => outbox.filter(batch => !batch.refused)
export const refused = (outbox: Outbox): Batch[] => outbox.filter(batch => batch.refused)

/** Whether a batch goes out in the name of whoever is signed in: their own, proved by a PIN given after it, or vouched for. */
export function isSendable(batch: Batch, who: SignedIn): boolean {
  if (batch.vouched === who.id) return true
  return doerOf(batch) === who.id && (!batch.unverified || batch.entries[0]!.madeAt <= who.since)
}

/** The next batch to send: always the oldest that waits, since later ones stand on it; another's waits until they sign in. */
export function nextFor(outbox: Outbox, who: SignedIn | null): Batch | null {
  const [first] = waiting(outbox)
  return first && who && isSendable(first, who) ? first : null
}

const isEntry = (value: unknown): value is AnyEntry =>
  typeof value === 'object' &&
  value !== null &&
  ['id', 'kind', 'act', 'madeBy', 'madeAt'].every(key => typeof (value as Record<string, unknown>)[key] === 'string')

const isWords = (value: unknown): value is string | null => value === null || typeof value === 'string'

/** A batch as it was kept on the device; null when what is there cannot be read. */
export function readBatch(kept: unknown): Batch | null {
  const { act, entries, refused: why, unverified, vouched } = (kept ?? {}) as Partial<Batch>
  const isSound =
    typeof act === 'string' &&
    Array.isArray(entries) &&
    entries.length > 0 &&
    entries.every(isEntry) &&
    typeof unverified === 'boolean'
  return isSound && isWords(why) && isWords(vouched) ? { act, entries, refused: why, unverified, vouched } : null
}
