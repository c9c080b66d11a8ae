import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { must, refused } from '../../tests/must.ts'
import { impellerSetting, leadClearance, leastRunningClearanceMm, ringClearance, valveLift } from './index.ts'

describe('wear rings', () => {
  it.each([
    [49.99, 0.25],
    [50, 0.28],
    [180, 0.48],
    [649.9, 0.95],
    [750, 1.05],
  ])('a hub of %s mm runs clear by %s mm at least (ISO 13709)', (d, mm) => {
    expect(must(leastRunningClearanceMm(d, false))).toBeCloseTo(mm, 9)
    expect(must(leastRunningClearanceMm(d, true))).toBeCloseTo(mm + 0.125, 9)
  })
  it('a larger hub never runs closer', () =>
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1500 }), d => {
        expect(must(leastRunningClearanceMm(d + 1, false))).toBeGreaterThanOrEqual(
          must(leastRunningClearanceMm(d, false)),
        )
      }),
    ))
  it('extremes of both parts', () =>
    expect(must(ringClearance([100.5, 100.7], [100, 99.9]))).toEqual({
      leastMm: expect.closeTo(0.5, 9),
      greatestMm: expect.closeTo(0.8, 9),
      meanMm: expect.closeTo(0.65, 9),
    }))
  it('refuses no reading and no size', () => {
    refused(ringClearance([], [100]))
    refused(leastRunningClearanceMm(0, false))
  })
})

describe('along the shaft', () => {
  it('backs off by what is wanted and what it grows; the rest is behind', () =>
    expect(must(impellerSetting(2.6, 0.4, 0.2, 1.5))).toEqual({
      backOffMm: expect.closeTo(0.6, 9),
      turns: expect.closeTo(0.4, 9),
      behindMm: expect.closeTo(2, 9),
    }))
  it('does not stand further off than it can travel: the two were typed the wrong way round', () =>
    refused(impellerSetting(2.6, 0.4, 0.2, 1.5, 9.1), /cannot stand 9.1 mm clear where its whole travel is 2.6 mm/))
  it('the least lead counts, and less when warm; one not pressed says nothing', () => {
    expect(must(leadClearance([1.8, 1.9], 0.3))).toEqual({
      leastMm: 1.8,
      tiltMm: expect.closeTo(0.1, 9),
      warmLeastMm: expect.closeTo(1.5, 9),
    })
    refused(leadClearance([0, 1], 0), /never touched/)
  })
  it('hotter never leaves more', () =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 100 }), k => {
        expect(must(leadClearance([2], (k + 1) / 100)).warmLeastMm).toBeLessThan(
          must(leadClearance([2], k / 100)).warmLeastMm,
        )
      }),
    ))
  it('a plate lifts by what its guard is deeper', () => {
    expect(must(valveLift([3.8, 3.9], 2))).toEqual({
      leastMm: expect.closeTo(1.8, 9),
      greatestMm: expect.closeTo(1.9, 9),
    })
    refused(valveLift([2], 2), /cannot lift/)
  })
  it('refuses what cannot be', () => {
    refused(impellerSetting(0, 0.4, 0, 1.5))
    refused(impellerSetting(2, 0.4, 0, 0))
    refused(impellerSetting(2, -0.1, 0, 1))
  })
})
