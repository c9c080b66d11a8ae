import type { Entry } from './entry.ts'

/** What an entry says of the ledger its maker had before them. Left out, they had seen all of it. */
type Seen = Pick<Entry, 'seen' | 'tablet'>
/** Where an entry stands: its number in the ledger, null while it waits to be sent, and the tablet it was made on. */
type Placed = Pick<Entry, 'seq' | 'tablet'>

/** Whether whoever made one entry had seen another before it: it lay in the ledger they had, or was made on their own tablet. */
export const hadSeen = (later: Seen, earlier: Placed): boolean =>
  later.seen === undefined ||
  earlier.seq === null ||
  earlier.seq <= later.seen ||
  (later.tablet !== undefined && later.tablet === earlier.tablet)

/** Something two tablets said without having seen each other: what stands, and the others beside it. */
export type Contested<T> = T & { rivals?: readonly T[] }

/** What was said of a thing, each once: what stands first. */
export const allSaid = <T extends object>(said: Contested<T>): T[] => {
  const { rivals = [], ...stands } = said
  return [stands as unknown as T, ...rivals]
}

/**
 * What stands of a thing once something more is said of it: the new, where its maker had seen the old; else the worse of
 * them, with the others beside it.
 * @param isWorse whether the first is worse for the machine than the second
 */
export function settled<T extends Placed>(
  before: Contested<T> | undefined,
  now: T,
  by: Seen,
  isWorse: (one: T, other: T) => boolean,
): Contested<T> {
  const unseen = before ? allSaid<T>(before).filter(one => !hadSeen(by, one)) : []
  if (!unseen.length) return now
  const all = [...unseen, now]
  const worst = all.reduce((a, b) => (isWorse(b, a) ? b : a))
  return { ...worst, rivals: all.filter(one => one !== worst) }
}
