import { Ajv, type ErrorObject, type ValidateFunction } from 'ajv'
import schemas from './sheet.schema.json' with { type: 'json' }

/** What the types of a sheet say of themselves; see `npm run schema`. A way of measuring is looked up where it is at hand. */
const DESCRIBED = { ...schemas, definitions: { ...schemas.definitions, CheckKind: { type: 'string' } } }
export type Shape = keyof typeof schemas.definitions

// What is looked through once is not worth being made faster first.
const ajv = new Ajv({
  allErrors: true,
  verbose: true,
  strict: false,
  allowUnionTypes: true,
  code: { optimize: false },
  inlineRefs: false,
}).addSchema(DESCRIBED, 'sheet')
const compiled = new Map<Shape, ValidateFunction>()
function validatorOf(shape: Shape): ValidateFunction {
  const known = compiled.get(shape)
  if (known) return known
  const made = ajv.compile({ $ref: `sheet#/definitions/${shape}` })
  compiled.set(shape, made)
  return made
}

const KINDS: Record<string, string> = {
  string: 'a text',
  number: 'a number',
  integer: 'a whole number',
  boolean: 'yes or no',
  array: 'a list',
  object: 'an item of its own',
}
/** A value as it is said, not longer than a line. */
function said(value: unknown): string {
  if (typeof value === 'string') return `“${value.length > 40 ? `${value.slice(0, 40)}…` : value}”`
  if (Array.isArray(value)) return `a list of ${value.length}`
  if (value === null || value === undefined) return 'left blank'
  if (typeof value === 'object') return `an item of ${Object.keys(value).length}`
  return String(value)
}

/** How many slips of the hand lie between two words: a letter too many, too few, another, or two changed round (Damerau, Levenshtein). */
function apart(a: string, b: string): number {
  const rows = [Array.from({ length: b.length + 1 }, (_, i) => i)]
  for (let i = 1; i <= a.length; i++) {
    const [row, before] = [rows[i - 1]!, rows[i - 2]]
    const next = [i]
    for (let j = 1; j <= b.length; j++) {
      const isSwapped = before && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1]
      next[j] = Math.min(
        ...[next[j - 1]! + 1, row[j]! + 1, row[j - 1]! + (a[i - 1] === b[j - 1] ? 0 : 1)],
        ...(isSwapped ? [before[j - 2]! + 1] : []),
      )
    }
    rows.push(next)
  }
  return rows.at(-1)!.at(-1)!
}
/** The word that was most likely meant; nothing where none is near. */
export function meant(word: string, known: readonly string[]): string {
  if (word.length > 40) return ''
  const [nearest] = known.map(one => ({ one, far: apart(word, one) })).sort((a, b) => a.far - b.far)
  return nearest && nearest.far <= Math.max(1, Math.floor(word.length / 3)) ? `: is it “${nearest.one}”?` : ''
}
const MOST_NAMED = 12
const oneOf = (value: unknown, known: readonly unknown[]) => {
  const words = known.map(String)
  const near = typeof value === 'string' ? meant(value, words) : ''
  return near || (words.length > MOST_NAMED ? ` of the ${words.length} there are` : ` of: ${words.join(', ')}`)
}

const listed = (words: string[]) => [...new Set(words)].join(' or ')
const kindsOf = (type: unknown) => listed([type].flat().map(one => KINDS[String(one)]!))

/** What a fault of one sort says after the name of its place. */
const SAYS: Record<string, (error: ErrorObject) => string> = {
  required: ({ params }) => `has no “${params.missingProperty}”`,
  additionalProperties: ({ params, parentSchema }) =>
    `has “${params.additionalProperty}”, which means nothing there${meant(String(params.additionalProperty), Object.keys((parentSchema as { properties?: object }).properties ?? {}))}`,
  type: ({ data, params }) => `is ${said(data)}, and wants to be ${kindsOf(params.type)}`,
  enum: ({ data, params }) => `is ${said(data)}, which is none${oneOf(data, params.allowedValues as unknown[])}`,
  const: ({ data, params }) => `is ${said(data)}, and not ${said(params.allowedValue)}`,
  pattern: ({ data }) => `is ${said(data)}, which is no name: letters, digits, - and _`,
  minLength: () => 'is empty',
  maxLength: ({ data, params }) => `is ${(data as string).length} letters long, and ${params.limit} are the most`,
  minItems: ({ data, params }) => `has ${(data as unknown[]).length}, and ${params.limit} are the least`,
  maxItems: ({ data, params }) => `has ${(data as unknown[]).length}, and ${params.limit} are the most`,
  minimum: ({ data, params }) => `is ${data}, and ${params.limit} is the least`,
  maximum: ({ data, params }) => `is ${data}, and ${params.limit} is the most`,
}

/** A place within an item, as it is said: list elements are counted from one. */
const placeIn = (path: string) =>
  path
    .split('/')
    .slice(1)
    .map(one => one.replaceAll('~1', '/').replaceAll('~0', '~'))
    .map(one => (/^\d+$/.test(one) ? String(Number(one) + 1) : one))
    .join(' ')

/**
 * Of several shapes that a value might have had, one sentence: that of the shape it came nearest to, or which kinds of
 * values it might have been.
 */
function untangled(errors: ErrorObject[]): ErrorObject[] {
  const either = errors.filter(one => one.keyword === 'anyOf')
  const outermost = either.filter(
    one => !either.some(other => other !== one && one.schemaPath.startsWith(`${other.schemaPath}/`)),
  )
  return outermost.reduce((left, whole) => {
    const isBranch = (one: ErrorObject) =>
      one !== whole && one.instancePath.startsWith(whole.instancePath) && BRANCHES.has(one.keyword)
    const branches = left.filter(isBranch)
    const deeper = branches.filter(one => one.instancePath.length > whole.instancePath.length)
    const types = branches.filter(one => one.keyword === 'type' && one.instancePath === whole.instancePath)
    const kept = deeper.length
      ? deeper.slice(0, 1)
      : types.length
        ? [{ ...types[0]!, params: { type: types.flatMap(one => one.params.type as string) } }]
        : branches.slice(0, 1)
    return [...left.filter(one => one !== whole && !branches.includes(one)), ...kept]
  }, errors)
}
const BRANCHES = new Set([...Object.keys(SAYS), 'anyOf'])

/** What holds a value against a shape of the sheet: sentences that begin with the place, `where` first. Empty when it fits. */
export function shapeFaults(shape: Shape, value: unknown, where: string): string[] {
  const validate = validatorOf(shape)
  if (validate(value)) return []
  return untangled(validate.errors ?? []).flatMap(error => {
    const says = SAYS[error.keyword]
    return says ? [`${[where, placeIn(error.instancePath)].filter(Boolean).join(' ')} ${says(error)}`] : []
  })
}
