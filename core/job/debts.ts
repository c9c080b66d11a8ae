import { gateAfter, STATIONS, stopsOf, type Plan } from '../sheet/index.ts'
import { FEATURES } from './features/index.ts'
import type { Feature, OwedKindOf } from './ledger/feature.ts'
import { entriesOf, isSame } from './ledger/same.ts'
import type { Fields } from './ledger/shape.ts'
import type { JobState } from './ledger/state.ts'
import { checkResults, type CheckResult } from './measuring/results.ts'
import { keyOf, type OwedId, type OwedKind } from './owed/id.ts'
import type { Obligation, Scene, Source } from './owed/owing.ts'
import { remembering } from './ledger/remembered.ts'

const features = Object.values(FEATURES) as Feature[]
const SOURCES = features.flatMap(({ sources = [] }) => sources)
const KINDS = new Map(
  features.flatMap(({ owes = {} }) => Object.entries(owes) as unknown as [OwedKind, OwedKindOf<Fields>][]),
)
const kindOf = ({ kind }: { kind: OwedKind }) => KINDS.get(kind) as OwedKindOf<Fields>

export const OWED_KINDS = [...KINDS.keys()]
/** Every field that tells debts apart, whatever their kind. */
export const OWED_FIELDS: Fields = Object.assign({}, ...[...KINDS.values()].map(({ by }) => by))

/** An identity as it may come over the wire: some of it may be missing. */
export type Loose = { kind: OwedKind } & Partial<Record<string, unknown>>

/** An identity as it came over the wire: null when something of it is missing. What does not belong to it is left out. */
export function owedOf(given: Loose): OwedId | null {
  const by = Object.keys(kindOf(given).by)
  if (by.some(key => given[key] === undefined)) return null
  return Object.fromEntries([['kind', given.kind], ...by.map(key => [key, given[key]])]) as OwedId
}

export const owedWords = (plan: Plan, id: OwedId): string => kindOf(id).words(plan, id)

/** Why something owed is not conceded, whoever would; null when a lead may. */
export const neverConceded = (plan: Plan, id: OwedId): string | null => kindOf(id).never?.(plan, id) ?? null

/** The acts that something owed rests on, in a fixed order: a concession is given to them, and to no others. */
export function basisOf(
  plan: Plan,
  state: JobState,
  id: OwedId,
  results: ReadonlyMap<string, CheckResult> = checkResults(plan, state),
): string[] {
  return entriesOf(kindOf(id).basis?.({ plan, state, results }, id) ?? [])
}

/** What a source says is owed, with what follows from the plan for each of it. */
const owedBy =
  (source: Source) =>
  (scene: Scene): Obligation[] =>
    source(scene).map(({ wrong, ...owing }): Obligation => {
      const { withItsStep = false, onceReached = false, holdsStart = false } = kindOf(owing.id)
      return {
        perishable: false,
        who: 'fitter',
        ...owing,
        wrong: wrong ? { at: wrong.at ?? null, stops: stopsOf(scene.plan, wrong) } : null,
        withItsStep,
        onceReached,
        holdsStart,
        key: keyOf(owing.id),
        kind: owing.id.kind,
        blocks: gateAfter(scene.plan, owing.step)?.name ?? 'hand-back',
      }
    })
const owedByAll = remembering(SOURCES.map(owedBy))

/**
 * Everything owed, in station order. What a lead has conceded is left out; it stays on the record.
 * An obligation blocks the first gate that the step that waits for it must come before, else only the hand-back.
 */
export function obligations(
  plan: Plan,
  state: JobState,
  results: ReadonlyMap<string, CheckResult> = checkResults(plan, state),
): Obligation[] {
  return owedByAll({ plan, state, results })
    .flat()
    .filter(({ key, id }) => {
      // A concession stands for the thing as it was: what has been read or set anew is another thing.
      const given = state.concessions.get(key)
      return given === undefined || !isSame(given.basis ?? [], basisOf(plan, state, id, results))
    })
    .sort((a, b) => STATIONS.indexOf(a.station) - STATIONS.indexOf(b.station))
}
