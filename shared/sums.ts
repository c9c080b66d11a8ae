import Joi from 'joi'
import { refusalsAbout, type Refusal } from '../core/refusal.ts'
import { costOf, runSum, sumNamed, SUMS, toWire, type AnySum, type Field, type Fields } from '../core/sums/index.ts'

/** One answer over the wire, or the sentence why there is none. */
export type WireAnswer = Record<string, unknown> | { refused: true; why: string }

/** The most inputs one request may hold. */
export const MOST_INPUTS = 1000
/** Elementary steps one request may take, about a second; longer sums belong into the Gauge room, off the server. */
const MOST_WORK = 5e7

const bounded = (schema: Joi.NumberSchema, [low, high]: readonly [number, number]) => schema.min(low).max(high)

function joiOf(field: Field): Joi.Schema {
  switch (field.type) {
    case 'number':
      return bounded(field.whole ? Joi.number().integer() : Joi.number(), field.span)
    case 'list':
      return Joi.array().items(bounded(Joi.number(), field.span)).min(field.least).max(field.most)
    case 'choice':
      return Joi.valid(...field.choices)
    case 'many':
      return Joi.array()
        .items(Joi.valid(...field.choices))
        .min(1)
        .unique()
    case 'flag':
      return Joi.boolean()
    case 'text':
      return Joi.string().max(field.most).allow('')
    case 'rows':
      return Joi.array().items(objectOf(field.columns)).min(field.least).max(field.most)
  }
}

function objectOf(fields: Fields): Joi.ObjectSchema {
  return Joi.object(
    Object.fromEntries(
      Object.entries(fields).map(([key, field]) => {
        const schema = joiOf(field)
        return [
          key,
          field.fallback !== undefined ? schema.default(field.fallback) : field.optional ? schema : schema.required(),
        ]
      }),
    ),
  )
}

const schemas = new Map<string, Joi.ObjectSchema>()
const schemaOf = (sum: AnySum) => schemas.get(sum.name) ?? schemas.set(sum.name, objectOf(sum.fields)).get(sum.name)!

function unitWords(sum: AnySum, path: readonly (string | number)[]): string {
  const field = sum.fields[String(path[0])]
  return field && 'unit' in field && field.unit !== '1' && field.unit !== 'pcs' ? ` ${field.unit}` : ''
}

/** Joi's finding as a sentence: what is wrong, and what would be right. */
function sentence(sum: AnySum, detail: Joi.ValidationErrorItem): string {
  const [path, { limit, valids }] = [detail.path, detail.context as { limit?: unknown; valids?: unknown[] }]
  const name = `“${path.join('.') || 'input'}”`
  const unit = unitWords(sum, path)
  const field = sum.fields[String(path[0])]
  const again = field?.type === 'number' && field.whole ? 'Count again.' : 'Check its unit and decimal mark.'
  const says: Record<string, string> = {
    'any.required': `${name} is missing. Give it${unit ? ` in${unit}` : ''}.`,
    'any.only': `${name} must be one of: ${valids?.join(', ')}.`,
    'number.base': `${name} must be a number${unit ? ` in${unit}` : ''}.`,
    'number.integer': `${name} must be a whole number.`,
    'number.min': `${name} cannot be right: it is less than ${limit}${unit}. ${again}`,
    'number.max': `${name} cannot be right: it is more than ${limit}${unit}. ${again}`,
    'number.unsafe': `${name} is too large.`,
    'number.infinity': `${name} must be a finite number.`,
    'array.min': `${name} wants at least ${limit}.`,
    'array.max': `${name} takes at most ${limit}.`,
    'array.base': `${name} must be a list.`,
    'object.unknown': `${name} is not an input of “${sum.name}”. It takes: ${Object.keys(sum.fields).join(', ')}.`,
    'object.base': `The input must be an object with: ${Object.keys(sum.fields).join(', ')}.`,
  }
  return says[detail.type] ?? `${name} does not fit: ${detail.message}.`
}

/** Work that a request may still do; every input takes its share. */
export interface Budget {
  left: number
}

