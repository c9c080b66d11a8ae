import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import vectors from '../../tests/vectors/limits-and-fits.json'
import {
  bearingRingLimits,
  classOfMeasured,
  fitOfClasses,
  fitOfLimits,
  limitsOfClass,
  measuredFit,
  standardTolerance,
} from './index.ts'

const limits = (nominal: number, text: string) => {
  const got = limitsOfClass(nominal, text)
  return got.ok ? [got.value.upperUm, got.value.lowerUm] : got.why
}

describe('worked cases', () => {
  it.each(vectors.cases)('$input.nominalMm $input.hole/$input.shaft', ({ input, expect: wanted }) => {
    const got = fitOfClasses(input.nominalMm, input.hole, input.shaft)
    if ('refused' in wanted) return expect(got.ok).toBe(false)
    if (!got.ok) throw new Error(got.why)
    const { hole, shaft, ...fit } = got.value
    expect({
      holeUpperUm: hole.upperUm + 0,
      holeLowerUm: hole.lowerUm + 0,
      shaftUpperUm: shaft.upperUm + 0,
      shaftLowerUm: shaft.lowerUm + 0,
      ...fit,
    }).toEqual(wanted)
  })
})

describe('size steps: over one, up to and including the next', () => {
  it.each([
    [3, 'h6', [0, -6]],
    [3.001, 'h6', [0, -8]],
    [50, 'H7', [25, 0]],
    [50.001, 'H7', [30, 0]],
    [120, 's6', [101, 79]],
    [120.01, 's6', [117, 92]],
    [140, 'r6', [88, 63]],
    [140.01, 'r6', [90, 65]],
    [500, 'k6', [45, 5]],
    [250, 'M6', [-8, -37]],
    [300, 'M6', [-9, -41]],
    [60, 'JS7', [15, -15]],
    [8, 'js7', [7.5, -7.5]],
    [60, 'k8', [46, 0]],
    [60, 'k3', [5, 0]],
    [2, 'K9', [0, -25]],
    [2, 'j8', [8, -6]],
    [60, 'J7', [18, -12]],
    [60, 'c11', [-140, -330]],
    [60, 'C11', [330, 140]],
    [60, 'P8', [-32, -78]],
    [60, 'P7', [-21, -51]],
    [60, 'N10', [0, -120]],
    [2, 'N9', [-4, -29]],
  ] as [number, string, number[]][])('%s %s', (nominal, text, wanted) => expect(limits(nominal, text)).toEqual(wanted))
})

describe('refused by name', () => {
  it.each([
    [60, 'K9'],
    [0.8, 'N9'],
    [60, 'j8'],
    [60, 'J9'],
    [60, 'Z7'],
    [60, 'H19'],
    [60, 'Hj7'],
    [600, 'H7'],
    [0, 'H7'],
    [-3, 'H7'],
    [0.9, 'H14'],
    [60, 'K2'],
    [60, 'h'],
  ] as [number, string][])('%s %s', (nominal, text) => {
    const got = limits(nominal, text)
    expect(typeof got).toBe('string')
    expect(got).toMatch(/class|defined|outside/)
  })
})

describe('laws', () => {
  const size = fc.double({ min: 0.5, max: 500, noNaN: true })
  it('a class is as wide as its grade', () => {
    fc.assert(
      fc.property(
        size,
        fc.constantFrom('c', 'd', 'e', 'f', 'g', 'h', 'js', 'k', 'm', 'n', 'p', 'r', 's'),
        fc.constantFrom('5', '6', '7', '8') as fc.Arbitrary<'5'>,
        fc.boolean(),
        (mm, letter, grade, hole) => {
          const got = limitsOfClass(mm, `${hole ? letter.toUpperCase() : letter}${grade}`)
          const it = standardTolerance(mm, grade)
          if (got.ok && it.ok) expect(got.value.upperUm - got.value.lowerUm).toBeCloseTo(it.value, 9)
        },
      ),
    )
  })
  it('turning hole into shaft turns clearance into interference', () => {
    const one = fc.record({ upperUm: fc.integer({ min: 0, max: 99 }), lowerUm: fc.integer({ min: -99, max: 0 }) })
    fc.assert(
      fc.property(one, one, (a, b) => {
        const fit = fitOfLimits(a, b)
        const turned = fitOfLimits(b, a)
        expect(turned.maxClearanceUm + fit.minClearanceUm).toBe(0)
        expect(turned.minClearanceUm + fit.maxClearanceUm).toBe(0)
      }),
    )
  })
})

describe('bearing rings run from nought downwards', () => {
  it.each([
    [18, 'bore', -8],
    [18.1, 'bore', -10],
    [60, 'bore', -15],
    [110, 'outside', -15],
    [150, 'outside', -18],
    [150.5, 'outside', -25],
  ] as const)('%s %s', (mm, ring, lower) => {
    expect(bearingRingLimits(mm, ring)).toEqual({ ok: true, value: { upperUm: 0, lowerUm: lower } })
  })
  it('refuses beyond 500', () => expect(bearingRingLimits(501, 'bore').ok).toBe(false))
})

describe('measured parts', () => {
  const hole = { leastMm: 60.01, greatestMm: 60.02, meanMm: 60.015 }
  const shaft = { leastMm: 60.005, greatestMm: 60.012, meanMm: 60.008 }
  it('makes the fit they really make', () => {
    const got = measuredFit(hole, shaft, { nominalMm: 60, hole: 'H7', shaft: 'k6', makerUm: { min: 0, max: 30 } })
    if (!got.ok) throw new Error(got.why)
    expect(got.value.kind).toBe('transition')
    expect(got.value.minClearanceUm).toBeCloseTo(-2, 6)
    expect(got.value.maxClearanceUm).toBeCloseTo(15, 6)
    expect(got.value.holeInClass!.verdict).toBe('Holds')
    expect(got.value.againstMaker!.verdict).toBe('Out')
    expect(got.value.againstClasses!.verdict).toBe('Holds')
  })
  it('names the class a part is in', () => {
    expect(classOfMeasured(60, 'shaft', 'k', shaft)).toEqual({ ok: true, value: 'k5' })
    expect(classOfMeasured(60, 'shaft', 'h', { leastMm: 59.981, greatestMm: 60 })).toEqual({ ok: true, value: 'h6' })
    expect(classOfMeasured(60, 'hole', 'h', { leastMm: 59.9, greatestMm: 60 }).ok).toBe(false)
  })
  it('refuses sizes that cannot be', () => {
    expect(measuredFit({ ...hole, leastMm: 0 }, shaft, { nominalMm: 60 }).ok).toBe(false)
    expect(measuredFit(hole, shaft, { nominalMm: 60, hole: 'K9' }).ok).toBe(false)
  })
})
