import { describe, expect, it } from 'vitest'
import { must, refused } from '../../../tests/must.ts'
import { figure, figures, withChanges } from '../../../tests/sums.ts'

describe('fits from classes, by the printed tables', () => {
  it.each([
    [18, 'H7', 'g6', 35, 6, 'clearance'],
    [18.001, 'H7', 'g6', 41, 7, 'clearance'],
    [80, 'H7', 'p6', -2, -51, 'interference'],
    [50, 'N9', 'h9', 62, -62, 'transition'],
    [120, 'JS7', 'h6', 39.5, -17.5, 'transition'],
    [500, 'H8', 'f7', 228, 68, 'clearance'],
  ] as const)('%s mm %s/%s', (nominalMm, hole, shaft, maxClearanceUm, minClearanceUm, kind) =>
    figures('limits-and-fits', { nominalMm, hole, shaft }, { maxClearanceUm, minClearanceUm, kind }),
  )
  it.each([
    [60, 'K9', 'h6', /K9 is not defined for 60 mm/],
    [0.8, 'N9', 'h6', /N9 is not defined for 0.8 mm/],
    [0.5, 'H14', 'h6', /IT14 is not defined/],
    [501, 'H7', 'h6', /501 mm lies outside/],
  ] as const)('%s mm %s/%s is refused by name', (nominalMm, hole, shaft, why) =>
    refused(withChanges('limits-and-fits', { nominalMm, hole, shaft }), why),
  )
})

describe('fits from measured sizes', () => {
  it('extremes make the fit, means its middle, and each part its own class', () =>
    figures(
      'measured-fit',
      { holeMm: [80.008, 80.019], shaftMm: [80.012, 80.016, 80.02], nominalMm: 80 },
      {
        minClearanceUm: -12,
        maxClearanceUm: 7,
        meanClearanceUm: -2.5,
        kind: 'transition',
        holeReally: 'H6',
        shaftReally: 'k6',
      },
    ))
  it('the maker’s span goes before the classes, and both are said', () => {
    const answer = must(withChanges('measured-fit', { minUm: 0, maxUm: 20 }))
    const least = answer.figures.find(one => one.key === 'minClearanceUm')!
    expect(least.held).toMatchObject({ verdict: 'Out', side: 'low', source: expect.stringMatching(/maker/) })
    expect(answer.figures.filter(one => one.held?.source.includes('ISO 286'))).toEqual([])
    expect(answer.notes![0]).toMatch(/By H7\/k6 alone, -21 to 28 µm, it would be: Holds/)
  })
  it('pins its mean clearance in millimetres', () =>
    expect(must(withChanges('measured-fit')).reading).toMatchObject({
      row: 'figure',
      tries: [[expect.closeTo(0.0036667, 6)]],
    }))
  it('zero interference on both sides is named a clearance of nought', () =>
    figures(
      'measured-fit',
      { holeMm: [60], shaftMm: [60] },
      { minClearanceUm: 0, maxClearanceUm: 0, kind: 'clearance' },
    ))
})

describe('classes and rings', () => {
  it.each([
    ['shaft', 'h', 59.985, 60, 'h6'],
    ['shaft', 'h', 59.981, 60, 'h6'],
    ['shaft', 'h', 59.9809, 60, 'h7'],
    ['hole', 'h', 60, 60.03, 'H7'],
    ['shaft', 'k', 60.004, 60.019, 'k6'],
  ] as const)('a %s of %s from %s to %s is %s', (side, letter, leastMm, greatestMm, found) =>
    figures('class-of-measured', { side, letter, leastMm, greatestMm }, { class: found }),
  )
  it('a ring runs from nought downwards', () => {
    figures('bearing-seat', {}, { maxClearanceUm: -2, minClearanceUm: -36, kind: 'interference' })
    figures(
      'bearing-seat',
      { ring: 'outer, in the housing', nominalMm: 130, seat: 'H7' },
      { maxClearanceUm: 58, minClearanceUm: 0, kind: 'clearance' },
    )
    expect(figure('bearing-seat', 'holeLowerUm', { nominalMm: 80 }).value).toBe(-15)
    expect(figure('bearing-seat', 'holeLowerUm', { nominalMm: 80.5 }).value).toBe(-20)
  })
})
