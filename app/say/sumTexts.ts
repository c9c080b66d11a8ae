import { fromBase, toBase, type UnitName } from '~~/core/quantity'
import { refuse, accept, type Result } from '~~/core/result'
import type { Field, Fields, NumberField } from '~~/core/sums'
import { inSentence, readNumber, shownUnit } from '~~/core/sums/read'

export { inSentence, readNumber, shownUnit }

/** What stands in a field as it was typed: kept whatever it says. */
export type Text = string | boolean | string[] | Texts[]
export interface Texts {
  [key: string]: Text
}

export type Lengths = 'mm' | 'inch'
/**
 * A figure of a field as text in the unit the screen shows. In the other unit it has as many figures as read back to the very
 * same value: switching to inches and back changes no answer.
 */
export function writeNumber(value: number, unit: UnitName, lengths: Lengths): string {
  const shown = shownUnit(unit, lengths)
  return String(
    shown === unit ? Number(value.toPrecision(12)) : Number(fromBase(toBase(value, unit), shown).toPrecision(15)),
  )
}

/** What a field shows of its text: a tail of figures that nobody typed is left off, and kept behind. */
export const neat = (text: string): string =>
  /^-?\d+\.\d{7,}$/.test(text) ? String(Number(Number(text).toPrecision(6))) : text

export type Reading = { state: 'value'; value: unknown } | { state: 'empty' } | { state: 'wrong'; why: string }

const value = (one: unknown): Reading => ({ state: 'value', value: one })

/** What a field's text says. */
export function readField(field: Field, text: Text | undefined, lengths: Lengths): Reading {
  const blank = text === undefined || text === '' || (Array.isArray(text) && text.length === 0)
  if (blank) return field.type === 'flag' ? value(false) : { state: 'empty' }
  switch (field.type) {
    case 'flag':
      return value(text === true)
    case 'many':
      return value(text)
    case 'choice':
    case 'text':
      return value(text)
    case 'number': {
      const read = readNumber(text as string, field, lengths)
      if (!read.ok) return { state: 'wrong', why: read.why }
      return field.whole && !Number.isInteger(read.value)
        ? { state: 'wrong', why: `${field.label} is a whole number. Count again.` }
        : value(read.value)
    }
    case 'list': {
      const read = (text as string[]).filter(one => one !== '').map(one => readNumber(one, field, lengths))
      const bad = read.find(one => !one.ok)
      if (bad && !bad.ok) return { state: 'wrong', why: bad.why }
      if (read.length < field.least)
        return { state: 'wrong', why: `${field.label}: ${field.least} wanted, ${read.length} given.` }
      return value(read.flatMap(one => (one.ok ? [one.value] : [])))
    }
    case 'rows': {
      const rows: Record<string, unknown>[] = []
      for (const row of text as Texts[]) {
        const read = readFields(field.columns, row, lengths)
        if (!read.ok) return { state: 'wrong', why: read.why }
        rows.push(read.value)
      }
      return rows.length < field.least
        ? { state: 'wrong', why: `${field.label}: at least ${field.least} wanted.` }
        : value(rows)
    }
  }
}

/** All fields together as the input of a sum; the first that is missing or wrong says so. */
export function readFields(fields: Fields, texts: Texts, lengths: Lengths): Result<Record<string, unknown>> {
  const input: Record<string, unknown> = {}
  for (const [key, field] of Object.entries(fields)) {
    const read = readField(field, texts[key], lengths)
    if (read.state === 'wrong') return refuse(read.why)
    if (read.state === 'value') input[key] = read.value
    else if (field.fallback !== undefined) input[key] = field.fallback
    else if (!field.optional) return refuse(`Still wanted: ${inSentence(field.label)}.`)
  }
  return accept(input)
}

/** An input of a sum as texts for its fields. */
export function writeFields(fields: Fields, input: Record<string, unknown>, lengths: Lengths): Texts {
  return Object.fromEntries(Object.entries(fields).map(([key, field]) => [key, writeField(field, input[key], lengths)]))
}

function writeField(field: Field, one: unknown, lengths: Lengths): Text {
  switch (field.type) {
    case 'flag':
      return one === true
    case 'number':
      return typeof one === 'number' ? writeNumber(one, field.unit, lengths) : ''
    case 'list':
      return Array.isArray(one) ? one.map(each => writeNumber(Number(each), field.unit, lengths)) : []
    case 'many':
      return Array.isArray(one) ? one.map(String) : []
    case 'rows':
      return Array.isArray(one)
        ? one.map(row => writeFields(field.columns, row as Record<string, unknown>, lengths))
        : []
    default:
      return one === undefined || one === null ? '' : String(one)
  }
}

/**
 * Texts carried over to the other system of lengths, figure by figure: what can be read keeps its size, what cannot stays as
 * it was typed. A half-filled page must not turn 60 mm into 60 in.
 */
export function carryOver(fields: Fields, texts: Texts, from: Lengths, to: Lengths): Texts {
  const figure = (text: string, field: Pick<NumberField, 'unit' | 'span' | 'label'>) => {
    const read = text === '' ? null : readNumber(text, field, from)
    return read?.ok ? writeNumber(read.value, field.unit, to) : text
  }
  return Object.fromEntries(
    Object.entries(texts).map(([key, text]): [string, Text] => {
      const field = fields[key]
      if (field?.type === 'number') return [key, figure(text as string, field)]
      if (field?.type === 'list') return [key, (text as string[]).map(one => figure(one, field))]
      if (field?.type === 'rows') return [key, (text as Texts[]).map(row => carryOver(field.columns, row, from, to))]
      return [key, text]
    }),
  )
}

/** An input as the query of an address: plain figures as they are, lists and rows as JSON. */
export function toQuery(input: Record<string, unknown>): Record<string, string> {
  return Object.fromEntries(
    Object.entries(input).flatMap(([key, one]) =>
      one === undefined ? [] : [[key, typeof one === 'object' ? JSON.stringify(one) : String(one)]],
    ),
  )
}

/** An address's query as texts; what does not fit a field is shown as it stands, to be mended. */
export function fromQuery(fields: Fields, query: Record<string, string>, lengths: Lengths): Texts {
  const input = Object.fromEntries(
    Object.entries(fields).flatMap(([key, field]) => {
      const text = query[key]
      if (text === undefined) return []
      if (field.type === 'number')
        return [[key, text.trim() !== '' && Number.isFinite(Number(text)) ? Number(text) : undefined]]
      if (field.type === 'flag') return [[key, text === 'true']]
      if (field.type === 'choice') return field.choices.includes(text) ? [[key, text]] : []
      if (field.type === 'text') return [[key, text.slice(0, field.most)]]
      return [[key, listFrom(text, field)]]
    }),
  )
  return writeFields(fields, input, lengths)
}

function listFrom(text: string, field: Field & { type: 'list' | 'many' | 'rows' }): unknown {
  let list: unknown
  try {
    list = JSON.parse(text)
  } catch {
    return undefined
  }
  if (!Array.isArray(list)) return undefined
  if (field.type === 'many') return list.filter(one => field.choices.includes(one as string))
  if (field.type === 'list') return list.filter(one => Number.isFinite(one)).slice(0, field.most)
  return list.filter(one => one && typeof one === 'object').slice(0, field.most)
}
