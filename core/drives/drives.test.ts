import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { must, refused } from '../../tests/must.ts'
import {
  backlash,
  brushPressures,
  freeSpanMm,
  frequencyOfTensionHz,
  KEY_FIT_NAMES,
  keyLimits,
  tensionByDeflectionN,
  tensionByFrequencyN,
} from './index.ts'

const some = fc.double({ min: 0.5, max: 2000, noNaN: true })

describe('brushes', () => {
  // 12.8 N on 20 by 32 mm: 12.8/640 N/mm² is 20 kPa.
  it('press by their force over their face, and the odd one is named', () =>
    expect(must(brushPressures([12.8, 12.8, 9.6], 20, 32))).toMatchObject({
      eachKPa: [expect.closeTo(20, 9), expect.closeTo(20, 9), expect.closeTo(15, 9)],
      leastKPa: expect.closeTo(15, 9),
      greatestKPa: expect.closeTo(20, 9),
      spreadPercent: expect.closeTo((100 * 5) / (55 / 3), 9),
      odd: 3,
    }))
  it('are as alike on a larger face', () =>
    fc.assert(
      fc.property(fc.array(some, { minLength: 1, maxLength: 20 }), some, some, (forces, across, along) => {
        const one = must(brushPressures(forces, across, along))
        const two = must(brushPressures(forces, across, along * 2))
        expect(two.meanKPa).toBeCloseTo(one.meanKPa / 2, 6)
        expect(two.spreadPercent).toBeCloseTo(one.spreadPercent, 6)
        expect(two.odd).toBe(one.odd)
      }),
    ))
  it('want forces and a face', () => {
    refused(brushPressures([], 20, 32), /each spring/)
    refused(brushPressures([12, 0], 20, 32), /above zero/)
    refused(brushPressures([12], 20, 0), /above zero/)
  })
})

describe('teeth', () => {
  it('a dial inside the pitch line reads less, and is brought out to it; the flank stands at the pressure angle', () =>
    expect(must(backlash([0.2, 0.3], { pitchRadiusMm: 120, dialRadiusMm: 100 }, 20, 0))).toMatchObject({
      leastMm: expect.closeTo(0.24, 9),
      greatestMm: expect.closeTo(0.36, 9),
      spreadMm: expect.closeTo(0.12, 9),
      normalLeastMm: expect.closeTo(0.24 * 0.9396926, 6),
    }))
  it('square to the flank is never more than round the circle', () =>
    fc.assert(
      fc.property(some, fc.integer({ min: 0, max: 45 }), fc.integer({ min: 0, max: 45 }), (mm, a, b) => {
        const made = must(backlash([mm], {}, a, b))
        expect(made.normalLeastMm).toBeLessThanOrEqual(made.leastMm)
      }),
    ))
  it.each([
    [[], {}, 20, 0],
    [[-0.1], {}, 20, 0],
    [[0.1], { dialRadiusMm: 0 }, 20, 0],
    [[0.1], {}, 60, 0],
  ] as const)('refuses %j, %j, %s, %s', (readings, radii, a, b) => refused(backlash(readings, radii, a, b)))
})

describe('belts', () => {
  it('50 N that give 20 mm on 800 mm pull 500 N (triangle of forces)', () =>
    expect(must(tensionByDeflectionN(50, 800, 20))).toBeCloseTo(500, 9))
  it('0.2 kg/m over half a metre at 50 Hz pulls 500 N (first mode of a string)', () =>
    expect(must(tensionByFrequencyN(50, 500, 0.2))).toBeCloseTo(500, 9))
  it('the note of a tension gives that tension back', () =>
    fc.assert(
      fc.property(some, some, some, (newtons, span, mass) => {
        const hz = frequencyOfTensionHz(newtons, span, mass)
        expect(must(tensionByFrequencyN(hz, span, mass)) / newtons).toBeCloseTo(1, 9)
      }),
    ))
  it('unlike pulleys shorten the strand: 3, 4, 5', () => {
    expect(must(freeSpanMm(1000, 1400, 200))).toBeCloseTo(800, 9)
    expect(must(freeSpanMm(500, 300, 300))).toBe(500)
    refused(freeSpanMm(200, 300, 200), /overlap/)
  })
  it('refuses what cannot be', () => {
    refused(tensionByDeflectionN(50, 800, 0))
    refused(tensionByDeflectionN(50, 800, 90), /a tenth/)
    refused(tensionByFrequencyN(0, 1, 1))
  })
})

describe('keys', () => {
  it('14 mm: key h9 0 to −43, slots N9 and JS9 (ISO 286-2)', () =>
    expect(must(keyLimits(14, 'normal'))).toEqual({
      key: { upperUm: 0, lowerUm: -43 },
      shaft: { upperUm: 0, lowerUm: -43 },
      hub: { upperUm: 21.5, lowerUm: -21.5 },
    }))
  it('a close slot is never wider than a free one', () => {
    for (const width of [3, 8, 20, 50]) {
      const [free, , close] = KEY_FIT_NAMES.map(fit => must(keyLimits(width, fit)))
      expect(close!.hub.upperUm).toBeLessThan(free!.hub.lowerUm)
      expect(close!.shaft.upperUm).toBeLessThanOrEqual(free!.shaft.lowerUm)
    }
  })
  it('refuses a width outside the tables', () => refused(keyLimits(600, 'normal')))
})
