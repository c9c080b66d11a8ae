import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { must, refused } from '../../tests/must.ts'
import {
  boltCount,
  boltOrder,
  boltPoints,
  boltStrength,
  boltSteps,
  interact,
  jointProgress,
  outwardsOn,
  preloadByFrictionN,
  readThread,
  torqueByFrictionNm,
  BOLT_CLASS_NAMES,
  FILLINGS,
  JOINT_STIFFNESS,
  PATTERNS,
  type BoltClassName,
  type BoltLayout,
  type Interaction,
  type ThreadSystem,
} from './index.ts'

const order = (pattern: (typeof PATTERNS)[number], n: number) => {
  const got = boltOrder(pattern, n)
  if (!got.ok) throw new Error(got.why)
  return got.value
}

describe('orders', () => {
  it.each([
    [4, [1, 3, 2, 4]],
    [6, [1, 4, 2, 5, 3, 6]],
    [8, [1, 5, 3, 7, 2, 6, 4, 8]],
    [12, [1, 7, 4, 10, 2, 8, 5, 11, 3, 9, 6, 12]],
    [3, [1, 2, 3]],
    [5, [1, 3, 5, 2, 4]],
    [10, [1, 6, 3, 8, 4, 9, 2, 7, 5, 10]],
  ])('star of %i', (n, wanted) => expect(order('star', n)).toEqual(wanted))
  it('middle outwards starts in the middle', () => {
    expect(order('middle outwards', 5)).toEqual([3, 2, 4, 1, 5])
    expect(order('two opposite, then round', 6)).toEqual([1, 4, 2, 3, 5, 6])
  })
  it('every order visits every bolt once', () => {
    fc.assert(
      fc.property(fc.constantFrom(...PATTERNS), fc.integer({ min: 1, max: 50 }), (pattern, sector) => {
        // A count that every number of tools can share.
        const n = sector * 4
        expect([...order(pattern, n)].sort((a, b) => a - b)).toEqual(Array.from({ length: n }, (_, i) => i + 1))
      }),
    )
  })
  it('every star of any count visits every bolt once, and its running centre stays near the middle', () => {
    for (let n = 3; n <= 120; n++) {
      const star = order('star', n)
      expect(new Set(star).size).toBe(n)
      let [x, y] = [0, 0]
      for (const bolt of star) {
        x += Math.sin((2 * Math.PI * (bolt - 1)) / n)
        y += Math.cos((2 * Math.PI * (bolt - 1)) / n)
        // Opposite pairs cancel; an odd star swings no further than 1/cos(π/2n).
        expect(Math.hypot(x, y), `${n} bolts`).toBeLessThanOrEqual(1 / Math.cos(Math.PI / 2 / n) + 1e-9)
      }
    }
  })
  it.each([
    [6, 'four tools at once', /shared out evenly among 4/],
    [5, 'two tools at once', /among 2/],
  ] as const)('%s bolts with %s are refused', (n, pattern, why) => refused(boltOrder(pattern, n), why))
  it('several tools stand evenly round', () => {
    expect(must(boltSteps('two tools at once', 8))).toEqual([
      [1, 5],
      [3, 7],
      [2, 6],
      [4, 8],
    ])
    expect(must(boltSteps('four tools at once', 8))).toEqual([
      [1, 3, 5, 7],
      [2, 4, 6, 8],
    ])
    expect(must(boltSteps('four tools at once', 4))).toEqual([[1, 2, 3, 4]])
  })
  it('a star of an even count goes straight across', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 60 }), half => {
        const star = order('star', half * 2)
        for (let i = 0; i < star.length; i += 2) expect(Math.abs(star[i]! - star[i + 1]!)).toBe(half)
      }),
    )
  })
  it.each([1, 0, -4, 2.5, 201])('refuses %s bolts', n => expect(boltOrder('star', n).ok).toBe(false))
})

describe('progress', () => {
  const plan = { bolts: 4, targetNm: 100, toleranceShare: 0.05, passes: [0.5, 1], pattern: 'star' as const }
  const pulls = (torque: number, ...bolts: number[]) => bolts.map(bolt => ({ bolt, torqueNm: torque }))
  it('is open until the last bolt of the last pass', () => {
    expect(jointProgress(plan, [])).toMatchObject({ pass: 1, next: 1, verdict: 'Open' })
    expect(jointProgress(plan, [pulls(50, 1, 3, 2, 4)])).toMatchObject({ pass: 2, next: 1, verdict: 'Open' })
    expect(jointProgress(plan, [pulls(50, 1, 3, 2, 4), pulls(100, 1, 3, 2)])).toMatchObject({
      next: 4,
      verdict: 'Open',
    })
    expect(jointProgress(plan, [pulls(50, 1, 3, 2, 4), pulls(100, 1, 3, 2, 4)])).toMatchObject({
      pass: null,
      verdict: 'Holds',
    })
  })
  it('takes the edges of the span and nothing outside', () => {
    expect(jointProgress(plan, [pulls(52.5, 1)]).next).toBe(3)
    expect(jointProgress(plan, [pulls(47.5, 1)]).next).toBe(3)
    expect(jointProgress(plan, [pulls(52.6, 1)]).faults[0]).toMatch(/over/)
    expect(jointProgress(plan, [pulls(47.4, 1)]).faults[0]).toMatch(/under/)
  })
  it('stops at a bolt out of turn', () => {
    expect(jointProgress(plan, [pulls(50, 1, 2)])).toMatchObject({ next: null, verdict: 'Open' })
  })
})

