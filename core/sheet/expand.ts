/**
 * What a sheet may leave to be written out: items said once for each of a list, references to all of them, numbered places.
 * Pure writing out, before anything else looks at the sheet; a sheet that leaves nothing comes back as it is.
 */

import type { Check, Sheet, SheetSource, ShelfSheet } from './types.ts'

/** One of a list the sheet names: an id, and whatever else the texts want of it. */
export interface Listed {
  id: string
  [key: string]: string | number
}
export type Lists = Record<string, Listed[]>

type Json = string | number | boolean | null | undefined | Json[] | { [key: string]: Json }
type Item = { [key: string]: Json }
/** Which of each list an item is written out for. */
type Chosen = Record<string, Listed>

const isItem = (value: Json): value is Item => typeof value === 'object' && value !== null && !Array.isArray(value)

/** A value said by what it hangs on: an axis, or the list it is written out for. */
const isBy = (value: Json): value is { by: string; of: Item } =>
  isItem(value) && typeof value.by === 'string' && isItem(value.of) && Object.keys(value).length === 2

const HOLE = /\{([a-z][\w-]*)(?:\.([\w-]+))?\}/gi

/** A text with its holes filled. A text that is one hole alone takes the value as it is, a number for a number. */
function filled(text: string, chosen: Chosen): Json {
  const value = (list: string, key = 'id'): Json => chosen[list]?.[key]
  const whole = new RegExp(`^${HOLE.source}$`, 'i').exec(text)
  if (whole) return value(whole[1]!, whole[2]) ?? text
  return text.replace(HOLE, (hole, list: string, key?: string) => String(value(list, key) ?? hole))
}

/** A value written out for the chosen ones: holes filled, what hangs on one of the lists settled. */
function written(value: Json, chosen: Chosen): Json {
  if (typeof value === 'string') return filled(value, chosen)
  if (Array.isArray(value)) return value.map(one => written(one, chosen))
  if (!isItem(value)) return value
  if (isBy(value) && chosen[value.by]) return written(value.of[chosen[value.by]!.id], chosen)
  return Object.fromEntries(
    Object.entries(value)
      .map(([key, one]) => [key, written(one, chosen)] as const)
      .filter(([, one]) => one !== undefined),
  )
}

const everyOf = (each: string[], lists: Lists): Chosen[] =>
  each.reduce<Chosen[]>(
    (all, name) => all.flatMap(one => (lists[name] ?? []).map(listed => ({ ...one, [name]: listed }))),
    [{}],
  )

/** The name of a written-out family, as `{*}` refers to it. */
const familyName = (id: string, each: string[]) =>
  each.reduce((name, list) => name.replaceAll(new RegExp(`\\{${list}(?:\\.[\\w-]+)?\\}`, 'gi'), '{*}'), id)

/** Numbered places written out: `{ count: 11, name: 'blade {n}' }`. */
function placesOut(places: Json): Json {
  if (!isItem(places) || typeof places.count !== 'number') return places
  const { count, name, numbered, ...rest } = places
  return Array.from({ length: count }, (_, i) => ({
    ...(written(rest, { n: { id: String(i + 1) } }) as Item),
    id: String(i + 1),
    name: String(name).replaceAll('{n}', String(i + 1)),
    ...(numbered === undefined ? {} : { numbered }),
  }))
}

const isAll = (text: string) => text.includes('{*}')

/** The reference to all of a kind that a row of a list makes itself; what lists within it make is theirs. */
function allIn(value: Json): string | undefined {
  if (typeof value === 'string') return isAll(value) ? value : undefined
  return isItem(value)
    ? Object.values(value)
        .map(allIn)
        .find(one => one !== undefined)
    : undefined
}

const replaced = (value: Json, from: string, to: string): Json =>
  typeof value === 'string'
    ? value === from
      ? to
      : value
    : Array.isArray(value)
      ? value.map(one => replaced(one, from, to))
      : isItem(value)
        ? Object.fromEntries(Object.entries(value).map(([key, one]) => [key, replaced(one, from, to)]))
        : value

/** Lists with every `{*}` in them replaced by all it stands for; one that stands for nothing known stays, to be found. */
function allNamed(value: Json, families: ReadonlyMap<string, string[]>): Json {
  if (Array.isArray(value))
    return value.flatMap((one): Json[] => {
      const all = allIn(one)
      const known = all === undefined ? undefined : families.get(all)
      // An element with several of them is gone through once for each.
      return known
        ? (allNamed(
            known.map(id => replaced(one, all!, id)),
            families,
          ) as Json[])
        : [allNamed(one, families)]
    })
  if (isItem(value))
    return Object.fromEntries(Object.entries(value).map(([key, one]) => [key, allNamed(one, families)]))
  return value
}

