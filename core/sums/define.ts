import type { LiftStyle, RowKind } from '../gauging/index.ts'
import { fixed } from '../quantity/index.ts'
import { accept, refuse, type Result } from '../result.ts'
import { holdAgainst, worstVerdict, type Held, type Verdict, type WorkingLine } from '../verdict.ts'
import type { Fields, Input } from './fields.ts'

export const CRAFTS = [
  'gauging',
  'fits',
  'rollers',
  'sleeves',
  'press',
  'alignment',
  'drives',
  'clearances',
  'joints',
  'seals',
  'stacks',
  'marks',
  'rigging',
  'baths',
  'proving',
] as const
export type Craft = (typeof CRAFTS)[number]

/** One figure of an answer, in the unit its key names. */
export interface Figure {
  key: string
  what: string
  value: number | string | boolean | null
  unit?: string
  decimals?: number
  /** A share that people read in per cent (the wire keeps the share), or a figure that keeps its unit in inches too. */
  as?: 'percent' | 'written'
  held?: Held
  /** Where it was read, of what is judged place by place; see `cellKey`. */
  at?: string
}

/** One of several usual ways where people disagree: what it gives and why it is done so. */
export interface School {
  name: string
  gives: string
  why: string
  chosen?: boolean
}

export interface Answer {
  figures: Figure[]
  /** The figure that was asked for, where it is none that is judged: said first, and large. */
  main?: string
  working: WorkingLine[]
  notes?: string[]
  schools?: School[]
  /** Lists and tables beside the figures, by their key. */
  more?: Record<string, unknown>
  /** What a build sheet's reading would hold, in base units, where it is not simply the first figure. */
  reading?: {
    row: RowKind
    tries: number[][]
    style?: LiftStyle
  }
}

/** Told how far a long computation is, 0 to 1. */
export type Progress = (share: number) => void

export interface Sum<F extends Fields = Fields> {
  /** As it is asked for over the wire and in the shell. */
  name: string
  craft: Craft
  title: string
  /** One line: what it is for. */
  about: string
  /** Standard or textbook the rule comes from. */
  source: string
  fields: F
  /** A worked example, drawn when the page opens. */
  example: Input<F>
  /** Elementary steps an input takes, for a sum that can run long: it is kept off the interface thread, and budgeted on the server. */
  cost?: (input: Input<F>) => number
  work: (input: Input<F>, progress?: Progress) => Result<Answer>
}

/** A sum of any fields; what crosses the wire has been held against them first. */
export type AnySum = Omit<Sum, 'example' | 'work' | 'cost'> & {
  example: Record<string, unknown>
  /** A way of measuring: it works out what has been read so far, in the check's base unit. */
  bench?: true
  cost?: (input: never) => number
  work: (input: never, progress?: Progress) => Result<Answer>
}

/** Steps an input takes; one where the sum never runs long. */
export const costOf = (sum: AnySum, input: unknown): number => sum.cost?.(input as never) ?? 1

/** Steps that a sum may take on a build sheet, where it can run long: it is worked out again and again as a job goes on. */
export const MOST_STEPS = 500_000

export function defineSum<const F extends Fields>(sum: Sum<F>): AnySum {
  return sum as unknown as AnySum
}

/** The worst verdict of what was held; null where nothing is judged. */
export function verdictOf(answer: Answer): Verdict | null {
  const held = answer.figures.flatMap(one => one.held?.verdict ?? [])
  return held.length ? worstVerdict(held) : null
}

const isSound = (value: unknown): boolean =>
  typeof value === 'number'
    ? Number.isFinite(value)
    : !value || typeof value !== 'object' || Object.values(value).every(isSound)

const TWINS = [
  ['min', 'max'],
  ['least', 'greatest'],
  ['Least', 'Greatest'],
] as const

/** A least above its greatest is a slip in every sum alike: the sentence that says so, or null. */
function turnedRound(sum: AnySum, input: Record<string, unknown>): string | null {
  for (const [low, high] of TWINS) {
    const key = Object.keys(input).find(
      one => one.includes(low) && Number(input[one]) > Number(input[one.replace(low, high)]),
    )
    if (key)
      return `“${sum.fields[key]?.label ?? key}” is above “${sum.fields[key.replace(low, high)]?.label ?? 'its maximum'}”. Change them round.`
  }
  return null
}

