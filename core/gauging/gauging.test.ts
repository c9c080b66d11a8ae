import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import vectors from '../../tests/vectors/runout.json'
import { must } from '../../tests/must.ts'
import {
  compareFoundLeft,
  endFloat,
  followRounds,
  judgeFelt,
  judgeWithUncertainty,
  lengthAt20,
  lift,
  reduceGaps,
  reduceRoundPart,
  reduceRunout,
  reduceTries,
  seriesStands,
  shaftShape,
  tiltMmPerM,
  uncertaintyOfDifference,
} from './index.ts'

const reading = fc.double({ min: -500, max: 500, noNaN: true })

describe('tries', () => {
  it('keeps every try and names the odd one', () => {
    const tries = must(reduceTries([59.984, 59.983, 59.97], { tolerance: 0.02 }))
    expect(tries).toMatchObject({ count: 3, measureAgain: true, furthest: 2 })
    expect(tries.range).toBeCloseTo(0.014, 9)
  })
  it('agrees up to and including a quarter of the tolerance', () => {
    expect(must(reduceTries([0, 0.005], { tolerance: 0.02 })).measureAgain).toBe(false)
    expect(must(reduceTries([0, 0.0051], { tolerance: 0.02 })).measureAgain).toBe(true)
  })
  it('names nobody among two, or among equals', () => {
    expect(must(reduceTries([1, 2])).furthest).toBeNull()
    expect(must(reduceTries([1, 1, 1])).furthest).toBeNull()
  })
  it('refuses none and nonsense', () => {
    expect(reduceTries([]).ok).toBe(false)
    expect(reduceTries([1, Number.NaN]).ok).toBe(false)
  })
  it('has its mean between the extremes, in any order', () => {
    fc.assert(
      fc.property(fc.array(reading, { minLength: 1, maxLength: 8 }), values => {
        const { mean } = must(reduceTries(values))
        expect(mean).toBeGreaterThanOrEqual(Math.min(...values) - 1e-9)
        expect(mean).toBeLessThanOrEqual(Math.max(...values) + 1e-9)
        expect(must(reduceTries([...values].reverse())).mean).toBeCloseTo(mean, 9)
      }),
    )
  })
})

describe('before a comparison', () => {
  it('brings a warm shaft back to 20 °C', () => {
    expect(must(lengthAt20(60.0211, 50, 'carbon steel'))).toBeCloseTo(60.0211 / 1.000351, 9)
    expect(must(lengthAt20(60, 20, 'bronze'))).toBe(60)
    expect(lengthAt20(60, 250, 'bronze').ok).toBe(false)
    expect(lengthAt20(0, 20, 'bronze').ok).toBe(false)
  })
  it('lets a series stand up to a tenth of the tolerance', () => {
    expect(seriesStands(0, 0.002, 0.02)).toBe(true)
    expect(seriesStands(0, 0.0021, 0.02)).toBe(false)
  })
  it('adds uncertainties as squares', () => expect(uncertaintyOfDifference(3, 4)).toBe(5))
})

describe('journals and bores', () => {
  const at = (station: string, plane: string, mm: number) => ({ station, plane, mm })
  it('works out taper, barrel and out-of-round', () => {
    const part = must(
      reduceRoundPart([
        at('1', 'A', 60),
        at('1', 'B', 59.99),
        at('2', 'A', 60.01),
        at('2', 'B', 60.01),
        at('3', 'A', 59.98),
        at('3', 'B', 59.98),
      ]),
    )
    expect(part.taperUm).toBeCloseTo(15, 6)
    expect(part.barrelUm).toBeCloseTo(22.5, 6)
    expect(part.outOfRoundUm).toBeCloseTo(10, 6)
    expect([part.leastMm, part.greatestMm]).toEqual([59.98, 60.01])
  })
  it('leaves out-of-round open with one plane, taper with one station', () => {
    expect(must(reduceRoundPart([at('1', 'A', 60), at('2', 'A', 60)])).outOfRoundUm).toBeNull()
    expect(must(reduceRoundPart([at('1', 'A', 60)])).taperUm).toBeNull()
  })
  it('refuses nothing, nought and a place read twice', () => {
    expect(reduceRoundPart([]).ok).toBe(false)
    expect(reduceRoundPart([at('1', 'A', 0)]).ok).toBe(false)
    expect(reduceRoundPart([at('1', 'A', 1), at('1', 'A', 1)]).ok).toBe(false)
  })
})

describe('float and lift', () => {
  it('float is the same whichever way one starts', () => {
    fc.assert(
      fc.property(reading, reading, (a, b) => {
        expect(endFloat(a, b)).toBe(endFloat(b, a))
      }),
    )
  })
  it('never mixes the two ways of writing lift', () => {
    expect(must(lift(0.12, -0.09, 'signed readings'))).toBeCloseTo(0.21, 9)
    expect(must(lift(0.12, 0.09, 'travels'))).toBeCloseTo(0.21, 9)
    expect(lift(0.12, -0.09, 'travels').ok).toBe(false)
    expect(must(lift(0.2, 0, 'travels', 0.5))).toBeCloseTo(0.1, 9)
    expect(lift(0.2, 0, 'travels', 0).ok).toBe(false)
  })
})

