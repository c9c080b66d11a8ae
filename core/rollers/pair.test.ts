import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { must, refused } from '../../tests/must.ts'
import { greaseGrams, greaseHours, pairSetting, type PairArrangement } from './index.ts'

describe('a pair set by shims', () => {
  it('0.25 as it is, 0.10 wanted: 0.15 out of a shim that gives play, into one that takes it', () => {
    expect(must(pairSetting(0.25, 0.1, 1.2, 'gives more play', 'face to face (X)', 0, 0))).toMatchObject({
      shimChangeMm: expect.closeTo(-0.15, 9),
      shimMm: expect.closeTo(1.05, 9),
    })
    expect(must(pairSetting(0.25, 0.1, 1.2, 'takes play away', 'face to face (X)', 0, 0)).shimChangeMm).toBeCloseTo(
      0.15,
      9,
    )
  })
  it('preload is play below nought: measured and preload come out together', () =>
    expect(must(pairSetting(0.2, -0.03, 1, 'gives more play', 'back to back (O)', 0, 0)).shimChangeMm).toBeCloseTo(
      -0.23,
      9,
    ))
  it('200 mm of steel 30 K warmer take 0.070 mm face to face, and give it back to back', () => {
    const warm = (of: PairArrangement) => must(pairSetting(0.2, 0.1, 1, 'gives more play', of, 200, 30)).warmMm
    expect(warm('face to face (X)')).toBeCloseTo(0.1 - 0.0702, 9)
    expect(warm('back to back (O)')).toBeCloseTo(0.1 + 0.0702, 9)
  })
  it('hotter never leaves more face to face', () =>
    fc.assert(
      fc.property(fc.integer({ min: -50, max: 150 }), k => {
        const warm = (K: number) => must(pairSetting(0.2, 0.1, 1, 'gives more play', 'face to face (X)', 300, K)).warmMm
        expect(warm(k + 1)).toBeLessThan(warm(k))
      }),
    ))
  it('more than is in cannot come out', () =>
    refused(pairSetting(0.5, 0, 0.3, 'gives more play', 'face to face (X)', 0, 0), /More shim/))
})

describe('grease', () => {
  it('130 × 31 takes 20 g', () => expect(must(greaseGrams(130, 31))).toBeCloseTo(20.15, 9))
  it('60 mm at 1500/min, ball: 10·(14·10⁶/(1500·√60) − 240) hours; halved 15 K over 70 °C, and upright', () => {
    const hours = 10 * (14e6 / (1500 * Math.sqrt(60)) - 240)
    expect(must(greaseHours('deep groove ball', 60, 1500, 70, false))).toBeCloseTo(hours, 6)
    expect(must(greaseHours('deep groove ball', 60, 1500, 85, false))).toBeCloseTo(hours / 2, 6)
    expect(must(greaseHours('deep groove ball', 60, 1500, 40, true))).toBeCloseTo(hours / 2, 6)
  })
  it('faster, larger or hotter never lasts longer', () =>
    fc.assert(
      fc.property(fc.integer({ min: 100, max: 1500 }), fc.integer({ min: 10, max: 100 }), (n, d) => {
        const hours = (speed: number, bore: number, c: number) =>
          must(greaseHours('deep groove ball', bore, speed, c, false))
        expect(hours(n + 1, d, 70)).toBeLessThan(hours(n, d, 70))
        expect(hours(n, d + 1, 70)).toBeLessThan(hours(n, d, 70))
        expect(hours(n, d, 90)).toBeLessThan(hours(n, d, 80))
      }),
    ))
  it('where nothing is left of the interval it says so', () =>
    refused(greaseHours('spherical or tapered roller', 300, 20000, 70, false), /no interval left/))
})
