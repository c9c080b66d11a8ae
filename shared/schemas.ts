import Joi from 'joi'
import { CHOICES, type EntryKind } from '../core/job/index.ts'
import { MOMENTS } from '../core/sheet/index.ts'

/** Everything that comes over the wire is held against one of these. */
const id = Joi.string().max(80)
const refs = Joi.array().items(id.required()).min(1).max(100)
const words = (most: number) => Joi.string().trim().max(most)
const why = words(400).required()
const degrees = Joi.number().min(0).max(360)

const PAYLOADS: Record<EntryKind, Joi.ObjectSchema> = {
  'job.opened': Joi.object({
    equipment: id.required(),
    sheet: id.required(),
    version: Joi.number().integer().required(),
    variants: Joi.object().pattern(id, id).required(),
    complaint: words(400).allow('').required(),
  }),
  'caution.read': Joi.object({ step: id.required(), caution: Joi.number().integer().min(0).max(20).required() }),
  'step.done': Joi.object({ step: id.required(), note: words(400) }),
  'step.skipped': Joi.object({ step: id.required(), why }),
  'evidence.lost': Joi.object({ check: id, moment: Joi.valid(...MOMENTS), mate: id, why })
    .xor('check', 'mate')
    .with('check', 'moment'),
  'mark.made': Joi.object({
    mate: id.required(),
    deg: degrees.required(),
    seenFrom: words(60).required(),
    carrier: words(80).required(),
  }),
  'part.lifted': Joi.object({ parts: refs.required(), step: id.required(), method: words(120) }),
  'part.bagged': Joi.object({ parts: refs.required(), bag: words(24).required() }),
  'part.tagged': Joi.object({ parts: refs.required(), tag: words(24).required() }),
  'part.observed': Joi.object({
    part: id.required(),
    finding: words(200).required(),
    severity: Joi.valid('sound', 'worn', 'damaged').required(),
    deg: degrees,
    seenFrom: words(60),
  }),
  'part.decided': Joi.object({ parts: refs.required(), choice: Joi.valid(...CHOICES).required(), why: words(400) }),
  'part.renewed': Joi.object({ part: id.required(), from: words(60).required(), batch: words(40) }),
  'part.refitted': Joi.object({
    part: id.required(),
    step: id.required(),
    place: id,
    answers: Joi.array()
      .max(20)
      .items(Joi.object({ mate: id.required(), met: Joi.boolean().required(), deg: degrees }))
      .required(),
  }),
  'reading.taken': Joi.object({
    check: id.required(),
    moment: Joi.valid(...MOMENTS).required(),
    station: id,
    plane: id,
    tries: Joi.array().items(Joi.array().items(Joi.number()).min(1).max(72)).max(20).required(),
    texts: Joi.array()
      .items(Joi.array().items(words(60)).max(72))
      .max(20)
      .required(),
    instrument: words(60),
    style: Joi.valid('signed readings', 'travels'),
  }),
  'bolt.pulled': Joi.object({
    joint: id.required(),
    pass: Joi.number().integer().required(),
    bolt: Joi.number().integer().required(),
    torqueNm: Joi.number().positive().max(20000).required(),
    text: words(40).required(),
    instrument: words(60),
  }),
  'joint.slackened': Joi.object({ joint: id.required(), why: words(400) }),
  'hold.signed': Joi.object({ step: id.required() }),
  'concession.given': Joi.object({ obligation: words(200).required(), why }),
  'note.written': Joi.object({ text: words(2000).required() }),
  'entry.corrected': Joi.object({
    target: Joi.string().guid().required(),
    why,
    replacement: Joi.object({ kind: Joi.string().required(), payload: Joi.object().required() }),
  }),
  'job.signed': Joi.object({ cured: Joi.valid('yes', 'no', 'not known yet').required(), cause: words(400).allow('') }),
  'addendum.written': Joi.object({ text: words(2000).required() }),
}

/** Kinds a screen may send; a job is opened by its own route. */
const SENT = (Object.keys(PAYLOADS) as EntryKind[]).filter(kind => kind !== 'job.opened')

/** The payload of an entry, by its kind; a correction's replacement is held against its own kind. */
const payloadOf = (kind: Joi.Reference | string, kinds: readonly EntryKind[]) =>
  Joi.any().when(kind as string, {
    switch: kinds.map(one => ({ is: one, then: PAYLOADS[one].required() })),
    otherwise: Joi.forbidden(),
  })

const replaceable = SENT.filter(
  kind => !['entry.corrected', 'job.signed', 'hold.signed', 'concession.given'].includes(kind),
)
const entry = Joi.object({
  id: Joi.string().guid({ version: 'uuidv7' }).required(),
  kind: Joi.valid(...SENT).required(),
  madeAt: Joi.string().isoDate().max(40).required(),
  payload: payloadOf('kind', SENT),
}).custom((value, helpers) => {
  const replacement = value.kind === 'entry.corrected' ? value.payload.replacement : undefined
  if (!replacement) return value
  const { error } = Joi.object({
    kind: Joi.valid(...replaceable).required(),
    payload: payloadOf('kind', replaceable),
  }).validate(replacement)
  return error ? helpers.message({ custom: `the replacement does not fit: ${error.message}` }) : value
})

export const entriesSchema = Joi.array().items(entry).min(1).max(200).unique('id').single().required()
export const signInSchema = Joi.object<{ person: string; pin: string }>({
  person: Joi.string().guid().required(),
  pin: Joi.string()
    .pattern(/^\d{4}$/)
    .required()
    .messages({ 'string.pattern.base': 'a PIN has 4 figures' }),
}).required()
export const openingSchema = Joi.object<{ equipment: string; complaint: string }>({
  equipment: words(40).required(),
  complaint: words(400).allow('').required(),
}).required()
export const tagSchema = words(40).required()
export const seqSchema = Joi.number().integer().min(0).max(10_000_000).default(0)