/**
 * Writes a sheet out. `each: brg` (or a list of lists) writes an item out for every one of the sheet's `lists.brg`, with
 * `{brg}`, `{brg.name}` filled in; `{ by: brg, of: … }` settles a value by it; `lay-{*}` in a list of references means all
 * that was written out under that id, `part@{*}` every place of a part; `places: { count, name }` makes numbered places.
 */
export function expandSheet<S extends object>(source: S): S {
  const { lists, ...sheet } = source as unknown as Item & { lists?: Item }
  if (!lists && !JSON.stringify(source).includes('"count":')) return source
  const named = (lists ?? {}) as unknown as Lists
  const families = new Map<string, string[]>()
  const out = Object.fromEntries(
    Object.entries(sheet).map(([key, value]) => {
      if (!Array.isArray(value)) return [key, value]
      const items = value.flatMap((one): Json[] => {
        if (!isItem(one) || one.each === undefined) return [one]
        const { each, ...rest } = one
        const over = [each].flat() as string[]
        const all = everyOf(over, named).map(chosen => written(rest, chosen) as Item)
        if (typeof rest.id === 'string')
          families.set(
            familyName(rest.id, over),
            all.map(item => String(item.id)),
          )
        return all
      })
      return [key, items]
    }),
  ) as Item
  const parts = ((out.parts ?? []) as Item[]).map(part => withPlaces(part, named))
  for (const { id, places } of parts)
    if (Array.isArray(places))
      families.set(
        `${String(id)}@{*}`,
        places.map(one => `${String(id)}@${String((one as Item).id)}`),
      )
  return allNamed({ ...out, parts }, families) as unknown as S
}

/** Places said for each of a list, or by their number. */
function withPlaces(part: Item, lists: Lists): Item {
  const { places } = part
  if (!isItem(places)) return part
  if (places.each === undefined) return { ...part, places: placesOut(places) }
  const { each, ...rest } = places
  const over = [each].flat() as string[]
  return { ...part, places: everyOf(over, lists).map(chosen => written({ id: `{${over[0]!}}`, ...rest }, chosen)) }
}

/** A value with everything settled that hangs on an axis, and whatever stands in a list left out whose condition does not hold. */
export function settledFor<T>(value: T, chosen: Record<string, string>, holds: (when: unknown) => boolean): T {
  const settle = (one: Json): Json => {
    if (Array.isArray(one)) return one.filter(each => !isItem(each) || holds(each.when)).map(settle)
    if (isBy(one)) return one.by in chosen ? settle(one.of[chosen[one.by]!]) : one
    if (!isItem(one)) return one
    return Object.fromEntries(
      Object.entries(one)
        .map(([key, each]) => [key, settle(each)] as const)
        .filter(([, each]) => each !== undefined),
    )
  }
  return settle(value as Json) as T
}

/** What is left to be settled or filled in a sheet that should have nothing of it: as sentences. */
export function leftOver(value: unknown, where: string): string[] {
  const found: string[] = []
  const look = (one: Json, at: string) => {
    if (typeof one === 'string') {
      if (isAll(one)) found.push(`${at} names all of ${one}, and nothing was written out under that`)
      else for (const [hole] of one.matchAll(HOLE)) found.push(`${at} has a hole ${hole} that nothing fills`)
    } else if (Array.isArray(one)) one.forEach(each => look(each, at))
    else if (isBy(one)) found.push(`${at} hangs on ${one.by}, which is no axis and no list it is written out for`)
    else if (isItem(one))
      for (const [key, each] of Object.entries(one)) look(each, at === where ? `${where} ${key}` : at)
  }
  look(value as Json, where)
  return found
}

/** A sheet as it is read from its file: written out. It is kept so, and a job's sheet never changes under it. */
export function readSheet(source: SheetSource): ShelfSheet {
  const sheet = expandSheet(source as unknown as Sheet)
  return {
    ...sheet,
    checks: sheet.checks.map(one => (one.kind === 'asked' ? asked(one) : one.kind === 'sum' ? worked(one) : one)),
  }
}

/** What is asked has no unit, no limits and no gauge: its reading is the number of an answer. */
const asked = (check: Check): Check => ({
  ...check,
  unit: '1',
  decimals: 0,
  span: [0, Math.max(0, (check.choices?.length ?? 0) - 1)],
  limits: {},
  instrument: check.instrument ?? 'eye and hand',
})

/** What a sum gives is held against the spans of its own fields. */
const worked = (check: Check): Check => ({ ...check, span: [-1e9, 1e9], limits: check.limits ?? {} })
