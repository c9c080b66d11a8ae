import { RateLimiterDrizzle } from 'rate-limiter-flexible'
import { database } from '../db/client.ts'
import { signInLimit } from '../db/schema.ts'

/** Wrong PINs: five a person and thirty an address in a quarter of an hour. Counted in the database, for every process alike. */
const limiter = (keyPrefix: string, points: number) => new RateLimiterDrizzle({ storeClient: database(), schema: signInLimit, keyPrefix, points, duration: 900 })

let limiters: { person: RateLimiterDrizzle, address: RateLimiterDrizzle } | undefined
export function signInLimits() {
  limiters ??= { person: limiter('person', 5), address: limiter('address', 30) }
  return limiters
}
