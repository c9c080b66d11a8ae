import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { refusal } from '../../../tests/pump.ts'
import { sheetNamed, worker } from '../../../tests/sheets.ts'
import type { Technician } from '../../../demo/technician.ts'
import { examineSheet } from '../../sheet/examination/index.ts'
import { readSheet, type Run, type Sheet, type SheetSource } from '../../sheet/index.ts'
import { SUMS_BY_NAME } from '../../sums/index.ts'
import {
  oddnessOf,
  projectJob,
  readDraft,
  readingsOfRow,
  readMinute,
  readTable,
  recordOf,
  recordTables,
  showLimits,
  viewJob,
  type TypedRow,
} from '../index.ts'

const sheet = sheetNamed('dc-motor')
const RUN = 'each-way'
const KEY = 'each-way asLeft'

function atRun(): Technician {
  const one = worker(sheet)
  one.workUntil('run')
  return one
}
const check = sheet.checks.find(one => one.id === RUN)!
const result = (one: Technician) => viewJob(one.plan, one.folded.state).results.get(KEY)!
const keep = (one: Technician, ...rows: TypedRow[]) =>
  one.acts(
    rows.flatMap(row =>
      readingsOfRow(check, 'asLeft', row).map(payload => ({ kind: 'reading.taken' as const, payload })),
    ),
  )
/** Rows every quarter of an hour, warming up as a bearing does. */
const rows = (way: string, to = 120, warm = (minute: number) => 20 + 30 * (1 - Math.exp(-minute / 18))): TypedRow[] =>
  Array.from({ length: to / 15 + 1 }, (_, i) => ({
    way,
    minute: i * 15,
    texts: [warm(i * 15).toFixed(1), '20', '40', '90', '0'],
  }))
const wanted = (one: Technician) => [...new Set(result(one).missing.map(cell => cell.place))]
const owed = (one: Technician) =>
  viewJob(one.plan, one.folded.state)
    .owed.filter(debt => debt.step === 'run')
    .map(debt => debt.what)

