import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { answer, reading, refusal } from '../../../tests/pump.ts'
import { atTheGap, wedgeSheet } from '../../../tests/measuring/index.ts'
import { librarySheet, worker } from '../../../tests/sheets.ts'
import { WALKS } from '../../../tests/walks/index.ts'
import type { Technician } from '../../../demo/technician.ts'
import { examineSheet } from '../../sheet/examination/index.ts'
import { SUMS_BY_NAME } from '../../sums/index.ts'
import {
  atOf,
  foundBefore,
  proposalsOf,
  oddnessOf,
  projectJob,
  readDraft,
  recordOf,
  recordTables,
  resultOf,
  standingReadings,
  viewJob,
} from '../index.ts'

const NAME = 'm8-scraped-surface-exchanger'
const sheet = librarySheet(NAME)
const good = WALKS.find(one => one.sheet === NAME)!.figures({})
const result = (one: Technician, key: string) => viewJob(one.plan, one.folded.state).results.get(key)!
const owed = (one: Technician, kind: string) =>
  viewJob(one.plan, one.folded.state).owed.filter(debt => debt.kind === kind)
const renew = (one: Technician, part: string) => {
  one.act('part.decided', { parts: [part], choice: 'renew' })
  one.act('part.renewed', { part, from: 'stock' })
}
const verdicts = (one: Technician, key: string) =>
  [...result(one, key).places.values()].map(({ cell, judgement }) => `${cell.name} ${judgement.verdict}`)

