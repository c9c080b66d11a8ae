import type { Plan } from '../../sheet/index.ts'
import type { Obligation } from '../owed/owing.ts'
import type { Competence } from './competence.ts'
import type { AnyEntry } from './entry.ts'
import type { Refusal } from '../../refusal.ts'
import type { Role } from './roles.ts'
import type { Fields } from './shape.ts'
import type { Draft, JobState } from './state.ts'

/** An entry as the act of its kind sees it. */
export type Done<P> = Pick<
  AnyEntry,
  'id' | 'act' | 'madeBy' | 'role' | 'vouchedBy' | 'madeAt' | 'receivedAt' | 'seq' | 'seen' | 'tablet' | 'clock'
> & {
  payload: P
}

/** A job as it stands when an act arrives. What is owed is worked out once somebody asks. */
export interface AtHand {
  plan: Plan
  state: JobState
  readonly owed: readonly Obligation[]
}

/** Something an entry says of whoever makes it: a paper they hold, or that nobody else here leads. */
export type Claim = { competence: Competence } | { onlyLead: true }

/**
 * One kind of entry, whole: what it carries, who may do it, when it makes sense, what it does, and how it is said.
 * Wire schemas, the table of roles, the fold, the server's refusals and the words of ledger and record come from here.
 */
export interface ActKind<P> {
  shape: Fields
  by: readonly Role[]
  /** `replace`: corrected by another payload or taken back; `take back`: only that; `never`: it stands. */
  corrected: 'replace' | 'take back' | 'never'
  /** Of one that stands: what is done instead of taking it back, where there is something. */
  instead?: Refusal
  /** Why it makes no sense where it stands, null when it does. The fold flags it and never counts it. */
  sense: (plan: Plan, state: JobState, entry: Done<P>) => Refusal | null
  /** Takes it in, in place; may trust `sense`. */
  apply: (state: Draft, entry: Done<P>, plan: Plan) => void
  /**
   * What stands in the way of it as it arrives live. What was done late, without the network, may pass it: then every
   * of them becomes a debt before hand-back.
   */
  live?: (at: AtHand, entry: Done<P>) => Refusal[]
  /** Judged live however late it comes: a signature is given to what is there now. */
  neverLate?: true
  /** Done again by somebody who had not seen that it was done, it is the same and nothing to look into. */
  sameAgain?: true
  /** Stands on who signs it: given with their own PIN, and nobody vouches for it. */
  signature?: true
  /** Written by the server with something else that was done: nobody sends it. */
  serverOnly?: true
  /** May follow once the job is signed or cancelled. */
  afterClose?: true
  /** What must be true of who does it, which only the site knows: the server looks before it is taken. */
  claims?: (payload: P) => Claim[]
  /** One line for lists of what was done, with its figures. */
  words: (plan: Plan, payload: P) => string
}
