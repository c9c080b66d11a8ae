import type {
  AnyEntry,
  Competence,
  EntryKind,
  Finding,
  LastFigures,
  Photo,
  Refusal,
  Role,
  Standing,
} from '../core/job/index.ts'
import type { DrawnShape } from '../core/photos/index.ts'
import type { Moment, ShelfSheet, Variants } from '../core/sheet/index.ts'
import type { NextDue } from '../core/wear/next.ts'
import type { ServiceStand } from '../core/wear/services.ts'
import type { Verdict } from '../core/verdict.ts'

/** What crosses the wire, said once for both sides. */
export interface Person {
  id: string
  name: string
  role: Role
}

/** Whoever is signed in, with what they may sign for beside their role. */
export interface SignedInPerson extends Person {
  competences: Competence[]
  /** Whether nobody else knows their PIN. Until then it opens only the choosing of one, and signs nothing. */
  pinIsOwn: boolean
}

/** A device on which somebody has signed in, as a lead sees it. */
export interface KnownDevice {
  id: string
  /** What it said it is. */
  about: string
  knownAt: string
  usedAt: string
}

/** The site as everybody may know it. */
export interface Site {
  name: string
  pinLength: number
}

/** The names to choose from at sign-in, and what this device is asked for. */
export interface DoorAnswer {
  site: Site
  people: Person[]
  asksCode: boolean
}

/** A person as a lead sees them; those taken out as well. */
export interface PersonRow extends SignedInPerson {
  active: boolean
}

/** A PIN is shown once, to whoever made it. */
export interface NewPin {
  person: SignedInPerson
  pin: string
}

export interface SiteSettings extends Site {
  asksCode: boolean
  backupsKept: number
}

export interface YardMachine {
  tag: string
  name: string
  line: string
  family: string
  hoursRun: number
  /** Since the last overhaul on record; null when there is none. */
  hoursSince: number | null
  lastOverhaulAt: string | null
  openJob: { id: string; number: number } | null
  worst: { check: string; verdict: Verdict; share: number | null } | null
  /** Null: never overhauled here, so there is nothing to count from. */
  next: NextDue | null
  /** What is done between overhauls. */
  services: ServiceStand[]
}

export interface YardArea {
  id: string
  name: string
  machines: YardMachine[]
}

export interface MachineAnswer {
  equipment: {
    tag: string
    name: string
    line: string
    hoursRun: number
    uses: Record<string, number>
    variants: Variants
  }
  /** What it says of itself, as jobs that were signed read it off. */
  kept: { fact: string; text: string; at: string }[]
  /** What was done between overhauls, the newest first. */
  serviced: ServiceRow[]
  /** When the hours were last read, and by whom; by nobody where that was in the shell. Null: never since it was put in the yard. */
  hoursRead: { at: string; by: string | null } | null
  sheet: SheetName
  /** How each check stands now, the worst first, base unit; `cell` is the key of the place that stands for it where some of it was renewed since, else empty. */
  standing: { checkId: string; cell: string; value: number; verdict: Verdict; share: number | null }[]
  /** What each check came to as a whole, oldest first. */
  readings: {
    checkId: string
    moment: Moment
    value: number
    verdict: Verdict
    share: number | null
    stands: boolean
    takenAt: string
    number: number
    hours: number
  }[]
  fitted: { partRef: string; asNew: boolean; fittedAt: string; number: number }[]
  past: PastJob[]
}

/** A service between overhauls, as it was written down. */
export interface ServiceRow {
  id: string
  serviceId: string
  name: string
  doneAt: string
  by: { id: string; name: string }
  hours: number
  uses: Record<string, number>
  note: string
  /** Written down by mistake: by whom it was withdrawn. It counts for nothing. */
  withdrawnBy: string | null
}

export interface PastJob {
  id: string
  number: number
  complaint: string
  openedAt: string
  signedAt: string
  hoursAtOpen: number
}

export interface OpenJob {
  id: string
  number: number
  tag: string
  name: string
  complaint: string
  openedAt: string
  entries: number
  /** Where it stands; `lastBy` is a name. */
  stands: Standing
}

/** Something that waits in an open job: begun, and not over. Times ISO 8601; no end where the sheet sets none. */
export interface RunningWait {
  job: string
  number: number
  tag: string
  name: string
  stepId: string
  step: string
  what: string
  since: string
  leastAt: string | null
  mostAt: string | null
}

/** One version of a sheet. It never changes, so whoever has it never asks again. */
export interface SheetName {
  id: string
  version: number
}

/** A sheet as it lies on the shelf. */
export interface SheetAnswer {
  sheet: ShelfSheet
}

/** Everything the bench of one job needs to start beside its sheet: machine, ledger, names. */
export interface JobAnswer {
  job: { id: string; number: number; equipmentTag: string; signedAt: string | null; cancelledAt: string | null }
  equipment: { tag: string; name: string; line: string; hoursRun: number }
  /** From the opening, which names sheet and choices. */
  entries: AnyEntry[]
  people: Person[]
  /** What earlier overhauls of this machine found last. */
  last: LastFigures
  /** What they saw last on its parts. */
  seenLast: SeenLast[]
  /** What they took photographs of, the newest first. */
  photosLast: PhotoLast[]
}

/** A photograph of an overhaul before, whose file is here. */
export interface PhotoLast extends Photo {
  shapes: readonly DrawnShape[]
  takenAt: string
  job: number
}

/** What was seen on a part by an overhaul before: at a look of the sheet, or under an empty name in passing. */
export interface SeenLast {
  part: string
  look: string
  findings: Finding[]
  seenFrom?: string
  seenAt: string
  job: number
}

/** What freed, brought home or explained something on machines of one sheet, by step. */
export interface WorkedAnswer {
  step: string
  what: string
  times: number
}

export interface OpenedJob {
  id: string
  number: number
}

/** An entry as it is sent: who does it and when it arrives is the server's to say. */
export interface SentEntry {
  id: string
  kind: EntryKind
  payload: unknown
  act: string
  madeAt: string
  /** Who did it, where that must not be mistaken; without it, whoever is signed in. */
  by?: string
  /** Whoever is signed in, a lead, says that `by` did it. */
  vouched?: true
  /** The last number of the ledger that its maker had seen; left out, they had seen all there is. */
  seen?: number
  /** The tablet it was made on. */
  tablet?: string
  /** How far that tablet's clock was behind the server's, and when that was measured. */
  clock?: { behindMs: number; measuredAt: string }
}

/** Numbers for tags and bags, given to one device and to no other. */
export interface LabelsAnswer {
  numbers: number[]
}

/** A ledger has grown: its newest number, and what it grew by, where that is short enough to be told at once. */
export interface Grown {
  seq: number
  entries?: AnyEntry[]
}

export interface AppendAnswer {
  entries: { id: string; seq: number; receivedAt: string }[]
  lastSeq: number
}

/** Why entries were not taken, and the entry it is about. */
export interface RefusedAnswer {
  refusal: Refusal
  entry: string | null
}

/** A part of a record, as the last of a stream of events. */
export interface RecordAnswer {
  /** In base64. */
  pdf: string
  /** How many parts the record has. */
  parts: number
}

/** How far work that runs long is: how many go before it, or the share of it that is done. */
export type WorkProgress = { before: number } | { share: number }

/** What is heard of it by whoever asks for it as a stream of events: progress, then the end. */
export type WorkSaid =
  | { event: 'progress'; data: WorkProgress }
  | { event: 'done'; data: unknown }
  | { event: 'refused'; data: { why: string; refusal: Refusal } }
