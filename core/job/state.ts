import type { Ref } from '../sheet/index.ts'
import type { AnyEntry, Choice, Entry, MateAnswer, Payloads, ReadingPayload } from './entries.ts'

/** Who did something and when, with the entry that says so. */
export interface Act {
  by: string
  at: string
  entry: string
}

/** `off` is in the tray; a part renewed or decided away lies there until its successor is fitted. */
export interface PartState {
  where: 'on' | 'off' | 'fitted'
  /** Order in which it came off, from 1. */
  order?: number
  lifted?: Act & { method?: string }
  kept?: { as: 'bag' | 'tag'; label: string }
  decision?: Act & { choice: Choice; why?: string }
  renewed?: Act & { from: string; batch?: string }
  fitted?: Act & { as: 'same' | 'new'; place?: string; answers: MateAnswer[] }
}

export interface Observation extends Act {
  part: Ref
  finding: string
  severity: Payloads['part.observed']['severity']
  deg?: number
  seenFrom?: string
}

/** One gauge place of one check at one moment, as last taken. */
export type CellReading = Act & ReadingPayload

export interface BoltPull extends Act {
  bolt: number
  torqueNm: number
}

export interface JointState {
  /** Pulls of each pass, in the order they were made. */
  passes: BoltPull[][]
  slackened: boolean
}

export interface Mark extends Act {
  deg: number
  seenFrom: string
  carrier: string
}

/** Everything the bench shows is read from this one value. Values inside are never changed, only replaced. */
export interface JobState {
  opened: Entry<'job.opened'> | null
  signed: Entry<'job.signed'> | null
  steps: Map<string, Act & { skipped?: string; note?: string }>
  cautions: Set<string>
  parts: Map<Ref, PartState>
  liftedCount: number
  marks: Map<string, Mark>
  /** By check and moment, then by station and plane. */
  readings: Map<string, Map<string, CellReading>>
  joints: Map<string, JointState>
  observations: Observation[]
  evidenceLost: Map<string, Act & { why: string }>
  concessions: Map<string, Act & { why: string }>
  holds: Map<string, Act>
  notes: (Act & { text: string; addendum?: boolean })[]
  /** Entries that make no sense where they stand: kept, shown, never counted. */
  flags: { entry: string; kind: string; why: string }[]
}

export const readingKey = (check: string, moment: string) => `${check} ${moment}`
export const cellKey = (station?: string, plane?: string) => `${station ?? ''}/${plane ?? ''}`
export const cautionKey = (step: string, caution: number) => `${step} ${caution}`
export const lostKey = (lost: { check?: string; moment?: string; mate?: string }) =>
  lost.mate ? `mark ${lost.mate}` : `reading ${lost.check} ${lost.moment}`

/** A job with nothing in its ledger. */
export function emptyState(): JobState {
  return {
    opened: null,
    signed: null,
    steps: new Map(),
    cautions: new Set(),
    parts: new Map(),
    liftedCount: 0,
    marks: new Map(),
    readings: new Map(),
    joints: new Map(),
    observations: [],
    evidenceLost: new Map(),
    concessions: new Map(),
    holds: new Map(),
    notes: [],
    flags: [],
  }
}

/** A copy whose own containers may be added to without touching the original. */
export function branchState(state: JobState): JobState {
  return {
    ...state,
    steps: new Map(state.steps),
    cautions: new Set(state.cautions),
    parts: new Map(state.parts),
    marks: new Map(state.marks),
    readings: new Map([...state.readings].map(([key, cells]) => [key, new Map(cells)])),
    joints: new Map(state.joints),
    observations: [...state.observations],
    evidenceLost: new Map(state.evidenceLost),
    concessions: new Map(state.concessions),
    holds: new Map(state.holds),
    notes: [...state.notes],
    flags: [...state.flags],
  }
}

export const actOf = (entry: AnyEntry): Act => ({ by: entry.madeBy, at: entry.madeAt, entry: entry.id })

/** Where a part is; a part nothing is known of is on the machine. */
export const partState = (state: JobState, ref: Ref): PartState => state.parts.get(ref) ?? ON
const ON: PartState = { where: 'on' }

/** Whether this part was renewed: a new one was fetched for its place. */
export const isRenewed = (state: JobState, ref: Ref) => partState(state, ref).renewed !== undefined
