import Joi from 'joi'
import {
  ACTS,
  competenceShape,
  ROLES,
  type Competence,
  type EntryKind,
  type Fields,
  type Role,
  type Shape,
} from '../core/job/index.ts'
import type { SentEntry, SheetName } from './answers.ts'
import { tidyName } from './names.ts'
import { PICTURE_SIZES, type PictureSizeName } from './pictures.ts'

/** Everything that comes over the wire is held against one of these. */
const words = (most: number) => Joi.string().trim().max(most)

/**
 * An id in the one form there is: small letters, with hyphens. The database reads other spellings as the same id, and what
 * compares texts would not.
 */
const ID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/
/** The same, with a time in it (RFC 9562, version 7). */
const TIMED_ID = /^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/
const uuid = (form = ID) =>
  Joi.string()
    .pattern(form)
    .messages({ 'string.pattern.base': '{{#label}} is no id as it is written here: small letters, with hyphens' })

/** A moment in UTC, as every client writes it; a date that is not in the calendar is none. */
const moment = Joi.string()
  .pattern(/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d{1,3})?Z$/)
  .custom((text: string, helpers) => {
    const at = new Date(text)
    return !Number.isNaN(at.getTime()) && at.toISOString().slice(0, 19) === text.slice(0, 19)
      ? at.toISOString()
      : helpers.error('date.base')
  })
  .messages({
    'string.pattern.base': '{{#label}} must be a time in UTC, such as 2026-05-01T08:00:00.000Z',
    'date.base': '{{#label}} is no date in the calendar',
  })

function joiOf(shape: Shape): Joi.Schema {
  switch (shape.is) {
    case 'id':
      return Joi.string().max(80)
    case 'entry':
      return uuid()
    case 'words':
      return shape.empty ? words(shape.most).allow('') : words(shape.most)
    case 'number': {
      const { least, most, over, whole } = shape
      let number = whole ? Joi.number().integer() : Joi.number()
      if (least !== undefined) number = number.min(least)
      if (most !== undefined) number = number.max(most)
      return over !== undefined ? number.greater(over) : number
    }
    case 'flag':
      return Joi.boolean()
    case 'choice':
      return Joi.valid(...shape.of)
    case 'list':
      return Joi.array()
        .items(joiOf(shape.of).required())
        .min(shape.least ?? 0)
        .max(shape.most)
    case 'record':
      return objectOf(shape.of)
    case 'names':
      return Joi.object().pattern(Joi.string().max(80), Joi.string().max(80)).max(40)
    case 'payload':
      return Joi.object()
  }
}

/** An empty list has nothing to require. */
function objectOf(fields: Fields): Joi.ObjectSchema {
  return Joi.object(
    Object.fromEntries(
      Object.entries(fields).map(([key, shape]) => {
        const schema = shape.is === 'list' && !shape.least ? emptyOr(shape) : joiOf(shape)
        return [key, shape.optional ? schema : schema.required()]
      }),
    ),
  )
}

const emptyOr = (shape: Extract<Shape, { is: 'list' }>) => Joi.array().items(joiOf(shape.of)).max(shape.most)

/** The payload of an entry, by its kind; made from what the act says it carries. */
const PAYLOADS = Object.fromEntries(
  Object.entries(ACTS).map(([kind, act]) => [kind, objectOf(act.shape).required()]),
) as Record<EntryKind, Joi.ObjectSchema>

/** Kinds a screen may send; a job is opened by its own route. */
const SENT = (Object.keys(ACTS) as EntryKind[]).filter(kind => kind !== 'job.opened')

/**
 * A payload held against its kind, for what is known only inside the ledger: a correction's replacement.
 * What does not fit of it, or the payload as it is stored.
 */
export function payloadFitting(kind: EntryKind, payload: unknown): { misfit: string } | { payload: object } {
  const { error, value } = PAYLOADS[kind].validate(payload)
  return error ? { misfit: error.message.slice(0, 200) } : { payload: value }
}

const pin = () =>
  Joi.string()
    .pattern(/^\d{4,8}$/)
    .messages({ 'string.pattern.base': '{{#label}} has 4 to 8 figures' })

const entry = Joi.object<SentEntry>({
  id: uuid(TIMED_ID).required(),
  kind: Joi.valid(...SENT).required(),
  act: uuid().required(),
  madeAt: moment.required(),
  by: uuid(),
  vouched: Joi.valid(true),
  seen: Joi.number().integer().min(1).max(2_000_000_000),
  tablet: uuid(),
  clock: Joi.object({
    behindMs: Joi.number().integer().min(-2_000_000_000).max(2_000_000_000).required(),
    measuredAt: moment.required(),
  }),
  payload: Joi.any().when('kind', {
    switch: SENT.map(one => ({ is: one, then: PAYLOADS[one] })),
    otherwise: Joi.forbidden(),
  }),
})

const entries = Joi.array<SentEntry[]>().items(entry).min(1).max(200).unique('id').single().required()

