import { gateAfter, STATIONS, type Plan } from '../../sheet/index.ts'
import { basisOf } from './basis.ts'
import { checkResults, type CheckResult } from '../measuring/results.ts'
import { isSame } from '../ledger/same.ts'
import type { JobState } from '../ledger/state.ts'
import { items } from './items.ts'
import { axes } from './axes.ts'
import { debts } from './debts.ts'
import { holds } from './holds.ts'
import { keyOf } from './id.ts'
import { joints, lockings, slackenings } from './joints.ts'
import { marks } from './marks.ts'
import { outs } from './outs.ts'
import type { Obligation, Source } from './owing.ts'
import { pieces } from './pieces.ts'
import { partsOff } from './parts-off.ts'
import { late } from './late.ts'
import { readings } from './readings.ts'
import { stepsUndone } from './steps-left.ts'
import { rounds } from './rounds.ts'
import { strays } from './strays.ts'
import { trials } from './trials.ts'
import { troubles } from './troubles.ts'
import { wrongPlaces } from './wrong-places.ts'
import { wrongWays } from './wrong-ways.ts'

export { keyOf, owedOf, owedWords, OWED_KINDS, type OwedId, type OwedKind } from './id.ts'
export type { Obligation, Settle } from './owing.ts'

const SOURCES: Source[] = [
  readings,
  marks,
  partsOff,
  wrongPlaces,
  wrongWays,
  pieces,
  outs,
  joints,
  slackenings,
  lockings,
  debts,
  holds,
  stepsUndone,
  axes,
  strays,
  rounds,
  trials,
  troubles,
  items,
  late,
]

/**
 * Everything owed, in station order. What a lead has conceded is left out; it stays on the record.
 * An obligation blocks the first gate that the step that waits for it must come before, else only the hand-back.
 */
export function obligations(plan: Plan, state: JobState, results: Map<string, CheckResult>): Obligation[] {
  const scene = { plan, state, results }
  return SOURCES.flatMap(source => source(scene))
    .map((one): Obligation => ({
      perishable: false,
      who: 'fitter',
      ...one,
      key: keyOf(one.id),
      kind: one.id.kind,
      blocks: gateAfter(plan, one.step)?.name ?? 'hand-back',
    }))
    .filter(one => !isConceded(plan, state, one, results))
    .sort((a, b) => STATIONS.indexOf(a.station) - STATIONS.indexOf(b.station))
}

/** Whether a lead has let something owed pass, as it is now: what has been read or set anew is another thing. */
function isConceded(plan: Plan, state: JobState, { key, id }: Obligation, results: Map<string, CheckResult>): boolean {
  const given = state.concessions.get(key)
  return given !== undefined && isSame(given.basis ?? [], basisOf(plan, state, id, results))
}

/** What is owed in a state, for whoever has no view of it at hand. */
export const owedNow = (plan: Plan, state: JobState): Obligation[] =>
  obligations(plan, state, checkResults(plan, state))
