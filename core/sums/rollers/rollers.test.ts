import { describe, expect, it } from 'vitest'
import { must, refused } from '../../../tests/must.ts'
import { figure, figures, withChanges } from '../../../tests/sums.ts'

describe('bearings by their names', () => {
  it.each([
    ['6312-2RS C3', { boreMm: 60, outsideMm: 130, widthMm: 31, group: 'C3', closed: 'sealed', taperedBore: false }],
    ['22220 EK', { boreMm: 100, outsideMm: 180, widthMm: 46, group: 'CN', closed: null, taperedBore: true }],
    ['NU 2312', { boreMm: 60, outsideMm: 130, widthMm: 46, type: 'cylindrical roller' }],
    ['7203', { boreMm: 17, outsideMm: 40, widthMm: 12, type: 'angular contact ball' }],
  ])('%s', (designation, wanted) => figures('bearing-designation', { designation }, wanted))
  it('does not guess', () => refused(withChanges('bearing-designation', { designation: '608' }), /Measure bore/))
})

describe('seats and clearance', () => {
  it('the ring that turns against the load is the tight one', () => {
    figures('bearing-fit', {}, { shaft: 'k5', housing: 'H7', shaftByHabit: 'k6', housingMinUm: 0, housingMaxUm: 58 })
    figures('bearing-fit', { loadCase: 'outer ring turns against the load' }, { shaft: 'g6', housing: 'N7' })
    figures(
      'bearing-fit',
      { elements: 'roller', load: 'heavy', boreMm: 150, outsideMm: 270 },
      { shaft: 'p6', shaftByHabit: 'n6' },
    )
  })
  it('a group’s limits, and the feeler against them', () => {
    figures('internal-clearance', {}, { leastUm: 23, greatestUm: 43 })
    expect(figure('internal-clearance', 'measuredUm', { measuredUm: 22 }).held!.verdict).toBe('Out')
    expect(figure('internal-clearance', 'measuredUm', { measuredUm: 23 }).held!.verdict).toBe('Holds')
  })
  const MOUNTED = {
    boreMm: 50,
    outsideMm: 90,
    unmountedLeastUm: 6,
    unmountedGreatestUm: 23,
    innerLeastUm: 2,
    innerGreatestUm: 20,
    outerLeastUm: 0,
    outerGreatestUm: 5,
    seat: 'turned',
    warmerK: 15,
  }
  it('what both fits and the heat take from it', () =>
    figures('clearance-after-mounting', MOUNTED, {
      innerLossUm: 15.7232704,
      outerLossUm: 4.4444444,
      temperatureLossUm: 14.4,
      mountedLeastUm: -14.1677149,
      runningLeastUm: -28.5677149,
      mountedGreatestUm: 21.427673,
      runningGreatestUm: 7.027673,
    }))
  it('a loose ring takes nothing', () =>
    figures(
      'clearance-after-mounting',
      { ...MOUNTED, innerLeastUm: -10, innerGreatestUm: 0, outerGreatestUm: 0, warmerK: 0 },
      { innerLossUm: 0, outerLossUm: 0, runningLeastUm: 6, runningGreatestUm: 23 },
    ))
  it.each([
    [-0.1, 'Out'],
    [0, 'Thin'],
    [40, 'Holds'],
  ])('%s µm left in the worst case: %s', (left, verdict) =>
    expect(
      figure('clearance-after-mounting', 'runningLeastUm', {
        ...MOUNTED,
        innerLeastUm: 0,
        innerGreatestUm: 0,
        outerGreatestUm: 0,
        warmerK: 0,
        unmountedLeastUm: Math.max(0, left),
        unmountedGreatestUm: 50,
        ...(left < 0 ? { innerGreatestUm: 1 } : {}),
      }).held!.verdict,
    ).toBe(verdict),
  )
})

describe('mounting', () => {
  it.each([
    [36, 30, 20, false, 114.017094, 'Thin'],
    [0, 0, 20, false, 20, 'Holds'],
    [45, 30, 20, false, 126.8376068, 'Out'],
    [20, 23, 20, true, 81.2535613, 'Out'],
    [20, 22, 20, true, 79.8290598, 'Holds'],
  ])(
    '%s + %s µm from %s °C',
    (interferenceUm, assemblyClearanceUm, ambientC, greasedOrSealed, temperatureC, verdict) => {
      const changes = { interferenceUm, assemblyClearanceUm, ambientC, greasedOrSealed }
      figures('mounting-temperature', changes, { temperatureC })
      expect(figure('mounting-temperature', 'temperatureC', changes).held!.verdict).toBe(verdict)
    },
  )
  it('too hot names the other ways', () =>
    expect(must(withChanges('mounting-temperature', { interferenceUm: 60 })).notes![0]).toMatch(
      /cool the shaft, oil injection, press/,
    ))
  it('a slight taper is driven further', () =>
    figures(
      'drive-up',
      { boreMm: 100, taper: '1:30', nutPitchMm: 2 },
      {
        reductionLeastUm: 45,
        reductionGreatestUm: 60,
        travelLeastMm: 1.6875,
        travelGreatestMm: 2.4,
        nutLeastDeg: 303.75,
        nutGreatestDeg: 432,
      },
    ))
  it('stops of nut and washer together, and what each really leaves', () => {
    figures(
      'locknut-slots',
      {},
      { stopsPerTurn: 68, travelPerStopMm: 1.5 / 68, stops: 5, exact: 5.44, leavesMm: (5 * 1.5) / 68 },
    )
    figures(
      'locknut-slots',
      { pitchMm: 2, slots: 12, tabs: 1, wantedMm: 0.35 },
      { stopsPerTurn: 12, stops: 2, leavesMm: 1 / 3 },
    )
    figures(
      'locknut-slots',
      { pitchMm: 2, slots: 4, tabs: 4, wantedMm: 0.5 },
      { stopsPerTurn: 4, exact: 1, stops: 1, leavesMm: 0.5 },
    )
  })
})
