import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { must, refused } from '../../tests/must.ts'
import {
  afterMoves,
  alignmentTolerance,
  CARRIERS,
  closureMm,
  faceSlopeMmPerM,
  feetMoves,
  heightGrowthMm,
  lineThrough,
  rimOffsetMm,
  softFeet,
  spacerGap,
  type FourReadings,
  type TwoPlanes,
} from './index.ts'

/** What a dial reads round a hub of radius r whose axis lies off by so much, the bar dropping by its sag as it turns: straight from the geometry. */
function rimReadings({ up, right }: TwoPlanes, sagMm: number, way: 1 | -1): FourReadings {
  const at = (clockDeg: number) => {
    const [sin, cos] = [Math.sin((clockDeg * Math.PI) / 180), Math.cos((clockDeg * Math.PI) / 180)]
    // Out along the plunger: the surface comes nearer by the offset in that direction; the bar's droop counts along it too.
    return way * (up * cos + right * sin) + (sagMm / 2) * cos
  }
  const zero = at(0)
  return { topMm: 0, rightMm: at(90) - zero, bottomMm: at(180) - zero, leftMm: at(270) - zero }
}

const mm = fc.integer({ min: -100, max: 100 }).map(one => one / 100)
const planes = fc.record({ up: mm, right: mm })
const length = fc.integer({ min: 50, max: 2000 })
const near = (got: TwoPlanes, wanted: TwoPlanes) => {
  expect(got.up).toBeCloseTo(wanted.up, 9)
  expect(got.right).toBeCloseTo(wanted.right, 9)
}

describe('dials round a hub', () => {
  it('read back the offset they were made from, whichever shaft carries the bar, sag taken off', () =>
    fc.assert(
      fc.property(planes, fc.integer({ min: 0, max: 50 }), fc.constantFrom(...CARRIERS), (offset, sag, carrier) => {
        const rim = rimReadings(offset, sag / 100, carrier === 'the shaft that stands' ? 1 : -1)
        near(rimOffsetMm(rim, carrier, sag / 100), offset)
        expect(closureMm(rim)).toBeCloseTo(0, 9)
      }),
    ))
  it('half of the difference, not the whole: 0.10 mm high reads 0.20 across', () =>
    near(rimOffsetMm({ topMm: 0, rightMm: -0.1, bottomMm: -0.2, leftMm: -0.1 }, 'the shaft that stands'), {
      up: 0.1,
      right: 0,
    }))
  it('a face leans by its difference over its own diameter', () => {
    near(must(faceSlopeMmPerM({ topMm: 0, rightMm: 0, bottomMm: -0.08, leftMm: -0.04 }, 160)), { up: 0.5, right: 0.25 })
    refused(faceSlopeMmPerM({ topMm: 0, rightMm: 0, bottomMm: 0, leftMm: 0 }, 0))
  })
})

