import { isUnit, UNITS } from '../../quantity/index.ts'
import { costOf, MOST_STEPS, runSum, type AnySum } from '../../sums/define.ts'
import type { Field } from '../../sums/fields.ts'
import { NO_LIMIT } from '../../sums/limits.ts'
import { ALL, fromOf, LAST } from '../from.ts'
import type { Plan } from '../plan.ts'
import { MOMENTS, type Check, type SumOf } from '../types.ts'

/** Why a value that a sheet fixes is none for its field; null when it is. */
function unfit(field: Field, value: unknown): string | null {
  const inSpan = (one: unknown) =>
    typeof one === 'number' && 'span' in field && one >= field.span[0] && one <= field.span[1]
  switch (field.type) {
    case 'number':
      return inSpan(value) && (!field.whole || Number.isInteger(value)) ? null : 'is no figure it can take'
    case 'list':
      return Array.isArray(value) && value.every(inSpan) && value.length >= field.least && value.length <= field.most
        ? null
        : `takes ${field.least} to ${field.most} figures`
    case 'choice':
      return field.choices.includes(value as string) ? null : `is one of ${field.choices.join(', ')}`
    case 'many':
      return Array.isArray(value) && value.every(one => field.choices.includes(one as string))
        ? null
        : `is some of ${field.choices.join(', ')}`
    case 'flag':
      return typeof value === 'boolean' ? null : 'is yes or no'
    case 'text':
      return typeof value === 'string' ? null : 'is a text'
    case 'rows':
      return Array.isArray(value) && value.length >= field.least && value.length <= field.most
        ? (value
            .flatMap(row =>
              Object.entries(row as object).map(([column, one]) =>
                field.columns[column] ? unfit(field.columns[column], one) : `has no column ${column}`,
              ),
            )
            .find(Boolean) ?? null)
        : `takes ${field.least} to ${field.most} rows`
  }
}

type Fault = string | null | false | undefined

const givenFaults = (sum: AnySum, { given = {} }: SumOf): Fault[] =>
  Object.entries(given).map(([key, value]) => {
    const field = sum.fields[key]
    if (!field) return `fixes ${key}, which ${sum.name} does not take`
    const why = unfit(field, value)
    return why && `fixes ${key}, which ${why}`
  })

const rowFaults = (sum: AnySum, { rows = {}, given, from }: SumOf): Fault[] => [
  ...Object.entries(rows).flatMap(([key, places]): Fault[] => {
    const field = sum.fields[key]
    if (field?.type !== 'rows' && field?.type !== 'list')
      return [`has rows for ${key}, which ${sum.name} does not take so`]
    return [
      (places.length < field.least || places.length > field.most) &&
        `has ${places.length} rows for ${key}, which takes ${field.least} to ${field.most}`,
      ...places.flatMap(({ name, of: _, ...fixed }): Fault[] =>
        Object.entries(fixed).map(([column, value]) => {
          const as = field.type === 'rows' ? field.columns[column] : undefined
          const why = as ? unfit(as, value) : `is not in ${sum.name}`
          return why && `fixes ${column} of ${name}, which ${why}`
        }),
      ),
    ]
  }),
  ...Object.entries(sum.fields).map(
    ([key, field]): Fault =>
      (field.type === 'rows' || (field.type === 'list' && !field.ticked)) &&
      !field.optional &&
      !rows[key] &&
      !given?.[key] &&
      !from?.[key] &&
      `does not say the rows of ${key}`,
  ),
]

type Figures = ReadonlyMap<string, string | undefined>
const FIGURES = new WeakMap<AnySum, Figures>()
/** Figures of a sum that can be looked at, by their keys, with their units: as its example gives them. */
function figuresOf(sum: AnySum): Figures {
  const known = FIGURES.get(sum)
  if (known) return known
  const made = runSum(sum, sum.example)
  const figures: Figures = new Map(
    made.ok ? made.value.figures.flatMap(one => (typeof one.value === 'number' ? [[one.key, one.unit]] : [])) : [],
  )
  FIGURES.set(sum, figures)
  return figures
}