/** What is signed: by whom, with their PIN, whoever the tablet is signed in for. */
export interface SignedEntries {
  signer: string
  pin: string
  entries: SentEntry[]
}
const isSigned = Joi.object({ signer: Joi.required() }).unknown()
/** Entries, one or many; or entries that somebody signs. */
export const entriesSchema: Joi.Schema<SentEntry[] | SignedEntries> = Joi.alternatives()
  .conditional(isSigned, {
    then: Joi.object({ signer: uuid().required(), pin: pin().required(), entries }),
    otherwise: entries,
  })
  .required()

export const signInSchema = Joi.object<{ person: string; pin: string; admission?: string }>({
  person: uuid().required(),
  pin: pin().required(),
  admission: words(20).allow(''),
}).required()
export const codeSchema = Joi.object<{ code: string }>({ code: words(60).required() }).required()
/** Their own PIN, chosen by who gives the one they have. */
export const ownPinSchema = Joi.object<{ pin: string; next: string }>({
  pin: pin().required(),
  next: pin().required(),
}).required()
export const openingSchema = Joi.object<{ equipment: string; complaint: string; signs?: string[] }>({
  equipment: words(40).required(),
  complaint: words(400).required(),
  signs: Joi.array().items(words(60)).max(20).unique(),
}).required()
const name = words(60)
  .custom((text: string, helpers) => tidyName(text) ?? helpers.error('string.name'))
  .messages({ 'string.name': '{{#label}} has letters that can be read, and no hidden marks' })
export const newPersonSchema = Joi.object<{ name: string; role: Role }>({
  name: name.required(),
  role: Joi.valid(...ROLES).required(),
}).required()
const day = Joi.string()
  .pattern(/^\d{4}-\d\d-\d\d$/)
  .custom((text: string, helpers) => {
    const at = new Date(`${text}T00:00:00Z`)
    return !Number.isNaN(at.getTime()) && at.toISOString().startsWith(text) ? text : helpers.error('date.base')
  })
  .messages({
    'string.pattern.base': '{{#label}} must be a day, such as 2026-05-01',
    'date.base': '{{#label}} is no day in the calendar',
  })
export const competenceSchema = objectOf(competenceShape).keys({ until: day }) as Joi.ObjectSchema<Competence>
export const personChangeSchema = Joi.object<{
  role?: Role
  pin?: 'new'
  active?: boolean
  open?: true
  admit?: true
  competences?: Competence[]
}>({
  competences: Joi.array().items(competenceSchema).max(20),
  role: Joi.valid(...ROLES),
  pin: Joi.valid('new'),
  active: Joi.boolean(),
  open: Joi.valid(true),
  admit: Joi.valid(true),
})
  .min(1)
  .required()
export const siteSchema = Joi.object<{
  name?: string
  pinLength?: number
  code?: string | null
  backupsKept?: number
}>({
  name: words(60),
  pinLength: Joi.number().integer().min(4).max(8),
  code: words(60).min(4).allow(null),
  backupsKept: Joi.number().integer().min(0).max(60),
})
  .min(1)
  .required()
/** Numbers for tags and bags, asked for by a device. */
export const labelsSchema = Joi.object<{ count: number }>({
  count: Joi.number().integer().min(1).max(50).required(),
}).required()
const count = Joi.number().integer().min(0).max(2_000_000)
const uses = Joi.object<Record<string, number>>().pattern(words(60), count.required()).max(12)
/** What the meters of a machine show: hours run, and what else is counted. */
export const hoursSchema = Joi.object<{ hoursRun: number; uses?: Record<string, number> }>({
  hoursRun: count.required(),
  uses,
}).required()
/** A service between overhauls. Its id is made where it is written down: sent twice, it is one. */
export const serviceSchema = Joi.object<{
  id: string
  service: string
  doneAt?: string
  hoursRun: number
  uses: Record<string, number>
  note: string
}>({
  id: uuid(TIMED_ID).required(),
  service: words(80).required(),
  /** Left out: just now, by the server's clock. */
  doneAt: moment,
  hoursRun: count.required(),
  uses: uses.default({}),
  note: words(400).allow('').default(''),
}).required()
/** A sub-assembly that goes to a job of its own. */
export const childSchema = Joi.object<{ part: string }>({ part: words(80).required() }).required()
/** A service that was written down by mistake counts for nothing. */
export const withdrawalSchema = Joi.object<{ withdrawn: true }>({ withdrawn: Joi.valid(true).required() }).required()
export const tagSchema = words(40).required()
export const idSchema = uuid().required()
export const sheetNameSchema = Joi.object<SheetName>({
  id: words(80).required(),
  version: Joi.number().integer().min(1).max(1_000_000).required(),
}).required()
/** Which part of a long record, from 1. */
/** SHA-256 of a file, hexadecimal. */
export const sumSchema = Joi.string()
  .pattern(/^[0-9a-f]{64}$/)
  .required()
  .messages({ 'string.pattern.base': 'the number of a picture is its SHA-256, 64 small hexadecimal digits' })
export const pictureSizeSchema = Joi.string<PictureSizeName>()
  .valid(...PICTURE_SIZES)
  .default('whole')
export const partSchema = Joi.number().integer().min(1).max(100_000).default(1)
export const seqSchema = Joi.number().integer().min(0).max(10_000_000).default(0)
