import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { must, refused } from '../../tests/must.ts'
import {
  axialSet,
  blueContact,
  capPinch,
  CLEARANCE_SCHOOLS,
  journalSkew,
  pressBush,
  reduceStrips,
  runningClearance,
} from './index.ts'

describe('three strips', () => {
  it('mean, ends and taper', () =>
    expect(must(reduceStrips([0.09, 0.08, 0.07]))).toEqual({
      meanMm: expect.closeTo(0.08, 12),
      leastMm: 0.07,
      greatestMm: 0.09,
      taperMm: expect.closeTo(0.02, 12),
    }))
  it('a strip that was not pressed says nothing', () => refused(reduceStrips([0.09, 0, 0.07]), /not pressed/))
})

describe('skew and offset', () => {
  const gaps = (leftAMm: number, rightAMm: number, leftBMm: number, rightBMm: number) => ({
    leftAMm,
    rightAMm,
    leftBMm,
    rightBMm,
  })
  it('alike all round is true', () =>
    expect(must(journalSkew(gaps(0.08, 0.08, 0.08, 0.08), 90, 75))).toMatchObject({
      says: 'true',
      skewMmPerM: 0,
      offsetMm: 0,
    }))
  it('unequal of one sign alike is offset alone', () =>
    expect(must(journalSkew(gaps(0.09, 0.07, 0.09, 0.07), 90, 90))).toMatchObject({
      says: 'offset',
      offsetMm: expect.closeTo(0.01, 12),
    }))
  it('opposed is skew alone', () =>
    expect(must(journalSkew(gaps(0.09, 0.07, 0.07, 0.09), 100, 90))).toMatchObject({
      says: 'skewed',
      skewMmPerM: expect.closeTo(0.2, 9),
      offsetMm: expect.closeTo(0, 12),
    }))
  it('unequal of one sign is both', () =>
    expect(must(journalSkew(gaps(0.1, 0.07, 0.09, 0.08), 90, 80)).says).toBe('offset and skewed'))
  it('read nearer the crown it weighs more', () =>
    expect(must(journalSkew(gaps(0.09, 0.07, 0.09, 0.07), 90, 30)).offsetMm).toBeCloseTo(0.02, 12))
  it('finds again the displacement that made the gaps', () => {
    const small = fc.double({ min: -0.02, max: 0.02, noNaN: true })
    fc.assert(
      fc.property(small, small, fc.integer({ min: 20, max: 90 }), (atA, atB, phi) => {
        const sine = Math.sin((phi * Math.PI) / 180)
        const made = must(
          journalSkew(gaps(0.1 + atA * sine, 0.1 - atA * sine, 0.1 + atB * sine, 0.1 - atB * sine), 120, phi),
        )
        expect(made.offsetMm).toBeCloseTo((atA + atB) / 2, 9)
        expect(made.skewMmPerM).toBeCloseTo(((atA - atB) / 120) * 1000, 6)
      }),
    )
  })
  it('refuses what cannot be', () => {
    refused(journalSkew(gaps(0, 0.07, 0.09, 0.07), 90, 75))
    refused(journalSkew(gaps(0.09, 0.07, 0.09, 0.07), 0, 75))
    refused(journalSkew(gaps(0.09, 0.07, 0.09, 0.07), 90, 0))
    refused(journalSkew(gaps(0.09, 0.07, 0.09, 0.07), 90, 91))
  })
})

describe('pinch', () => {
  const end = (wireMm: number, shimLeftMm = 0.4, shimRightMm = shimLeftMm) => ({ wireMm, shimLeftMm, shimRightMm })
  it('a wire thinner than the shim grips', () =>
    expect(must(capPinch([end(0.38), end(0.37)], 0.6))).toMatchObject({
      says: 'grips',
      endsMm: [expect.closeTo(0.02, 9), expect.closeTo(0.03, 9)],
      meanMm: expect.closeTo(0.025, 9),
    }))
  it('equal is neither', () => expect(must(capPinch([end(0.4)], 0.6)).says).toBe('no gap, no grip'))
  it('thicker is loose', () => expect(must(capPinch([end(0.43)], 0.6)).says).toBe('loose'))
  it('a lead wire not flattened is refused', () => refused(capPinch([end(0.6)], 0.6), /no flattening/))
  it('shims apart by over 5 µm are refused, by 5 not', () => {
    refused(capPinch([end(0.38, 0.4, 0.406)], 0.6), /differ by more than 5 µm/)
    must(capPinch([end(0.38, 0.4, 0.405)], 0.6))
    refused(capPinch([end(0.38, 0.4), end(0.38, 0.41)], 0.6), /differ/)
  })
  it.each([
    [0.479, false],
    [0.48, true],
    [0.8, true],
    [0.801, false],
  ])('a fresh wire of %s with shims of 0.4', (fresh, fits) => expect(capPinch([end(0.38)], fresh).ok).toBe(fits))
  it('refuses nothing at all', () => refused(capPinch([], 0.6)))
})

