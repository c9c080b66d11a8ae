/**
 * What a sheet may leave to be written out: items said once for each of a list, references to all of them, numbered places.
 * Pure writing out, before anything else looks at the sheet; a sheet that leaves nothing comes back as it is.
 */

import { withConnections } from './connections.ts'
import type { Check, RunColumn, Sheet, SheetSource, ShelfSheet, Variants, When } from './types.ts'

/** One of a list the sheet names: an id, what it is there for where it is not always there, and whatever else the texts want of it. */
export interface Listed {
  id: string
  when?: When
  [key: string]: string | number | When | undefined
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

const own = <T>(of: Record<string, T>, key: string): T | undefined => (Object.hasOwn(of, key) ? of[key] : undefined)

const HOLE = /\{([a-z][\w-]*)(?:\.([\w-]+))?\}/gi
const ALONE = new RegExp(`^${HOLE.source}$`, 'i')

/** A text with its holes filled. A text that is one hole alone takes the value as it is, a number for a number. */
function filled(text: string, chosen: Chosen): Json {
  const value = (list: string, key = 'id') => own<Json>((own(chosen, list) ?? {}) as Item, key)
  if (!text.includes('{')) return text
  const whole = ALONE.exec(text)
  if (whole) return value(whole[1]!, whole[2]) ?? text
  return text.replace(HOLE, (hole, list: string, key?: string) => String(value(list, key) ?? hole))
}

/** A value written out for the chosen ones: holes filled, what hangs on one of the lists settled. */
function written(value: Json, chosen: Chosen): Json {
  if (typeof value === 'string') return filled(value, chosen)
  if (Array.isArray(value)) return value.map(one => written(one, chosen))
  if (!isItem(value)) return value
  if (isBy(value) && own(chosen, value.by)) return written(own(value.of, chosen[value.by]!.id), chosen)
  return Object.fromEntries(
    Object.entries(value)
      .map(([key, one]) => [key, written(one, chosen)] as const)
      .filter(([, one]) => one !== undefined),
  )
}

/** What has to hold for both: of an axis that both speak of, the choices they share. */
function bothHold(one: When, other: When): When {
  const shared = Object.entries(other).map(([axis, wanted]) => {
    const first = own(one, axis)
    return [axis, first === undefined ? wanted : [first].flat().filter(choice => [wanted].flat().includes(choice))]
  })
  return { ...one, ...Object.fromEntries(shared) }
}

/** An item written out for the chosen ones; it is there where each of them is. */
function itemFor(item: Item, chosen: Chosen): Item {
  const out = written(item, chosen) as Item
  const conditions = [out as { when?: When }, ...Object.values(chosen)].flatMap(({ when }) => (when ? [when] : []))
  return conditions.length ? { ...out, when: conditions.reduce(bothHold) as Item } : out
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

/** What one sheet may name by `{*}`, all told. */
const MOST_NAMED = 20_000

/** Lists with every `{*}` in them replaced by all it stands for; one that stands for nothing known, or for too much, stays, to be found. */
function allNamed(value: Json, families: ReadonlyMap<string, string[]>, named: { left: number }): Json {
  if (Array.isArray(value))
    return value.flatMap((one): Json[] => {
      const all = allIn(one)
      const family = all === undefined || named.left < 0 ? undefined : families.get(all)
      // One that is itself called so would be written out for ever.
      const known = family?.some(isAll) ? undefined : family
      named.left -= known?.length ?? 0
      // An element with several of them is gone through once for each.
      return known
        ? (allNamed(
            known.map(id => replaced(one, all!, id)),
            families,
            named,
          ) as Json[])
        : [allNamed(one, families, named)]
    })
  if (isItem(value))
    return Object.fromEntries(Object.entries(value).map(([key, one]) => [key, allNamed(one, families, named)]))
  return value
}

/** Items as they are written out together: those one after another that are done in turn, any other alone. */
const runsOf = (items: Json[]): Json[][] => {
  const turnOf = (one: Json) => (isItem(one) && one.inTurn ? JSON.stringify([one.each, one.inTurn]) : undefined)
  const runs: Json[][] = []
  for (const one of items) {
    const last = runs.at(-1)
    if (last && turnOf(one) && turnOf(last[0]) === turnOf(one)) last.push(one)
    else runs.push([one])
  }
  return runs
}

/** Steps that are done in turn: all of them for the first of a list, then all for the next, in the order that is given. */
function inTurn(run: Item[], lists: Lists): Item[][] {
  const { each, inTurn: order } = run[0]! as { each: string; inTurn: string[] }
  return order.map(id => {
    const chosen = { [each]: lists[each]!.find(one => one.id === id)! }
    return run.map(({ each: _, inTurn: __, ...rest }) => itemFor(rest, chosen))
  })
}

/**
 * Writes a sheet out. `each: brg` (or a list of lists) writes an item out for every one of the sheet's `lists.brg`, with
 * `{brg}`, `{brg.name}` filled in, and under the condition that one of a list carries; `{ by: brg, of: … }` settles a value by it; `inTurn: [de, nde]` on steps one after another has all of them done for the one, then all for the
 * other; `lay-{*}` in a list of references means all that was written out under that id, `part@{*}` every place of a part; `places: { count, name }` makes numbered places.
 */
export function expandSheet<S extends object>(source: S): S {
  const { lists, ...sheet } = source as unknown as Item & { lists?: Item }
  // Only a sheet that leaves something to be written out is gone through.
  if (!lists && !/"count":|\{\*\}/.test(JSON.stringify(source))) return source
  const known = (lists ?? {}) as unknown as Lists
  const families = new Map<string, string[]>()
  const out = Object.fromEntries(
    Object.entries(sheet).map(([key, value]) => {
      if (!Array.isArray(value)) return [key, value]
      const name = (id: Json, over: string[], all: Item[]) => {
        if (typeof id !== 'string') return
        const family = familyName(id, over)
        // Two lists may write out one family between them.
        families.set(family, [...new Set([...(families.get(family) ?? []), ...all.map(item => String(item.id))])])
      }
      const items = runsOf(value).flatMap((run): Json[] => {
        const [one] = run
        if (!isItem(one) || one.each === undefined) return run
        const over = [one.each].flat() as string[]
        if (one.inTurn) {
          const turns = inTurn(run as Item[], known)
          run.forEach((each, i) =>
            name(
              (each as Item).id,
              over,
              turns.map(turn => turn[i]!),
            ),
          )
          return turns.flat()
        }
        const { each: _, ...rest } = one
        const all = everyOf(over, known).map(chosen => itemFor(rest, chosen))
        name(rest.id, over, all)
        return all
      })
      return [key, items]
    }),
  ) as Item
  const parts = ((out.parts ?? []) as Item[]).map(part => withPlaces(part, known))
  const checks = (out.checks as Item[] | undefined)?.map(check => withTables(check, known))
  for (const { id, places } of parts)
    if (Array.isArray(places))
      families.set(
        `${String(id)}@{*}`,
        places.map(one => `${String(id)}@${String((one as Item).id)}`),
      )
  // An item is there once, whatever it names: only lists within it take all of many.
  const named = { left: MOST_NAMED }
  const within = (value: Json): Json =>
    Array.isArray(value) ? value.map(one => allNamed(one, families, named)) : value
  return Object.fromEntries(
    Object.entries({ ...out, parts, ...(checks ? { checks } : {}) }).map(([key, one]) => [key, within(one)]),
  ) as unknown as S
}

/** Places said for each of a list, or by their number. */
function withPlaces(part: Item, lists: Lists): Item {
  const { places } = part
  return isItem(places) ? { ...part, places: allOf(places, lists) } : part
}

/** One said for each of a list, or counted, as all of them. */
function allOf(one: Item, lists: Lists): Json {
  if (one.each === undefined) return placesOut(one)
  const { each, ...rest } = one
  const over = [each].flat() as string[]
  return everyOf(over, lists).map(chosen => itemFor({ id: `{${over[0]!}}`, ...rest }, chosen))
}

/** The places a check is read at, and the rows of its sum, said for each of a list or counted: they have names and no ids. */
function withTables(check: Item, lists: Lists): Item {
  const out = (table: Json): Json => {
    const all = isItem(table) && !isBy(table) ? allOf(table, lists) : table
    return Array.isArray(all) && all !== table
      ? all.map(one => Object.fromEntries(Object.entries(one as Item).filter(([key]) => key !== 'id')))
      : table
  }
  const { stations, sum } = check
  const rows = isItem(sum) ? sum.rows : undefined
  return {
    ...check,
    ...(isItem(stations) ? { stations: out(stations) } : {}),
    ...(isItem(sum) && isItem(rows) && !isBy(rows) ? { sum: { ...sum, rows: mapped(rows, out) } } : {}),
  }
}

/** Whether a condition holds for the chosen variants. No condition always holds. */
export const holdsFor = (when: When | undefined, variants: Variants): boolean =>
  when === undefined ||
  Object.entries(when).every(([axis, wanted]) => [wanted].flat().includes(own(variants, axis) ?? ''))

const NONE: ReadonlySet<string> = new Set()
/** What a value hangs on, by a value or by the condition of something in a list: a sheet on the shelf never changes. */
const HANGS = new WeakMap<object, ReadonlySet<string>>()
function hangsOn(value: Json): ReadonlySet<string> {
  if (typeof value !== 'object' || value === null) return NONE
  const known = HANGS.get(value)
  if (known) return known
  const within = Array.isArray(value) ? value : Object.values(value)
  const axes = new Set([
    ...(isBy(value) ? [value.by] : []),
    ...(Array.isArray(value) ? value.flatMap(one => (isItem(one) ? Object.keys(one.when ?? {}) : [])) : []),
    ...within.flatMap(one => [...hangsOn(one)]),
  ])
  const found = axes.size ? axes : NONE
  HANGS.set(value, found)
  return found
}

/** Items as they were settled, by what their axes were: most machines of a family share most of them. */
const SETTLED = new WeakMap<object, Map<string, Json>>()

/** A value with everything settled that hangs on an axis, and whatever stands in a list left out whose condition does not hold, unless all is kept. */
export function settledFor<T>(value: T, chosen: Variants, isAllKept = false): T {
  const once = (one: Json): Json => {
    if (isBy(one)) return Object.hasOwn(chosen, one.by) ? settle(own(one.of, chosen[one.by]!)) : one
    if (Array.isArray(one))
      return one
        .filter(each => isAllKept || !isItem(each) || holdsFor(each.when as When | undefined, chosen))
        .map(settle)
    return Object.fromEntries(
      Object.entries(one as Item)
        .map(([key, each]) => [key, settle(each)] as const)
        .filter(([, each]) => each !== undefined),
    )
  }
  const settle = (one: Json): Json => {
    const axes = hangsOn(one)
    if (!axes.size) return one
    if (!isItem(one) || typeof one.id !== 'string') return once(one)
    const known = SETTLED.get(one) ?? new Map<string, Json>()
    SETTLED.set(one, known)
    const key = JSON.stringify([isAllKept, ...[...axes].map(axis => own(chosen, axis))])
    if (!known.has(key)) known.set(key, once(one))
    return known.get(key)
  }
  return settle(value as Json) as T
}

/** What is left to be settled or filled in a sheet that should have nothing of it: as sentences. */
export function leftOver(value: unknown, where: string): string[] {
  const found: string[] = []
  const look = (one: Json, at: string) => {
    if (typeof one === 'string') {
      if (isAll(one)) found.push(`${at} names all of ${one}: that stands in a list, for what was written out under it`)
      else if (one.includes('{'))
        for (const [hole] of one.matchAll(HOLE)) found.push(`${at} has a hole ${hole} that nothing fills`)
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
  const sheet = withConnections(expandSheet(source as unknown as Sheet))
  return {
    ...sheet,
    checks: sheet.checks.map(one => placed(FILLED.get(one.kind)?.(one) ?? one)),
  }
}

/** Places that are written by their name alone, as places. */
const named = (value: Json): Json =>
  typeof value === 'string'
    ? { name: value }
    : Array.isArray(value)
      ? value.map(named)
      : isBy(value)
        ? { ...value, of: mapped(value.of, named) }
        : value
const mapped = (of: Item, change: (one: Json) => Json): Item =>
  Object.fromEntries(Object.entries(of).map(([key, one]) => [key, change(one)]))

const placed = (check: Check): Check =>
  check.stations
    ? { ...check, stations: named(check.stations as unknown as Json) as unknown as Check['stations'] }
    : check

/** What is asked has no unit, no limits and no gauge: its reading is the number of an answer. */
const asked = (check: Check): Check => ({
  ...check,
  unit: '1',
  decimals: 0,
  span: [0, Math.max(0, (check.choices?.length ?? 0) - 1)],
  limits: {},
  instrument: check.instrument ?? 'eye and hand',
})

/** What a sum gives is held against the spans of its own fields; where no figure stands for it, it has no unit either. */
const worked = (check: Check): Check => ({
  ...check,
  ...{ unit: check.unit ?? '1', decimals: check.decimals ?? 0, span: [-1e9, 1e9], limits: check.limits ?? {} },
})

/** A run stands for its first column, and has limits column by column. */
const ran = (check: Check): Check => {
  const columns: unknown = check.run?.columns
  const first = Array.isArray(columns) ? (columns[0] as Partial<RunColumn> | null) : null
  const shown = { unit: first?.unit ?? '1', decimals: first?.decimals ?? 0 } as const
  return { ...check, ...shown, span: [-1e9, 1e9], limits: {} }
}

/** What reading a sheet fills in, by the kind of a check. */
const FILLED: ReadonlyMap<string, (check: Check) => Check> = new Map([
  ['asked', asked],
  ['sum', worked],
  ['run', ran],
])
