import { describe, expect, it } from 'vitest'
import { must, refused } from '../../tests/must.ts'
import { stretchPerNewton, tensionerPullN } from './index.ts'

describe('studs by their stretch', () => {
  it('200 mm of 500 mm² under 100 kN stretch by 0.195 mm (Hooke, 205 GPa)', () =>
    expect(100_000 * must(stretchPerNewton([{ lengthMm: 200, areaMm2: 500 }], 205_000))).toBeCloseTo(0.195122, 6))
  it('two halves stretch as the whole; twice the section half as much', () => {
    const one = must(stretchPerNewton([{ lengthMm: 200, areaMm2: 500 }], 205_000))
    const half = { lengthMm: 100, areaMm2: 500 }
    expect(must(stretchPerNewton([half, half], 205_000))).toBeCloseTo(one, 15)
    expect(must(stretchPerNewton([{ lengthMm: 200, areaMm2: 1000 }], 205_000))).toBeCloseTo(one / 2, 15)
  })
  it('a short stud loses more of the pull than a long one', () => {
    expect(must(tensionerPullN(100_000, 36, 180))).toEqual({
      pullN: expect.closeTo(121_000, 6),
      factor: expect.closeTo(1.21, 9),
    })
    expect(must(tensionerPullN(1, 36, 90)).factor).toBeGreaterThan(must(tensionerPullN(1, 36, 180)).factor)
  })
  it('refuses what cannot be', () => {
    refused(stretchPerNewton([], 205_000))
    refused(stretchPerNewton([{ lengthMm: 0, areaMm2: 1 }], 205_000))
    refused(tensionerPullN(1, 36, 0))
  })
})
