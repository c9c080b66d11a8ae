import type { Pattern, Pull } from '../../joints/index.ts'
import { readingKey, type Moment, type Plan, type Ref } from '../../sheet/index.ts'
import { timeOf, type AnyEntry, type Entry, type Payloads } from './entry.ts'
import type { Role } from './roles.ts'
import type { Contested } from './seen.ts'
import type { Tried } from '../measuring/cells.ts'

/** Who did something and when, with the entry that says so. */
export interface Stamp {
  by: string
  role: Role
  at: string
  entry: string
  /** The lead who vouched for it, and so stands for it as whoever did it does. */
  vouchedBy?: string
  /** Place in the order of acts that count, from 1. */
  n: number
  /** Its number in the ledger, null while it waits to be sent, and the tablet it was made on. */
  seq: number | null
  tablet?: string
}

export const CHOICES = ['reuse', 'rework', 'renew', 'send out'] as const
export type Choice = (typeof CHOICES)[number]
export const SEVERITIES = ['sound', 'worn', 'damaged'] as const
export type Severity = (typeof SEVERITIES)[number]

/** How two parts that must meet were seen to stand. */
export type MateAnswer = Payloads['mate.answered']

/** `off` is in the tray; a part renewed or decided away lies there until its successor is fitted. */
export interface PartState {
  where: 'on' | 'off' | 'fitted'
  /** Order in which it came off, from 1. */
  order?: number
  lifted?: Stamp & { method?: string }
  kept?: { as: 'bag' | 'tag'; label: string }
  decision?: Contested<Stamp & { choice: Choice; why?: string }>
  /** Back from rework or from outside. */
  returned?: Stamp & { note?: string }
  /** The new one that is in hand or fitted. */
  renewed?: Stamp & { from: string; batch?: string }
  /** Where it went, where the job as decided has no step that fits it. */
  settled?: Stamp & { to: Payloads['part.settled']['to']; note?: string }
  fitted?: Stamp & { as: 'same' | 'new'; place: Ref }
  /** On for a trial: still off as far as the build is concerned. */
  trial?: Stamp & { place: Ref }
}

/** A round begun again: what was changed for it. The first round is never begun. */
export type Round = Stamp & Payloads['round.begun']

/** Readings that were void by a change, or spoiled: kept, shown, and nothing rests on them. */
export interface Voided extends Stamp {
  loop: string
  /** The round they were read in, from 1. */
  round: number
  check: string
  moment: Moment
  cause: string
  cells: ReadonlyMap<string, Contested<CellRead>>
}

export type Observation = Stamp & Payloads['part.observed']

/** One cell of one check at one moment, as last read: what was typed, and what it is. */
export type CellRead = Stamp & Payloads['reading.taken'] & Pick<Tried, 'values'>

export type BoltPull = Stamp & Pull

export interface JointState {
  /** Pulls of each pass, in the order they were made. */
  passes: BoltPull[][]
  slackened: boolean
  /** Pulls outside their span, kept when the joint is slackened: what was put right stays on the record. */
  strays: (BoltPull & { pass: number; side: 'over' | 'under' })[]
  /** The order it was begun in, where it is not the sheet's own. */
  order?: Pattern
  /** Bolts eased since it was last drawn up. */
  eased: (Stamp & { bolt: number })[]
  /** Bolts that were ever eased out of their turn, with whose turn it was. */
  outOfTurn: (Stamp & { bolt: number; turnOf: number })[]
  locked?: Stamp & { say: string; newPieces?: number }
}
export const NO_JOINT: JointState = { passes: [], slackened: false, strays: [], eased: [], outOfTurn: [] }

export type Mark = Stamp & Payloads['mark.made']

