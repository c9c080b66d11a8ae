import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { allNear, must, near, refused } from '../../tests/must.ts'
import press from '../../tests/vectors/press-fit.json'
import { pressFit, type PressFit } from './index.ts'

describe('press fits', () => {
  it.each(press.cases)('worked case %#', ({ input, expect: wanted }) => allNear(must(pressFit(input)), wanted))
  const base: PressFit = {
    interferenceMm: 0.03,
    interfaceMm: 60,
    innerBoreMm: 0,
    outerMm: 120,
    lengthMm: 50,
    innerEMPa: 210000,
    innerPoisson: 0.3,
    outerEMPa: 210000,
    outerPoisson: 0.3,
    friction: 0.12,
  }
  it('no interference, no pressure', () =>
    expect(must(pressFit({ ...base, interferenceMm: 0 }))).toMatchObject({
      pressureMPa: 0,
      forceN: 0,
      boreClosureMm: 0,
    }))
  it('more interference, more pressure', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.1, noNaN: true }),
        fc.double({ min: 0.001, max: 0.1, noNaN: true }),
        (a, more) => {
          expect(must(pressFit({ ...base, interferenceMm: a + more })).pressureMPa).toBeGreaterThan(
            must(pressFit({ ...base, interferenceMm: a })).pressureMPa,
          )
        },
      ),
    )
  })
  it('a like solid shaft in a hub has the textbook pressure E·δ/(2·d)·(1 − (d/D)²)', () =>
    near(must(pressFit(base)).pressureMPa, ((210000 * 0.03) / 120) * (1 - 0.25)))
  it('refuses what cannot be', () => {
    for (const wrong of [
      { interferenceMm: -0.01 },
      { outerMm: 60 },
      { innerBoreMm: 60 },
      { lengthMm: 0 },
      { outerPoisson: 0.5 },
      { friction: 0 },
      { innerEMPa: Number.NaN },
    ])
      refused(pressFit({ ...base, ...wrong }))
  })
})