describe('several places', () => {
  /** The exchanger inspected, with what is named found otherwise than good. */
  function inspected(read: Record<string, number | string>): Technician {
    const one = worker(sheet, { ...good, ...read })
    one.workUntil('decide')
    return one
  }
  const missing = (one: Technician) => result(one, 'springs-primary build').missing.map(cell => cell.name)
  const springs = (one: Technician, place: string) =>
    one.act('reading.taken', reading('springs-primary', 'build', [['12.0']], { station: place }))
  it('have a verdict each, and the worst stands for the check', () => {
    const one = inspected({ 'land-a place 3': 2.4 })
    expect(verdicts(one, 'land-a inspect')).toEqual(['place 1 Holds', 'place 2 Holds', 'place 3 Out', 'place 4 Holds'])
    expect(result(one, 'land-a inspect')).toMatchObject({ value: 2.4, judgement: { verdict: 'Out' } })
    expect(resultOf(result(one, 'land-a inspect'), 'blade@a3')).toMatchObject({
      value: 2.4,
      judgement: { verdict: 'Out' },
    })
    expect(resultOf(result(one, 'land-a inspect'), 'blade@a1').judgement.verdict).toBe('Holds')
    expect(resultOf(result(one, 'springs-primary inspect'), 'spring@far').judgement.verdict).toBe('Holds')
    expect(owed(one, 'out').map(debt => debt.what)).toContain('Wear land of the blades, row A failed: place 3')
  })
  it('propose for the part that was read there, and for no other', () => {
    const one = inspected({ 'edge-a place 2': 'a crack at a slot' })
    const { results } = viewJob(one.plan, one.folded.state)
    const proposals = proposalsOf(one.plan, one.folded.state, results)
    expect(proposals.get('blade@a2')).toEqual({
      choice: 'renew',
      because: ['Edge and slots, row A, place 2: a crack at a slot'],
      checks: ['edge-a'],
    })
    for (const ref of ['blade@a1', 'blade@a3', 'blade@b2'])
      expect(proposals.get(ref), ref).toEqual({ choice: 'reuse', because: [], checks: [] })
  })
  it('only what was renewed is history, and only that is read again', () => {
    const one = inspected({ 'springs-primary far end': 11.2 })
    expect(result(one, 'springs-primary inspect').judgement.verdict).toBe('Out')
    renew(one, 'spring@driven')
    // The good one went; the short one is still there, and still short.
    expect(missing(one)).toEqual(['driven end'])
    springs(one, 'driven end')
    expect(result(one, 'springs-primary build')).toMatchObject({ complete: true, judgement: { verdict: 'Out' } })
    renew(one, 'spring@far')
    expect(missing(one)).toContain('far end')
    expect(missing(one)).not.toContain('driven end')
    springs(one, 'far end')
    expect(result(one, 'springs-primary build')).toMatchObject({ complete: true, judgement: { verdict: 'Holds' } })
  })
  it('go to the fleet one by one: what was renewed has passed, the rest stands', () => {
    const one = inspected({ 'land-a place 3': 2.4, 'land-a place 2': 1.5 })
    renew(one, 'blade@a3')
    const { readings } = projectJob(one.plan, one.folded.state)
    const land = readings.filter(each => each.checkId === 'land-a' && each.moment === 'inspect')
    expect(land.map(each => [each.cell && atOf(each.cell).place, each.value, each.verdict, each.stands])).toEqual([
      ['', 2.4, 'Out', false],
      ['place 1', 0.3, 'Holds', true],
      ['place 2', 1.5, 'Thin', true],
      ['place 3', 2.4, 'Out', false],
      ['place 4', 0.3, 'Holds', true],
    ])
    // What is still in there is worn nearly through, and stands for the check.
    const standing = standingReadings(land, () => 'this job')
    expect(standing.map(each => [atOf(each.cell).place, each.verdict])).toEqual([['place 2', 'Thin']])
  })
  it('say each what the last overhaul found there', () => {
    const one = inspected({})
    const now = result(one, 'land-a inspect')
    const [first, second] = now.worked.cells
    const tried = readDraft(one.plan, now, second!, { values: [[7.0]] })
    const asked = (found: Record<string, number>) => oddnessOf(tried, second!, { found, system: 'mm' })
    expect(asked({ '': 5.4, [first!.key]: 0.2, [second!.key]: 5.4 })).toMatch(/The last overhaul found 5\.4/)
    expect(asked({ '': 0.2, [first!.key]: 0.2, [second!.key]: 0.3 })).toMatch(/The last overhaul found 0\.3/)
    // A place that nobody had read is held against none of the others; a record of the whole alone says it for each.
    expect(asked({ '': 0.2, [first!.key]: 0.2 })).not.toMatch(/last overhaul/)
    expect(asked({ '': 0.4 })).toMatch(/The last overhaul found 0\.4/)
    expect(foundBefore({}, 'constructor')).toEqual({})
  })
  it('a place whose tries disagree is open, and the others are judged', () => {
    const twice = structuredClone(sheet)
    for (const check of twice.checks) if (check.id === 'land-a') check.tries = 2
    const one = worker(twice, good)
    one.workUntil('measure-blades')
    for (const place of ['place 1', 'place 2', 'place 3', 'place 4'])
      one.act(
        'reading.taken',
        reading('land-a', 'inspect', [[0.2], [place === 'place 2' ? 1.5 : 0.2]], { station: place }),
      )
    expect(verdicts(one, 'land-a inspect')).toEqual(['place 1 Holds', 'place 2 Open', 'place 3 Holds', 'place 4 Holds'])
    expect(result(one, 'land-a inspect')).toMatchObject({
      complete: false,
      again: 'tries disagree',
      scatter: [0.2, 1.5],
    })
  })
  it('are complete when nothing is missing, not when there is a figure', () => {
    const one = worker(sheet, good)
    one.workUntil('measure-blades')
    one.act('reading.taken', reading('land-a', 'inspect', [[0.2]], { station: 'place 1' }))
    expect(result(one, 'land-a inspect')).toMatchObject({ value: 0.2, complete: false, judgement: { verdict: 'Open' } })
    expect(refusal(one, 'step.done', { step: 'measure-blades' })).toMatchObject({
      code: 'step.hindered',
      values: { what: 'Wear land of the blades, row A, 3 readings' },
    })
  })
  it.each<[string, (check: (typeof sheet.checks)[number]) => void, RegExp]>([
    ['a place twice', check => (check.stations![1]!.name = 'place 1'), /has the place “place 1” twice/],
    ['a part it does not tell of', check => (check.stations![1]!.of = ['shaft']), /reads shaft at “place 2”/],
    ['a part no place tells of', check => check.of.push('shaft'), /tells of shaft, and no place of it does/],
  ])('%s is a fault of the sheet', (_, change, words) => {
    const broken = structuredClone(sheet)
    change(broken.checks.find(one => one.id === 'land-a')!)
    expect(examineSheet(broken, SUMS_BY_NAME).join('\n')).toMatch(words)
  })
})