describe('layouts', () => {
  const LAYOUTS: BoltLayout[] = [
    { kind: 'circle', bolts: 7 },
    { kind: 'rectangle', along: 5, across: 3 },
    { kind: 'rectangle', along: 2, across: 2 },
    { kind: 'split line', aSide: 6 },
    { kind: 'split line', aSide: 7 },
  ]
  it.each(LAYOUTS)('$kind has a point a bolt, no two alike', layout => {
    const points = boltPoints(layout)
    expect(points).toHaveLength(boltCount(layout))
    expect(new Set(points.map(({ x, y }) => `${x.toFixed(6)} ${y.toFixed(6)}`)).size).toBe(points.length)
  })
  it('a rectangle counts its corners once', () =>
    expect(boltCount({ kind: 'rectangle', along: 5, across: 3 })).toBe(12))
  it.each(LAYOUTS.slice(1) as Exclude<BoltLayout, { kind: 'circle' }>[])(
    'middle outwards on a $kind never comes nearer again, and ends at the ends',
    layout => {
      const [order, points] = [must(outwardsOn(layout)), boltPoints(layout)]
      const far = order.map(bolt => Math.hypot(points[bolt - 1]!.x, points[bolt - 1]!.y))
      expect(new Set(order).size).toBe(boltCount(layout))
      far.forEach((one, i) => i && expect(one).toBeGreaterThanOrEqual(far[i - 1]! - 1e-9))
    },
  )
  it('a split line crosses from row to row', () =>
    expect(must(outwardsOn({ kind: 'split line', aSide: 5 }))).toEqual([3, 8, 2, 9, 4, 7, 5, 6, 10, 1]))
  it.each([1, 51, 2.5])('refuses a side of %s', side => refused(outwardsOn({ kind: 'split line', aSide: side })))
})

describe('threads and strength', () => {
  it.each([
    ['M16', 16, 2, 156.67],
    ['m16x1.5', 16, 1.5, 167.25],
    ['M5', 5, 0.8, 14.18],
    ['M64', 64, 6, 2675.97],
    ['M12×1,25', 12, 1.25, 92.07],
    ['1/2 UNC', 12.7, 25.4 / 13, 91.55],
    ['1/4-28 UNF', 6.35, 25.4 / 28, 23.47],
    ['1 1/2 UNF', 38.1, 25.4 / 12, 1019.83],
    ['2 UNC', 50.8, 25.4 / 4.5, 1611.2],
  ] as const)('%s', (text, d, pitch, area) => {
    const thread = must(readThread(text))
    expect(thread.diameterMm).toBeCloseTo(d, 6)
    expect(thread.pitchMm).toBeCloseTo(pitch, 6)
    expect(Math.abs(thread.stressAreaMm2 - area) / area).toBeLessThan(2e-3)
  })
  it.each([
    ['M7', /M7 is not among/],
    ['M16x1', /no pitch of 1/],
    ['M65', /not among/],
    ['2 UNF', /no UNF/],
    ['1/2-12 UNC', /13 threads an inch/],
    ['half inch', /not a thread/],
    ['', /not a thread/],
  ])('%s is refused by name', (text, why) => refused(readThread(text), why))
  /** On the threads the class is for; metric where it is for both. */
  const strength = (name: BoltClassName, diameterMm: number, system?: ThreadSystem) =>
    boltStrength(name, { system: system ?? (name.startsWith('Grade') ? 'unified' : 'metric'), diameterMm })
  it.each([
    ['8.8', 16, 580],
    ['8.8', 16.01, 600],
    ['8.8', 39, 600],
    ['10.9', 20, 830],
    ['12.9', 5, 970],
    ['A2-70', 24, 450],
    ['A4-80', 12, 600],
    ['Grade 5', 25.4, 586.1],
    ['Grade 5', 28.575, 510.2],
    ['B7', 64, 720],
    ['B7', 64.1, 655],
  ] as const)('%s at %s mm: %s MPa', (name, d, mpa) => expect(must(strength(name, d)).mpa).toBeCloseTo(mpa, 0))
  it.each([
    ['8.8', 42, /8.8 is not defined for 42 mm: ISO 898-1/],
    ['9.8', 20, /16 mm/],
    ['A2-70', 27, /A2-70/],
    ['Grade 8', 5, /SAE J429/],
  ] as const)('%s at %s mm is refused by name', (name, d, why) => refused(strength(name, d), why))
  it('every class says what and where from', () => {
    for (const name of BOLT_CLASS_NAMES) expect(must(strength(name, 12)).standard).toMatch(/ISO|SAE|ASTM/)
  })
  it('torque by friction goes both ways', () => {
    const bolt = { diameterMm: 16, pitchMm: 2, threadFriction: 0.14, headFriction: 0.12, headMeanDiameterMm: 20.8 }
    fc.assert(
      fc.property(fc.integer({ min: 100, max: 200_000 }), preload => {
        expect(must(preloadByFrictionN(must(torqueByFrictionNm(preload, bolt)), bolt))).toBeCloseTo(preload, 4)
      }),
    )
  })
})