describe('moves at the feet', () => {
  const feet = fc.record({ frontMm: length, backMm: length.map(one => one + 2100) })
  it('undo the misalignment they were made from', () =>
    fc.assert(
      fc.property(planes, planes, feet, (offsetMm, slopeMmPerM, at) => {
        const found = { offsetMm, slopeMmPerM }
        const left = afterMoves(found, at, must(feetMoves(found, at)))
        near(left.offsetMm, { up: 0, right: 0 })
        near(left.slopeMmPerM, { up: 0, right: 0 })
      }),
    ))
  it('leave cold what the growth will close, and nothing sideways', () =>
    fc.assert(
      fc.property(planes, planes, feet, mm, mm, mm, (offsetMm, slopeMmPerM, at, frontMm, backMm, standingMm) => {
        const found = { offsetMm, slopeMmPerM }
        const growth = { frontMm, backMm, standingMm }
        const cold = afterMoves(found, at, must(feetMoves(found, at, growth)))
        // Warm, the moved axis has risen at both feet by what they grow.
        const warm = (x: number) =>
          cold.offsetMm.up +
          (cold.slopeMmPerM.up * x) / 1000 +
          frontMm +
          ((backMm - frontMm) * (x - at.frontMm)) / (at.backMm - at.frontMm)
        expect(warm(0)).toBeCloseTo(standingMm, 9)
        expect(warm(at.backMm)).toBeCloseTo(standingMm, 9)
        expect(cold.offsetMm.right).toBeCloseTo(0, 9)
      }),
    ))
  it('by hand: 0.10 high and rising 0.5 mm/m, feet at 200 and 600', () =>
    expect(
      must(
        feetMoves(
          { offsetMm: { up: 0.1, right: -0.05 }, slopeMmPerM: { up: 0.5, right: 0 } },
          { frontMm: 200, backMm: 600 },
        ),
      ),
    ).toEqual({
      front: { up: expect.closeTo(-0.2, 9), right: 0.05 },
      back: { up: expect.closeTo(-0.4, 9), right: 0.05 },
    }))
  it('refuses feet the wrong way round', () =>
    refused(
      feetMoves({ offsetMm: { up: 0, right: 0 }, slopeMmPerM: { up: 0, right: 0 } }, { frontMm: 600, backMm: 200 }),
      /Change the distances round/,
    ))
  it('reverse dials and rim and face find one and the same line', () =>
    fc.assert(
      fc.property(planes, planes, length, (offset, slope, apart) => {
        const atStanding = {
          up: offset.up - (slope.up * apart) / 1000,
          right: offset.right - (slope.right * apart) / 1000,
        }
        const line = must(lineThrough(offset, atStanding, apart))
        near(line.offsetMm, offset)
        expect(line.slopeMmPerM.up).toBeCloseTo(slope.up, 6)
        expect(line.slopeMmPerM.right).toBeCloseTo(slope.right, 6)
      }),
    ))
  it('no planes apart, no line', () => refused(lineThrough({ up: 0, right: 0 }, { up: 0, right: 0 }, 0)))
  it('what is allowed never grows with the speed', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 20000 }), fc.integer({ min: 1, max: 5000 }), (n, more) => {
        const [slow, fast] = [must(alignmentTolerance(n)), must(alignmentTolerance(n + more))]
        expect(fast.offsetMm).toBeLessThanOrEqual(slow.offsetMm)
        expect(fast.slopeMmPerM).toBeLessThanOrEqual(slow.slopeMmPerM)
      }),
    )
    expect(must(alignmentTolerance(1500)).offsetMm).toBeCloseTo(0.06, 9)
    refused(alignmentTolerance(0))
  })
})

describe('feet and gaps', () => {
  it('the worst foot first; a tilted one wants a wedge', () =>
    expect(
      must(
        softFeet(
          [
            { foot: 'a', riseMm: 0.05 },
            { foot: 'b', riseMm: 0.13, insideMm: 0.05, outsideMm: 0.15 },
            { foot: 'c', riseMm: 0.08, insideMm: 0.07, outsideMm: 0.1 },
          ],
          0.05,
        ),
      ).map(one => [one.foot, one.shim, one.thicknessMm]),
    ).toEqual([
      ['b', 'wedge', [0.05, 0.15]],
      ['c', 'even', [0.08, 0.08]],
      ['a', 'none', null],
    ]))
  it('refuses two feet, a foot that sinks, one edge alone', () => {
    const foot = { foot: 'a', riseMm: 0 }
    refused(softFeet([foot, foot], 0.05))
    refused(softFeet([foot, foot, { foot: 'c', riseMm: -0.1 }], 0.05))
    refused(softFeet([foot, foot, { foot: 'c', riseMm: 0.1, insideMm: 0.1 }], 0.05), /both edges/)
  })
  it('300 mm of steel 40 K warmer grow 0.14 mm; hotter is never less', () => {
    expect(heightGrowthMm(300, 11.7, 40)).toBeCloseTo(0.1404, 9)
    fc.assert(
      fc.property(length, fc.integer({ min: -50, max: 200 }), (h, k) => {
        expect(heightGrowthMm(h, 11.7, k + 1)).toBeGreaterThan(heightGrowthMm(h, 11.7, k))
      }),
    )
  })
  it('cold the coupling is drawn by what the growth takes back', () => {
    expect(must(spacerGap([140.3, 140.5], 140, 0, 0.4))).toEqual({
      meanMm: expect.closeTo(140.4, 9),
      spreadMm: expect.closeTo(0.2, 9),
      wantedMm: 140.4,
      coldStretchMm: expect.closeTo(0.4, 9),
      warmStretchMm: expect.closeTo(0, 9),
    })
    refused(spacerGap([], 140, 0, 0))
    refused(spacerGap([140], 0, 0, 0))
  })
})
