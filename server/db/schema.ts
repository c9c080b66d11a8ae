import { sql } from 'drizzle-orm'
import {
  bigint,
  boolean,
  customType,
  doublePrecision,
  index,
  integer,
  jsonb,
  pgEnum,
  pgSequence,
  pgTable,
  primaryKey,
  smallint,
  serial,
  text,
  timestamp,
  unique,
  uuid,
} from 'drizzle-orm/pg-core'
import { ROLES, type Competence, type EntryKind, type Finding, type Noted } from '../../core/job/index.ts'
import type { DrawnShape } from '../../core/photos/index.ts'
import type { ShelfSheet, Variants } from '../../core/sheet/index.ts'
import { VERDICTS } from '../../core/verdict.ts'

const moment = () => timestamp({ withTimezone: true, mode: 'string', precision: 3 })

export const role = pgEnum('role', ROLES)
export const verdict = pgEnum('verdict', VERDICTS)

/** Numbers for tags and bags, over the whole site: given out once. */
export const labelNumber = pgSequence('label_number')

/** One row: what a site says of itself. */
export const site = pgTable('site', {
  id: integer().primaryKey().default(1),
  name: text().notNull(),
  /** How the ledger is written; another format is not read. */
  ledgerFormat: integer().notNull(),
  pinLength: integer().notNull().default(6),
  /** Asked once of every new device; none when null. */
  codeHash: text(),
  /** Nightly backups that are kept; 0: none are made. */
  backupsKept: integer().notNull().default(0),
})

export const person = pgTable('person', {
  id: uuid().primaryKey(),
  name: text().notNull().unique(),
  /** The name as the eye reads it: two that cannot be told apart are one. */
  look: text().notNull().unique(),
  role: role().notNull(),
  pinHash: text().notNull(),
  /** Whether they chose the PIN themselves. One that somebody else knows signs nothing. */
  pinIsOwn: boolean().notNull().default(false),
  /** A lead lets them in on a device that is new to them: the hash of a code, and until when it holds. */
  admitHash: text(),
  admitUntil: moment(),
  /** What they may sign for beside their role. */
  competences: jsonb().$type<Competence[]>().notNull().default([]),
  /** Taken out: the name stays on what it signed. */
  active: boolean().notNull().default(true),
})

/** Somebody signed in on a device. Ended, it counts no more from the next request. */
export const session = pgTable(
  'session',
  {
    id: text().primaryKey(),
    personId: uuid()
      .notNull()
      .references(() => person.id),
    /** Where; none for sessions of before. */
    deviceId: uuid(),
    startedAt: moment().notNull().defaultNow(),
    endedAt: moment(),
  },
  table => [index().on(table.personId), index().on(table.startedAt)],
)

/** A device on which somebody has signed in before, or that gave the site's code. */
export const device = pgTable('device', {
  id: uuid().primaryKey(),
  /** What it says it is. */
  about: text().notNull().default(''),
  knownAt: moment().notNull().defaultNow(),
})

/** A device that is known for a person: they have signed in there. */
export const knownDevice = pgTable(
  'known_device',
  {
    personId: uuid()
      .notNull()
      .references(() => person.id),
    deviceId: uuid()
      .notNull()
      .references(() => device.id),
    knownAt: moment().notNull().defaultNow(),
    usedAt: moment().notNull().defaultNow(),
  },
  table => [primaryKey({ columns: [table.personId, table.deviceId] })],
)

/** Wrong PINs in a row, by what is counted together, and when the next is looked at. */
export const pinAttempt = pgTable('pin_attempt', {
  key: text().primaryKey(),
  wrong: integer().notNull(),
  opensAt: moment().notNull(),
  lastAt: moment().notNull(),
})

/** A key for scripts and spreadsheets; only its hash is kept. */
export const apiKey = pgTable('api_key', {
  id: uuid().primaryKey(),
  name: text().notNull().unique(),
  hash: text().notNull().unique(),
  madeAt: moment().notNull().defaultNow(),
})

/** What callers have asked for in the current minute, kept by the rate limiter. */
export const requestLimit = pgTable('request_limit', {
  key: text().primaryKey(),
  points: integer().notNull(),
  /** Unix time, ms. */
  expire: bigint({ mode: 'number' }),
})

export const area = pgTable('area', { id: text().primaryKey(), name: text().notNull(), position: integer().notNull() })

export const buildSheet = pgTable(
  'build_sheet',
  {
    id: text().notNull(),
    version: integer().notNull(),
    body: jsonb().$type<ShelfSheet>().notNull(),
  },
  table => [primaryKey({ columns: [table.id, table.version] })],
)

