import type { Plan } from '../../sheet/index.ts'
import type { Scene, Source } from '../owed/owing.ts'
import type { ActKind } from './act.ts'
import type { Section } from './section.ts'
import type { Fields, Shaped } from './shape.ts'
import type { Stamp } from './state.ts'

/** One kind of debt: what tells two of it apart, and what is true of all of them. */
export interface OwedKindOf<F extends Fields> {
  /** The fields of its identity. */
  by: F
  words: (plan: Plan, id: Shaped<F>) => string
  /** The acts it rests on: a concession is given to them, and to no others. None where it rests on none. */
  basis?: (scene: Scene, id: Shaped<F>) => Stamp[]
  /** Why nobody concedes it; null where a lead may. */
  never?: (plan: Plan, id: Shaped<F>) => string | null
  /** Asked with its own step, or after it: no hindrance to that step. */
  withItsStep?: true
  /** Due only once its step can be reached; the rest from the start. */
  onceReached?: true
  /** Something wrong, missing, loose or left in: the machine is not started over it. */
  holdsStart?: true
}
export const owedKind = <const F extends Fields>(kind: OwedKindOf<F>): OwedKindOf<F> => kind

/**
 * What a feature of the bench may declare, each as an export of its own file. The fold, what is owed, the record, the
 * wire and the screen's pads are put together from these; see `features/index.ts`.
 */
export interface Feature {
  /** What it keeps in the state of a job, as it is before anything is done. */
  slice?: () => object
  /** Its kinds of entries. */
  acts?: Readonly<Record<string, ActKind<never>>>
  /** Its kinds of debts, and what finds them. */
  owes?: Readonly<Record<string, OwedKindOf<never>>>
  sources?: readonly Source[]
  /** Its tables of the record. */
  sections?: Readonly<Record<string, Section<never>>>
  /** Where on the screen it is worked at, each with what that is turned to. The screen has a pad of that name. */
  pads?: Readonly<Record<string, Fields>>
}