/** Everything the bench shows is read from this one value. Values inside are never changed, only replaced. */
export interface JobState {
  /** Acts that count so far. */
  count: number
  /** The newest number of the ledger from each tablet; from those that said none, under an empty name. */
  heard: Map<string, number>
  /** The plan the job goes by since a choice was changed; null while it is the one it was opened with. */
  plan: Plan | null
  /** Choices changed on the job, in order. */
  chosen: (Stamp & Payloads['variant.changed'])[]
  opened: Entry<'job.opened'> | null
  signed: (Stamp & Payloads['job.signed']) | null
  cancelled: (Stamp & Payloads['job.cancelled']) | null
  steps: Map<string, Stamp & { skipped?: string; note?: string }>
  /** Newest reading of a caution, by step and number, then by person. */
  cautions: Map<string, Map<string, Stamp>>
  parts: Map<Ref, PartState>
  liftedCount: number
  /** Every new part taken, in order; one is one movement of stock. */
  renewals: (Stamp & Payloads['part.renewed'])[]
  marks: Map<string, Mark>
  /** Newest answer on how two parts stand to each other; gone once one of them is off again. */
  mates: Map<string, Contested<Stamp & MateAnswer>>
  /** Pieces counted, by what and which way. */
  counts: Map<string, Contested<Stamp & { n: number }>>
  /** By check and moment, then by the key of the cell. */
  readings: Map<string, ReadonlyMap<string, Contested<CellRead>>>
  /** What was put in for the time being that the sheet does not know of, with the gate it was put in before. */
  items: Map<string, Stamp & { n: number; gate: string | null }>
  /** Troubles met, by step and sign, with what they turned out to be. */
  troubles: Map<string, Stamp & { step: string; sign: string; cleared?: Stamp & { means: string } }>
  /** What went on which face, by step and face. */
  lubricants: Map<string, Contested<Stamp & { medium: string }>>
  /** Rounds begun again, by loop. */
  rounds: Map<string, Round[]>
  voided: Voided[]
  joints: Map<string, JointState>
  observations: Observation[]
  evidenceLost: Map<string, Stamp & Payloads['evidence.lost']>
  concessions: Map<string, Stamp & Payloads['concession.given']>
  /** Hold points signed, by step, with the acts they were signed for. */
  holds: Map<string, Stamp & Omit<Payloads['hold.signed'], 'step'>>
  notes: (Stamp & { text: string; addendum?: boolean })[]
  /** What late acts went past, as sentences. */
  late: (Stamp & { what: string; why: string; nth: number })[]
  /** Entries that make no sense where they stand: kept, shown, never counted. */
  flags: { entry: string; kind: string; why: string }[]
}

/** What was counted, a part or an item put in for the time being, and whether out of the machine or into it. */
export const countKey = (what: string, way: 'out' | 'in') => `${what} ${way}`
export const troubleKey = (step: string, sign: string) => `${step} ${sign}`
export const lubricantKey = (step: string, on: string) => `${step} ${on}`
export const cautionKey = (step: string, caution: number) => `${step} ${caution}`

export { readingKey }

/** A job with nothing in its ledger. */
export function emptyState(): JobState {
  return {
    count: 0,
    heard: new Map(),
    plan: null,
    chosen: [],
    opened: null,
    signed: null,
    cancelled: null,
    steps: new Map(),
    cautions: new Map(),
    parts: new Map(),
    liftedCount: 0,
    renewals: [],
    marks: new Map(),
    mates: new Map(),
    counts: new Map(),
    readings: new Map(),
    items: new Map(),
    troubles: new Map(),
    lubricants: new Map(),
    rounds: new Map(),
    voided: [],
    joints: new Map(),
    observations: [],
    evidenceLost: new Map(),
    concessions: new Map(),
    holds: new Map(),
    notes: [],
    late: [],
    flags: [],
  }
}

