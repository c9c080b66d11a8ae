import {
  readingKey,
  type Check,
  type Debt,
  type Lubrication,
  type Mate,
  type Moment,
  type Plan,
  type Ref,
  type Step,
} from '../../sheet/index.ts'
import { checkResults } from '../measuring/results.ts'
import type { Competence } from '../ledger/competence.ts'
import type { Act } from '../ledger/entry.ts'
import { bagsOf, inHandFor, keptBy, type InHand } from './keeping.ts'
import { factFault, factsAsked, type FactAsked } from './facts.ts'
import { matesAsked } from './mates.ts'
import type { MateAnswer } from '../features/mates.ts'
import { partsIn, partState } from '../ledger/part.ts'
import { countKey, lubricantKey, type JobState } from '../ledger/state.ts'
import { partName } from '../ledger/words.ts'
import { waitStands } from './waits.ts'
import { notReady, questionsAt, type Started, type StartQuestion } from './starting.ts'

/** Pieces to count at a step. */
export interface Count {
  key: string
  what: string
  way: 'out' | 'in'
  part?: Ref
  item?: string
  /** An item comes out as it went in; short of that the step is not done. */
  must?: number
}

/** What a step asks for when it is confirmed, beside that it is done. */
export interface Asks {
  bags: { group: string; parts: Ref[] }[]
  tags: Ref[]
  counts: Count[]
  hands: { place: Ref; candidates: InHand[] }[]
  mates: Mate[]
  lubricants: Lubrication[]
  found: Step['found'] | null
  /** What is read off the machine and kept with it. */
  facts: FactAsked[]
  /** What has not been read of the running machine, and cannot be once it is made safe. Kept on the record as lost, with the step. */
  lost: { check: Check; moment: Moment }[]
  /** What is seen to before anything is started. */
  starting: readonly StartQuestion[]
  started: Started
}

/** What was said of it. What is left out is not said. */
export interface Said {
  /** Rung of the ladder that freed it. */
  method?: string
  bags?: Record<string, string>
  tags?: Record<Ref, string>
  counts?: Record<string, number>
  /** By place, the part that is in the hand. */
  hands?: Record<Ref, Ref>
  /** Places that take another's part on purpose. */
  swapped?: Ref[]
  mates?: Record<string, Omit<MateAnswer, 'mate'>>
  /** By face, what is on it. */
  lubricants?: Record<string, string>
  found?: string
  /** What was read off the machine, by fact; and those that are said to be another than before. */
  facts?: Record<string, string>
  otherFacts?: string[]
  /** What was answered before it was started. */
  started?: Started
  /** The paper it is done on, where not everybody may do it. */
  on?: Competence
}

/** Places a step fills that are empty. */
const emptyPlaces = (plan: Plan, state: JobState, step: Step): Ref[] =>
  (step.fits ?? []).filter(place => partState(state, place).where !== 'on' && !partsIn(state, [place]).length)

/** Places a step puts something on for a trial that are empty. */
const emptyTrials = (plan: Plan, state: JobState, step: Step): Ref[] =>
  (step.trial?.on ?? []).filter(
    place => ![...plan.parts.keys()].some(ref => partState(state, ref).trial?.place === place),
  )

const aidsPaidBy = (plan: Plan, step: Step): Debt[] =>
  plan.sheet.steps.flatMap(one => (one.leaves ?? []).filter(debt => debt.until === step.id && debt.pieces))

/** What is in a place, or in the hand for it: that is counted in, unless it is of another kind and comes out again. */
function countedIn({ parts }: Plan, state: JobState, place: Ref, said: Said): Ref[] {
  const part = partsIn(state, [place])[0] ?? said.hands?.[place] ?? place
  return parts.get(part)?.part.id === parts.get(place)!.part.id ? [part] : []
}

