import type { Moment, Ref, Variants } from '../sheet/index.ts'
import type { LiftStyle } from '../gauging/index.ts'

/** What each kind of entry carries. Everything done at the bench is one of these, appended to the job's ledger. */
export interface Payloads {
  'job.opened': { equipment: string; sheet: string; version: number; variants: Variants; complaint: string }
  'caution.read': { step: string; caution: number }
  'step.done': { step: string; note?: string }
  'step.skipped': { step: string; why: string }
  'evidence.lost': { check?: string; moment?: Moment; mate?: string; why: string }
  'mark.made': { mate: string; deg: number; seenFrom: string; carrier: string }
  'part.lifted': { parts: Ref[]; step: string; method?: string }
  'part.bagged': { parts: Ref[]; bag: string }
  'part.tagged': { parts: Ref[]; tag: string }
  'part.observed': { part: Ref; finding: string; severity: Severity; deg?: number; seenFrom?: string }
  'part.decided': { parts: Ref[]; choice: Choice; why?: string }
  'part.renewed': { part: Ref; from: string; batch?: string }
  'part.refitted': { part: Ref; step: string; place?: string; answers: MateAnswer[] }
  'reading.taken': ReadingPayload
  'bolt.pulled': { joint: string; pass: number; bolt: number; torqueNm: number; text: string; instrument?: string }
  'joint.slackened': { joint: string; why?: string }
  'hold.signed': { step: string }
  'concession.given': { obligation: string; why: string }
  'note.written': { text: string }
  'entry.corrected': { target: string; why: string; replacement?: { kind: keyof Payloads; payload: unknown } }
  'job.signed': { cured: 'yes' | 'no' | 'not known yet'; cause?: string }
  'addendum.written': { text: string }
}

export type Severity = 'sound' | 'worn' | 'damaged'
export const CHOICES = ['reuse', 'rework', 'renew', 'send out'] as const
export type Choice = (typeof CHOICES)[number]

/** How a mating rule was answered when the part went back. */
export interface MateAnswer {
  mate: string
  met: boolean
  deg?: number
}

export interface ReadingPayload {
  check: string
  moment: Moment
  station?: string
  plane?: string
  /** One row a try, in base units; several figures a row for float, lift and sweeps. */
  tries: number[][]
  /** What was typed, try by try. */
  texts: string[][]
  instrument?: string
  style?: LiftStyle
}

export type EntryKind = keyof Payloads

export interface Entry<K extends EntryKind = EntryKind> {
  /** uuid v7, made by the client. */
  id: string
  kind: K
  payload: Payloads[K]
  madeBy: string
  role: Role
  /** When the act was done, ISO 8601 UTC. */
  madeAt: string
  /** Given by the server; null while an entry waits to be sent. */
  seq: number | null
}

export const ROLES = ['fitter', 'lead', 'planner', 'stores', 'reader'] as const
export type Role = (typeof ROLES)[number]

/** An entry of any kind, as the ledger hands it out; kinds not known here are kept and passed over. */
export type AnyEntry = { [K in EntryKind]: Entry<K> }[EntryKind]
