import { createError, readBody, type H3Event } from 'h3'
import type { Schema } from 'joi'
import { refusalsAbout, sentenceOf, type Refusal } from '../../core/refusal.ts'
import { idSchema, tagSchema } from '#shared/schemas'

/** A refusal as it goes over the wire: a status, its sentence for the person, and what programs read. */
export function refusal(statusCode: number, what: Refusal, more: Record<string, unknown> = {}) {
  const why = sentenceOf(what)
  return createError({
    statusCode,
    statusMessage: STATUS_WORDS[statusCode] ?? 'Refused',
    message: why,
    data: { why, refusal: what, ...more },
  })
}

const refusals = refusalsAbout('request', {
  tooDeep: () => 'The request is nested too deep. Send it as the pages do.',
  misfit: ({ what }: { what: string }) => `The request does not fit: ${what}.`,
  letters: () => 'The request holds characters that cannot be stored. Type it again without them.',
  noJob: () => 'There is no such job. It may belong to another site; go back to the bench list.',
})

const STATUS_WORDS: Record<number, string> = {
  400: 'Bad Request',
  401: 'Unauthorized',
  403: 'Forbidden',
  404: 'Not Found',
  405: 'Method Not Allowed',
  408: 'Request Timeout',
  409: 'Conflict',
  411: 'Length Required',
  413: 'Payload Too Large',
  422: 'Unprocessable Content',
  429: 'Too Many Requests',
  500: 'Internal Server Error',
  503: 'Service Unavailable',
  507: 'Insufficient Storage',
}

/** What is sent nests no deeper than this: whoever goes through it does so step by step into it. */
const DEEPEST = 12

function isShallow(value: unknown): boolean {
  let level = [value]
  for (let depth = 0; level.length; depth++) {
    if (depth > DEEPEST) return false
    level = level.flatMap(one => (one && typeof one === 'object' ? Object.values(one) : []))
  }
  return true
}

/** A value held against its schema; 400 with what is wrong when it does not fit. */
export function fitting<T>(schema: Schema<T>, value: unknown): T {
  if (!isShallow(value)) throw refusal(400, refusals.tooDeep())
  const { error, value: good } = schema.validate(value, { convert: true })
  if (error) throw refusal(400, refusals.misfit({ what: error.message.slice(0, 300) }))
  if (!isStorable(good)) throw refusal(400, refusals.letters())
  return good as T
}

/** The database takes no null character and no half of a character pair. */
function isStorable(value: unknown): boolean {
  if (typeof value === 'string') return !value.includes('\0') && value.isWellFormed()
  return (
    !value ||
    typeof value !== 'object' ||
    Object.entries(value).every(([key, one]) => isStorable(key) && isStorable(one))
  )
}

/** The body of a request, held against its schema. */
export async function bodyFitting<T>(event: H3Event, schema: Schema<T>): Promise<T> {
  const body = await readBody(event).catch(() => undefined)
  return fitting(schema, body)
}

/** The route's parameter as a machine's tag. */
export function tagOf(event: H3Event): string {
  const raw = event.context.params?.tag ?? ''
  return fitting(tagSchema, decodeOr(raw))
}

/** A broken escape stays as it is: then there is no such machine. */
function decodeOr(raw: string): string {
  try {
    return decodeURIComponent(raw)
  } catch {
    return raw
  }
}

/** The route's parameter as an id; 400 when it is none. */
export const idOf = (event: H3Event, name = 'id'): string => fitting(idSchema, event.context.params?.[name])

export const noSuchJob = () => refusal(404, refusals.noJob())
