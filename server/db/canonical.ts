import { createHash } from 'node:crypto'
import type { AnyEntry } from '../../core/job/index.ts'

/** A value with its keys in one order and what is undefined left out: PostgreSQL keeps the keys of jsonb in its own. */
export const sorted = (value: unknown): unknown =>
  Array.isArray(value)
    ? value.map(sorted)
    : value && typeof value === 'object'
      ? Object.fromEntries(
          Object.entries(value)
            .filter(([, one]) => one !== undefined)
            .sort(([a], [b]) => (a < b ? -1 : 1))
            .map(([key, one]) => [key, sorted(one)]),
        )
      : value

/**
 * SHA-256 of a ledger up to an entry, hexadecimal: of what was said, by whom, when, and in which order. The same before
 * it is written and after it is read again.
 */
export function digestOf(entries: readonly AnyEntry[], upTo: number): string {
  const hash = createHash('sha256')
  for (const { seq, id, act, kind, payload, madeBy, role, vouchedBy, madeAt, receivedAt } of entries)
    if (seq !== null && seq <= upTo)
      hash.update(
        JSON.stringify([seq, id, act, kind, sorted(payload), madeBy, role, vouchedBy ?? null, madeAt, receivedAt]),
      )
  return hash.digest('hex')
}
