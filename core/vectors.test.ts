import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import balance from '../tests/vectors/balance.json'
import boltTorque from '../tests/vectors/bolt-torque.json'
import gears from '../tests/vectors/gear-mesh.json'
import lifting from '../tests/vectors/lifting.json'
import mounting from '../tests/vectors/mounting-temperature.json'
import oRing from '../tests/vectors/o-ring.json'
import strip from '../tests/vectors/plastic-strip.json'
import press from '../tests/vectors/press-fit.json'
import { pressFit, type PressFit } from './fits/index.ts'
import { metricStressAreaMm2, preloadFromTorqueN, settingWithExtension, torqueByFrictionNm, torqueFromPreloadNm } from './joints/index.ts'
import { gearMesh } from './marks/index.ts'
import { permissibleUnbalance, sharedUnbalance } from './proving/index.ts'
import { equalLegTensionKN, slingAngleVerdict, twoLegTensionsKN } from './rigging/index.ts'
import { mountingTemperature } from './rollers/index.ts'
import { seatORing } from './seals/index.ts'
import { stripReading, stripScaleClearanceMm } from './sleeves/index.ts'
import { must, refused } from '../tests/must.ts'

const near = (got: number, wanted: number) => expect(Math.abs(got - wanted)).toBeLessThanOrEqual(1e-6 * Math.max(1, Math.abs(wanted)))
const allNear = (got: object, wanted: Record<string, number>) => Object.entries(wanted).forEach(([key, value]) => near((got as Record<string, number>)[key]!, value))

describe('press fits', () => {
  it.each(press.cases)('worked case %#', ({ input, expect: wanted }) => allNear(must(pressFit(input)), wanted))
  const base: PressFit = { interferenceMm: 0.03, interfaceMm: 60, innerBoreMm: 0, outerMm: 120, lengthMm: 50, innerEMPa: 210000, innerPoisson: 0.3, outerEMPa: 210000, outerPoisson: 0.3, friction: 0.12 }
  it('no interference, no pressure', () => expect(must(pressFit({ ...base, interferenceMm: 0 }))).toMatchObject({ pressureMPa: 0, forceN: 0, boreClosureMm: 0 }))
  it('more interference, more pressure', () => {
    fc.assert(fc.property(fc.double({ min: 0, max: 0.1, noNaN: true }), fc.double({ min: 0.001, max: 0.1, noNaN: true }), (a, more) => {
      expect(must(pressFit({ ...base, interferenceMm: a + more })).pressureMPa).toBeGreaterThan(must(pressFit({ ...base, interferenceMm: a })).pressureMPa)
    }))
  })
  it('a like solid shaft in a hub has the textbook pressure E·δ/(2·d)·(1 − (d/D)²)', () => near(must(pressFit(base)).pressureMPa, 210000 * 0.03 / 120 * (1 - 0.25)))
  it('refuses what cannot be', () => {
    for (const wrong of [{ interferenceMm: -0.01 }, { outerMm: 60 }, { innerBoreMm: 60 }, { lengthMm: 0 }, { outerPoisson: 0.5 }, { friction: 0 }, { innerEMPa: Number.NaN }]) refused(pressFit({ ...base, ...wrong }))
  })
})

describe('bolts', () => {
  it.each(boltTorque.cases)('worked case %#', ({ input, expect: wanted }) => {
    near(metricStressAreaMm2(input.diameterMm, input.pitchMm), wanted.stressAreaMm2)
    near(must(torqueFromPreloadNm(input.preloadN, input.diameterMm, input.nutFactor)), wanted.torqueKNm)
    near(must(torqueByFrictionNm(input.preloadN, input)), wanted.torqueFrictionNm)
  })
  it('goes both ways', () => {
    fc.assert(fc.property(fc.integer({ min: 100, max: 500_000 }), fc.integer({ min: 5, max: 64 }), (preload, d) => {
      near(must(preloadFromTorqueN(must(torqueFromPreloadNm(preload, d, 0.17)), d, 0.17)), preload)
    }))
  })
  it('sets the wrench lower with an extension in line', () => {
    near(must(settingWithExtension(100, 400, 100)), 80)
    near(must(settingWithExtension(100, 400, 0)), 100)
    refused(settingWithExtension(100, 400, -50))
  })
  it('refuses nought', () => {
    refused(torqueFromPreloadNm(0, 12, 0.2))
    refused(preloadFromTorqueN(50, 12, 0))
    refused(torqueByFrictionNm(1000, { diameterMm: 12, pitchMm: 1.75, threadFriction: 0, headFriction: 0.1, headMeanDiameterMm: 15 }))
  })
})

describe('gears', () => {
  it.each(gears.cases)('worked case %#', ({ input, expect: wanted }) => expect(must(gearMesh(input.pinionTeeth, input.wheelTeeth))).toEqual(wanted))
  it('the same teeth meet after as many teeth on both wheels', () => {
    fc.assert(fc.property(fc.integer({ min: 5, max: 400 }), fc.integer({ min: 5, max: 400 }), (a, b) => {
      const mesh = must(gearMesh(a, b))
      expect(mesh.pinionTurnsToRepeat * a).toBe(mesh.wheelTurnsToRepeat * b)
    }))
  })
  it.each([[4, 20], [20.5, 20], [20, 2001], [Number.NaN, 20]])('refuses %s and %s', (a, b) => refused(gearMesh(a, b)))
})

