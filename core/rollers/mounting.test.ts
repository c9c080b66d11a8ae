import { describe, expect, it } from 'vitest'
import { must, near, refused } from '../../tests/must.ts'
import mounting from '../../tests/vectors/mounting-temperature.json'
import { mountingTemperature } from './index.ts'

describe('mounting temperature', () => {
  it.each(mounting.cases)('worked case %#', ({ input, expect: wanted }) =>
    near(must(mountingTemperature(input)).temperatureC, wanted.temperatureC),
  )
  const hot = (interferenceUm: number, greasedOrSealed = false) =>
    must(mountingTemperature({ boreMm: 100, interferenceUm, assemblyClearanceUm: 0, ambientC: 20, greasedOrSealed }))
  it('is thin over 110 °C and out over 125 °C, with the other ways', () => {
    expect(hot(90 * 1.17 - 0.01).verdict).toBe('Holds')
    expect(hot(105 * 1.17 - 0.01).verdict).toBe('Thin')
    expect(hot(105 * 1.17 + 0.1)).toMatchObject({
      verdict: 'Out',
      otherWays: ['cool the shaft', 'oil injection', 'press'],
    })
  })
  it('is out over 80 °C when greased or sealed', () => {
    expect(hot(60 * 1.17 + 0.1, true).verdict).toBe('Out')
    expect(hot(60 * 1.17 - 0.1, true).verdict).toBe('Holds')
  })
  it('refuses what cannot be', () => {
    for (const wrong of [{ boreMm: 0 }, { boreMm: 1001 }, { interferenceUm: -1 }, { ambientC: 81 }])
      refused(mountingTemperature({ boreMm: 60, interferenceUm: 20, assemblyClearanceUm: 20, ambientC: 20, ...wrong }))
  })
})
