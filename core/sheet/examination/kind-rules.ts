import { limitsOfClass } from '../../fits/index.ts'
import { UNITS } from '../../quantity/index.ts'
import { BENCH_SUMS } from '../../sums/bench/index.ts'
import type { Limits } from '../../verdict.ts'
import type { Plan } from '../plan.ts'
import type { Check } from '../types.ts'
import { meant } from './shape.ts'

const SUM = 'sum'

/** What a check needs for its kind, and what only that kind has. */
const KIND_NEEDS: { kind: string; field: 'between' | 'sum' | 'ask' | 'run'; words: string }[] = [
  { kind: 'clearance', field: 'between', words: 'does not say between which checks it lies' },
  { kind: SUM, field: 'sum', words: 'names no sum' },
  { kind: 'asked', field: 'ask', words: 'asks nothing' },
  { kind: 'run', field: 'run', words: 'does not say what is read, and for how long' },
]

const kindFaults = ({ kind, ...check }: Check): (string | false)[] => [
  kind !== SUM &&
    !BENCH_SUMS.has(kind) &&
    `is of kind “${kind}”, which is no way of measuring${meant(kind, [...BENCH_SUMS.keys(), SUM])}`,
  ...KIND_NEEDS.map(one =>
    one.kind === kind
      ? !check[one.field] && one.words
      : check[one.field] !== undefined && `has “${one.field}”, which only a check of kind ${one.kind} has`,
  ),
]

/** Whether limits are turned round, or their best figure lies beside them. */
export const turned = ({ min, max, best }: Limits) =>
  (min !== undefined && max !== undefined && min > max) ||
  (best !== undefined && (best < (min ?? best) || best > (max ?? best)))

/** What is read in µm goes no further, mm: more is a figure in µm, where millimetres belong. */
const MOST_MICRONS = 2

const figureFaults = ({ unit, span, limits, at, stations, planes, fit }: Check): (string | false)[] => [
  unit === 'µm' &&
    span[1] > MOST_MICRONS &&
    `is read in µm and its span reaches ${span[1]} mm: spans and limits are in the base unit`,
  span[0] > span[1] && `has a span that is turned round: ${span[0]} to ${span[1]}`,
  [limits, ...at.flatMap(one => one.limits ?? [])].some(turned) && 'has limits that are turned round',
  stations?.length === 0 && 'has a list of places with no place in it',
  planes?.length === 0 && 'has a list of planes with no plane in it',
  fit !== undefined &&
    !limitsOfClass(fit.nominalMm, fit.shaft).ok &&
    `has no such fit as ${fit.nominalMm} ${fit.shaft}`,
]

/** Kinds of checks that are read in each place by itself. */
const AT_PLACES: ReadonlySet<string> = new Set(['single', 'endFloat', 'lift', 'runout'])

/** Alike are the places of one check, and there are several. */
const alikeFaults = ({ kind, alike, stations = [] }: Check): (string | false)[] =>
  alike
    ? [
        !AT_PLACES.has(kind) &&
          `is ${kind}, and says how alike its places are: that is of ${[...AT_PLACES].join(', ')}`,
        stations.length < 2 && 'says how alike its places are, and has one',
        !(alike.within > 0) && `has places alike within ${alike.within}: give a share, such as 0.05`,
      ]
    : []

/** A clearance lies between two things of one kind of unit. */
const betweenFaults = ({ checks }: Plan, { between, unit }: Check): (string | false)[] =>
  Object.values(between ?? {}).map(id => {
    const other = checks.get(id)
    return other !== undefined && UNITS[other.unit].kind !== UNITS[unit].kind && `is in ${unit}, and ${id} is not`
  })

/** What is wrong with a check for its kind, and with its figures, as sentences. */
export const kindRules = (plan: Plan): string[] =>
  plan.sheet.checks.flatMap(check =>
    [...kindFaults(check), ...figureFaults(check), ...alikeFaults(check), ...betweenFaults(plan, check)].flatMap(why =>
      why ? [`check ${check.id} ${why}`] : [],
    ),
  )
