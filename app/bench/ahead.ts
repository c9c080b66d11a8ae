import { clockOf, extend, refusalOf, type AnyEntry, type Folded, type JobState, type Refusal } from '~~/core/job'
import type { Plan } from '~~/core/sheet'

/** Entries of one press, folded on what came before them, numbered as the server will where nobody writes in between. */
interface Link {
  on: JobState
  entries: readonly AnyEntry[]
  after: Folded
}

/** A ledger as it is confirmed and known, and what was done here after it that waits to be sent, press by press. */
type Waiting = readonly (readonly AnyEntry[])[]

const numbered = (now: Folded, entries: readonly AnyEntry[]): AnyEntry[] =>
  entries.map((entry, i): AnyEntry => ({ ...entry, seq: now.entries.length + 1 + i }))

/** Whether the server has taken an entry as it was folded here. */
const isAsFolded = (here: AnyEntry, landed: AnyEntry): boolean =>
  here.id === landed.id &&
  here.seq === landed.seq &&
  here.madeAt === landed.madeAt &&
  here.vouchedBy === landed.vouchedBy &&
  clockOf(landed) === 'live'

/**
 * Folds what waits after what is confirmed, each press once: where it lands as it was folded, what it came to here is what
 * is confirmed then.
 */
export function createAhead(plan: Plan) {
  let links: readonly Link[] = []

  /** What is confirmed with all that waits after it; entries that wait stay without a number. */
  function folded(confirmed: Folded, waiting: Waiting): Folded {
    let now = confirmed
    links = waiting.map(entries => {
      const known = links.find(one => one.on === now.state && one.entries === entries)
      const link = known ?? { on: now.state, entries, after: extend(plan, now, numbered(now, entries)) }
      now = link.after
      return link
    })
    return waiting.length ? { entries: [...confirmed.entries, ...waiting.flat()], state: now.state } : confirmed
  }

  /** Why entries of one press may not follow on what waits, as they would arrive now; null when they may. They are folded by it. */
  function refusal(confirmed: Folded, waiting: Waiting, entries: readonly AnyEntry[]): Refusal | null {
    folded(confirmed, waiting)
    const before = links.at(-1)?.after ?? confirmed
    let now = before
    for (const entry of numbered(before, entries)) {
      const why = refusalOf(plan, now, entry)
      if (why) return why
      now = extend(plan, now, [entry])
    }
    links = [...links, { on: before.state, entries, after: now }]
    return null
  }

  /** What is confirmed once more of the ledger is known. */
  function landed(confirmed: Folded, more: readonly AnyEntry[]): Folded {
    if (!more.length) return confirmed
    const [first] = links
    const here = first?.on === confirmed.state ? first.after.entries.slice(confirmed.entries.length) : []
    return here.length === more.length && here.every((entry, i) => isAsFolded(entry, more[i]!))
      ? { entries: [...confirmed.entries, ...more], state: first!.after.state }
      : extend(plan, confirmed, more)
  }

  return { folded, refusal, landed }
}