export const equipment = pgTable('equipment', {
  tag: text().primaryKey(),
  name: text().notNull(),
  areaId: text()
    .notNull()
    .references(() => area.id),
  line: text().notNull(),
  sheetId: text().notNull(),
  variants: jsonb().$type<Variants>().notNull(),
  hoursRun: integer().notNull(),
  hoursPerWeek: integer().notNull(),
  /** What its other counters show, by what they count. */
  uses: jsonb().$type<Record<string, number>>().notNull().default({}),
})

/** A service between two overhauls, as it was written down. One written down wrongly is withdrawn, and stays. */
export const serviceDone = pgTable(
  'service_done',
  {
    id: uuid().primaryKey(),
    equipmentTag: text()
      .notNull()
      .references(() => equipment.tag),
    serviceId: text().notNull(),
    /** As the sheet called it then. */
    name: text().notNull(),
    doneAt: moment().notNull(),
    doneBy: uuid()
      .notNull()
      .references(() => person.id),
    /** The paper it was done on, where one is wanted. */
    paper: jsonb().$type<Competence>(),
    hours: integer().notNull(),
    uses: jsonb().$type<Record<string, number>>().notNull(),
    note: text().notNull(),
    recordedAt: moment().notNull().defaultNow(),
    withdrawnAt: moment(),
    withdrawnBy: uuid().references(() => person.id),
  },
  table => [index().on(table.equipmentTag, table.serviceId, table.doneAt)],
)

/** Running hours as they were read off a machine, or set from the shell. */
export const hoursRead = pgTable(
  'hours_read',
  {
    id: uuid().primaryKey(),
    equipmentTag: text()
      .notNull()
      .references(() => equipment.tag),
    hours: integer().notNull(),
    readAt: moment().notNull(),
    /** Null: from the shell. */
    readBy: uuid().references(() => person.id),
  },
  table => [index().on(table.equipmentTag)],
)

export const job = pgTable(
  'job',
  {
    id: uuid().primaryKey(),
    number: serial().notNull().unique(),
    equipmentTag: text()
      .notNull()
      .references(() => equipment.tag),
    sheetId: text().notNull(),
    sheetVersion: integer().notNull(),
    variants: jsonb().$type<Variants>().notNull(),
    complaint: text().notNull(),
    hoursAtOpen: integer().notNull(),
    usesAtOpen: jsonb().$type<Record<string, number>>().notNull().default({}),
    openedAt: moment().notNull(),
    signedAt: moment(),
    cancelledAt: moment(),
    lastSeq: integer().notNull().default(0),
  },
  table => [
    index().on(table.equipmentTag),
    // What is on the bench is few of all the jobs there ever were.
    index('job_open_index')
      .on(table.number)
      .where(sql`${table.signedAt} is null and ${table.cancelledAt} is null`),
  ],
)

/** The ledger. Rows are only ever added; the database itself refuses the rest. */
export const entry = pgTable(
  'entry',
  {
    id: uuid().primaryKey(),
    jobId: uuid()
      .notNull()
      .references(() => job.id),
    seq: integer().notNull(),
    // Text, not an enum: kinds that are not known here are kept.
    kind: text().$type<EntryKind>().notNull(),
    payload: jsonb().notNull(),
    act: uuid().notNull(),
    madeBy: uuid()
      .notNull()
      .references(() => person.id),
    role: role().notNull(),
    madeAt: moment().notNull(),
    receivedAt: moment().notNull().defaultNow(),
    corrects: uuid(),
    vouchedBy: uuid().references(() => person.id),
    // What of the ledger its maker had seen, on which tablet, and how far that tablet's clock was behind this one's.
    seen: integer(),
    tablet: uuid(),
    clockBehindMs: integer(),
    clockMeasuredAt: moment(),
  },
  table => [unique().on(table.jobId, table.seq)],
)

// Projections: written with the entry, made again from the ledger by one command.

export const reading = pgTable(
  'reading',
  {
    jobId: uuid()
      .notNull()
      .references(() => job.id),
    equipmentTag: text().notNull(),
    checkId: text().notNull(),
    /** The key of the cell it was read in; empty for what the check came to as a whole. */
    cell: text().notNull().default(''),
    moment: text().notNull(),
    /** 0 for what stands; from 1 what was out and was put right since, the oldest first. */
    nth: smallint().notNull().default(0),
    value: doublePrecision().notNull(),
    least: doublePrecision().notNull(),
    greatest: doublePrecision().notNull(),
    verdict: verdict().notNull(),
    share: doublePrecision(),
    /** False once the part it was taken of has been renewed. */
    stands: boolean().notNull(),
    takenAt: moment().notNull(),
  },
  table => [
    primaryKey({ columns: [table.jobId, table.checkId, table.cell, table.moment, table.nth] }),
    index().on(table.equipmentTag, table.checkId),
  ],
)

