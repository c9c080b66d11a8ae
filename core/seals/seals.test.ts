import { describe, expect, it } from 'vitest'
import { must, refused } from '../../tests/must.ts'
import {
  CAUSES,
  compareSprings,
  DUTIES,
  gasketFeelerMm,
  OBSERVATIONS,
  rankCauses,
  sealSetting,
  turningSenseFrom,
  worstRing,
} from './index.ts'

describe('setting', () => {
  const seal = {
    sits: 'outside the gland plate' as const,
    makerMm: 42,
    gasketMm: 0.8,
    glandMm: 0.3,
    freeLengthMm: 31.5,
    workingLengthMm: 28.1,
  }
  it('mark and compression', () =>
    expect(must(sealSetting(seal))).toEqual({ markMm: expect.closeTo(42.5, 9), compressionMm: expect.closeTo(3.4, 9) }))
  it('a gland that stands in takes from the mark, one that stands off gives', () =>
    expect(must(sealSetting({ ...seal, glandMm: -0.3 })).markMm).toBeCloseTo(43.1, 9))
  it('inside the chamber gasket and gland change sign: the seat goes out by the gasket, and the face follows it', () =>
    expect(must(sealSetting({ ...seal, sits: 'inside, in the chamber' })).markMm).toBeCloseTo(42 - 0.8 + 0.3, 9))
  it.each([{ workingLengthMm: 31.5 }, { workingLengthMm: 0 }, { makerMm: -1 }])('refuses %j', wrong =>
    refused(sealSetting({ ...seal, ...wrong })),
  )
  it('a stack of gaskets as a feeler', () => expect(must(gasketFeelerMm(4, 0.8))).toBeCloseTo(3.2, 9))
  it.each([
    [0, 0.8],
    [21, 0.8],
    [2.5, 0.8],
    [2, 0],
  ])('refuses %s gaskets of %s', (n, t) => refused(gasketFeelerMm(n, t)))
})

describe('springs', () => {
  it('names the odd one out by its place', () =>
    expect(must(compareSprings([25.1, 25, 25.1, 24.2, 25, 25.1], 25.4))).toMatchObject({
      odd: 4,
      rangeMm: expect.closeTo(0.9, 9),
    }))
  it('alike within the gauge names none', () => expect(must(compareSprings([25.1, 25.05], 25.4)).odd).toBeNull())
  it('loss against new, by place', () =>
    expect(must(compareSprings([25, 24], 25.4)).lossMm).toEqual([expect.closeTo(0.4, 9), expect.closeTo(1.4, 9)]))
  it('a long one is odd as well as a short one', () => expect(must(compareSprings([25, 25, 26], 25.4)).odd).toBe(3))
  it.each([
    [[25], 25],
    [[25, 0], 25],
    [[25, 25], 0],
  ])('refuses %j', (free, fresh) => refused(compareSprings(free, fresh)))
})

describe('a ring at its worst', () => {
  const gland = { sectionMm: 3.53, ringInsideMm: 60, grooveInsideMm: 60, grooveDepthMm: 2.85, grooveWidthMm: 4.8 }
  it('off centre it loses squeeze on one side and gains it on the other', () => {
    const worst = must(worstRing(gland, 0.1, 0))
    expect(worst.leastSqueeze).toBeCloseTo((3.53 - 2.95) / 3.53, 9)
    expect(worst.greatestSqueeze).toBeCloseTo((3.53 - 2.75) / 3.53, 9)
  })
  it('true and cold it is what it was', () => {
    const worst = must(worstRing(gland, 0, 0))
    expect([worst.leastSqueeze, worst.greatestSqueeze, worst.greatestFill]).toEqual([
      worst.seated.squeeze,
      worst.seated.squeeze,
      worst.seated.fill,
    ])
  })
  it('swell fills the gland', () =>
    expect(must(worstRing(gland, 0, 0.1)).greatestFill).toBeCloseTo(must(worstRing(gland, 0, 0)).seated.fill * 1.1, 9))
  it.each([
    [2.85, 0],
    [-0.1, 0],
    [0, 0.6],
    [0, -0.1],
  ])('refuses %s off, %s grown', (off, growth) => refused(worstRing(gland, off, growth)))
  it('a ring on a turning shaft is never fitted stretched', () => expect(DUTIES.rotary.stretch.max).toBe(0))
})

describe('why it failed', () => {
  it('good faces and a hard ring: renew the ring, keep the faces', () => {
    const [first] = must(rankCauses({ faces: 'good, even track', rings: 'hard or set', springs: 'free and alike' }))
    expect(first).toMatchObject({ cause: 'O-ring worn or set', advice: expect.stringMatching(/keep the faces/) })
  })
  it.each([
    [{ faces: 'heat checks' }, 'Dry running'],
    [{ faces: 'track wider than the face', sleeve: 'fretted' }, 'Shaft moving'],
    [{ springs: 'one odd or short' }, 'Springs not pressing alike'],
    [{ drive: 'pin too high' }, 'Drive pin set wrong'],
    [{ rings: 'extruded' }, 'Too much pressure, or too wide a gap'],
    [{ rings: 'swollen' }, 'Wrong ring material for the liquid'],
    [{ faces: 'deposit on the track', springs: 'clogged' }, 'Solids or crystals between the faces'],
    [{ faces: 'track on one side' }, 'Seat cocked in its bore'],
  ] as const)('%j: %s', (seen, cause) => expect(must(rankCauses(seen))[0]!.cause).toBe(cause))
  it('keeps what speaks against', () =>
    expect(
      must(
        rankCauses({ faces: 'good, even track', springs: 'one odd or short', sleeve: 'clean', rings: 'nicked' }),
      ).find(one => one.cause === 'Seat cocked in its bore')!.speaksAgainst,
    ).toEqual(['faces: good, even track']))
  it('has no rule about something nobody can observe', () => {
    for (const { evidence } of CAUSES)
      for (const [part, weights] of Object.entries(evidence))
        for (const word of Object.keys(weights)) expect(OBSERVATIONS[part as keyof typeof OBSERVATIONS]).toContain(word)
  })
  it('wants something seen', () => refused(rankCauses({})))
  it.each([
    ['clockwise side', 'ring that is driven', 'clockwise'],
    ['anticlockwise side', 'ring that is driven', 'anticlockwise'],
    ['clockwise side', 'part that drives', 'anticlockwise'],
    ['anticlockwise side', 'part that drives', 'clockwise'],
    ['both sides', 'part that drives', 'both ways, or it hunted'],
  ] as const)('worn on its %s, slot in the %s: %s', (wear, on, sense) => expect(turningSenseFrom(wear, on)).toBe(sense))
})
