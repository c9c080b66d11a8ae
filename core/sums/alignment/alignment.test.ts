import { describe, expect, it } from 'vitest'
import { must, refused } from '../../../tests/must.ts'
import { figure, figures, withChanges } from '../../../tests/sums.ts'

const held = (name: string, key: string, changes: Record<string, unknown> = {}) => figure(name, key, changes).held!
const NO_GROWTH = { growFrontMm: 0, growBackMm: 0, growStandingMm: 0 }

describe('rim and face', () => {
  // Rim: top − (bottom + sag) = 0.30, halved 0.15 high; right − left = 0.24, 0.12 to the right.
  // Face on 160 mm: 0.06 top to bottom is 0.375 mm/m, −0.02 across is −0.125.
  it('says how the axes lie, and what goes under and beside both feet', () =>
    figures('rim-and-face', NO_GROWTH, {
      offsetUpMm: 0.15,
      offsetRightMm: 0.12,
      slopeUpMmPerM: 0.375,
      slopeRightMmPerM: -0.125,
      shimFront: 'take out 0.24 mm',
      shimBack: 'take out 0.43 mm',
      pushFront: '0.09 mm to the left',
      pushBack: '0.03 mm to the left',
    }))
  it('what the growth will close counts as aligned', () => {
    // A standing machine that rises 0.15 more than the moved one wants it 0.15 low: high by 0.15 already, it is 0 off.
    figures('rim-and-face', { growFrontMm: 0, growBackMm: 0, growStandingMm: 0.15 }, { offsetUpMm: 0 })
    expect(held('rim-and-face', 'offsetUpMm', { growFrontMm: 0, growBackMm: 0, growStandingMm: 0.15 }).verdict).toBe(
      'Holds',
    )
  })
  it('the coupling’s own limit goes before the rule of thumb', () => {
    expect(held('rim-and-face', 'offsetUpMm', NO_GROWTH)).toMatchObject({
      verdict: 'Out',
      source: expect.stringMatching(/rule of thumb/),
    })
    expect(held('rim-and-face', 'offsetUpMm', { ...NO_GROWTH, maxOffsetMm: 0.2 })).toMatchObject({
      verdict: 'Holds',
      source: expect.stringMatching(/maker/),
    })
    expect(held('rim-and-face', 'offsetUpMm', { speedPerMin: undefined }).verdict).toBe('Open')
  })
  it('readings that do not close decide nothing', () => {
    expect(held('rim-and-face', 'offsetUpMm', { rimLeftMm: -0.25 })).toMatchObject({
      verdict: 'Open',
      source: expect.stringMatching(/do not close/),
    })
    expect(must(withChanges('rim-and-face', { rimLeftMm: -0.25 })).notes!.join(' ')).toMatch(/Rim: the readings/)
    // On the limit of 0.03 they still close.
    expect(held('rim-and-face', 'offsetUpMm', { rimLeftMm: -0.26 }).verdict).not.toBe('Open')
  })
  it('the other shaft carrying the bar turns the sign round', () =>
    expect(Number(figure('rim-and-face', 'offsetRightMm', { carrier: 'the shaft that is moved' }).value)).toBeCloseTo(
      -0.12,
      9,
    ))
})

describe('reverse dials', () => {
  // Moved rim: (0 − (−0.24 + 0.04))/2 = 0.10 high; standing rim: −(0 − (0.12 + 0.04))/2 = 0.08 high: 0.02 in 180 mm.
  it('a line through both offsets', () =>
    figures('reverse-dials', NO_GROWTH, {
      offsetUpMm: 0.1,
      slopeUpMmPerM: (0.02 / 180) * 1000,
      offsetRightMm: 0.03,
      slopeRightMmPerM: ((0.03 - 0.01) / 180) * 1000,
    }))
})

describe('feet, growth and spacer', () => {
  it('the worst foot is put right first, by its shape', () => {
    figures(
      'soft-foot',
      {},
      { worstMm: 0.13, do: 'stepped shims, 0.05 mm inside to 0.15 mm outside, or the foot machined', softCount: 2 },
    )
    expect(held('soft-foot', 'worstMm').consequence).toMatch(/bends the frame/)
  })
  it('growth by height and warmth', () => figures('thermal-growth', {}, { growFrontMm: 0.1029, growBackMm: 0.06468 }))
  it('a coupling drawn cold comes to rest warm', () => {
    figures('coupling-gap', {}, { coldStretchMm: 0.365, warmStretchMm: -0.035, wantedMm: 140.4 })
    expect(held('coupling-gap', 'warmStretchMm', { growthMm: 1 }).consequence).toMatch(/pushes both thrust/)
    expect(held('coupling-gap', 'coldStretchMm', { maxStretchMm: 0.3 }).consequence).toMatch(/pulls both/)
    refused(withChanges('coupling-gap', { gapsMm: [] }))
  })
})
