/** JSON Schema, as far as the types of a sheet need it. */
export interface Schema {
  $ref?: string
  type?: string | string[]
  description?: string
  properties?: Record<string, Schema>
  required?: string[]
  additionalProperties?: boolean | Schema
  items?: Schema
  enum?: unknown[]
  const?: unknown
  anyOf?: Schema[]
  allOf?: Schema[]
  not?: Schema
  if?: Schema
  then?: Schema
  pattern?: string
  minLength?: number
  maxLength?: number
  minItems?: number
  maxItems?: number
  minimum?: number
  maximum?: number
}
export interface Schemas {
  definitions: Record<string, Schema>
}

/** Items that may be said for each of a list. */
const ITEMS = new Set([
  'Assembly',
  'Part',
  'Mate',
  'Check',
  'Look',
  'Complaint',
  'FailureCause',
  'Joint',
  'Step',
  'Loop',
  'PartSet',
  'Kit',
])
/** What is the same for every machine. */
const FIXED = new Set(['Sheet', 'SheetFrame', 'Axis', 'Listed', 'Outline', 'When'])
/** What reading a sheet fills in for some kinds of checks: only the others have to say it. */
const FILLED: Record<string, string[]> = {
  asked: ['unit', 'decimals', 'span', 'limits', 'instrument'],
  sum: ['unit', 'decimals', 'span', 'limits'],
  run: ['unit', 'decimals', 'span', 'limits'],
}

/** The rows of one table of a sum. */
const ROWS = 'SumOf.rows.*'
const TEXT: Schema = { type: 'string' }
const HOLE: Schema = { type: 'string', pattern: '\\{.+\\}' }
const EACH: Schema = { anyOf: [TEXT, { type: 'array', items: TEXT }] }
/** Places or rows said for each of a list, or by their number. */
const COUNTED: Schema = {
  type: 'object',
  properties: { each: EACH, count: { type: 'integer' }, name: TEXT },
  required: ['name'],
  anyOf: [{ required: ['each'] }, { required: ['count'] }],
}
const by = (value: Schema): Schema => ({
  type: 'object',
  properties: { by: TEXT, of: { type: 'object', additionalProperties: value } },
  required: ['by', 'of'],
  additionalProperties: false,
})

/** Whether a hole can stand for it: a text has its holes within. */
const takesHole = ({ type, enum: some, const: one, pattern, allOf }: Schema) =>
  type === 'string' ? Boolean(some ?? one ?? pattern) : type !== 'object' && type !== 'array' && !allOf

/**
 * The schema of a sheet as it is written, made of the one of a sheet settled for one machine: items said for each of a
 * list, values by an axis, holes in texts. It is what an editor holds a sheet against while it is typed.
 */
export function asWritten({ definitions }: Schemas): Schemas & Schema {
  const out: Schemas['definitions'] = {}
  const mapped = (some: Record<string, Schema>, name: string) =>
    Object.fromEntries(Object.entries(some).map(([key, one]) => [key, written(one, `${name}.${key}`)]))

  /** What lies within, each as it may be written. */
  const within = (one: Schema, name: string): Schema => ({
    ...one,
    ...(one.properties && { properties: mapped(one.properties, name) }),
    ...(typeof one.additionalProperties === 'object' && {
      additionalProperties: written(one.additionalProperties, `${name}.*`),
    }),
    ...(one.items && { items: written(one.items, `${name}.each`) }),
    ...(one.anyOf && { anyOf: one.anyOf.map((each, i) => within(each, `${name}.${i + 1}`)) }),
    // Which of several shapes it is goes by its kind: that is looked at as it stands.
    ...(one.allOf && {
      allOf: one.allOf.map((each, i) => ({ ...each, then: within(each.then!, `${name}.${i + 1}`) })),
    }),
  })

  /** A value as a sheet may write it: plain, with holes that a list fills, or by an axis or a list. */
  function written({ description, ...one }: Schema, name: string): Schema {
    if (one.$ref) return { ...(description && { description }), ...one }
    const isPlain = !definitions[name] && Object.keys(one).join() === 'type' && one.type !== 'object'
    const key = isPlain ? (one.type as string) : name
    if (!out[key]) {
      out[key] = {}
      const inner = within(one, name)
      const isInline = isPlain || takesHole(one)
      if (!isInline) out[`${key}, plain`] = inner
      const plain: Schema = isInline ? inner : { $ref: `#/definitions/${key}, plain` }
      out[key] = { anyOf: [plain, ...(takesHole(one) ? [HOLE] : []), by(plain)] }
    }
    return { ...(description && { description }), $ref: `#/definitions/${key}` }
  }

  for (const [name, one] of Object.entries(definitions)) {
    const turns: Record<string, Schema> = name === 'Step' ? { inTurn: { type: 'array', items: TEXT } } : {}
    if (FIXED.has(name)) out[name] = one
    else if (!ITEMS.has(name)) written(one, name)
    else out[name] = { ...within(one, name), properties: { each: EACH, ...turns, ...within(one, name).properties } }
  }
  const sheet = definitions.Sheet!
  return {
    ...{ $schema: 'http://json-schema.org/draft-07/schema#', title: 'A build sheet, as it is written' },
    ...sheet,
    properties: { lists: definitions.SheetFrame!.properties!.lists!, ...sheet.properties },
    definitions: {
      ...out,
      [ROWS]: { anyOf: [...out[ROWS]!.anyOf!, COUNTED] },
      Part: withPlaces(out),
      Check: asFilled(out),
    },
  }
}

/** Places one by one, for each of a list, or by their number. */
function withPlaces({ Part: part, ...rest }: Schemas['definitions']): Schema {
  const { properties } = rest['Place, plain']!
  const numbered: Schema = {
    type: 'object',
    properties: { ...properties, each: EACH, count: { type: 'integer' }, numbered: TEXT },
    additionalProperties: false,
  }
  return { ...part!, properties: { ...part!.properties, places: { anyOf: [part!.properties!.places!, numbered] } } }
}

/** A check says what reading it does not fill in; its places may be names alone. */
function asFilled({ Check: check, ...rest }: Schemas['definitions']): Schema {
  const filled = new Set(Object.values(FILLED).flat())
  const read = rest['Check.stations, plain']!
  const places: Schema = { ...read, items: { anyOf: [TEXT, read.items!] } }
  const must = (kind: Schema, left: string[]): Schema => ({
    if: { properties: { kind } },
    then: { required: [...filled].filter(one => !left.includes(one)) },
  })
  return {
    ...check!,
    properties: { ...check!.properties, stations: { anyOf: [places, by(places), COUNTED] } },
    required: check!.required!.filter(one => !filled.has(one)),
    allOf: [
      ...Object.entries(FILLED).map(([kind, left]) => must({ const: kind }, left)),
      must({ not: { enum: Object.keys(FILLED) } }, []),
    ],
  }
}
