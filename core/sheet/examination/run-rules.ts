import { UNITS } from '../../quantity/index.ts'
import { minutesOf, MOST_ROWS } from '../../sums/bench/run.ts'
import { durationMs } from '../duration.ts'
import type { Plan } from '../plan.ts'
import type { Check, Run, RunColumn } from '../types.ts'
import { turned } from './kind-rules.ts'

type Fault = string | false

const twice = (words: readonly string[]) => words.find((one, i) => words.indexOf(one) !== i)

function timeFaults(run: Run): Fault[] {
  const { for: whole, every, ways = [''] } = run
  const { whole: length, every: step } = minutesOf(run)
  const rows = (Math.floor(length / step) + 1) * ways.length
  return [
    !length && 'runs for no time',
    (!step || step % 1 > 0) && `is read every ${every}: say whole minutes`,
    step > length && `is read every ${every}, and runs for ${whole}`,
    rows > MOST_ROWS && `has ${rows} rows, and a run takes ${MOST_ROWS}: read it at longer intervals`,
    twice(ways) !== undefined && `goes the way “${twice(ways)}” twice`,
    !ways.length && 'goes no way: leave the ways out, or name one',
    ...ways.map(way => /,|^\d/.test(way) && `goes the way “${way}”: leave out the comma, and begin with a word`),
  ]
}

function columnFaults({ columns, for: whole }: Run, check: Check, { id, rise, ...column }: RunColumn): Fault[] {
  const under = columns.find(one => one.id === rise?.over)
  const { span, limits = {}, steady, of = [] } = column
  return [
    id === 'name' && 'has a column “name”: that is what its rows are called',
    span[0] > span[1] && `has a span that is turned round in ${id}: ${span[0]} to ${span[1]}`,
    turned(limits) && `has limits that are turned round in ${id}`,
    rise?.over === id && `holds ${id} over itself`,
    rise !== undefined && !under && `holds ${id} over an unknown column ${rise.over}`,
    under !== undefined &&
      UNITS[under.unit].kind !== UNITS[column.unit].kind &&
      `holds ${id} over ${under.id}, which is of another kind`,
    steady !== undefined && !(steady.perHour > 0) && `has ${id} steady at no rate an hour`,
    steady?.over !== undefined &&
      durationMs(steady.over) > durationMs(whole) &&
      `has ${id} steady over ${steady.over}, and runs for ${whole}`,
    ...of.map(ref => !check.of.includes(ref) && `reads ${ref} in ${id}, which it does not tell of`),
  ]
}

/** What a run says column by column, and the check not for all of them. */
const OF_COLUMNS = ['stations', 'planes', 'tries', 'sweep', 'fit', 'wears', 'above', 'noLimits'] as const

function runFaults(check: Check, run: Run): Fault[] {
  const { columns } = run
  const told = new Set(columns.flatMap(one => one.of ?? check.of))
  return [
    ...timeFaults(run),
    ...columns.flatMap(one => columnFaults(run, check, one)),
    ...[twice(columns.map(one => one.id))].map(id => id !== undefined && `has the column ${id} twice`),
    ...[twice(columns.map(one => one.name))].map(name => name !== undefined && `has two columns called “${name}”`),
    !columns.some(one => one.limits ?? one.steady ?? one.rise) &&
      'judges none of its columns: give one limits, or a rate at which it is steady',
    ...check.of.map(ref => !told.has(ref) && `tells of ${ref}, and no column of it does`),
    ...OF_COLUMNS.map(
      field => check[field] !== undefined && `has “${field}”, which a run says column by column or not at all`,
    ),
    check.at.some(one => one.limits) && 'has limits of its own at a moment: a run has them column by column',
  ]
}

/** What is wrong with the runs of a sheet, as sentences that name the check. */
export const runRules = ({ sheet }: Plan): string[] =>
  sheet.checks.flatMap(check =>
    (check.run ? runFaults(check, check.run) : []).flatMap(why => (why ? [`check ${check.id} ${why}`] : [])),
  )