describe('running clearance', () => {
  it('by extremes and means', () =>
    expect(must(runningClearance([80.11, 80.1], [80.01, 80]))).toEqual({
      leastMm: expect.closeTo(0.09, 9),
      greatestMm: expect.closeTo(0.11, 9),
      meanMm: expect.closeTo(0.1, 9),
      perMille: expect.closeTo((0.1 / 80.005) * 1000, 9),
    }))
  it('is antisymmetric in its parts', () => {
    const size = fc.double({ min: 10, max: 200, noNaN: true })
    fc.assert(
      fc.property(size, size, (a, b) => {
        expect(must(runningClearance([a], [b])).meanMm + must(runningClearance([b], [a])).meanMm).toBeCloseTo(0, 9)
      }),
    )
  })
  it('the old rule: a thou an inch, and one', () =>
    expect(CLEARANCE_SCHOOLS['a thou an inch, and one'].spanMm(50.8)[0]).toBeCloseTo(0.0762, 9))
  it('refuses no reading', () => refused(runningClearance([], [80])))
})

describe('a bush pressed in', () => {
  const bush = {
    housingBoreMm: 70,
    bushOutsideMm: 70.06,
    bushBoreMm: 55.1,
    housingOutsideMm: 120,
    lengthMm: 80,
    bushEMPa: 105000,
    bushPoisson: 0.34,
    housingEMPa: 110000,
    housingPoisson: 0.26,
    friction: 0.12,
    shaftMm: 54.98,
    wantedClearanceMm: 0.12,
  }
  it('made to the bore it says, it runs as wanted', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 0.15, noNaN: true }),
        fc.double({ min: 0.05, max: 0.3, noNaN: true }),
        (grip, wantedClearanceMm) => {
          const first = must(pressBush({ ...bush, bushOutsideMm: 70 + grip, wantedClearanceMm }))
          const made = must(
            pressBush({ ...bush, bushOutsideMm: 70 + grip, wantedClearanceMm, bushBoreMm: first.boreBeforeMm }),
          )
          expect(made.clearanceAfterMm).toBeCloseTo(wantedClearanceMm, 7)
          expect(made.takeOutMm).toBeCloseTo(0, 7)
        },
      ),
    )
  })
  it('closes, so that less clearance is left', () =>
    expect(must(pressBush(bush)).clearanceAfterMm).toBeLessThan(55.1 - 54.98))
  it('refuses a loose bush and a shaft that leaves no wall', () => {
    refused(pressBush({ ...bush, bushOutsideMm: 70 }), /loose/)
    refused(pressBush({ ...bush, shaftMm: 69.95 }), /wall/)
  })
})

describe('contact by blue', () => {
  const grid = (of: (row: number, column: number) => number) =>
    Array.from({ length: 24 }, (_, i) => of(Math.floor(i / 6), i % 6))
  it.each([
    ['well spread', grid((_, column) => (column >= 1 && column <= 4 ? 1 : 0)), 16 / 24],
    ['one end only', grid(row => (row < 2 ? 1 : 0)), 0.5],
    ['one edge only', grid((_, column) => (column < 3 ? 1 : 0)), 0.5],
    ['off the middle', grid((_, column) => (column === 0 || column === 5 ? 1 : 0)), 8 / 24],
    ['none', grid(() => 0), 0],
    ['well spread', grid(() => 0.5), 0.5],
  ] as const)('%s', (says, squares, share) =>
    expect(must(blueContact(squares))).toMatchObject({ says, share: expect.closeTo(share, 12) }),
  )
  it('refuses another grid and other squares', () => {
    refused(blueContact(grid(() => 1).slice(1)))
    refused(blueContact(grid(() => 0.7)))
  })
})

describe('axial set', () => {
  const set = {
    stopOuterMm: 0,
    stopDriveMm: 12,
    magneticMm: 6,
    setMm: 6,
    couplingFloatMm: 2,
    shaftLengthMm: 1000,
    warmerK: 50,
    heldBy: 'its own non-drive end',
  } as const
  it('cold and hot margins', () =>
    expect(must(axialSet(set))).toMatchObject({
      totalFloatMm: 12,
      centreMm: 6,
      runsOffSetMm: 0,
      growthMm: expect.closeTo(0.585, 9),
      coldMm: { outer: 4, drive: 4 },
      hotMm: { outer: expect.closeTo(4.585, 9), drive: expect.closeTo(3.415, 9) },
    }))
  it('held in the driven machine it grows the other way; not known, the worse counts on both sides', () => {
    expect(must(axialSet({ ...set, heldBy: 'the driven machine' })).hotMm).toEqual({
      outer: expect.closeTo(3.415, 9),
      drive: expect.closeTo(4.585, 9),
    })
    for (const warmerK of [50, -50])
      expect(must(axialSet({ ...set, warmerK, heldBy: 'not known' })).hotMm).toEqual({
        outer: expect.closeTo(3.415, 9),
        drive: expect.closeTo(3.415, 9),
      })
  })
  it.each([{ stopDriveMm: -1 }, { setMm: 13 }, { magneticMm: -1 }, { couplingFloatMm: -1 }])('refuses %j', wrong =>
    refused(axialSet({ ...set, ...wrong })),
  )
})