function countsOf(plan: Plan, state: JobState, step: Step, said: Said): Count[] {
  const parts = (refs: readonly Ref[] | undefined, way: 'out' | 'in') =>
    (refs ?? []).flatMap((part): Count[] => {
      const one = plan.parts.get(part)!
      return one.part.quantity ? [{ key: countKey(part, way), what: one.name, way, part }] : []
    })
  return [
    ...parts(step.removes, 'out'),
    ...parts(
      step.fits?.flatMap(place => countedIn(plan, state, place, said)),
      'in',
    ),
    ...(step.leaves ?? []).flatMap((debt): Count[] =>
      debt.pieces ? [{ key: countKey(debt.id, 'in'), what: debt.what, way: 'in', item: debt.id }] : [],
    ),
    ...aidsPaidBy(plan, step).map((debt): Count => ({
      key: countKey(debt.id, 'out'),
      what: debt.what,
      way: 'out',
      item: debt.id,
      must: state.counts.get(countKey(debt.id, 'in'))?.n ?? debt.pieces!,
    })),
  ].filter(one => one.must !== undefined || !state.counts.has(one.key))
}

/** Readings that making the machine safe takes away, as far as they were not had. */
function lostBy(plan: Plan, state: JobState, { station, destroys }: Step): Asks['lost'] {
  if (station !== 'make-safe' || !destroys?.length) return []
  const results = checkResults(plan, state)
  const givenUp = [...state.evidenceLost.values()]
  return destroys.flatMap(({ check, moment }) =>
    results.get(readingKey(check, moment))!.complete ||
    givenUp.some(one => one.check === check && one.moment === moment)
      ? []
      : [{ check: plan.checks.get(check)!, moment }],
  )
}

/** What is said of readings that go with a step, before it is done. */
export const lostWords = ({ lost }: Pick<Asks, 'lost'>): string | null =>
  lost.length
    ? `Not read while it ran: ${lost.map(one => one.check.title).join('; ')}. Once it is made safe ${lost.length > 1 ? 'they are' : 'that is'} lost, and the record says so.`
    : null

/** What a step asks for in a state. */
export function asksOf(plan: Plan, state: JobState, step: Step, said: Said = {}): Asks {
  const lifts = (step.removes ?? []).filter(ref => partState(state, ref).where !== 'off')
  const places = emptyPlaces(plan, state, step)
  const own = places.filter(place => (said.hands?.[place] ?? place) === place)
  return {
    bags: bagsOf(plan, step)
      .map(bag => ({ ...bag, parts: bag.parts.filter(ref => lifts.includes(ref)) }))
      .filter(bag => bag.parts.length),
    tags: keptBy(plan, step, 'tag').filter(ref => lifts.includes(ref)),
    counts: countsOf(plan, state, step, said),
    hands: [
      ...places.map(place => ({ place, candidates: inHandFor(plan, state, place) })),
      ...emptyTrials(plan, state, step).map(place => ({
        place,
        candidates: inHandFor(plan, state, place, 'siblings'),
      })),
    ].flatMap(({ place, candidates }) => (candidates ? [{ place, candidates }] : [])),
    mates: matesAsked(plan, state, step, own),
    lubricants: (step.lubricants ?? []).filter(
      one => !belongs(one, state.lubricants.get(lubricantKey(step.id, one.on))?.medium),
    ),
    found: step.found ?? null,
    facts: factsAsked(state, step),
    lost: lostBy(plan, state, step),
    starting: questionsAt(step),
    started: said.started ?? {},
  }
}

/** What is wrong with a count of pieces that must come out as they went in; null when nothing is. */
export const countFault = ({ what, must }: Count, n: number | undefined): string | null =>
  must === undefined || n === undefined || n === must
    ? null
    : n < must
      ? `${what}: ${must} went in, ${n} came out. ${must - n} still in: find ${must - n > 1 ? 'them' : 'it'} before going on.`
      : `${what}: ${must} went in, ${n} came out. Count again.`