describe('a run', () => {
  it('wants its first row, then the next, then the other way', () => {
    const one = atRun()
    expect(wanted(one)).toEqual(['forwards, 0 min'])
    keep(one, ...rows('forwards', 15))
    expect(wanted(one)).toEqual(['forwards, 30 min'])
    keep(one, ...rows('forwards').slice(2))
    expect(wanted(one)).toEqual(['backwards, 0 min'])
    keep(one, ...rows('backwards'))
    expect(wanted(one)).toEqual([])
    expect(result(one)).toMatchObject({ complete: true, judgement: { verdict: 'Holds' } })
    expect(owed(one)).toEqual([])
  })
  it('goes on past its time until every column is steady', () => {
    const one = atRun()
    const climbs = (minute: number) => 20 + minute / 4
    keep(one, ...rows('forwards', 120, climbs))
    expect(wanted(one)).toEqual(['forwards, 135 min'])
    keep(one, ...rows('forwards', 150, minute => Math.min(50, climbs(minute))).slice(9))
    expect(wanted(one)).toEqual(['backwards, 0 min'])
  })
  it('is over at once when something is out, and says what and when', () => {
    const one = atRun()
    const [first, ...rest] = rows('forwards', 15)
    keep(one, first!, { ...rest[0]!, texts: ['96', '20', '40', '90', '0'] })
    const now = result(one)
    expect(now).toMatchObject({ missing: [], complete: true, judgement: { verdict: 'Out' } })
    expect(now.consequence).toBe('Too much grease or too little play')
    expect(
      viewJob(one.plan, one.folded.state)
        .owed.map(debt => debt.what)
        .join(),
    ).toContain('Run each way failed')
    // It is of the bearing's column that something is wrong, not of the brushes.
    expect(
      [...now.places.values()].filter(place => place.judgement.verdict === 'Out').map(place => place.cell.of),
    ).toEqual([['board']])
  })
  it('is begun anew once that is put right; what was read stays on the record', () => {
    const one = atRun()
    keep(one, ...rows('forwards'), { ...rows('backwards')[0]!, texts: ['96', '20', '40', '90', '0'] })
    expect(result(one).judgement.verdict).toBe('Out')
    one.act('check.remedied', { check: RUN, moment: 'asLeft', remedy: 'Neutral set again' })
    expect(one.folded.state.flags).toEqual([])
    expect(wanted(one)).toEqual(['forwards, 0 min'])
    one.workUntil()
    const record = JSON.stringify(recordTables(recordOf(one.plan, one.folded.entries, new Map())))
    expect(record).toContain('Neutral set again')
    expect(result(one)).toMatchObject({ complete: true, judgement: { verdict: 'Holds' } })
  })
  it('holds a column against another of its row', () => {
    const one = atRun()
    const hot = rows('forwards', 15).map(row => ({ ...row, texts: ['40', '20', '90', '90', '0'] }))
    keep(one, ...hot)
    const answer = result(one).worked.answer!
    const rise = answer.ok
      ? answer.value.figures.find(figure => figure.what.startsWith('frame, forwards over air'))
      : undefined
    expect(rise).toMatchObject({ value: 70, unit: 'K', held: { verdict: 'Out' } })
  })
  it('asks about a figure that is far out for its own column', () => {
    const one = atRun()
    const now = result(one)
    const [warm, air] = now.worked.cells
    const odd = (cell: typeof warm, value: number) =>
      oddnessOf(readDraft(one.plan, now, cell!, { values: [[value]] }), cell!, { found: {}, system: 'mm' })
    expect(odd(warm, 850)).toMatch(/850 °C lies 765 °C over the limit/)
    expect(odd(warm, 30)).toBeNull()
    expect(odd(air, 30)).toBeNull()
  })
  it('keeps what is read out of turn, and says what is missing of a row', () => {
    const one = atRun()
    keep(one, ...rows('forwards', 30).toReversed())
    const [warm] = readingsOfRow(check, 'asLeft', { way: 'forwards', minute: 40, texts: ['49', '', '', '', ''] })
    one.act('reading.taken', warm!)
    expect(wanted(one)).toEqual(['forwards, 40 min'])
    expect(result(one).missing.map(cell => cell.name)).toEqual([
      'forwards, 40 min, air',
      'forwards, 40 min, frame',
      'forwards, 40 min, current',
      'forwards, 40 min, spark',
    ])
  })
  it.each([
    ['sideways, 0 min', 'warm'],
    ['forwards, 015 min', 'warm'],
    ['forwards, 15', 'warm'],
    ['15 min', 'warm'],
    ['forwards, 15 min', 'oil'],
    ['forwards, 15 min', 'name'],
  ])('has no row or column such as %s, %s', (place, column) =>
    expect(
      refusal(atRun(), 'reading.taken', {
        check: RUN,
        moment: 'asLeft',
        field: 'readings',
        place,
        column,
        tries: [['40']],
      }),
    ).toMatchObject({ code: expect.stringContaining('noSuchCell') }),
  )
  it('takes no more rows than a person can read', () => {
    const one = atRun()
    for (let minute = 0; minute < 240; minute++)
      one.act('reading.taken', readingsOfRow(check, 'asLeft', { ...rows('forwards', 0)[0]!, minute })[0]!)
    expect(one.folded.state.flags).toEqual([])
    const more = readingsOfRow(check, 'asLeft', { ...rows('forwards', 0)[0]!, minute: 500 })
    expect(refusal(one, 'reading.taken', more[0]!)).toMatchObject({ code: expect.stringContaining('tooManyRows') })
  })
  it('stands on the record by its columns and its rows', () => {
    const one = atRun()
    keep(one, ...rows('forwards'), ...rows('backwards'))
    one.workUntil()
    const record = JSON.stringify(recordTables(recordOf(one.plan, one.folded.entries, new Map())))
    expect(record).toContain('bearing at the commutator, forwards: 20 °C at 0 min to 50 °C at 120 min = maximum 50 °C')
    expect(record).toContain('backwards, 120 min')
    const runs = recordTables(recordOf(one.plan, one.folded.entries, new Map())).find(each => /^Runs/.test(each.title))!
    expect(runs.rows[0]![0]).toEqual({ text: one.plan.checks.get(RUN)!.title, small: ['as left'] })
    // Of the fleet's trends a row is none.
    expect(projectJob(one.plan, one.folded.state).readings.filter(each => each.checkId === RUN)).toHaveLength(1)
  })
  it('says its limits column by column', () =>
    expect(showLimits(check)).toBe(
      'bearing at the commutator maximum 85 °C; frame at most 60 °C over air; current maximum 120.0 A; spark maximum 1',
    ))
})

