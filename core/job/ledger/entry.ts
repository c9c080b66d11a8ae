import type { Acts } from '../kinds.ts'
import type { ActKind } from './act.ts'
import type { Role } from './roles.ts'

/** What each kind of entry carries, from the acts themselves. Everything done at the bench is one of these. */
export type Payloads = { [K in keyof Acts]: Acts[K] extends ActKind<infer P> ? P : never }
export type EntryKind = keyof Payloads

export interface Entry<K extends EntryKind = EntryKind> {
  /** uuid v7, made by the client. */
  id: string
  kind: K
  payload: Payloads[K]
  /** What was done with one press carries one number, and is undone together. */
  act: string
  madeBy: string
  role: Role
  /** The lead who vouched for it, where it was done on a device on which its doer had not signed in. */
  vouchedBy?: string
  /** When the act was done, by the clock of the device set right by the server's; ISO 8601 UTC. */
  madeAt: string
  /** When the server took it; null while it waits to be sent. */
  receivedAt: string | null
  /** Given by the server; null while an entry waits to be sent. */
  seq: number | null
  /** The last number of the ledger that its maker had seen. Left out, they had seen all that came before it. */
  seen?: number
  /** The tablet it was made on, whose entries have seen each other in their order. */
  tablet?: string
  /** How far that tablet's clock was behind the server's, ms, and when that was measured. */
  clock?: { behindMs: number; measuredAt: string }
}

/** An entry of any kind, as the ledger hands it out; kinds not known here are kept and passed over. */
export type AnyEntry = { [K in EntryKind]: Entry<K> }[EntryKind]

/** An act before it is an entry: what was done, without who and when. */
export type Act = { [K in EntryKind]: { kind: K; payload: Payloads[K] } }[EntryKind]

/** Whether an entry is of the given kind, for reading a ledger. */
export function isKind<K extends EntryKind>(entry: AnyEntry, kind: K): entry is Extract<AnyEntry, Entry<K>> {
  return entry.kind === kind
}

/** What a job was opened with: its machine, its sheet, and the choices made for it. The first entry of every ledger says so. */
export function openingOf(entries: readonly AnyEntry[]): Payloads['job.opened'] {
  const opened = entries.find(entry => isKind(entry, 'job.opened'))
  if (!opened) throw new Error('A ledger without its opening.')
  return opened.payload
}

const MINUTE = 60_000
/** Longer between act and arrival, and the act is late: done without the network. */
const LATE_MS = 10 * MINUTE
/** An act from the future comes from a wrong clock. */
const AHEAD_MS = 2 * MINUTE

type Timed = Pick<Entry, 'madeAt' | 'receivedAt'>

/** Up to the minute, of an ISO 8601 time in UTC. */
const TO_THE_MINUTE = 16
/** Nearly every act arrives in the minute it was done; that is told without reading two dates, which a long ledger feels. */
const isSameMinute = (one: string, other: string) =>
  one.endsWith('Z') && other.endsWith('Z') && other.startsWith(one.slice(0, TO_THE_MINUTE))

const behindMs = ({ madeAt, receivedAt }: Timed) =>
  receivedAt === null || isSameMinute(madeAt, receivedAt) ? 0 : Date.parse(receivedAt) - Date.parse(madeAt)

/** How the time an entry gives stands to the time it arrived. */
export function clockOf(entry: Timed): 'live' | 'late' | 'ahead' {
  const behind = behindMs(entry)
  return behind > LATE_MS ? 'late' : behind < -AHEAD_MS ? 'ahead' : 'live'
}

/** The time that may be relied on: as given while it is near its arrival, else the arrival. */
export const timeOf = (entry: Timed): string => (clockOf(entry) === 'live' ? entry.madeAt : entry.receivedAt!)

/**
 * The time of an act by which something is timed: as given where its tablet had measured its clock before, however many hours
 * later it arrived; else as `timeOf`. A clock that was set otherwise since shows, and counts for nothing.
 */
export function timedAt(entry: Timed & Pick<Entry, 'clock'>): string {
  const { clock, madeAt } = entry
  const isMeasured = clock !== undefined && Date.parse(clock.measuredAt) <= Date.parse(madeAt)
  return isMeasured && clockOf(entry) !== 'ahead' ? madeAt : timeOf(entry)
}
