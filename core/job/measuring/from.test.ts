import { describe, expect, it } from 'vitest'
import { figure } from '../../../tests/pump.ts'
import { openedWith, sheetNamed, worker } from '../../../tests/sheets.ts'
import type { Technician } from '../../../demo/technician.ts'
import { examineSheet } from '../../sheet/examination/index.ts'
import { fromOf, lastWanted, type Check, type CheckMoment, type Sheet } from '../../sheet/index.ts'
import { SUMS_BY_NAME } from '../../sums/index.ts'
import { goneBy, projectJob, proposalsOf, recordOf, showValue, viewJob } from '../index.ts'

const result = (one: Technician, key: string) => viewJob(one.plan, one.folded.state).results.get(key)!
const owed = (one: Technician) => viewJob(one.plan, one.folded.state).owed.map(debt => debt.what)
const HOIST = sheetNamed('lever-hoist')

/** A hoist at its measuring, whose last job left this. */
function hoist(
  last: { check: string; figure: string; value: number }[] | undefined,
  figures: Record<string, number> = {},
  sheet = HOIST,
): Technician {
  const one = worker(sheet, figures, { limiter: 'none' }, openedWith(last ? { last } : {}))
  one.workUntil('decide')
  return one
}
/** Read as it comes off, and again of what is new. */
const twice = (step: string): CheckMoment[] => [
  { moment: 'inspect', step: 'measure' },
  { moment: 'build', step, renewed: true },
]
/** A sheet with one more check, or with one of its own changed. */
function withCheck(name: string, id: string, change: (check: Check) => unknown): Sheet {
  const sheet = structuredClone(sheetNamed(name))
  change(sheet.checks.find(one => one.id === id)!)
  return sheet
}

describe('what the last job left', () => {
  it.each([
    ['throat@last', { of: 'throat', at: 'last', figure: 'value' }],
    ['pitch@last.near the hook', { of: 'pitch', at: 'last', figure: 'near the hook' }],
    ['gap@inspect.*', { of: 'gap', at: 'inspect', figure: '*' }],
    ['gap@inspect.', null],
    ['gap', null],
    ['gap@a.b.c', null],
  ])('%s is taken apart', (text, wanted) => expect(fromOf(text)).toEqual(wanted))
  it('is asked for once a figure', () => {
    const twice = [...HOIST.checks, ...HOIST.checks]
    expect(lastWanted(twice)).toEqual([
      { of: 'throat', at: 'last', figure: 'value' },
      { of: 'pitch', at: 'last', figure: 'middle' },
    ])
  })
  it('is held against what is there now: a hook that has opened is out though it is inside its limits', () => {
    const one = hoist([{ check: 'throat', figure: 'value', value: 28 }], { throat: 29.6 })
    expect(result(one, 'throat inspect').judgement.verdict).not.toBe('Out')
    expect(result(one, 'opened inspect').value).toBeCloseTo(1.6, 9)
    expect(result(one, 'opened inspect')).toMatchObject({
      judgement: { verdict: 'Out' },
      consequence: 'It was overloaded since: scrapped, never bent back',
    })
    const { results } = viewJob(one.plan, one.folded.state)
    expect(proposalsOf(one.plan, one.folded.state, results).get('load-hook')?.choice).toBe('renew')
  })
  it('of one place is that place’s', () => {
    const one = hoist([{ check: 'pitch', figure: 'middle', value: 94.8 }], {
      'pitch middle': 95.4,
      'pitch near the hook': 96,
    })
    expect(result(one, 'stretched inspect').value).toBeCloseTo(0.6, 9)
  })
  it.each([[undefined], [[]], [[{ check: 'throat', figure: 'least', value: 28 }]]])(
    'where there is none, that is said, and nothing is owed for it: %j',
    last => {
      const one = hoist(last)
      const first = result(one, 'opened inspect')
      expect(first).toMatchObject({ value: null, complete: true, judgement: { verdict: 'Open' } })
      expect(showValue(first.check, first)).toBe('no earlier figure of this machine')
      expect(owed(one).filter(what => what.startsWith('Throat since'))).toEqual([])
      one.workUntil()
      const { readings } = recordOf(one.plan, one.folded.entries, new Map())
      expect(readings.find(row => row.title === 'Throat since the last time')!.value).toBe(
        'no earlier figure of this machine',
      )
    },
  )
})