describe('slings', () => {
  it.each(lifting.cases)('worked case %#', ({ input, expect: wanted }) => {
    near(must(equalLegTensionKN(input)), wanted.equalLegKN)
    allNear(must(twoLegTensionsKN(input.weightKN, input.cgFromLeftM, input.cgFromRightM, input.hookHeightM)), { leftKN: wanted.leftKN, rightKN: wanted.rightKN })
  })
  it('counts three or four legs as two, unless equalised', () => {
    near(must(equalLegTensionKN({ weightKN: 12, legs: 4, fromVerticalDeg: 0 })), 6)
    near(must(equalLegTensionKN({ weightKN: 12, legs: 4, fromVerticalDeg: 0 }, true)), 3)
  })
  it.each([[44.9, 'Holds'], [45, 'Thin'], [60, 'Thin'], [60.1, 'Out']] as const)('%s° is %s', (deg, verdict) => expect(slingAngleVerdict(deg)).toBe(verdict))
  it('carries the whole weight between both legs', () => {
    const size = fc.double({ min: 0.1, max: 5, noNaN: true })
    fc.assert(fc.property(size, size, size, (left, right, height) => {
      const legs = must(twoLegTensionsKN(10, left, right, height))
      const up = legs.leftKN * Math.cos(legs.leftFromVerticalDeg * Math.PI / 180) + legs.rightKN * Math.cos(legs.rightFromVerticalDeg * Math.PI / 180)
      near(up, 10)
    }))
  })
  it('refuses a flat sling and no hook height', () => {
    refused(equalLegTensionKN({ weightKN: 10, legs: 2, fromVerticalDeg: 90 }))
    refused(equalLegTensionKN({ weightKN: 0, legs: 2, fromVerticalDeg: 0 }))
    refused(equalLegTensionKN({ weightKN: 1, legs: 2.5, fromVerticalDeg: 0 }))
    refused(twoLegTensionsKN(10, 1, 1, 0))
  })
})

describe('mounting temperature', () => {
  it.each(mounting.cases)('worked case %#', ({ input, expect: wanted }) => near(must(mountingTemperature(input)).temperatureC, wanted.temperatureC))
  const hot = (interferenceUm: number, greasedOrSealed = false) => must(mountingTemperature({ boreMm: 100, interferenceUm, assemblyClearanceUm: 0, ambientC: 20, greasedOrSealed }))
  it('is thin over 110 °C and out over 125 °C, with the other ways', () => {
    expect(hot(90 * 1.17 - 0.01).verdict).toBe('Holds')
    expect(hot(105 * 1.17 - 0.01).verdict).toBe('Thin')
    expect(hot(105 * 1.17 + 0.1)).toMatchObject({ verdict: 'Out', otherWays: ['cool the shaft', 'oil injection', 'press'] })
  })
  it('is out over 80 °C when greased or sealed', () => {
    expect(hot(60 * 1.17 + 0.1, true).verdict).toBe('Out')
    expect(hot(60 * 1.17 - 0.1, true).verdict).toBe('Holds')
  })
  it('refuses what cannot be', () => {
    for (const wrong of [{ boreMm: 0 }, { boreMm: 1001 }, { interferenceUm: -1 }, { ambientC: 81 }]) refused(mountingTemperature({ boreMm: 60, interferenceUm: 20, assemblyClearanceUm: 20, ambientC: 20, ...wrong }))
  })
})

describe('O-rings', () => {
  it.each(oRing.cases)('worked case %#', ({ input, expect: wanted }) => allNear(must(seatORing(input)), wanted))
  it('a ring that is not stretched keeps its section', () => expect(must(seatORing({ sectionMm: 3, ringInsideMm: 50, grooveInsideMm: 50, grooveDepthMm: 2.4, grooveWidthMm: 4 }))).toMatchObject({ stretch: 0, sectionStretchedMm: 3 }))
  it('refuses nought and a ring for another machine', () => {
    refused(seatORing({ sectionMm: 0, ringInsideMm: 50, grooveInsideMm: 50, grooveDepthMm: 2.4, grooveWidthMm: 4 }))
    refused(seatORing({ sectionMm: 3, ringInsideMm: 100, grooveInsideMm: 50, grooveDepthMm: 2.4, grooveWidthMm: 4 }))
  })
})

describe('gauging strip', () => {
  it.each(strip.cases)('worked case %#', ({ input, expect: wanted }) => near(must(stripReading(input.stripDiameterMm, input.widthMm)).clearanceMm, wanted.clearanceMm))
  it('wants another strip outside what this one measures', () => {
    const width = (share: number) => Math.PI * 0.1 / (4 * share)
    expect([0.5001, 0.4999, 0.2001, 0.1999].map(share => must(stripReading(0.1, width(share))).wants)).toEqual(['thicker', null, null, 'thinner'])
    refused(stripReading(0, 1))
    refused(stripReading(0.1, -1))
  })
  it('reads a printed scale between its lines', () => {
    const scale = [[1.2, 0.05], [0.8, 0.076], [1.6, 0.038]] as const
    near(must(stripScaleClearanceMm(scale, 1)), 0.063)
    near(must(stripScaleClearanceMm(scale, 0.8)), 0.076)
    near(must(stripScaleClearanceMm(scale, 1.6)), 0.038)
    refused(stripScaleClearanceMm(scale, 1.7))
    refused(stripScaleClearanceMm(scale.slice(0, 1), 1))
  })
})

describe('balance', () => {
  it.each(balance.cases)('worked case %#', ({ input, expect: wanted }) => allNear(must(permissibleUnbalance(input.grade, input.speedPerMin, input.massKg)), wanted))
  it('shares between the planes, never less than three tenths', () => {
    expect(must(sharedUnbalance(100, 0.2, 0.2))).toEqual({ aGmm: 50, bGmm: 50 })
    near(must(sharedUnbalance(100, 0.9, 0.1)).aGmm, 30)
    near(must(sharedUnbalance(100, 0.1, 0.9)).aGmm, 70)
    refused(sharedUnbalance(100, -0.1, 1))
    refused(permissibleUnbalance(2.5, 0, 10))
  })
})
