import { describe, expect, it } from 'vitest'
import { reading } from '../../../tests/pump.ts'
import { sheetNamed, worker } from '../../../tests/sheets.ts'
import { examineSheet } from '../../sheet/examination/index.ts'
import type { Check, Sheet } from '../../sheet/index.ts'
import { SUMS_BY_NAME } from '../../sums/index.ts'
import { proposalsOf, showLimits, viewJob } from '../index.ts'

const changed = (name: string, id: string, change: (check: Check) => unknown): Sheet => {
  const sheet = structuredClone(sheetNamed(name))
  change(sheet.checks.find(one => one.id === id)!)
  return sheet
}

describe('places that should be alike', () => {
  const BARS = 'bars inspect'
  /** Somebody at ninety-three bars who reads 1.20 mΩ on each but some. */
  function atBars(odd: Record<number, number> = {}) {
    const one = worker(sheetNamed('dc-motor'))
    one.workUntil('test-bars')
    one.acts(
      Array.from({ length: 93 }, (_, i) => ({
        kind: 'reading.taken' as const,
        payload: reading('bars', 'inspect', [[odd[i + 1] ?? 1.2]], { station: `bar ${i + 1}` }),
      })),
    )
    return { one, result: viewJob(one.plan, one.folded.state).results.get(BARS)! }
  }
  it('hold where they lie within a share of their mean, and the mean stands for them', () => {
    const { result } = atBars({ 4: 1.22, 9: 1.18 })
    expect(result).toMatchObject({ complete: true, judgement: { verdict: 'Holds' } })
    expect(result.value! * 1000).toBeCloseTo(1.2, 6)
  })
  it('the odd one is named by its place, and what it means', () => {
    const { one, result } = atBars({ 57: 2.4 })
    expect(result).toMatchObject({
      judgement: { verdict: 'Out' },
      consequence: 'A coil or its riser is open or shorted',
    })
    expect([...result.places.values()].filter(at => at.judgement.verdict === 'Out').map(at => at.cell.name)).toEqual([
      'bar 57',
    ])
    expect(viewJob(one.plan, one.folded.state).owed.map(debt => debt.what)).toContain('Bar to bar failed: bar 57')
    expect(result.working().at(-1)).toMatchObject({ what: 'Apart', gives: '98.9 %' })
  })
  it('a low one is as odd as a high one', () => {
    const { result } = atBars({ 12: 0.6 })
    expect([...result.places.values()].filter(at => at.judgement.verdict === 'Out').map(at => at.cell.name)).toEqual([
      'bar 12',
    ])
  })
  it('nothing is said before all of them are read', () => {
    const one = worker(sheetNamed('dc-motor'))
    one.workUntil('test-bars')
    one.act('reading.taken', reading('bars', 'inspect', [[1.2]], { station: 'bar 1' }))
    one.act('reading.taken', reading('bars', 'inspect', [[2.4]], { station: 'bar 2' }))
    const result = viewJob(one.plan, one.folded.state).results.get(BARS)!
    expect(result.missing).toHaveLength(91)
    expect(result).toMatchObject({ complete: false, judgement: { verdict: 'Open' } })
  })
  it('says what it is held against', () =>
    expect(showLimits(sheetNamed('dc-motor').checks.find(one => one.id === 'bars')!)).toBe('alike within 5 %'))

  /** Springs that are held against limits, and against each other. */
  it('beside limits of their own, the odd one goes and no other', () => {
    const one = worker(
      changed('dc-motor', 'force-a1', check =>
        Object.assign(check, { alike: { within: 0.05, why: 'One brush carries more' } }),
      ),
    )
    one.workUntil('springs')
    one.acts(
      [12.4, 12.5, 13.6].map((force, i) => ({
        kind: 'reading.taken' as const,
        payload: reading('force-a1', 'build', [[force]], { station: ['inner', 'middle', 'outer'][i]! }),
      })),
    )
    const result = viewJob(one.plan, one.folded.state).results.get('force-a1 build')!
    expect(result).toMatchObject({ value: 13.6, judgement: { verdict: 'Out' }, consequence: 'One brush carries more' })
    expect(proposalsOf(one.plan, one.folded.state, viewJob(one.plan, one.folded.state).results).size).toBeGreaterThan(0)
  })
  it.each<[string, string, (check: Check) => unknown]>([
    ['says how alike its places are, and has one', 'bars', check => delete check.stations],
    ['has places alike within 0: give a share', 'bars', check => (check.alike!.within = 0)],
    ['is asked, and says how alike its places are', 'skin', check => (check.alike = { within: 1, why: 'x' })],
  ])('a sheet that %s is at fault', (why, id, change) =>
    expect(examineSheet(changed('dc-motor', id, change), SUMS_BY_NAME).join('\n')).toContain(why),
  )
  it('are two at the least', () =>
    expect(
      examineSheet(
        changed('dc-motor', 'bars', check => (check.stations = [{ name: 'left' }, { name: 'right' }])),
        SUMS_BY_NAME,
      ),
    ).toEqual([]))
})