describe('elastic interaction', () => {
  const joint: Interaction = { pattern: 'star', bolts: 12, targetN: 1000, passes: [0.3, 0.6, 1], loss: 0.18 }
  /** The model written out plainly: every gain taken from everybody else, one by one. */
  function slowly({ pattern, bolts, targetN, passes, loss }: Interaction): number[] {
    const loads: number[] = Array(bolts).fill(0)
    for (const share of passes) {
      for (const bolt of order(pattern, bolts)) {
        const gain = targetN * share - loads[bolt - 1]!
        if (gain <= 0) continue
        loads[bolt - 1] = targetN * share
        loads.forEach((load, i) => {
          const apart = Math.min(Math.abs(i - (bolt - 1)), bolts - Math.abs(i - (bolt - 1)))
          if (apart) loads[i] = Math.max(0, load - loss * 0.35 ** (apart - 1) * gain)
        })
      }
    }
    return loads
  }
  it('is what the plain model gives', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('star', 'round', 'two opposite, then round', 'middle outwards'),
        fc.integer({ min: 3, max: 40 }),
        fc.constantFrom(...FILLINGS),
        (pattern, bolts, filling) => {
          const given = { ...joint, pattern, bolts, loss: JOINT_STIFFNESS[filling], checkPasses: false } as Interaction
          const wanted = slowly(given)
          must(interact(given))
            .after.at(-1)!
            .preloadsN.forEach((one, i) => expect(one).toBeCloseTo(wanted[i]!, 6))
        },
      ),
    )
  })
  it('three bolts: each loses to both of its neighbours', () => {
    const [one, two, three] = must(
      interact({ ...joint, bolts: 3, passes: [1], loss: 0.1, pattern: 'round', checkPasses: false }),
    ).after[0]!.preloadsN
    expect([one, two, three]).toEqual([expect.closeTo(800, 9), expect.closeTo(900, 9), 1000])
  })
  it('a rigid joint keeps everything and wants no check pass', () =>
    expect(must(interact({ ...joint, loss: 0 }))).toMatchObject({ checkPasses: 0, after: [{}, {}, { scatter: 0 }] }))
  it('the single-pass pulls leave every bolt level', () => {
    for (const pattern of PATTERNS) {
      const { levelPullsN } = must(interact({ ...joint, pattern }))
      const loads: number[] = Array(12).fill(0)
      for (const step of must(boltSteps(pattern, 12))) {
        for (const bolt of step) {
          loads.forEach((load, i) => {
            const apart = Math.min(Math.abs(i - (bolt - 1)), 12 - Math.abs(i - (bolt - 1)))
            if (apart && !step.includes(i + 1))
              loads[i] = load - (load > 0 ? 0.18 * 0.35 ** (apart - 1) * levelPullsN[bolt - 1]! : 0)
          })
        }
        for (const bolt of step) loads[bolt - 1] = levelPullsN[bolt - 1]!
      }
      loads.forEach(load => expect(load).toBeCloseTo(1000, 6))
    }
  })
  it('check passes level it, and none goes below nought or over the target', () => {
    const { after, checkPasses } = must(interact(joint))
    expect(after.at(-1)!.scatter).toBeLessThan(after[2]!.scatter)
    expect(checkPasses).toBeGreaterThan(0)
    for (const { preloadsN } of after) expect(Math.min(...preloadsN) >= 0 && Math.max(...preloadsN) <= 1000).toBe(true)
  })
  it('none is made on a curing locker', () =>
    expect(must(interact({ ...joint, checkPasses: false }))).toMatchObject({ checkPasses: null, after: { length: 3 } }))
  it.each([
    { loss: 0.325 },
    { loss: -0.1 },
    { passes: [] },
    { passes: [0.6, 0.3, 1] },
    { passes: [0.5] },
    { targetN: 0 },
    { bolts: 1 },
  ])('refuses %j', wrong => refused(interact({ ...joint, ...wrong })))
  it('tells how far it is', () => {
    const told: number[] = []
    must(interact(joint, share => told.push(share)))
    expect(told.length).toBeGreaterThan(3)
    expect([...told].sort((a, b) => a - b)).toEqual(told)
  })
})
