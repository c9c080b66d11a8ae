import { RateLimiterDrizzle } from 'rate-limiter-flexible'
import { database } from '../db/client.ts'
import { signInLimit } from '../db/schema.ts'

/** Counted in the database, for every process alike. */
const limiter = (keyPrefix: string, points: number, duration: number) =>
  new RateLimiterDrizzle({ storeClient: database(), schema: signInLimit, keyPrefix, points, duration })

/** Wrong PINs: five a person and thirty an address in a quarter of an hour. */
let signIns: { person: RateLimiterDrizzle; address: RateLimiterDrizzle } | undefined
export function signInLimits() {
  signIns ??= { person: limiter('person', 5, 900), address: limiter('address', 30, 900) }
  return signIns
}

/** Sums asked for over the wire, an address and minute: plenty for a script that sends lists. */
let sums: RateLimiterDrizzle | undefined
export const sumLimit = () => (sums ??= limiter('sums', 1200, 60))
