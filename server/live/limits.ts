import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible'
import { query } from '../db/client.ts'

/** Counted in the database in one statement, for every process alike: a burst gains nothing. */
const limiter = (keyPrefix: string, points: number, duration: number) =>
  new RateLimiterPostgres({
    ...{ storeClient: { query }, storeType: 'client', tableName: 'sign_in_limit', tableCreated: true },
    ...{ keyPrefix, points, duration },
  })

const QUARTER = 900
let made: { person: RateLimiterPostgres; address: RateLimiterPostgres; sums: RateLimiterPostgres } | undefined
const limits = () =>
  (made ??= {
    person: limiter('person', 5, QUARTER),
    address: limiter('address', 30, QUARTER),
    // Sums asked for over the wire, a key or session and minute: plenty for a script that sends lists.
    sums: limiter('sums', 1200, 60),
  })

/** Takes a point; how many seconds to wait when none is left. A fault of the database is a fault, not a full count. */
async function consumed(from: RateLimiterPostgres, key: string): Promise<number | null> {
  try {
    await from.consume(key)
    return null
  } catch (full) {
    if (full instanceof RateLimiterRes) return Math.ceil(full.msBeforeNext / 1000)
    throw full
  }
}

/** A device that is known counts for itself alone, so that a stranger cannot keep a colleague out of their own tablet. */
const personKey = (person: string, device: string | null) => (device ? `${person} ${device}` : person)

/**
 * Counts an attempt to sign in, before the PIN is looked at: five wrong ones a name, and thirty an address from devices
 * that are new, in a quarter of an hour. Seconds to wait when it is one too many.
 */
export async function countSignIn(person: string, device: string | null, address: string): Promise<number | null> {
  const waits = await Promise.all([
    consumed(limits().person, personKey(person, device)),
    ...(device ? [] : [consumed(limits().address, address)]),
  ])
  const longest = Math.max(...waits.map(one => one ?? 0))
  return longest || null
}

/** The PIN was right: the attempt does not count. */
export async function forgetSignIn(person: string, device: string | null, address: string): Promise<void> {
  await limits().person.delete(personKey(person, device))
  if (!device) await limits().address.reward(address)
}

/** A lead unlocks a name that wrong PINs have locked; devices that are known count on. */
export const openName = (person: string) => limits().person.delete(person)

/** Takes work off a caller's minute; false when none is left. */
export async function spendSums(caller: string, points = 1): Promise<boolean> {
  if (points === 1) return (await consumed(limits().sums, caller)) === null
  await limits().sums.penalty(caller, points)
  return true
}
