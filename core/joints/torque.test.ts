import fc from 'fast-check'
import { describe, it } from 'vitest'
import { must, near, refused } from '../../tests/must.ts'
import boltTorque from '../../tests/vectors/bolt-torque.json'
import {
  metricStressAreaMm2,
  preloadFromTorqueN,
  settingWithExtension,
  torqueByFrictionNm,
  torqueFromPreloadNm,
} from './index.ts'

describe('bolts', () => {
  it.each(boltTorque.cases)('worked case %#', ({ input, expect: wanted }) => {
    near(metricStressAreaMm2(input.diameterMm, input.pitchMm), wanted.stressAreaMm2)
    near(must(torqueFromPreloadNm(input.preloadN, input.diameterMm, input.nutFactor)), wanted.torqueKNm)
    near(must(torqueByFrictionNm(input.preloadN, input)), wanted.torqueFrictionNm)
  })
  it('goes both ways', () => {
    fc.assert(
      fc.property(fc.integer({ min: 100, max: 500_000 }), fc.integer({ min: 5, max: 64 }), (preload, d) => {
        near(must(preloadFromTorqueN(must(torqueFromPreloadNm(preload, d, 0.17)), d, 0.17)), preload)
      }),
    )
  })
  it('sets the wrench lower with an extension in line', () => {
    near(must(settingWithExtension(100, 400, 100)), 80)
    near(must(settingWithExtension(100, 400, 0)), 100)
    refused(settingWithExtension(100, 400, -50))
  })
  it('refuses nought', () => {
    refused(torqueFromPreloadNm(0, 12, 0.2))
    refused(preloadFromTorqueN(50, 12, 0))
    refused(
      torqueByFrictionNm(1000, {
        diameterMm: 12,
        pitchMm: 1.75,
        threadFriction: 0,
        headFriction: 0.1,
        headMeanDiameterMm: 15,
      }),
    )
  })
})
