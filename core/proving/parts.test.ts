import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { must, refused } from '../../tests/must.ts'
import {
  displacementOfVelocity,
  hydrotestPressure,
  pumpVibrationZone,
  shaftVibrationZone,
  TEST_FACTORS,
  trialWeight,
  velocityOfDisplacement,
  vibrationWith,
} from './index.ts'

describe('vibration by its own parts of the standards', () => {
  // ISO 10816-7, table A.1: category I up to 200 kW 2.5/4.0/6.6, over 3.5/5.0/7.6; II 3.2/5.1/8.5 and 4.2/6.1/9.5 mm/s.
  it.each([
    [2.5, 'I, critical', 200, 'A'],
    [2.51, 'I, critical', 200, 'B'],
    [3.5, 'I, critical', 201, 'A'],
    [6.7, 'I, critical', 55, 'D'],
    [5.1, 'II, general', 55, 'B'],
    [5.2, 'II, general', 55, 'C'],
    [9.6, 'II, general', 500, 'D'],
  ] as const)('%s mm/s, category %s, %s kW: zone %s', (v, category, kW, zone) =>
    expect(must(pumpVibrationZone(v, category, kW, 1480)).zone).toBe(zone),
  )
  it('a slow pump is refused by name', () => refused(pumpVibrationZone(2, 'II, general', 55, 590), /displacement/))
  // ISO 20816-3: at 3600/min √n is 60: 80, 150 and 220 µm.
  it.each([
    [80, 'A'],
    [80.1, 'B'],
    [150, 'B'],
    [220, 'C'],
    [221, 'D'],
  ] as const)('a shaft at 3600/min with %s µm: zone %s', (um, zone) =>
    expect(must(shaftVibrationZone(um, 3600)).zone).toBe(zone),
  )
  it('slower than 600 the limits rise no further', () =>
    expect(must(shaftVibrationZone(10, 100)).limits).toEqual(must(shaftVibrationZone(10, 600)).limits))
  it('a sine of 100 µm at 25 Hz moves at 5.55 mm/s r.m.s., and back', () => {
    expect(must(velocityOfDisplacement(100, 25))).toBeCloseTo((2 * Math.PI * 25 * 0.05) / Math.SQRT2, 9)
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 1000, noNaN: true }),
        fc.double({ min: 1, max: 500, noNaN: true }),
        (um, hz) => {
          expect(must(displacementOfVelocity(must(velocityOfDisplacement(um, hz)), hz)) / um).toBeCloseTo(1, 9)
        },
      ),
    )
    refused(velocityOfDisplacement(10, 0))
  })
})

describe('a trial weight', () => {
  const size = fc.double({ min: 0.5, max: 20, noNaN: true })
  const deg = fc.integer({ min: 0, max: 359 })
  it('the mass it asks for leaves nothing, whatever the rotor answers', () =>
    fc.assert(
      fc.property(size, deg, size, deg, size, deg, (o, oDeg, answer, answerDeg, trialG, trialDeg) => {
        const asIs = { size: o, phaseDeg: oDeg }
        const influence = { size: answer, phaseDeg: answerDeg }
        fc.pre(answer * trialG > 0.2 * o)
        const made = must(trialWeight(asIs, vibrationWith(asIs, influence, trialG, trialDeg), trialG, trialDeg))
        expect(vibrationWith(asIs, influence, made.massG, made.placeDeg).size).toBeLessThan(1e-6 * Math.max(1, o))
      }),
    ))
  it('a trial opposite the heavy spot, half as strong: twice of it, where it sat', () =>
    expect(must(trialWeight({ size: 4, phaseDeg: 0 }, { size: 2, phaseDeg: 0 }, 10, 90))).toMatchObject({
      massG: expect.closeTo(20, 9),
      placeDeg: expect.closeTo(90, 9),
    }))
  it('a trial that did nothing is refused', () =>
    refused(trialWeight({ size: 4, phaseDeg: 0 }, { size: 4, phaseDeg: 1 }, 10, 0), /next to nothing/))
  it('refuses no trial and no vibration', () => {
    refused(trialWeight({ size: 4, phaseDeg: 0 }, { size: 2, phaseDeg: 0 }, 0, 0))
    refused(trialWeight({ size: 0, phaseDeg: 0 }, { size: 2, phaseDeg: 0 }, 5, 0))
  })
})

describe('a test with liquid', () => {
  it('1.6 MPa by a pump’s factor of 1.5 is 2.4, on a gauge from 3.6 to 9.6', () =>
    expect(must(hydrotestPressure(1.6, TEST_FACTORS['pump casing, 1.5 (ISO 13709)']))).toEqual({
      testMPa: expect.closeTo(2.4, 9),
      gaugeLeastMPa: expect.closeTo(3.6, 9),
      gaugeMostMPa: expect.closeTo(9.6, 9),
    }))
  it('metal that is weaker hot is tested the higher cold', () =>
    expect(must(hydrotestPressure(1, 1.3, 1.2)).testMPa).toBeCloseTo(1.56, 9))
  it('refuses what cannot be', () => {
    refused(hydrotestPressure(0, 1.5))
    refused(hydrotestPressure(1, 1.5, 0.9))
  })
})
