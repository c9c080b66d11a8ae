import { describe, expect, it } from 'vitest'
import { must, refused } from '../../../tests/must.ts'
import { figure, figures, withChanges } from '../../../tests/sums.ts'

describe('gauging strips', () => {
  it('the printed scale goes before the volume', () => {
    figures('plastic-strip', {}, { clearanceMm: 0.084 })
    figures('plastic-strip', { scale: undefined }, { clearanceMm: 0.0818123, wants: null })
    refused(withChanges('plastic-strip', { widthMm: 0.95 }), /printed scale runs from 0.5 to 0.9/)
  })
  it.each([
    [0.25, 0.3, 'thicker'],
    [0.25, 1.1, 'thinner'],
    [0.38, 0.9, null],
  ])('a strip of %s pressed to %s wants %s', (stripDiameterMm, widthMm, wants) => {
    const changes = { stripDiameterMm, widthMm, scale: undefined }
    figures('plastic-strip', changes, { wants, clearanceMm: (Math.PI * stripDiameterMm ** 2) / (4 * widthMm) })
    expect(figure('plastic-strip', 'clearanceMm', changes).held!.verdict === 'Open').toBe(wants !== null)
  })
  it('three on a journal', () =>
    figures('strip-set', {}, { leastMm: 0.0743748, greatestMm: 0.087656, meanMm: 0.0812811, taperMm: 0.0132812 }))
  it('unequal of one sign is offset and skew', () =>
    figures(
      'skew',
      { leftAMm: 0.1, rightAMm: 0.06, leftBMm: 0.08, rightBMm: 0.09, spacingMm: 100, fromCrownDeg: 60 },
      { deltaAMm: 0.04, deltaBMm: -0.01, skewMmPerM: 0.2886751, offsetMm: 0.0086603, says: 'offset and skewed' },
    ))
  it.each([
    [0.09, 0.07, 0.09, 0.07, 'offset'],
    [0.09, 0.07, 0.07, 0.09, 'skewed'],
    [0.08, 0.08, 0.08, 0.08, 'true'],
  ])('%s %s, %s %s: %s', (leftAMm, rightAMm, leftBMm, rightBMm, says) =>
    figures('skew', { leftAMm, rightAMm, leftBMm, rightBMm }, { says }),
  )
})

describe('pinch', () => {
  const ends = (wireMm: number) => [{ wireMm, shimLeftMm: 0.4, shimRightMm: 0.4 }]
  it.each([
    [0.37, 0.03, 'grips the shell'],
    [0.4, 0, 'has no gap and no grip'],
    [0.43, -0.03, 'leaves the shell loose'],
  ])('wire of %s: %s', (wireMm, meanMm, says) => figures('pinch', { ends: ends(wireMm) }, { meanMm, says }))
  it.each([
    [{ ends: ends(0.6) }, /no flattening/],
    [{ ends: ends(0.37), freshWireMm: 0.47 }, /1.2 to 2 times/],
    [{ ends: ends(0.37), freshWireMm: 0.81 }, /1.2 to 2 times/],
    [{ ends: [{ wireMm: 0.37, shimLeftMm: 0.4, shimRightMm: 0.4051 }] }, /differ by more than 5 µm/],
  ])('%j is refused', (changes, why) => refused(withChanges('pinch', changes), why))
  it('5 µm between the shims is still equal', () =>
    expect(withChanges('pinch', { ends: [{ wireMm: 0.37, shimLeftMm: 0.4, shimRightMm: 0.405 }] }).ok).toBe(true))
})

describe('running clearance, bush, contact, axial set', () => {
  it('extremes for the limits, means for the share', () => {
    figures('running-clearance', {}, { leastMm: 0.094, greatestMm: 0.106, meanMm: 0.1, perMille: 100 / 80.006 })
    expect(must(withChanges('running-clearance')).schools!.map(one => one.gives)).toEqual([
      '0.064 to 0.096 mm',
      '0.12 to 0.16 mm',
      'about 0.105 mm',
    ])
    expect(must(withChanges('running-clearance')).notes![0]).toMatch(/rule of thumb/)
  })
  const BUSH = {
    housingBoreMm: 60,
    bushOutsideMm: 60.05,
    bushBoreMm: 48.1,
    housingOutsideMm: 100,
    lengthMm: 50,
    shaftMm: 48,
    wantedClearanceMm: 0.1,
  }
  it('a bush closes in, and the bore to make before it does', () => {
    figures('bush-press', BUSH, {
      pressureMPa: 13.3922094,
      forceN: 15146.232,
      boreClosureMm: 0.0343374,
      outerGrowthMm: 0.0136966,
      hubHoopMPa: 28.4584449,
      clearanceAfterMm: 0.0656626,
      boreBeforeMm: 48.1343746,
      takeOutMm: 0.0343374,
    })
    figures('bush-press', { ...BUSH, bushBoreMm: 48.1343746 }, { clearanceAfterMm: 0.1, takeOutMm: 0 })
    refused(withChanges('bush-press', { ...BUSH, bushOutsideMm: 60 }), /would be loose/)
  })
  const grid = (full: (row: number, column: number) => boolean) =>
    Array.from({ length: 24 }, (_, i) => (full(Math.floor(i / 6), i % 6) ? 1 : 0))
  it.each([
    ['well spread', grid((_, column) => column > 0 && column < 5), 66.6666667, 100],
    ['one end only', grid((row, column) => row === 0 && column > 0 && column < 5), 16.6666667, 100],
    ['one edge only', grid((_, column) => column < 2), 33.3333333, 50],
    ['off the middle', grid((_, column) => column === 0 || column === 5), 33.3333333, 0],
    ['none', grid(() => false), 0, 0],
  ])('contact: %s', (says, squares, sharePercent, centralPercent) =>
    figures('contact', { squares }, { says, sharePercent, centralPercent }),
  )
  it('margins cold and hot, growth toward the outer end from the driven machine', () =>
    figures(
      'magnetic-centre',
      {},
      {
        totalFloatMm: 12.4,
        magneticOffCentreMm: -0.1,
        growthMm: 0.8424,
        coldOuterMm: 3.6,
        coldDriveMm: 4,
        hotOuterMm: 2.7576,
        hotDriveMm: 4.8424,
      },
    ))
})
