import type { Plan } from '../../sheet/index.ts'
import { workOf } from '../parts/holds.ts'
import { checkResults, type CheckResult } from '../measuring/results.ts'
import type { OwedId } from './id.ts'
import { entriesOf } from '../ledger/same.ts'
import { partState, readingKey, type JobState, type Stamp } from '../ledger/state.ts'

type Results = ReadonlyMap<string, CheckResult>

/** What of the job something owed rests on, where another of it would be another thing to look at. */
const STAMPS: Partial<Record<OwedId['kind'], (plan: Plan, state: JobState, of: never, results: Results) => Stamp[]>> = {
  'out': (_, __, of: Extract<OwedId, { kind: 'out' }>, results) => [
    ...(results.get(readingKey(of.check, of.moment))?.stamps ?? []),
  ],
  'hold': (plan, state, of: Extract<OwedId, { kind: 'hold' }>) => {
    const step = plan.steps.get(of.step)
    return step ? workOf(plan, state, step) : []
  },
  'wrong way': (_, state, of: Extract<OwedId, { kind: 'wrong way' }>) =>
    [state.mates.get(of.mate)].flatMap(one => one ?? []),
  'wrong place': (_, state, of: Extract<OwedId, { kind: 'wrong place' }>) =>
    [partState(state, of.part).fitted ?? partState(state, of.part).trial].flatMap(one => one ?? []),
}

/** The acts that something owed rests on, in a fixed order: a concession is given to them, and to no others. */
export const basisOf = (plan: Plan, state: JobState, of: OwedId, results?: Results): string[] =>
  entriesOf(STAMPS[of.kind]?.(plan, state, of as never, results ?? checkResults(plan, state)) ?? [])