/** Limits that were typed while what they limit was not: a figure that stays Open and names both, or nothing. */
function notGiven({ fields }: AnySum, input: Record<string, unknown>): Figure[] {
  const label = (key: string) => fields[key]?.label ?? key
  const asked = Object.keys(fields).flatMap(limit =>
    input[limit] === undefined
      ? []
      : (fields[limit]!.of ?? []).filter(key => input[key] === undefined).map(key => ({ limit, key })),
  )
  if (!asked.length) return []
  const words = asked.map(({ limit, key }) => `“${label(key)}”, which “${label(limit)}” asks for`)
  const held = holdAgainst(Number.NaN, {}, 'a limit was typed without what it limits')
  return [{ key: 'notGiven', what: 'Not given', value: words.join('; '), held }]
}

/** An input with its names as they are read: “1 ” is the place 1, however many blanks were typed. */
function tidied(fields: Fields, given: Record<string, unknown>): Record<string, unknown> {
  return Object.fromEntries(
    Object.entries(given).map(([key, value]) => {
      const field = fields[key]
      if (field?.type === 'text' && typeof value === 'string') return [key, value.trim().replace(/\s+/g, ' ')]
      return field?.type === 'rows' && Array.isArray(value)
        ? [key, value.map(row => tidied(field.columns, row as Record<string, unknown>))]
        : [key, value]
    }),
  )
}

/**
 * Works a sum out. An input that leads to no finite figure is refused, so that nothing ever shows NaN or Infinity.
 * The input must fit the sum's fields; what crosses a boundary is held against them before.
 */
export function runSum(sum: AnySum, given: unknown, progress?: Progress): Result<Answer> {
  const input = tidied(sum.fields, given as Record<string, unknown>)
  const turned = turnedRound(sum, input)
  if (turned) return refuse(turned)
  const answer = sum.work(input as never, progress)
  if (answer.ok && !isSound([answer.value.figures.map(one => one.value), answer.value.more]))
    return refuse(
      `These figures give no answer to “${sum.title}”. Check them: one of them is too large, too small or zero.`,
    )
  const open = answer.ok ? notGiven(sum, input) : []
  return answer.ok && open.length ? accept({ ...answer.value, figures: [...answer.value.figures, ...open] }) : answer
}

/** An answer as it goes over the wire: figures by key, lists, verdict, what was judged, and the working. */
export function toWire(answer: Answer): Record<string, unknown> {
  const verdict = verdictOf(answer)
  const judged = answer.figures.flatMap(({ key, held }) =>
    held
      ? [
          {
            key,
            verdict: held.verdict,
            share: held.share,
            side: held.side,
            limits: held.limits,
            source: held.source,
            consequence: held.consequence,
            ...(held.would ? { would: held.would } : {}),
          },
        ]
      : [],
  )
  return {
    ...Object.fromEntries(answer.figures.map(one => [one.key, one.value])),
    ...answer.more,
    ...(verdict ? { verdict, judged } : {}),
    working: answer.working,
    ...(answer.notes?.length ? { notes: answer.notes } : {}),
    ...(answer.schools?.length ? { schools: answer.schools } : {}),
  }
}

/** One figure of an answer, in one line. */
export const fig = (
  key: string,
  what: string,
  value: Figure['value'],
  unit?: string,
  decimals?: number,
  held?: Held,
): Figure => ({
  key,
  what,
  value,
  ...(unit ? { unit } : {}),
  ...(decimals === undefined ? {} : { decimals }),
  ...(held ? { held } : {}),
})

/** A number for a working: no more figures than say something. */
export function say(value: number, decimals = 3): string {
  return fixed(value, decimals)
    .replace(/(\.\d*?)0+$/, '$1')
    .replace(/\.$/, '')
}

/** A line of a working; a figure below nought that follows an operator is put in brackets, as one writes it. */
export const line = (what: string, rule: string, sum: string, gives: string): WorkingLine => ({
  what,
  rule,
  sum: sum.replace(/([−+·/] ?)(-\d[\d.]*)/g, '$1($2)'),
  gives,
})

/** Carries a result into an answer; a refusal goes through. */
export function answering<T>(result: Result<T>, make: (value: T) => Answer): Result<Answer> {
  return result.ok ? accept(make(result.value)) : result
}