/** Whether a face carries what it must, and nothing that it must not. */
export const belongs = ({ medium, never }: Lubrication, said: string | undefined): boolean =>
  said !== undefined && (medium === undefined ? said !== never : said === medium)

/** What is wrong with what went on a face; null when nothing is. */
export function lubricantFault(one: Lubrication, said: string | undefined): string | null {
  if (said === undefined || belongs(one, said)) return null
  const { on, medium, why } = one
  const wanted = medium === undefined ? 'never that' : `and ${medium} is wanted`
  const remedy = said === 'dry' && medium !== undefined ? `Put ${medium} on it` : 'Clean it'
  return `${on[0]!.toUpperCase()}${on.slice(1)}: ${said}, ${wanted}. ${why}. ${remedy}, then answer again.`
}

/** Everything a sheet puts on faces, and dry, to choose from: the right one stands among the others. */
export const mediumsOf = ({ whole }: Plan): string[] =>
  [
    ...new Set([
      ...whole.steps.flatMap(step => (step.lubricants ?? []).flatMap(one => [one.medium, one.never])),
      'dry',
      'grease',
      'oil',
    ]),
  ]
    .filter(one => one !== undefined)
    .sort()

/** What is still to be said before a step is confirmed, and what contradicts itself, as sentences. Empty: it may be. */
export function lacks(plan: Plan, asks: Asks, said: Said): string[] {
  const name = (ref: Ref) => partName(plan, ref)
  return [
    ...asks.tags.filter(ref => !said.tags?.[ref]?.trim()).map(ref => `Give the tag of ${name(ref)}.`),
    ...asks.bags.filter(bag => !said.bags?.[bag.group]?.trim()).map(bag => `Give the bag of ${name(bag.parts[0]!)}.`),
    ...asks.counts.flatMap(count => {
      const n = said.counts?.[count.key]
      return n === undefined ? [`Count ${count.way}: ${count.what}.`] : (countFault(count, n) ?? [])
    }),
    ...asks.hands.flatMap(({ place, candidates }) => {
      const part = said.hands?.[place]
      if (!part) return [`Say which one is in the hand for ${name(place)}.`]
      // What a part has worn to goes with it: a new one has worn to nothing.
      const isNew = candidates.some(one => one.part === part && one.isNew)
      const ifSwapped = isNew ? undefined : plan.parts.get(place)!.part.ifSwapped
      return part === place || said.swapped?.includes(place)
        ? []
        : [`${name(part)} is in the hand for ${name(place)}.${ifSwapped ? ` ${ifSwapped}.` : ''}`]
    }),
    ...asks.mates.filter(mate => !said.mates?.[mate.id]).map(mate => `Say how it stands: ${mate.title}.`),
    ...asks.lubricants.flatMap(one => {
      const medium = said.lubricants?.[one.on]
      return medium ? (lubricantFault(one, medium) ?? []) : [`Say what is on it: ${one.on}.`]
    }),
    ...notReady(asks.starting, said.started),
    ...asks.facts.flatMap(
      one => factFault(one, said.facts?.[one.id], said.otherFacts?.includes(one.id) ?? false) ?? [],
    ),
    ...(asks.found && !said.found?.trim() ? [`Write what was found. ${asks.found.ask}`] : []),
  ]
}

/** What of a step's questions the ledger does not answer yet; what was found and answered before a start comes with the step itself. Sentences. */
export function unsaid(
  plan: Plan,
  state: JobState,
  step: Step,
  { found, started }: Pick<Said, 'found' | 'started'>,
): string[] {
  const asks = asksOf(plan, state, step)
  const counts = Object.fromEntries(
    asks.counts.flatMap(one => {
      const counted = state.counts.get(one.key)
      return counted ? [[one.key, counted.n]] : []
    }),
  )
  return lacks(
    plan,
    { ...asks, bags: [], tags: [], hands: [] },
    {
      counts,
      ...(found ? { found } : {}),
      ...(started ? { started } : {}),
    },
  )
}