const kindOf = (unit: string | undefined) => UNITS[unit !== undefined && isUnit(unit) ? unit : '1'].kind

/** The figures that a way of measuring gives, with their units: of a run that goes one way, each of its columns. */
const givenBy = ({ unit, run, stations = [] }: Check): [string, string][] =>
  run
    ? run.columns.flatMap(one => (run.ways ? [] : [[one.id, one.unit]]))
    : ['value', 'least', 'greatest', ...stations.flatMap(one => [one.name, ALL])].map(one => [one, unit])

/** The figures a check gives, with their units; of what an earlier job left only its value, and what each place read. */
const figuresFrom = (check: Check, behind: AnySum | undefined): Figures =>
  behind ? figuresOf(behind) : new Map(check.sum ? [] : givenBy(check))

function fromFaults({ checks, steps, sums }: Plan, sum: AnySum, { from = {} }: SumOf): Fault[] {
  return Object.entries(from).flatMap(([key, text]): Fault[] => {
    const field = sum.fields[key]
    const read = fromOf(text)
    if (!read) return [`takes ${key} from “${text}”, which names no check@moment.figure`]
    const { of, at, figure } = read
    if (field?.type !== (figure === ALL ? 'list' : 'number'))
      return [`takes ${key} from elsewhere, which is no ${figure === ALL ? 'list' : 'figure'} of ${sum.name}`]
    if (of === 'mass') return [!steps.has(at) && `takes ${key} from the mass of an unknown step ${at}`]
    const other = checks.get(of)
    if (!other) return [`takes ${key} from an unknown check ${of}`]
    const moment = MOMENTS.find(one => one === at)
    const reached = moment && other.at.some(one => MOMENTS.indexOf(one.moment) <= MOMENTS.indexOf(moment))
    if (!reached && at !== LAST) return [`takes ${key} from ${of} at ${at}, where it is not read yet`]
    const behind = other.sum && sums.get(other.sum.name)
    const known = figuresFrom(other, at === LAST ? undefined : behind)
    if (figure !== 'value' && !known.has(figure)) return [`takes ${key} from ${of}.${figure}, which it does not give`]
    return [
      kindOf(known.get(figure) ?? other.unit) !== UNITS[field.unit].kind &&
        `takes ${key} from ${of}, which is of another kind`,
    ]
  })
}

/**
 * What the bench would put into a sum for this check, with the figures of its example where a gauge has to give them. What
 * may be left out and is neither fixed nor asked for stays out: a limit of the example limits nobody's machine.
 */
function asAtBench({ fields, example }: AnySum, { given = {}, rows = {}, from = {}, also = [] }: SumOf) {
  const isRead = (key: string) => {
    const { maker, of, optional, fallback } = fields[key]!
    const isAsked = !optional && fallback === undefined
    return !maker && !of && (isAsked || also.includes(key) || Object.hasOwn(from, key))
  }
  const read = Object.entries(example)
    .filter(([key]) => isRead(key) || Object.hasOwn(rows, key))
    .map(([key, value]): [string, unknown] => {
      const field = fields[key]!
      if (field.type !== 'rows') return [key, value]
      const shown = (value as Record<string, unknown>[]).map(row =>
        Object.fromEntries(Object.entries(row).filter(([column]) => !field.columns[column]!.optional)),
      )
      const fixed = rows[key]?.map(({ of: _, ...row }, i) => ({ ...shown[i % shown.length], ...row }))
      return [key, fixed ?? shown]
    })
  const usual = Object.entries(fields).flatMap(([key, { fallback }]) =>
    fallback === undefined ? [] : [[key, fallback]],
  )
  return { ...Object.fromEntries(usual), ...Object.fromEntries(read), ...given }
}

const JUDGES = new WeakMap<AnySum, Map<string, boolean>>()
/** Whether a sum judges by itself what the bench would put into it: by a standard, or by what the sheet fixes of it. */
function judges(sum: AnySum, spec: SumOf): boolean {
  const input = asAtBench(sum, spec)
  const known = JUDGES.get(sum) ?? new Map<string, boolean>()
  JUDGES.set(sum, known)
  const key = JSON.stringify(input)
  const before = known.get(key)
  if (before !== undefined) return before
  const made = runSum(sum, input)
  const found = made.ok && made.value.figures.some(one => one.held && one.held.source !== NO_LIMIT)
  known.set(key, found)
  return found
}

