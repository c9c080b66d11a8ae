import type { AnyEntry, Entry } from './entry.ts'

type Correction = Entry<'entry.corrected'>
const isCorrection = (entry: AnyEntry): entry is AnyEntry & Correction => entry.kind === 'entry.corrected'

/** How a ledger reads once its corrections are taken in. */
export interface Reading {
  /** The entries that count, in ledger order. A replacement stands in its target's place and is its corrector's own. */
  counted: AnyEntry[]
  /** Corrections that hold, each with the entry it bears on. */
  inForce: Map<string, AnyEntry>
}

/** A target as its correction leaves it: the same kind in the same place, and an entry of whoever corrected it. */
function replaced(target: AnyEntry, by: Correction): AnyEntry {
  const { kind } = target
  return { ...by, kind, payload: by.payload.replacement } as AnyEntry
}

/**
 * Reads a ledger with its corrections: one takes its target away, or puts another payload in its place; of two on one
 * target the newer counts, and a correction that is itself corrected no longer does. Read from the newest back, each
 * entry's fate is known before it is reached, since a correction only ever names an earlier entry.
 */
export function readLedger(entries: readonly AnyEntry[]): Reading {
  const inForce: Reading['inForce'] = new Map()
  if (!entries.some(isCorrection)) return { counted: [...entries], inForce }
  const bearing = new Map<string, Correction>()
  const counted: AnyEntry[] = []
  for (let i = entries.length - 1; i >= 0; i--) {
    const entry = entries[i]!
    const by = bearing.get(entry.id)
    if (isCorrection(entry)) {
      // A replacement of a correction bears on what that one was about.
      const now: Correction | null = !by
        ? entry
        : by.payload.replacement
          ? { ...by, payload: { ...by.payload, target: entry.payload.target } }
          : null
      if (now && !bearing.has(now.payload.target)) bearing.set(now.payload.target, now)
    } else if (by) {
      inForce.set(by.id, entry)
      if (by.payload.replacement) counted.push(replaced(entry, by))
    } else counted.push(entry)
  }
  return { counted: counted.reverse(), inForce }
}

export const effectiveEntries = (entries: readonly AnyEntry[]): AnyEntry[] => readLedger(entries).counted

/** What a correction of this entry is about in the end, through corrections of corrections; undefined when there is none. */
export function rootOf(entries: readonly AnyEntry[], target: string): AnyEntry | undefined {
  const entry = entries.find(one => one.id === target)
  return entry && isCorrection(entry) ? rootOf(entries, entry.payload.target) : entry
}

/** What is not taken back: the opening, the signature, and what the server said of itself. */
const STANDS: ReadonlySet<string> = new Set([
  'job.opened',
  'job.signed',
  'photo.arrived',
  'child.returned',
  'child.cancelled',
])

/**
 * What `undo` takes back, newest first: this person's newest press that still counts, everything done with it together.
 * Empty when there is nothing.
 */
export function lastAct(entries: readonly AnyEntry[], person: string): AnyEntry[] {
  const counts = new Set(effectiveEntries(entries).map(entry => entry.id))
  const mine = entries.filter(entry => counts.has(entry.id) && entry.madeBy === person && !STANDS.has(entry.kind))
  return mine.filter(entry => entry.act === mine.at(-1)!.act).reverse()
}
