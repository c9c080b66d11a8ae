import { readingKey } from '../../sheet/index.ts'
import type { Slices } from '../kinds.ts'
import { timeOf, type AnyEntry } from './entry.ts'
import type { Refusal } from '../../refusal.ts'
import type { Role } from './roles.ts'

/** Who did something and when, with the entry that says so. */
export interface Stamp {
  by: string
  role: Role
  at: string
  entry: string
  /** The lead who vouched for it, and so stands for it as whoever did it does. */
  vouchedBy?: string
  /** Place in the order of acts that count, from 1. */
  n: number
  /** Its number in the ledger, null while it waits to be sent, and the tablet it was made on. */
  seq: number | null
  tablet?: string
}

/** What every job has, whatever its features keep beside it. */
interface Base {
  /** Acts that count so far. */
  count: number
  /** The newest number of the ledger from each tablet; from those that said none, under an empty name. */
  heard: Map<string, number>
  /** Entries that make no sense where they stand: kept, shown, never counted. */
  flags: { entry: string; kind: string; why: Refusal }[]
}

/** Plain data that nobody changes, however deep. */
type Fixed<T> = unknown extends T
  ? T
  : T extends string | number | boolean | null | undefined
    ? T
    : T extends ReadonlyMap<infer K, infer V>
      ? ReadonlyMap<K, Fixed<V>>
      : { readonly [K in keyof T]: Fixed<T[K]> }

/** A state as an act takes itself in: maps and lists are added to in place, and what lies in them is only ever replaced. */
type Open<T> = T extends Map<infer K, infer V> ? Map<K, Fixed<V>> : T extends (infer V)[] ? Fixed<V>[] : T
export type Draft = { [K in keyof (Base & Slices)]: Open<(Base & Slices)[K]> }

/** Everything the bench shows is read from this one value, which nobody changes. */
type Kept<T> = T extends Map<infer K, infer V> ? ReadonlyMap<K, V> : T extends (infer V)[] ? readonly V[] : T
export type JobState = { readonly [K in keyof Draft]: Kept<Draft[K]> }

export const baseState = (): Base => ({ count: 0, heard: new Map(), flags: [] })

/** A map or list that is added to in place, as it is now; anything else is only ever replaced. */
const copied = (value: unknown) => (value instanceof Map ? new Map(value) : Array.isArray(value) ? [...value] : value)

/**
 * How often somebody has kept what lies in a state that is not being written to. What was copied before that may be theirs
 * by now, and is copied once more before it is written to.
 */
let timesKept = 0
const IS_WRITTEN = Symbol('is written')

/**
 * How to keep what lies in a state, to compare it later. A state that is being written to may change what lies in it, so that
 * is copied at once; of any other state the next write makes the copy.
 */
export function keeping(state: object): (value: unknown) => unknown {
  if (IS_WRITTEN in state) return copied
  timesKept += 1
  return value => value
}

/**
 * A state to take acts into, without touching the one it comes from: to be read, and to be written to. Maps and lists that
 * nothing is put into stay the same objects; one that is written to is copied first, unless nobody can have kept it since it
 * was.
 */
export function branchState(from: JobState): { state: JobState; draft: Draft } {
  const state: Record<string | symbol, unknown> = { ...from }
  const copiedAt = new Map<string | symbol, number>()
  const draft = new Proxy(state, {
    get: (_, key) => {
      const value = state[key]
      if (typeof value !== 'object' || value === null || copiedAt.get(key) === timesKept) return value
      copiedAt.set(key, timesKept)
      return (state[key] = copied(value))
    },
    set: (_, key, value) => {
      state[key] = value
      return true
    },
    has: (_, key) => key === IS_WRITTEN || key in state,
  })
  return { state: state as unknown as JobState, draft: draft as unknown as Draft }
}

/** What was counted, a part or an item put in for the time being, and whether out of the machine or into it. */
export const countKey = (what: string, way: 'out' | 'in') => `${what} ${way}`
/** Pieces counted: found or put back, not there when the machine was opened, put in new from stock. */
export interface PieceCount {
  n: number
  absent?: number
  fromStock?: number
}
/** Pieces of which it is known where they are. */
export const accountedFor = ({ n, absent = 0, fromStock = 0 }: PieceCount): number => n + absent + fromStock
export const countText = ({ n, absent, fromStock }: PieceCount): string =>
  [String(n), ...(absent ? [`${absent} not there`] : []), ...(fromStock ? [`${fromStock} new from stock`] : [])].join(
    ' and ',
  )
export const originKey = (step: string, word: string) => `${step} ${word}`
export const troubleKey = (step: string, sign: string) => `${step} ${sign}`
export const lubricantKey = (step: string, on: string) => `${step} ${on}`
export const cautionKey = (step: string, caution: number) => `${step} ${caution}`

export { readingKey }

type Stamped = Pick<AnyEntry, 'id' | 'madeBy' | 'role' | 'vouchedBy' | 'madeAt' | 'receivedAt' | 'seq' | 'tablet'>

/** Who, when and where in the order: the stamp of an act being taken in. */
export const stampOf = (entry: Stamped, state: JobState): Stamp => ({
  by: entry.madeBy,
  role: entry.role,
  at: timeOf(entry),
  entry: entry.id,
  vouchedBy: entry.vouchedBy,
  n: state.count,
  seq: entry.seq,
  ...(entry.tablet === undefined ? {} : { tablet: entry.tablet }),
})

/** What an act leaves in the state, stamped. Assigned, not spread: spread into a literal is ten times slower, and a long ledger feels it. */
export const stamped = <T extends object>(entry: Stamped, state: JobState, more: T): Stamp & T =>
  Object.assign(stampOf(entry, state), more)

/** Nothing but an addendum follows once a job is signed or cancelled. */
export const isClosed = (state: JobState) => state.signed !== null || state.cancelled !== null

const isSameValue = (one: unknown, other: unknown): boolean => {
  if (one === other) return true
  if (one instanceof Map && other instanceof Map)
    return one.size === other.size && [...one].every(([key, value]) => isSameValue(value, other.get(key)))
  return (
    Array.isArray(one) &&
    Array.isArray(other) &&
    one.length === other.length &&
    one.every((each, i) => each === other[i])
  )
}

/** In what two states of one ledger differ; what an act leaves alone is the same object in both. */
export const differsIn = (before: JobState, after: JobState): (keyof JobState)[] =>
  (Object.keys(after) as (keyof JobState)[]).filter(key => !isSameValue(before[key], after[key]))