function limitFaults(sum: AnySum, { limits, sum: spec, noLimits }: Check): Fault[] {
  const ends = new Set(Object.values(sum.fields).flatMap(one => one.maker ?? []))
  const given = (['min', 'max'] as const).filter(end => limits[end] !== undefined)
  return [
    ...given.filter(end => !ends.has(end)).map(end => `has a ${end}, and ${sum.name} takes none: fix it in given`),
    !given.length && !noLimits && !judges(sum, spec!) && 'has no limits and does not say why',
  ]
}

/** Whether a sum may run long with what the sheet fixes of it, were the rest as in its example. */
const takesLong = (sum: AnySum, spec: SumOf): boolean =>
  sum.cost !== undefined && costOf(sum, asAtBench(sum, spec)) > MOST_STEPS

/** What stands for it over the years is one of its figures, in the unit of the check. */
function trendFault(sum: AnySum, { trend }: SumOf, { unit, life }: Check): Fault {
  if (trend === undefined) return life && 'is looked at for wear, and no figure stands for it: name its trend'
  if (!figuresOf(sum).has(trend)) return `looks at ${trend} over the years, which ${sum.name} does not give`
  return kindOf(figuresOf(sum).get(trend)) !== UNITS[unit].kind && `is in ${unit}, and ${trend} is not`
}

/** What is wrong with a check that is worked out by a sum; sentences without the check's own name. */
function sumFaults(plan: Plan, check: Check): Fault[] {
  const spec = check.sum
  if (!spec) return []
  const sum = plan.sums.get(spec.name)
  if (!sum) return [`is worked out by an unknown sum ${spec.name}`]
  return [
    takesLong(sum, spec) &&
      `is worked out by ${sum.name}, which may run long: a sheet takes what is worked out at once`,
    ...givenFaults(sum, spec),
    ...rowFaults(sum, spec),
    ...fromFaults(plan, sum, spec),
    ...(spec.also ?? []).map(key => !sum.fields[key] && `asks for ${key}, which ${sum.name} does not take`),
    trendFault(sum, spec, check),
    ...limitFaults(sum, check),
  ]
}

/** Checks that a check is worked out from. */
const behind = (check: Check): string[] => [
  ...(check.between ? [check.between.outer, check.between.inner] : []),
  ...Object.values(check.sum?.from ?? {}).map(text => text.split('@')[0]!),
]

function isCircular({ checks }: Plan, start: string): boolean {
  const seen = new Set<string>()
  const walk = (id: string): boolean =>
    behind(checks.get(id) ?? ({} as Check)).some(
      one => one === start || (!seen.has(one) && Boolean(seen.add(one)) && walk(one)),
    )
  return walk(start)
}

/** What a step shows of what was worked out before it is a figure that is there by then. */
export const shownRules = ({ sheet, checks, sums }: Plan): string[] =>
  sheet.steps.flatMap(({ id, shows = [] }) =>
    shows.flatMap(text => {
      const read = fromOf(text)
      const check = read && checks.get(read.of)
      if (!check || !check.at.some(one => one.moment === read.at))
        return [`step ${id} shows “${text}”, which names no check@moment.figure of this sheet`]
      return figuresFrom(check, check.sum && sums.get(check.sum.name)).has(read.figure)
        ? []
        : [`step ${id} shows ${text}, a figure that ${check.id} does not work out`]
    }),
  )

/** What is wrong with the checks of a sheet that sums work out, as sentences that name check and place. */
export const sumRules = (plan: Plan): string[] =>
  plan.sheet.checks.flatMap(check => [
    ...(check.kind === 'sum' ? sumFaults(plan, check).flatMap(why => (why ? [`check ${check.id} ${why}`] : [])) : []),
    ...(isCircular(plan, check.id) ? [`check ${check.id} is worked out from itself`] : []),
  ])