describe('a table from elsewhere', () => {
  const take = (text: string, last: number | null = null) => readTable(check, text, 'forwards', last)
  it('is read with its minutes, or without where the rows follow each other', () => {
    const table = 'minute\twarm\tair\n0\t20\t20\t21\t90\t0\n0:15\t37\t20\t40\t90\t0\n'
    expect(take(table)).toMatchObject({
      ok: true,
      value: [{ minute: 0 }, { minute: 15, texts: ['37', '20', '40', '90', '0'] }],
    })
    expect(take('37;20;40;90;0\n42;20;40;90;0', 15)).toMatchObject({
      ok: true,
      value: [{ minute: 30 }, { minute: 45 }],
    })
  })
  it.each([
    ['', 'No row of figures is in it'],
    ['warm\tair', 'No row of figures is in it'],
    ['0\t20\t20', 'Row 1 has 3 figures. Wanted: minute, bearing at the commutator, air'],
    ['0\t20\t20\t21\t90\t0\nx5\t20\t20\t21\t90\t0', 'Row 2: “x5” is no minute'],
    ['0\t20\t20\t\t90\t0', 'Row 1 has no figure for frame'],
    ['0\t20\t20\t21\t90\t0\n0\t20\t20\t21\t90\t0', 'Row 2: 0 min stands there twice'],
  ])('%j: %s', (text, why) => expect(take(text)).toEqual({ ok: false, why: expect.stringContaining(why) }))
  it.each([
    ['45', 45],
    ['45 min', 45],
    ['1:30', 90],
    ['0:05:00', 5],
    ['1:75', null],
    ['-5', null],
    ['4.5', null],
    ['', null],
  ])('a minute is written %s', (text, minute) => expect(readMinute(text)).toBe(minute))
  it('is what would have been typed row by row', () => {
    const figure = fc.integer({ min: 18, max: 60 }).map(String)
    const table = fc.uniqueArray(
      fc.record({
        minute: fc.integer({ min: 0, max: 400 }),
        texts: fc.tuple(figure, figure, figure, figure, fc.constant('0')),
      }),
      { selector: row => row.minute, minLength: 1, maxLength: 12 },
    )
    fc.assert(
      fc.property(table, typed => {
        const [pasted, byHand] = [atRun(), atRun()]
        const text = typed.map(({ minute, texts }) => [minute, ...texts].join('\t')).join('\n')
        const read = take(text)
        keep(pasted, ...(read.ok ? read.value : []))
        for (const row of typed.toSorted((a, b) => a.minute - b.minute)) keep(byHand, { way: 'forwards', ...row })
        const told = (one: Technician) => {
          const { judgement, value, missing, worked } = result(one)
          return {
            judgement,
            value,
            missing: missing.map(cell => cell.key),
            answer: worked.answer,
            flags: one.folded.state.flags,
          }
        }
        expect(told(pasted)).toEqual(told(byHand))
      }),
      { numRuns: 12 },
    )
  })
})

describe('what a sheet says of a run', () => {
  const faults = (change: (run: Run & Record<string, unknown>, check: Record<string, unknown>) => void) => {
    const other = structuredClone(sheet) as unknown as {
      checks: (Record<string, unknown> & { id: string; run: Run })[]
    }
    const own = other.checks.find(one => one.id === RUN)!
    change(own.run as Run & Record<string, unknown>, own)
    return examineSheet(readSheet(other as unknown as SheetSource) as Sheet, SUMS_BY_NAME)
  }
  const [warm, air, frame] = [0, 1, 2]
  it.each<[string, Parameters<typeof faults>[0]]>([
    ['does not say what is read', (_, own) => delete own.run],
    ['runs for no time', run => (run.for = '0 min')],
    ['is read every 3 h, and runs for 2 h', run => (run.every = '3 h')],
    ['is read every 0.3 min: say whole minutes', run => (run.every = '0.3 min')],
    ['has 242 rows', run => (run.every = '1 min')],
    ['goes the way “forwards” twice', run => (run.ways = ['forwards', 'forwards'])],
    ['goes no way', run => (run.ways = [])],
    ['leave out the comma', run => (run.ways = ['forwards, slowly'])],
    ['has a column “name”', run => (run.columns[warm]!.id = 'name')],
    ['has the column air twice', run => (run.columns[warm]!.id = 'air')],
    ['has two columns called “air”', run => (run.columns[warm]!.name = 'air')],
    ['has a span that is turned round in warm', run => (run.columns[warm]!.span = [9, 1])],
    ['has limits that are turned round in warm', run => (run.columns[warm]!.limits = { min: 9, max: 1 })],
    ['holds frame over itself', run => (run.columns[frame]!.rise!.over = 'frame')],
    ['holds frame over an unknown column water', run => (run.columns[frame]!.rise!.over = 'water')],
    ['holds frame over amps, which is of another kind', run => (run.columns[frame]!.rise!.over = 'amps')],
    ['has warm steady at no rate', run => (run.columns[warm]!.steady = { perHour: 0 })],
    ['has warm steady over 3 h, and runs for 2 h', run => (run.columns[warm]!.steady = { perHour: 1, over: '3 h' })],
    ['reads rocker in warm, which it does not tell of', run => (run.columns[warm]!.of = ['rocker'])],
    ['tells of brush@a1, and no column of it does', run => run.columns.pop()],
    ['has “tries”, which a run says column by column or not at all', (_, own) => (own.tries = 2)],
    ['judges none of its columns', run => (run.columns = [{ ...run.columns[air]!, of: undefined }] as Run['columns'])],
    ['has limits of its own at a moment', (_, own) => Object.assign((own.at as object[])[0]!, { limits: { max: 3 } })],
  ])('%s', (why, change) => expect(faults(change).join('\n')).toContain(why))
  it('is written as a run, not as anything else', () =>
    expect(faults((_, own) => (own.kind = 'single')).join('\n')).toContain(
      'has “run”, which only a check of kind run has',
    ))
})
