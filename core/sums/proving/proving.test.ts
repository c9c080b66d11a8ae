import { describe, expect, it } from 'vitest'
import { must, refused } from '../../../tests/must.ts'
import { figure, figures, withChanges } from '../../../tests/sums.ts'

describe('a run', () => {
  const ramp = (perMinute: number) =>
    Array.from({ length: 7 }, (_, i) => ({ minute: i * 10, value: 40 + i * 10 * perMinute }))
  it('slope of the last half hour, rise over the air', () =>
    figures('run-record', {}, { slopePerHour: 0.78, rise: 31, last: 52, greatest: 52, steady: true }))
  it.each([
    [0, 0, true],
    [1 / 60, 1, true],
    [-1 / 60, -1, true],
    [0.02, 1.2, false],
  ])('%s a minute is %s an hour', (perMinute, slopePerHour, steady) =>
    figures('run-record', { samples: ramp(perMinute) }, { slopePerHour, steady }),
  )
  it('a window that is not full says nothing yet', () => {
    figures('run-record', { samples: ramp(0), windowMin: 61 }, { slopePerHour: null, steady: false })
    expect(figure('run-record', 'slopePerHour', { samples: ramp(0), windowMin: 61 }).held!.verdict).toBe('Open')
  })
  it('what is logged has its unit; only a temperature rises over the air', () => {
    expect(figure('run-record', 'last')).toMatchObject({ unit: '°C' })
    const vibration = must(withChanges('run-record', { reads: 'vibration, mm/s', max: 4.5, samples: ramp(0.1) }))
    expect(vibration.figures.map(one => one.key)).not.toContain('rise')
    expect(vibration.figures.find(one => one.key === 'greatest')).toMatchObject({
      unit: 'mm/s',
      held: { verdict: 'Out' },
    })
  })
  it('says which way it ran', () =>
    expect(must(withChanges('run-record', { turning: 'anticlockwise' })).notes).toEqual([
      'Run anticlockwise, as seen from the drive end.',
    ]))
  const LARGE = 'large: over 300 kW, or shaft height 315 mm and over'
  const MEDIUM = 'medium: over 15 up to 300 kW, or shaft height 160 to 315 mm'
  it.each([
    [LARGE, 'rigid', 2.3, 'A'],
    [LARGE, 'rigid', 2.31, 'B'],
    [LARGE, 'flexible', 7.1, 'B'],
    [LARGE, 'flexible', 11.1, 'D'],
    [MEDIUM, 'rigid', 2.9, 'C'],
    [MEDIUM, 'rigid', 4.6, 'D'],
    [MEDIUM, 'flexible', 0, 'A'],
  ])('%s, %s, %s mm/s: zone %s', (group, support, mmPerS, zone) =>
    figures('vibration', { group, support, mmPerS }, { zone }),
  )
  it.each(['reciprocating machine', 'gear unit', 'set of 15 kW or less', 'pump'])('a %s has a part of its own', other =>
    refused(withChanges('vibration', { other }), new RegExp(`${other} is not judged`)),
  )
})

describe('electrical, balance, leak', () => {
  it('insulation at 40 °C, by its own halving', () => {
    figures('insulation', {}, { at40MOhm: 138.5483307, polarisationIndex: 2.7380952 })
    figures('insulation', { halvingK: 20 }, { at40MOhm: 241.2266545 })
    figures('insulation', { windingC: 40 }, { at40MOhm: 420 })
    expect(must(withChanges('insulation', { halvingK: 20 })).working[0]!.rule).toBe('R·0.5^((40 − T)/20)')
  })
  it('above 5 GΩ the index is not judged', () => {
    expect(figure('insulation', 'polarisationIndex', { oneMinuteMOhm: 5000, tenMinutesMOhm: 6000 }).held!.verdict).toBe(
      'Out',
    )
    const above = { oneMinuteMOhm: 5001, tenMinutesMOhm: 6000 }
    expect(figure('insulation', 'polarisationIndex', above).held).toBeUndefined()
    expect(must(withChanges('insulation', above)).notes![0]).toMatch(/means nothing/)
  })
  it('balance: shared by the other plane’s distance, each share kept from 0.3 to 0.7', () => {
    figures(
      'balance',
      {},
      { eccentricityUm: 40.6490473, unbalanceGmm: 1951.1542703, planeAGmm: 1184.6293784, planeBGmm: 766.5248919 },
    )
    figures(
      'balance',
      { toPlaneAM: 0.05, toPlaneBM: 0.95 },
      { planeAGmm: 0.7 * 1951.1542703, planeBGmm: 0.3 * 1951.1542703 },
    )
  })
  it('a commutator from its readings', () =>
    figures(
      'commutator',
      {},
      { profileUm: 13, stepUm: 3, undercutLeastMm: 0.9, brushKPa: 18.75, resistanceSpreadPercent: 3.6855037 },
    ))
  it('the last bar steps to the first', () =>
    expect(figure('commutator', 'stepUm', { barsUm: [0, 1, 2, 9] })).toMatchObject({
      value: 9,
      what: 'Maximum step, after bar 4',
    }))
  it('a gas that cools has not leaked', () => {
    figures('leak-test', {}, { leakMPa: 0.0007271, rawDropMPa: 0.0078, perHourMPa: 0.0007271 })
    figures(
      'leak-test',
      { startMPaAbs: 0.7, endMPaAbs: 0.7, startC: 20, endC: 20, minutes: 30 },
      { leakMPa: 0, perHourMPa: 0 },
    )
    const cooled = (0.7 * (10 + 273.15)) / (20 + 273.15)
    figures(
      'leak-test',
      { startMPaAbs: 0.7, startC: 20, endMPaAbs: cooled, endC: 10 },
      { leakMPa: 0, rawDropMPa: 0.7 - cooled },
    )
  })
  it.each([
    ['free all round', 'Holds'],
    ['even drag', 'Thin'],
    ['tight spot', 'Out'],
    ['rubbing', 'Out'],
    ['will not turn', 'Out'],
  ])('turned by hand, %s: %s', (felt, verdict) =>
    expect(figure('hand-turn', 'felt', { felt }).held!.verdict).toBe(verdict),
  )
})
