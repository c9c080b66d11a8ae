import { describe, expect, it } from 'vitest'
import { must, refused } from '../../../tests/must.ts'
import { figure, figures, withChanges } from '../../../tests/sums.ts'
import type { InteractionResult } from '../../joints/index.ts'

describe('torque and preload', () => {
  it('both ways of the sum, and back again', () => {
    const friction = { threadFriction: 0.14, headFriction: 0.14, headMeanDiameterMm: 20.8 }
    figures(
      'bolt-torque',
      { preloadN: 55000, ...friction },
      { torqueKNm: 149.6, torqueFrictionNm: 162.9415885, stressAreaMm2: 156.6681445 },
    )
    figures(
      'preload',
      { torqueNm: 162.9415885, threadFriction: 0.14, headFriction: 0.14 },
      { preloadFrictionN: 55000, stressAreaMm2: 156.6681445 },
    )
  })
  it('starts from size, class and lubricant', () => {
    // M16 8.8: 75 % of 580 MPa on 156.668 mm² is 68.15 kN; oiled, K = 0.17.
    figures('bolt-torque', {}, { preloadN: 68150.642851, torqueKNm: 185.369749, nutFactor: 0.17 })
    figures('bolt-torque', { lubrication: 'moly or copper paste' }, { nutFactor: 0.13 })
    figures('bolt-torque', { thread: '1/2 UNC', boltClass: 'Grade 5' }, { stressAreaMm2: 91.5472315 })
    figures(
      'bolt-torque',
      { thread: undefined, diameterMm: 16, pitchMm: 2, boltClass: undefined, preloadN: 55000, nutFactor: 0.2 },
      { torqueKNm: 176 },
    )
  })
  it('asks for what it cannot know', () => {
    refused(withChanges('bolt-torque', { boltClass: undefined }), /class on the bolt’s head/)
    refused(withChanges('bolt-torque', { lubrication: undefined }), /lubricated/)
    refused(withChanges('bolt-torque', { thread: undefined }), /M16/)
    refused(withChanges('bolt-torque', { diameterMm: 16, pitchMm: 2 }), /not both/)
    refused(withChanges('bolt-torque', { thread: 'M17' }), /not among the sizes/)
  })
  it('prevailing torque is none of the preload, and the scatter counts against proof', () =>
    figures(
      'preload',
      { prevailingNm: 10 },
      {
        preloadN: 34375,
        preloadLeastN: 25781.25,
        preloadMostN: 42968.75,
        proofPercent: 37.8297972,
        proofMostPercent: 47.2872465,
      },
    ))
  it('without all three figures there is no sum by friction', () => {
    const answer = must(withChanges('preload', { headFriction: undefined }))
    expect(answer.figures.map(one => one.key)).not.toContain('preloadFrictionN')
  })
  it('paste at a dry thread’s torque is half as much load again, and is said', () => {
    const load = (lubrication: string) => Number(figure('preload', 'preloadN', { lubrication }).value)
    expect(load('moly or copper paste') / load('dry')).toBeCloseTo(0.2 / 0.13, 9)
    expect(must(withChanges('preload')).notes![0]).toMatch(/half as much load again/)
    expect(
      figure('preload', 'proofMostPercent', { lubrication: 'moly or copper paste', torqueNm: 190 }).held!.verdict,
    ).toBe('Out')
  })
  it.each([
    ['feel', 0.35],
    ['click wrench', 0.25],
    ['torque and angle', 0.1],
    ['tensioner', 0.1],
  ])('pulled by %s: ± %s', (method, share) =>
    figures('preload', { method }, { preloadMostN: 37500 * (1 + share), preloadLeastN: 37500 * (1 - share) }),
  )
  it.each([
    ['M5', '8.8', 0.8, 14.1825, 580],
    ['M20', '8.8', 2.5, 244.7945, 600],
    ['M16x1.5', '10.9', 1.5, 167.2475, 830],
    ['1/2 UNC', 'Grade 5', 25.4 / 13, 91.5472315, 586.0543695],
    ['1 1/4 UNF', 'B7', 25.4 / 12, 692.2, 723.949512],
  ])('%s of class %s', (thread, boltClass, pitchMm, area, strengthMPa) => {
    figures('thread', { thread, boltClass }, { pitchMm, strengthMPa })
    expect(Number(figure('thread', 'stressAreaMm2', { thread, boltClass }).value)).toBeCloseTo(area, 1)
  })
  it.each([
    ['M42', '8.8', /8.8 is not defined for 42 mm/],
    ['1 3/4 UNF', 'B7', /no UNF thread/],
    ['M20', 'Grade 5', /class of inch threads/],
    ['M16x1.75', '8.8', /no pitch of 1.75/],
  ])('%s of class %s outside its standard is refused by name', (thread, boltClass, why) =>
    refused(withChanges('thread', { thread, boltClass }), why),
  )
  it.each([
    [170, 450, 120, 134.2105263],
    [100, 500, 0, 100],
    [100, 500, 500, 50],
  ])('%s N·m on %s + %s mm: set %s', (torqueNm, wrenchMm, extensionMm, settingNm) =>
    figures('wrench-extension', { torqueNm, wrenchMm, extensionMm }, { settingNm }),
  )
})