export const fittedPart = pgTable(
  'fitted_part',
  {
    jobId: uuid()
      .notNull()
      .references(() => job.id),
    equipmentTag: text().notNull(),
    partRef: text().notNull(),
    asNew: boolean().notNull(),
    batch: text(),
    fittedAt: moment().notNull(),
  },
  table => [primaryKey({ columns: [table.jobId, table.partRef] }), index().on(table.equipmentTag, table.partRef)],
)

export const stockMovement = pgTable('stock_movement', {
  entryId: uuid().primaryKey(),
  jobId: uuid()
    .notNull()
    .references(() => job.id),
  partRef: text().notNull(),
  takenFrom: text().notNull(),
  quantity: integer().notNull(),
  movedAt: moment().notNull(),
})

/** What a machine says of itself, as a job read it off: a serial, a setting. */
export const keptFact = pgTable(
  'kept_fact',
  {
    jobId: uuid()
      .notNull()
      .references(() => job.id),
    equipmentTag: text().notNull(),
    factId: text().notNull(),
    text: text().notNull(),
    readAt: moment().notNull(),
  },
  table => [primaryKey({ columns: [table.jobId, table.factId] }), index().on(table.equipmentTag)],
)

/** What was seen on a part: at a look of the sheet, or under an empty name all that was seen in passing. */
export const keptLook = pgTable(
  'kept_look',
  {
    jobId: uuid()
      .notNull()
      .references(() => job.id),
    equipmentTag: text().notNull(),
    partRef: text().notNull(),
    lookId: text().notNull(),
    findings: jsonb().$type<Finding[]>().notNull(),
    seenFrom: text(),
    /** False once the part has been renewed or reworked. */
    stands: boolean().notNull(),
    seenAt: moment().notNull(),
  },
  table => [primaryKey({ columns: [table.jobId, table.partRef, table.lookId] }), index().on(table.equipmentTag)],
)

/** Photographs of a job, whether their files are here or not. */
export const keptPhoto = pgTable(
  'kept_photo',
  {
    jobId: uuid()
      .notNull()
      .references(() => job.id),
    equipmentTag: text().notNull(),
    photo: text().notNull(),
    sha256: text().notNull(),
    width: integer().notNull(),
    height: integer().notNull(),
    /** What it is of; the job as a whole where there is none. */
    on: jsonb().$type<Noted>(),
    words: text().notNull(),
    shapes: jsonb().$type<readonly DrawnShape[]>().notNull(),
    takenAt: moment().notNull(),
  },
  table => [primaryKey({ columns: [table.jobId, table.photo] }), index().on(table.equipmentTag)],
)

const bytes = customType<{ data: Buffer }>({ dataType: () => 'bytea' })

/** The files of photographs, known by the SHA-256 they were sent under, cleaned and in three sizes; always JPEG. */
export const pictureFile = pgTable('picture_file', {
  sha256: text().primaryKey(),
  /** SHA-256 of `whole`: the same as it was sent under, unless it had to be cleaned here. */
  keptSha256: text().notNull(),
  whole: bytes().notNull(),
  print: bytes().notNull(),
  thumb: bytes().notNull(),
  receivedAt: moment().notNull().defaultNow(),
})

/** What waits in a job: in an oven, in a bath, under pressure. */
export const wait = pgTable(
  'wait',
  {
    jobId: uuid()
      .notNull()
      .references(() => job.id),
    stepId: text().notNull(),
    step: text().notNull(),
    what: text().notNull(),
    since: moment().notNull(),
    leastAt: moment(),
    mostAt: moment(),
  },
  table => [primaryKey({ columns: [table.jobId, table.stepId] })],
)

export const equipmentState = pgTable('equipment_state', {
  equipmentTag: text()
    .primaryKey()
    .references(() => equipment.tag),
  openJobId: uuid(),
  openJobNumber: integer(),
  lastOverhaulAt: moment(),
  lastOverhaulHours: integer(),
  lastOverhaulUses: jsonb().$type<Record<string, number>>(),
  worstCheck: text(),
  worstVerdict: verdict(),
  worstShare: doublePrecision(),
})