/** Holds an input against a sum's fields and works it out. Never throws for what a caller can cause. */
export function answerOne(
  sum: AnySum,
  input: unknown,
  budget: Budget = { left: MOST_WORK },
  tell?: (share: number) => void,
): WireAnswer {
  const { error, value } = schemaOf(sum).validate(input, { convert: false })
  if (error) return { refused: true, why: sentence(sum, error.details[0]!) }
  const cost = costOf(sum, value)
  if (cost > budget.left)
    return {
      refused: true,
      why: 'That is more work than one request may ask for. Ask for fewer at a time, or work it out in the Gauge room.',
    }
  budget.left -= cost
  const answer = runSum(sum, value, tell)
  return answer.ok ? toWire(answer.value) : { refused: true, why: answer.why }
}

const refusals = refusalsAbout('sum', {
  unknown: ({ name, known }: { name: string; known: string }) => `There is no sum “${name}”. There are: ${known}.`,
  body: () => 'Send one object, or an array of objects, as JSON.',
  inputs: ({ most }: { most: number }) => `Send at most ${most} inputs at a time.`,
})

export type Answered =
  { ok: true; value: WireAnswer | WireAnswer[]; work: number } | { ok: false; status: 404 | 400; refusal: Refusal }

/** Whether a request may take long enough to hold others up: a sum with a cost, or a long list. */
export const isLong = (name: string, body: unknown): boolean =>
  sumNamed(name)?.cost !== undefined || (Array.isArray(body) && body.length > 20)

/**
 * One object or an array of them; the answer has the same shape and order.
 * @param most elementary steps that may be spent on it
 * @param tell hears how much is done, from 0 to 1
 * Refused: no such sum, too many inputs.
 */
export function answerSum(
  name: string,
  body: unknown,
  { most = MOST_WORK, tell }: { most?: number; tell?: (share: number) => void } = {},
): Answered {
  const sum = sumNamed(name)
  if (!sum) {
    const known = SUMS.map(one => one.name).join(', ')
    return { ok: false, status: 404, refusal: refusals.unknown({ name: name.slice(0, 60), known }) }
  }
  if (!body || typeof body !== 'object') return { ok: false, status: 400, refusal: refusals.body() }
  if (Array.isArray(body) && body.length > MOST_INPUTS)
    return { ok: false, status: 400, refusal: refusals.inputs({ most: MOST_INPUTS }) }
  const budget = { left: most }
  const value = Array.isArray(body)
    ? body.map((one, i) => {
        const within = (share: number) => tell?.((i + share) / body.length)
        const answer = answerOne(sum, one, budget, within)
        within(1)
        return answer
      })
    : answerOne(sum, body, budget, tell)
  return { ok: true, value, work: most - budget.left }
}

/** JSON Schema (2020-12) of one field. */
function jsonOf(field: Field): Record<string, unknown> {
  const common = {
    title: field.label,
    ...(field.help ? { description: field.help } : {}),
    ...(field.fallback !== undefined ? { default: field.fallback } : {}),
  }
  const spanned = ({ span: [minimum, maximum], unit }: { span: readonly [number, number]; unit: string }) => ({
    minimum,
    maximum,
    ...(unit === '1' || unit === 'pcs' ? {} : { $comment: `in ${unit}` }),
  })
  switch (field.type) {
    case 'number':
      return { type: field.whole ? 'integer' : 'number', ...common, ...spanned(field) }
    case 'list':
      return {
        type: 'array',
        ...common,
        items: { type: 'number', ...spanned(field) },
        minItems: field.least,
        maxItems: field.most,
      }
    case 'choice':
      return { enum: field.choices, ...common }
    case 'many':
      return { type: 'array', ...common, items: { enum: field.choices }, minItems: 1, uniqueItems: true }
    case 'flag':
      return { type: 'boolean', ...common }
    case 'text':
      return { type: 'string', ...common, maxLength: field.most }
    case 'rows':
      return { type: 'array', ...common, items: jsonObject(field.columns), minItems: field.least, maxItems: field.most }
  }
}

const jsonObject = (fields: Fields) => ({
  type: 'object',
  properties: Object.fromEntries(Object.entries(fields).map(([key, field]) => [key, jsonOf(field)])),
  required: Object.entries(fields)
    .filter(([, field]) => !field.optional && field.fallback === undefined)
    .map(([key]) => key),
  additionalProperties: false,
})

/** Every sum by name, with what it is for, where its rule comes from, the schema of its input and a worked example. */
export function listSums() {
  return SUMS.map(({ name, craft, title, about, source, fields, example }) => ({
    name,
    craft,
    title,
    about,
    source,
    input: { $schema: 'https://json-schema.org/draft/2020-12/schema', ...jsonObject(fields) },
    example,
  }))
}