const act = <A extends Act>(one: A): Act => one

/** What a step takes off after a trial, and puts on for one: each in the place it is in the hand for. */
function triedIn(plan: Plan, state: JobState, step: Step, said: Said): Act[] {
  const off = (step.trial?.off ?? []).filter(ref => partState(state, ref).trial)
  const places = emptyTrials(plan, state, step)
  const parts = places.map(place => said.hands?.[place] ?? place)
  return [
    ...(off.length ? [act({ kind: 'part.tried', payload: { parts: off, step: step.id, way: 'off' } })] : []),
    ...(parts.length ? [act({ kind: 'part.tried', payload: { parts, step: step.id, way: 'on', places } })] : []),
  ]
}

/**
 * What confirming a step is made of, in order: its parts lifted, counted, bagged and tagged, its places filled and counted,
 * how they stand, and the step done. Kept whole or not at all.
 */
export function confirmationOf(plan: Plan, state: JobState, step: Step, said: Said): Act[] {
  const asks = asksOf(plan, state, step, said)
  const lifts = (step.removes ?? []).filter(ref => partState(state, ref).where !== 'off')
  const counts = (way: 'out' | 'in') =>
    asks.counts.flatMap(({ key, part, item, way: its }) => {
      const n = said.counts?.[key]
      if (n === undefined || its !== way) return []
      return [act({ kind: 'pieces.counted', payload: { ...(part ? { part } : { item }), way, n } })]
    })
  const label = (text: string | undefined) => text?.trim() ?? ''
  return [
    ...asks.lost.map(({ check, moment }) =>
      act({ kind: 'evidence.lost', payload: { check: check.id, moment, why: 'Not read before it was made safe' } }),
    ),
    ...(lifts.length
      ? [
          act({
            kind: 'part.lifted',
            payload: { parts: lifts, step: step.id, ...(said.method ? { method: said.method } : {}) },
          }),
        ]
      : []),
    ...counts('out'),
    ...asks.bags
      .filter(({ group }) => label(said.bags?.[group]))
      .map(({ group, parts }) => act({ kind: 'part.bagged', payload: { parts, bag: label(said.bags?.[group]) } })),
    ...asks.tags
      .filter(part => label(said.tags?.[part]))
      .map(part => act({ kind: 'part.tagged', payload: { part, tag: label(said.tags?.[part]) } })),
    ...emptyPlaces(plan, state, step).map(place =>
      act({ kind: 'part.refitted', payload: { part: said.hands?.[place] ?? place, step: step.id, place } }),
    ),
    ...triedIn(plan, state, step, said),
    ...counts('in'),
    ...asks.mates.flatMap(({ id }) => {
      const answer = said.mates?.[id]
      return answer ? [act({ kind: 'mate.answered', payload: { mate: id, ...answer } })] : []
    }),
    ...(step.lubricants ?? []).flatMap(({ on }) => {
      const medium = said.lubricants?.[on]
      return medium ? [act({ kind: 'lubricant.applied', payload: { step: step.id, on, medium } })] : []
    }),
    ...asks.facts.flatMap(({ id }) => {
      const text = said.facts?.[id]?.trim()
      const other = said.otherFacts?.includes(id) ? { other: true } : {}
      return text ? [act({ kind: 'fact.read', payload: { fact: id, text, ...other } })] : []
    }),
    ...(waitStands(state, step) === 'begun' ? [act({ kind: 'wait.ended', payload: { step: step.id } })] : []),
    act({
      kind: 'step.done',
      payload: {
        step: step.id,
        ...(said.found?.trim() ? { note: said.found.trim() } : {}),
        ...(asks.starting.length && said.started ? { started: said.started } : {}),
        ...(said.method && !lifts.length ? { method: said.method } : {}),
        ...(said.on ? { on: said.on } : {}),
      },
    }),
  ]
}