describe('tries', () => {
  it('come to their mean, whatever unit they were typed in', () => {
    const one = worker(sheet, good)
    one.workUntil('measure-blades')
    const now = result(one, 'land-a inspect')
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0.1, max: 9, noNaN: true }), { minLength: 1, maxLength: 6 }), figures => {
        const { reduced } = readDraft(one.plan, now, now.missing[0]!, { values: figures.map(each => [each]) })
        expect(reduced!.value).toBeCloseTo(figures.reduce((sum, each) => sum + each, 0) / figures.length, 9)
        expect(reduced!.range).toBeCloseTo(Math.max(...figures) - Math.min(...figures), 9)
      }),
    )
  })
  it('an answer is an answer, and no figure', () => {
    const one = worker(sheet, good)
    one.workUntil('look-blades')
    expect(refusal(one, 'reading.taken', answer('edge-a', 'inspect', '0', 'place 1'))).toMatchObject({
      code: 'reading.unreadable',
      values: {
        why: 'place 1: there is no answer “0”. Choose one of: straight edge, round slots, feathered edge, oval slots, a crack at a slot, warped.',
      },
    })
    expect(refusal(one, 'reading.taken', answer('edge-a', 'inspect', 'a crack at a slot', 'place 1'))).toBeNull()
  })
})

describe('a new way of measuring, from a file of its own and a sheet that names it', () => {
  it('is examined, read, judged and recorded like any other', () => {
    const one = atTheGap()
    expect(examineSheet(wedgeSheet(), SUMS_BY_NAME)).toEqual([])
    const now = result(one, 'gape build')
    expect(now.missing.map(cell => [cell.name, cell.tries, cell.row.figures])).toEqual([
      ['motor end', 2, 2],
      ['gearbox end', 2, 2],
    ])
    const at = (place: string, tries: number[][]) => reading('gape', 'build', tries, { place, column: 'mm' })
    expect(refusal(one, 'reading.taken', at('motor end', [[0]]))).toMatchObject({
      code: 'reading.unreadable',
      values: { why: 'Gap of the hub takes 2 figures a try.' },
    })
    one.act(
      'reading.taken',
      at('motor end', [
        [0, 0.1],
        [0, 0.1],
      ]),
    )
    const draft = readDraft(one.plan, result(one, 'gape build'), now.missing[1]!, {
      values: [
        [0, 0.3],
        [0, 0.3],
      ],
    })
    one.act(
      'reading.taken',
      at('gearbox end', [
        [0, 0.3],
        [0, 0.3],
      ]),
    )
    const read = result(one, 'gape build')
    expect(read).toMatchObject({ complete: true, judgement: { verdict: 'Out' }, consequence: 'The hub stands askew.' })
    expect(read.value).toBeCloseTo(0.2, 9)
    expect(draft.result.value).toBe(read.value)
    const record = recordOf(one.plan, one.folded.entries, new Map())
    const row = record.readings.find(each => each.title === 'Gap of the hub')!
    expect(row).toMatchObject({ value: '0.20 mm', verdict: 'Out', limits: 'maximum 0.10 mm' })
    expect(row.working.map(line => `${line.what}: ${line.sum} = ${line.gives}`)).toEqual([
      'motor end: |0.00 − 0.10| = 0.10; |0.00 − 0.10| = 0.10. (0.10 + 0.10) / 2 = 0.10',
      'gearbox end: |0.00 − 0.30| = 0.30; |0.00 − 0.30| = 0.30. (0.30 + 0.30) / 2 = 0.30',
      'Opens by: 0.10 against 0.30 = 0.20',
    ])
    expect(JSON.stringify(recordTables(record))).toContain('0.20 mm')
  })
})
