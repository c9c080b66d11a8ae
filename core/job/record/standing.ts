import { STATIONS, type Plan, type Station } from '../../sheet/index.ts'
import { gateOf } from '../owed/gate.ts'
import type { Folded } from '../fold.ts'
import { timeOf } from '../ledger/entry.ts'
import { obligations } from '../debts.ts'
import { differsIn, type JobState } from '../ledger/state.ts'
import { hindrances } from '../owed/hindrances.ts'
import { nextStep } from '../parts/needs.ts'

/** Where a job stands, in one look: for the list of what is on the bench. */
export interface Standing {
  station: Station
  /** The next step by its title; null once every step is done. */
  step: string | null
  /** What the next step waits for before it can be done; null when nothing stands before it. */
  waits: string | null
  /** Owed beside the steps themselves. */
  owed: number
  gateOpen: boolean
  lastBy: string
  lastAt: string
}

/** What may be written without anything becoming owed, or settled. */
const OWES_NOTHING: ReadonlySet<keyof JobState> = new Set(['count', 'heard', 'notes'])

/** Where a job stands; `earlier` is where it stood at some earlier moment, used where nothing that matters has changed since. */
export function standingOf(
  plan: Plan,
  { entries, state }: Folded,
  earlier?: { state: JobState; stands: Standing },
): Standing {
  const last = entries.at(-1)!
  if (earlier && differsIn(earlier.state, state).every(key => OWES_NOTHING.has(key)))
    return { ...earlier.stands, lastBy: last.madeBy, lastAt: timeOf(last) }
  const owed = obligations(plan, state)
  const next = nextStep(plan, state)
  // Reading a caution is done at the step; it keeps nobody waiting.
  const before = next ? hindrances(plan, state, owed, next).find(one => one.settle.to !== 'caution') : undefined
  return {
    station: next?.station ?? STATIONS.at(-1)!,
    step: next?.title ?? null,
    waits: before?.text ?? null,
    owed: owed.filter(one => one.kind !== 'step').length,
    gateOpen: gateOf(plan, state, owed).open,
    lastBy: last.madeBy,
    lastAt: timeOf(last),
  }
}
