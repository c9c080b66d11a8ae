import type { SheetFrame } from '../types.ts'
import { shapeFaults } from './shape.ts'

/** What one sheet may hold: many times what the largest machine needs, and little enough to be looked through at once. */
const MOST = { values: 60_000, letters: 1_000_000, depth: 24, places: 200, combinations: 250 }

/** Collections of a sheet, by the word for one of them. */
export const COLLECTIONS = {
  assembly: 'assemblies',
  part: 'parts',
  mate: 'mates',
  check: 'checks',
  look: 'looks',
  complaint: 'complaints',
  cause: 'causes',
  joint: 'joints',
  step: 'steps',
  loop: 'loops',
  set: 'sets',
  kit: 'kits',
} as const

const grouped = (n: number) => n.toLocaleString('en-GB')

/** Why a value is too large, too deep or goes round in a circle; null when it can be looked through. Whatever it is, this ends. */
export function tooMuch(source: unknown): string | null {
  let values = 0
  let letters = 0
  let found: string | null = null
  const place: string[] = []
  const look = (value: unknown): void => {
    if (found) return
    if (++values > MOST.values) found = `the sheet holds more than ${grouped(MOST.values)} values`
    else if (place.length > MOST.depth)
      found = `${place.slice(0, 3).join(' ')} goes more than ${MOST.depth} deep, or round in a circle`
    else if (typeof value === 'string' && (letters += value.length) > MOST.letters)
      found = `${place.join(' ') || 'the sheet'} makes the sheet longer than ${grouped(MOST.letters)} letters`
    else if (typeof value === 'object' && value !== null)
      for (const [key, one] of Object.entries(value)) {
        place.push(Array.isArray(value) ? String(Number(key) + 1) : key)
        look(one)
        place.pop()
      }
  }
  look(source)
  return found
}

const nodesIn = (value: unknown): number =>
  typeof value === 'object' && value !== null ? Object.values(value).reduce<number>((n, one) => n + nodesIn(one), 1) : 1

/** How often an item or its places are written out by the lists they name, or which of those is none. */
function timesOf(each: unknown, lists: SheetFrame['lists']): number | { unknown: string } {
  let times = 1
  for (const name of each === undefined ? [] : [each].flat()) {
    if (typeof name !== 'string' || !Object.hasOwn(lists ?? {}, name))
      return { unknown: typeof name === 'string' ? name : 'what is no name' }
    times *= lists![name]!.length
  }
  return times
}

/** What keeps a step from being done in turn: the order names every one of its list once. */
function turnFaults({ id, each, inTurn }: SheetFrame['steps'][number], lists: SheetFrame['lists']): string[] {
  if (inTurn === undefined) return []
  if (typeof each !== 'string') return [`step ${id} is done in turn, and is not written for each of one list`]
  const of = lists![each]!.map(one => one.id)
  return Array.isArray(inTurn) && inTurn.length === of.length && of.every(one => inTurn.includes(one))
    ? []
    : [`step ${id} is done in turn: name each of ${of.join(', ')} once, in their order`]
}

/** What keeps places that are said for each of a list, or counted, from being written out. */
function placesFaults(where: string, places: unknown, lists: SheetFrame['lists']): string[] {
  const { each, count, name } = (typeof places === 'object' ? (places ?? {}) : {}) as Record<string, unknown>
  if (each !== undefined) {
    const times = timesOf(each, lists)
    return typeof times === 'number' ? [] : [`${where} has places for each of ${times.unknown}, which is no list`]
  }
  if (count === undefined) return [`${where} places is neither a list, nor for each of one, nor counted`]
  return [
    ...(Number.isInteger(count) && Number(count) >= 1 && Number(count) <= MOST.places
      ? []
      : [`${where} has ${String(count)} places: 1 to ${MOST.places} can be counted`]),
    ...(typeof name === 'string' ? [] : [`${where} does not say how its counted places are called`]),
  ]
}

const partFaults = ({ id, places }: SheetFrame['parts'][number], lists: SheetFrame['lists']): string[] =>
  places === undefined
    ? []
    : Array.isArray(places)
      ? places.flatMap((one, i) => shapeFaults('Outline', one, `part ${id} places ${i + 1}`))
      : placesFaults(`part ${id}`, places, lists)

const isItem = (one: unknown): one is Record<string, unknown> =>
  typeof one === 'object' && one !== null && !Array.isArray(one)

/** The places of a check and the rows of its sum that are said for each of a list, or counted. */
const tablesOf = ({ stations, sum }: SheetFrame['checks'][number]): Record<string, unknown>[] => {
  const rows = isItem(sum) && isItem(sum.rows) ? Object.values(sum.rows) : []
  return [stations, ...rows].filter(isItem).filter(one => one.each !== undefined || one.count !== undefined)
}

/** What keeps a sheet, whatever it is, from being written out: sentences that name the place. Empty when it can be. */
export function frameFaults(source: unknown): string[] {
  const much = tooMuch(source)
  if (much) return [much]
  const faults = shapeFaults('SheetFrame', source, 'the sheet')
  if (faults.length) return faults
  const sheet = source as SheetFrame
  const items = Object.entries(COLLECTIONS).flatMap(([word, key]) =>
    (sheet[key] ?? []).map(item => ({ item, where: `${word} ${item.id}`, times: timesOf(item.each, sheet.lists) })),
  )
  const found = [
    ...items.flatMap(({ where, times }) =>
      typeof times === 'number' ? [] : [`${where} is written for each of ${times.unknown}, which is no list`],
    ),
    ...sheet.parts.flatMap(part => partFaults(part, sheet.lists)),
    ...sheet.checks.flatMap(check =>
      tablesOf(check).flatMap(one => placesFaults(`check ${check.id}`, one, sheet.lists)),
    ),
  ]
  if (found.length) return found
  const turned = sheet.steps.flatMap(step => turnFaults(step, sheet.lists))
  if (turned.length) return turned
  const timesIn = ({ each, count = 1 }: Record<string, unknown>) =>
    each === undefined ? Number(count) : Number(timesOf(each, sheet.lists))
  const placesOf = (item: SheetFrame['parts'][number]) =>
    Math.max(1, ...[...(isItem(item.places) ? [item.places] : []), ...tablesOf(item)].map(timesIn))
  const written = items.reduce((n, { item, times }) => n + nodesIn(item) * Number(times) * placesOf(item), 0)
  return written > MOST.values
    ? [`the sheet, written out for each of its lists, holds more than ${grouped(MOST.values)} values`]
    : []
}

/** What keeps a sheet from being looked at in every variant; empty when it can be. */
export const combinationFaults = (combinations: number): string[] =>
  combinations > MOST.combinations
    ? [
        `the sheet’s axes hang together in ${grouped(combinations)} ways, and ${MOST.combinations} are the most that can be examined`,
      ]
    : []