describe('run-out', () => {
  it.each(vectors.cases)('worked case %#', ({ input, expect: wanted, tolerance }) => {
    const got = must(reduceRunout(input.readingsUm))
    for (const key of ['tirUm', 'eccentricityUm', 'highSpotDeg', 'formErrorUm'] as const)
      expect(Math.abs(got[key] - wanted[key])).toBeLessThan(tolerance)
  })
  it('finds a pure bend and nothing else in it', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 4, max: 36 }),
        fc.integer({ min: 0, max: 359 }),
        fc.integer({ min: 1, max: 400 }),
        (n, high, e) => {
          const got = must(
            reduceRunout(Array.from({ length: n }, (_, i) => e * Math.cos((((360 * i) / n - high) * Math.PI) / 180))),
          )
          expect(got.eccentricityUm).toBeCloseTo(e, 6)
          expect(Math.abs(((got.highSpotDeg - high + 540) % 360) - 180)).toBeLessThan(1e-6)
          expect(got.formErrorUm).toBeLessThan(1e-6)
        },
      ),
    )
  })
  it('refuses three readings and calls four coarse', () => {
    expect(reduceRunout([1, 2, 3]).ok).toBe(false)
    expect(must(reduceRunout([1, 2, 3, 2])).coarse).toBe(true)
    expect(reduceRunout([1, 2, 3, Number.POSITIVE_INFINITY]).ok).toBe(false)
  })
  const sweep = (e: number, high: number, lobes = 0) =>
    must(
      reduceRunout(
        Array.from(
          { length: 12 },
          (_, i) => e * Math.cos(((30 * i - high) * Math.PI) / 180) + lobes * Math.cos((i * 60 * Math.PI) / 180),
        ),
      ),
    )
  it('tells a bend from cocked centres from wear', () => {
    expect(shaftShape([sweep(5, 0), sweep(4, 90)], 20)).toBe('true')
    expect(shaftShape([sweep(15, 10), sweep(40, 20), sweep(15, 355)], 20)).toBe('bent')
    expect(shaftShape([sweep(15, 10), sweep(15, 190)], 20)).toBe('cranked or cocked centres')
    expect(shaftShape([sweep(2, 10, 30)], 20)).toBe('worn or oval')
  })
})

describe('gaps', () => {
  it('says which way the rotor sits', () => {
    const gaps = must(reduceGaps([0.3, 0.4, 0.5, 0.4]))
    expect(gaps.spreadMm).toBeCloseTo(0.2, 9)
    expect(gaps.offset!.mm).toBeCloseTo(0.1, 9)
    expect(gaps.offset!.towardDeg).toBeCloseTo(0, 6)
  })
  it('gives no offset without opposites, and tilt for heights', () => {
    expect(must(reduceGaps([0.3, 0.4, 0.5])).offset).toBeNull()
    expect(reduceGaps([0.3]).ok).toBe(false)
    expect(reduceGaps([0.3, -0.1]).ok).toBe(false)
    expect(must(tiltMmPerM([10.2, 10], 400))).toBeCloseTo(0.5, 9)
    expect(tiltMmPerM([1, 1], 0).ok).toBe(false)
  })
})

describe('as found against as left', () => {
  it('says toward or away', () => {
    expect(compareFoundLeft(0.21, 0.12, { max: 0.25 })).toMatchObject({ moved: 'away from the limit' })
    expect(compareFoundLeft(0.12, 0.21, { max: 0.25 }).moved).toBe('toward the limit')
    expect(compareFoundLeft(0.12, 0.1204, { max: 0.25 }).moved).toBe('not at all')
  })
})

describe('felt fits', () => {
  it.each([
    ['snug', 'snug', 'Holds'],
    ['slides', 'snug', 'Thin'],
    ['drops on', 'snug', 'Out'],
    ['taps home', 'snug', 'Thin'],
    ['presses', 'snug', 'Out'],
    ['knocks', 'drops on', 'Out'],
    ['wobbles', 'wobbles', 'Out'],
  ] as const)('%s where %s is wanted: %s', (found, wanted, verdict) =>
    expect(judgeFelt(found, wanted, false).verdict).toBe(verdict),
  )
  it('loose on a new mate says which of the two is worn', () => {
    expect(judgeFelt('drops on', 'snug', true).says).toMatch(/this part is the worn one/)
    expect(judgeFelt('drops on', 'snug', false).says).toMatch(/which of the two/)
  })
})

describe('fit-up rounds', () => {
  it('judge the last that stands, with what each changed; a void one is kept with its cause', () => {
    const followed = followRounds([
      { value: 0.02 },
      { value: 0.09, voidBecause: 'bolt 4 loose' },
      { value: 0.07, changed: 'shim out' },
    ])
    expect(followed).toMatchObject({
      ok: true,
      value: {
        last: 0.07,
        steps: [
          { round: 1, change: null },
          { round: 3, change: expect.closeTo(0.05, 12), changed: 'shim out' },
        ],
        voids: [{ round: 2, because: 'bolt 4 loose' }],
      },
    })
  })
  it.each([[[]], [[{ value: 1, voidBecause: 'x' }]], [[{ value: Number.NaN }]]])('refuse %j', rounds =>
    expect(followRounds(rounds).ok).toBe(false),
  )
})

describe('uncertainty', () => {
  it.each([
    [0.05, 'Holds'],
    [0.0079, 'Open'],
    [0.0921, 'Open'],
    [-0.005, 'Open'],
    [-0.02, 'Out'],
  ])('%s of 0 to 0.1 with 0.008: %s', (value, verdict) =>
    expect(judgeWithUncertainty(value, { min: 0, max: 0.1 }, 0.008).verdict).toBe(verdict),
  )
  it('none changes nothing', () => expect(judgeWithUncertainty(0, { min: 0, max: 0.1 }, 0).verdict).toBe('Thin'))
})
