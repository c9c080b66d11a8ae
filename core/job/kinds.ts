import * as concessions from './concessions.ts'
import { FEATURES } from './features/index.ts'
import type { ActKind } from './ledger/act.ts'
import type { AnyEntry } from './ledger/entry.ts'
import type { Feature } from './ledger/feature.ts'
import { baseState, type Draft } from './ledger/state.ts'

/** Every feature: those of the bench, and concessions, which can be given on whatever the others owe. */
export const ALL = { ...FEATURES, concessions }
type Any = (typeof ALL)[keyof typeof ALL]

// Written out one by one: each looks at what it names of a feature, and at nothing else.
type SliceOf<F> = F extends { slice: () => infer S } ? S : never
type ActsOf<F> = F extends { acts: infer A } ? A : never
type OwesOf<F> = F extends { owes: infer O } ? O : never
type PadsOf<F> = F extends { pads: infer P } ? P : never
type SectionsOf<F> = F extends { sections: infer S } ? S : never
type Merged<U> = (U extends unknown ? (one: U) => void : never) extends (all: infer M) => void ? M : never

/** What the features keep in the state of a job. */
export type Slices = Merged<SliceOf<Any>>
/** Kinds of entries, kinds of debts, pads and sections of the record, by their names. */
export type Acts = Merged<ActsOf<Any>>
export type OwedKinds = Merged<OwesOf<Any>>
export type Pads = Merged<PadsOf<Any>>
export type Sections = Merged<SectionsOf<Any>>
export type SectionName = keyof Sections

const features = Object.values(ALL) as Feature[]

/** Every kind of entry. */
export const ACTS = Object.assign({}, ...features.map(({ acts }) => acts)) as Acts

/** The act of an entry, for reading it; null for a kind that is not known here. */
export const actOf = (entry: Pick<AnyEntry, 'kind'>): ActKind<AnyEntry['payload']> | null =>
  Object.hasOwn(ACTS, entry.kind) ? (ACTS[entry.kind] as unknown as ActKind<AnyEntry['payload']>) : null

/** A job with nothing in its ledger. */
export const emptyState = (): Draft => Object.assign(baseState(), ...features.map(({ slice }) => slice?.())) as Draft

/** The tables of the record, in the order of its parts. */
export const SECTIONS = Object.assign({}, ...features.map(({ sections }) => sections)) as Sections