describe('orders', () => {
  const order = (changes: Record<string, unknown>) => must(withChanges('bolt-order', changes)).more!.order as number[]
  it.each([
    [3, [1, 2, 3]],
    [4, [1, 3, 2, 4]],
    [5, [1, 3, 5, 2, 4]],
    [8, [1, 5, 3, 7, 2, 6, 4, 8]],
    [10, [1, 6, 3, 8, 4, 9, 2, 7, 5, 10]],
  ])('star of %s', (bolts, wanted) => expect(order({ bolts, pattern: 'star' })).toEqual(wanted))
  it('a rectangle and a split line go from the middle outwards', () => {
    expect(order({ layout: 'along a split line', along: 3, pattern: 'middle outwards' })).toEqual([2, 5, 1, 6, 3, 4])
    const rectangle = order({ layout: 'round a rectangle', along: 4, across: 3, pattern: 'middle outwards' })
    expect(rectangle.toSorted((a, b) => a - b)).toEqual(Array.from({ length: 10 }, (_, i) => i + 1))
    expect(new Set(rectangle.slice(-4))).toEqual(new Set([1, 4, 6, 9]))
  })
  it('tools at once share the bolts out evenly', () => {
    expect(order({ bolts: 8, pattern: 'four tools at once' })).toHaveLength(8)
    refused(withChanges('bolt-order', { bolts: 6, pattern: 'four tools at once' }), /shared out evenly among 4/)
  })
})

describe('elastic interaction, worked by hand', () => {
  const ways = (changes: Record<string, unknown>) =>
    must(withChanges('elastic-interaction', changes)).more!.patterns as InteractionResult[]
  const SMALL = { targetN: 1000, passesPercent: [100], patterns: ['round'], joint: 'soft sheet', ceilingN: undefined }
  it('three bolts round, one pass: each takes a quarter off the others', () => {
    const [way] = ways({ ...SMALL, bolts: 3 })
    expect(way!.after[0]!.preloadsN).toEqual([500, 750, 1000])
    expect(way!.checkPasses).toBe(3)
    expect(way!.levelPullsN).toEqual([1000 + 0.25 * (1000 + 1250), 1250, 1000].map(one => expect.closeTo(one, 9)))
  })
  it('four bolts in a star, two passes', () => {
    const [way] = ways({ ...SMALL, bolts: 4, joint: 'compressed sheet', passesPercent: [50, 100], patterns: ['star'] })
    expect(way!.after[0]!.preloadsN.map(one => Number(one.toFixed(6)))).toEqual([382.5, 482.5, 400, 500])
    expect(way!.after[1]!.preloadsN.map(one => Number(one.toFixed(3)))).toEqual([849.466, 977.377, 871.223, 1000])
    expect(way!.levelPullsN.map(one => Number(one.toFixed(4)))).toEqual([1245.6225, 1035, 1203.5, 1000])
  })
  it('the pull that ends level is Out over the ceiling, and said as torque', () => {
    const changes = {
      ...SMALL,
      bolts: 4,
      joint: 'compressed sheet',
      patterns: ['star'],
      ceilingN: 1200,
      diameterMm: 20,
      nutFactor: 0.2,
    }
    expect(figure('elastic-interaction', 'levelPullN', changes).held!.verdict).toBe('Out')
    figures('elastic-interaction', changes, { levelPullN: 1245.6225, levelTorqueNm: (0.2 * 20 * 1245.6225) / 1000 })
  })
  it('a curing locker has no check passes', () => {
    expect(ways({ noCheckPasses: true }).every(one => one.checkPasses === null && one.after.length === 3)).toBe(true)
    expect(must(withChanges('elastic-interaction', { noCheckPasses: true })).notes!.at(-1)).toMatch(/thread-locker/)
  })
})
