import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible'
import { query } from '../db/client.ts'

let made: RateLimiterPostgres | undefined
/** Sums asked for over the wire, a key or person and minute: plenty for a script that sends lists. Counted in the database, for every process alike. */
const sums = () =>
  (made ??= new RateLimiterPostgres({
    ...{ storeClient: { query }, storeType: 'client', tableName: 'request_limit', tableCreated: true },
    ...{ keyPrefix: 'sums', points: 1200, duration: 60 },
  }))

/**
 * Takes work off a caller's minute; false when none is left. A fault of the database is a fault, not a full count.
 * @param caller the id of a person or of a key, never the key itself
 */
export async function spendSums(caller: string, points = 1): Promise<boolean> {
  if (points > 1) {
    await sums().penalty(caller, points)
    return true
  }
  try {
    await sums().consume(caller)
    return true
  } catch (full) {
    if (full instanceof RateLimiterRes) return false
    throw full
  }
}
