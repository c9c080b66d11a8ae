import type { AnyEntry, Entry } from './entries.ts'

const isCorrection = (entry: AnyEntry): entry is Entry<'entry.corrected'> => entry.kind === 'entry.corrected'

/**
 * The entries that count, in ledger order. A correction takes its target away, or puts its replacement in the target's
 * place; a correction that is itself corrected no longer does. Read from the newest back, each entry's fate is known
 * before it is reached, since a correction only ever names an earlier entry.
 */
export function effectiveEntries(entries: readonly AnyEntry[]): AnyEntry[] {
  const corrections = new Map<string, Entry<'entry.corrected'>>()
  if (!entries.some(isCorrection)) return [...entries]
  const counted: AnyEntry[] = []
  for (let i = entries.length - 1; i >= 0; i--) {
    const entry = entries[i]!
    const corrected = corrections.get(entry.id)
    if (corrected) {
      const { replacement } = corrected.payload
      if (replacement) counted.push({ ...entry, ...replacement } as AnyEntry)
    } else if (isCorrection(entry)) {
      // Of two corrections of one entry the newer counts.
      if (!corrections.has(entry.payload.target)) corrections.set(entry.payload.target, entry)
    } else counted.push(entry)
  }
  return counted.reverse()
}

/**
 * What `undo` takes back, newest first: this person's newest act that still counts. Entries done together carry one
 * time and are one act. The opening and the signature are not taken back; empty when there is nothing.
 */
export function lastAct(entries: readonly AnyEntry[], person: string): AnyEntry[] {
  const counted = new Set(effectiveEntries(entries).map(entry => entry.id))
  const mine = entries.filter(
    entry =>
      counted.has(entry.id) && entry.madeBy === person && entry.kind !== 'job.opened' && entry.kind !== 'job.signed',
  )
  return mine.filter(entry => entry.madeAt === mine.at(-1)!.madeAt).reverse()
}
