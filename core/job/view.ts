import { STATIONS, type Plan, type Station } from '../sheet/index.ts'
import { gateOf, type Gate } from './owed/gate.ts'
import { obligations } from './debts.ts'
import type { Obligation } from './owed/owing.ts'
import { checkResults, type CheckResult } from './measuring/results.ts'
import type { JobState } from './ledger/state.ts'
import { unmetNeeds } from './parts/needs.ts'
import { isWanted } from './parts/wanted.ts'
import { trayOf, type Tray } from './parts/tray.ts'

export interface StationView {
  id: Station
  done: number
  steps: number
  owed: number
}

/** The whole job as the screens read it, worked out from sheet and state. */
export interface JobView {
  results: ReadonlyMap<string, CheckResult>
  owed: Obligation[]
  gate: Gate
  tray: Tray
  stations: StationView[]
}

export function viewJob(plan: Plan, state: JobState): JobView {
  const results = checkResults(plan, state)
  const owed = obligations(plan, state, results)
  const stations = STATIONS.map((id): StationView => {
    const steps = plan.sheet.steps.filter(
      step => step.station === id && (state.steps.has(step.id) || isWanted(plan, state, step)),
    )
    return {
      id,
      steps: steps.length,
      done: steps.filter(step => state.steps.has(step.id)).length,
      owed: owed.filter(one => one.station === id && one.kind !== 'step' && isDue(plan, state, one)).length,
    }
  })
  return { results, owed, gate: gateOf(plan, state, owed), tray: trayOf(plan, state), stations }
}

function isDue(plan: Plan, state: JobState, one: Obligation): boolean {
  if (!one.onceReached) return true
  const step = plan.steps.get(one.step ?? '')
  return !step || unmetNeeds(plan, state, step).length === 0
}