describe('a sum that no figure stands for', () => {
  const WEAR = { name: 'drive-wear', given: { slotIsIn: 'ring that is driven', arrow: 'clockwise' } }
  const sheet = withCheck('lever-hoist', 'opened', check => {
    const { limits: _, unit: __, ...rest } = check
    Object.assign(check, rest, { limits: {}, sum: WEAR, unit: '1', at: twice('hook-on') })
  })
  const worn = (side: string) => {
    const one = hoist([], {}, sheet)
    one.act('reading.taken', figure('opened', 'inspect', 'wear', side))
    return one
  }
  const measured = (side: string) => {
    const one = worker(sheet, { 'opened Slot is worn on its': side } as never, { limiter: 'none' })
    one.workUntil('decide')
    return one
  }
  it('is sound, and counts: what is out is owed, proposed and said in words', () => {
    expect(examineSheet(sheet, SUMS_BY_NAME)).toEqual([])
    const one = measured('anticlockwise side')
    const now = result(one, 'opened inspect')
    expect(now).toMatchObject({ value: null, complete: true, told: 'anticlockwise', judgement: { verdict: 'Out' } })
    expect(owed(one)).toContain('Throat since the last time failed')
    expect(showValue(now.check, now)).toBe('anticlockwise')
    // Over the years there is nothing to look at.
    expect(projectJob(one.plan, one.folded.state).readings.map(each => each.checkId)).not.toContain('opened')
  })
  it('holds the other way, and is not measured before it is answered', () => {
    expect(result(measured('clockwise side'), 'opened inspect').judgement.verdict).toBe('Holds')
    const one = worker(sheet, {}, { limiter: 'none' })
    one.workUntil('measure')
    expect(showValue(result(one, 'opened inspect').check, result(one, 'opened inspect'))).toBe('not measured')
    expect(worn('clockwise side').folded.state.flags.length).toBeGreaterThan(0)
  })
  it('a check that is looked at for wear names the figure', () => {
    const other = structuredClone(sheet)
    other.checks.find(one => one.id === 'opened')!.life = true
    expect(examineSheet(other, SUMS_BY_NAME).join()).toContain('is looked at for wear, and no figure stands for it')
  })
})

describe('figures of places, and lists of them', () => {
  const shims = (from: Record<string, string>, given: object = {}) =>
    withCheck('lever-hoist', 'stretched', check =>
      Object.assign(check, {
        at: twice('chain-on'),
        limits: { min: 0.1, max: 300 },
        sum: { name: 'shims-in', trend: 'gapMm', from, given },
      }),
    )
  it('every place of a check fills a list', () => {
    const sheet = shims({ shimsMm: 'pitch@inspect.*' }, { openMm: 200 })
    // Ninety-five millimetres are no shim; what is refused is said, and stays owed.
    expect(examineSheet(sheet, SUMS_BY_NAME)).toEqual([])
    const one = hoist([], { 'pitch near the hook': 95, 'pitch middle': 95.5, 'pitch near the end': 96 }, sheet)
    expect(result(one, 'stretched inspect').worked.input.shimsMm).toEqual([95, 95.5, 96])
  })
  it('a mass list is every part that a step moves', () => {
    const sheet = structuredClone(shims({ shimsMm: 'mass@chain-off.*' }, { openMm: 200 }))
    Object.assign(
      sheet.parts.find(part => part.id === 'chain')!,
      { massKg: 4 },
    )
    Object.assign(
      sheet.parts.find(part => part.id === 'load-hook')!,
      { massKg: 1.5 },
    )
    const one = worker(sheet, {}, { limiter: 'none' })
    expect(result(one, 'stretched inspect').worked.input.shimsMm).toEqual([4, 1.5])
  })
  it.each<[string, Record<string, string>]>([
    ['which is no list of shims-in', { openMm: 'pitch@inspect.*' }],
    ['which is no figure of shims-in', { shimsMm: 'pitch@inspect.middle' }],
    ['takes openMm from pitch.far end, which it does not give', { openMm: 'pitch@inspect.far end' }],
    ['takes openMm from twist.middle, which it does not give', { openMm: 'twist@inspect.middle' }],
    ['takes openMm from an unknown check bolt', { openMm: 'bolt@last' }],
  ])('%s', (why, from) => expect(examineSheet(shims(from, { shimsMm: [1] }), SUMS_BY_NAME).join('\n')).toContain(why))
})

describe('a sum that may run long', () => {
  const choice = (mostPieces: number) =>
    withCheck('lever-hoist', 'stretched', check =>
      Object.assign(check, {
        at: twice('chain-on'),
        limits: {},
        sum: {
          name: 'shim-choice',
          trend: 'gapMm',
          given: {
            leastMm: 0.2,
            greatestMm: 0.3,
            mostPieces,
            stock: [
              { thicknessMm: 0.25, count: 4 },
              { thicknessMm: 0.5, count: 4 },
              { thicknessMm: 1, count: 2 },
            ],
          },
        },
      }),
    )
  it('is taken with a bound: chosen from what the store has, the fewest first', () => {
    expect(examineSheet(choice(4), SUMS_BY_NAME)).toEqual([])
    const one = worker(choice(4), { 'stretched Gap with no shim': 1.5 } as never, { limiter: 'none' })
    one.workUntil('decide')
    const { worked } = result(one, 'stretched inspect')
    const pack = worked.answer?.ok ? worked.answer.value.figures.find(each => each.key === 'pack')?.value : null
    expect(pack).toBe('1 × 1 + 1 × 0.25')
  })
})

describe('what a step is gone by', () => {
  const by = (one: Technician, shows: string[]) =>
    goneBy(viewJob(one.plan, one.folded.state).results, { shows }).map(({ what, value }) => [what, value])

  it('is a figure of a sum, by its name, or what was read, by what it was read for', () => {
    const one = hoist([{ check: 'throat', figure: 'value', value: 34 }], { throat: 34.4 })
    expect(by(one, ['opened@inspect.apartMm', 'throat@inspect.value'])).toEqual([
      ['Apart', expect.closeTo(0.4, 6)],
      ['Throat of the load hook', expect.closeTo(34.4, 6)],
    ])
  })
  it('is nothing as long as it is not known', () => {
    const one = worker(HOIST, {}, { limiter: 'none' })
    expect(by(one, ['throat@inspect.value'])).toEqual([])
  })
})