/** A copy whose own containers may be added to without touching the original. */
export function branchState(state: JobState): JobState {
  return {
    ...state,
    heard: new Map(state.heard),
    chosen: [...state.chosen],
    steps: new Map(state.steps),
    cautions: new Map([...state.cautions].map(([key, read]) => [key, new Map(read)])),
    parts: new Map(state.parts),
    renewals: [...state.renewals],
    marks: new Map(state.marks),
    mates: new Map(state.mates),
    counts: new Map(state.counts),
    // What was read of one check is another map once anything of it is: whoever works it out may keep what it came to.
    readings: new Map(state.readings),
    items: new Map(state.items),
    troubles: new Map(state.troubles),
    lubricants: new Map(state.lubricants),
    rounds: new Map(state.rounds),
    voided: [...state.voided],
    joints: new Map(state.joints),
    observations: [...state.observations],
    evidenceLost: new Map(state.evidenceLost),
    concessions: new Map(state.concessions),
    holds: new Map(state.holds),
    notes: [...state.notes],
    late: [...state.late],
    flags: [...state.flags],
  }
}

type Stamped = Pick<AnyEntry, 'id' | 'madeBy' | 'role' | 'vouchedBy' | 'madeAt' | 'receivedAt' | 'seq' | 'tablet'>

/** Who, when and where in the order: the stamp of an act being taken in. */
export const stampOf = (entry: Stamped, state: JobState): Stamp => ({
  by: entry.madeBy,
  role: entry.role,
  at: timeOf(entry),
  entry: entry.id,
  vouchedBy: entry.vouchedBy,
  n: state.count,
  seq: entry.seq,
  ...(entry.tablet === undefined ? {} : { tablet: entry.tablet }),
})

/** What an act leaves in the state, stamped. Assigned, not spread: spread into a literal is ten times slower, and a long ledger feels it. */
export const stamped = <T extends object>(entry: Stamped, state: JobState, more: T): Stamp & T =>
  Object.assign(stampOf(entry, state), more)

/** Where a part is; a part nothing is known of is on the machine. */
export const partState = (state: JobState, ref: Ref): PartState => state.parts.get(ref) ?? ON
const ON: PartState = { where: 'on' }

/** The part another is off the machine with: what it lifts with, or what that lifts with; null where it is off by itself, or in. */
export function offWith({ parts }: Pick<Plan, 'parts'>, state: JobState, ref: Ref): Ref | null {
  if (partState(state, ref).where === 'off') return null
  for (let on = parts.get(ref)?.part.liftsWith, n = 0; on && n < parts.size; on = parts.get(on)?.part.liftsWith, n++)
    if (partState(state, on).where === 'off' && !partState(state, on).trial) return on
  return null
}

/** Sent out, or being reworked, and not back yet. */
export const isAway = ({ decision, returned }: PartState): boolean =>
  !returned && (decision?.choice === 'send out' || decision?.choice === 'rework')

export const setPart = (state: JobState, ref: Ref, more: Partial<PartState>) =>
  void state.parts.set(ref, { ...partState(state, ref), ...more })

/** Place in the order of acts of the newest renewal of any of these parts; 0 when none was renewed. */
export const renewedAt = (state: JobState, refs: readonly Ref[]): number =>
  state.renewals.reduce((newest, one) => (refs.includes(one.part) ? Math.max(newest, one.n) : newest), 0)

/** Nothing but an addendum follows once a job is signed or cancelled. */
export const isClosed = (state: JobState) => state.signed !== null || state.cancelled !== null

const isSameValue = (one: unknown, other: unknown): boolean => {
  if (one === other) return true
  if (one instanceof Map && other instanceof Map)
    return one.size === other.size && [...one].every(([key, value]) => isSameValue(value, other.get(key)))
  return (
    Array.isArray(one) &&
    Array.isArray(other) &&
    one.length === other.length &&
    one.every((each, i) => each === other[i])
  )
}

/** In what two states of one ledger differ; what an act leaves alone is the same object in both. */
export const differsIn = (before: JobState, after: JobState): (keyof JobState)[] =>
  (Object.keys(after) as (keyof JobState)[]).filter(key => !isSameValue(before[key], after[key]))
