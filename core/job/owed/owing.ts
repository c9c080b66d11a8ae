import { gateAfter, type Plan, type Signer, type Station, type Thing } from '../../sheet/index.ts'
import type { Pads } from '../kinds.ts'
import type { Shaped } from '../ledger/shape.ts'
import type { CheckResult } from '../measuring/results.ts'
import type { JobState } from '../ledger/state.ts'
import type { OwedId, OwedKind } from './id.ts'

/** Where on the screen something is worked at, and what that is turned to. */
export type Settle = { [K in keyof Pads]: { to: K } & Shaped<Pads[K]> }[keyof Pads]

/** Something owed: what, why, and the step that cannot be done until it is settled. */
export interface Obligation {
  id: OwedId
  /** The identity as one text, for lists and maps. */
  key: string
  kind: OwedKind
  station: Station
  what: string
  why: string
  /** The step that waits for it; null when only the hand-back does. */
  step: string | null
  /** Where something is wrong: the step it came to be so at, and those that cannot be done while it is. Else null. */
  wrong: { at: string | null; stops: ReadonlySet<string> } | null
  /** What it keeps from being shut, the first gate it lies behind; `hand-back` where none does. */
  blocks: string
  settle: Settle
  /** Lost for good once that step is done. */
  perishable: boolean
  /** Asked with its own step, or after it: no hindrance to that step. */
  withItsStep: boolean
  /** Due only once its step can be reached. */
  onceReached: boolean
  /** The machine is not started over it. */
  holdsStart: boolean
  who: 'fitter' | Signer
}

export interface Scene {
  plan: Plan
  state: JobState
  results: ReadonlyMap<string, CheckResult>
}

/** An obligation as its source says it. */
export type Owing = Omit<
  Obligation,
  'key' | 'kind' | 'blocks' | 'wrong' | 'perishable' | 'withItsStep' | 'onceReached' | 'holdsStart' | 'who'
> &
  Partial<Pick<Obligation, 'perishable' | 'who'>> & {
    /** What is wrong, where something is: it stops what would be done on it. */
    wrong?: Thing
  }

/** One source of debts: everything of its sort that is owed in a state. */
export type Source = (scene: Scene) => Owing[]

/** What is wrong with something that goes in before a gate holds up that gate. */
export const beforeCover = (plan: Plan, step: string | undefined): string | null =>
  gateAfter(plan, step)?.step.id ?? null
