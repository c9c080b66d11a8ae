import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { must, refused } from '../../tests/must.ts'
import { commutator, insulation, pressureDrop, steadiness, VIBRATION_GROUPS, vibrationZone } from './index.ts'

describe('a run', () => {
  const line = (slope: number, minutes: number) =>
    Array.from({ length: minutes / 5 + 1 }, (_, i) => ({ minute: i * 5, value: 40 + (slope / 60) * i * 5 }))
  it('finds the slope of a straight line, whatever its order', () => {
    fc.assert(
      fc.property(fc.integer({ min: -20, max: 20 }), fc.boolean(), (slope, turned) => {
        expect(must(steadiness(turned ? line(slope, 60).reverse() : line(slope, 60))).slopePerHour).toBeCloseTo(
          slope,
          6,
        )
      }),
    )
  })
  it('looks at the last window only', () =>
    expect(
      must(steadiness([{ minute: 0, value: 20 }, ...line(0, 60).map(one => ({ ...one, minute: one.minute + 30 }))]))
        .slopePerHour,
    ).toBeCloseTo(0, 9))
  it('says nothing until the window is full', () => {
    expect(must(steadiness(line(0, 25))).slopePerHour).toBeNull()
    expect(must(steadiness(line(0, 30))).slopePerHour).toBeCloseTo(0, 9)
  })
  it.each([
    [[{ minute: 0, value: 1 }], 30],
    [
      [
        { minute: 0, value: 1 },
        { minute: 0, value: 2 },
      ],
      30,
    ],
    [line(0, 30), 0],
    [
      [
        { minute: 0, value: Number.NaN },
        { minute: 1, value: 1 },
      ],
      30,
    ],
  ])('refuses %j', (samples, window) => refused(steadiness(samples, window)))
})

describe('vibration', () => {
  const [large, medium] = VIBRATION_GROUPS
  it.each([
    [large, 'rigid', 2.3, 'A'],
    [large, 'rigid', 2.31, 'B'],
    [large, 'rigid', 4.51, 'C'],
    [large, 'rigid', 7.11, 'D'],
    [large, 'flexible', 11, 'C'],
    [medium, 'rigid', 1.4, 'A'],
    [medium, 'rigid', 2.8, 'B'],
    [medium, 'flexible', 7.2, 'D'],
    [medium, 'flexible', 0, 'A'],
  ] as const)('%s, %s, %s mm/s: %s', (group, support, mm, zone) =>
    expect(must(vibrationZone(mm, group!, support)).zone).toBe(zone),
  )
  it('machines with a part of their own are refused by name', () =>
    refused(vibrationZone(1, medium!, 'rigid', 'pump'), /pump is not judged/))
  it('a velocity is not below nought', () => refused(vibrationZone(-1, medium!, 'rigid')))
})

describe('insulation', () => {
  it.each([
    [100, 40, 100],
    [100, 50, 200],
    [100, 30, 50],
    [100, 20, 25],
  ])('%s MΩ at %s °C is %s at 40', (mohm, at, wanted) =>
    expect(must(insulation(mohm, at)).at40MOhm).toBeCloseTo(wanted, 9),
  )
  it('thermosetting changes less', () => expect(must(insulation(100, 60, undefined, 20)).at40MOhm).toBeCloseTo(200, 9))
  it('the index means nothing above 5 GΩ', () => {
    expect(must(insulation(5000, 40, 10000))).toMatchObject({ polarisationIndex: 2, indexMeans: true })
    expect(must(insulation(5001, 40, 10000)).indexMeans).toBe(false)
  })
  it.each([
    [0, 40],
    [100, 151],
    [100, -11],
  ])('refuses %s MΩ at %s °C', (mohm, at) => refused(insulation(mohm, at)))
})

describe('a commutator', () => {
  it('finds profile, step and its bar, round the corner too', () => {
    expect(must(commutator([0, 1, 2, 9]))).toMatchObject({ profileUm: 9, stepUm: 9, stepAt: 4 })
    expect(must(commutator([0, 8, 7, 6]))).toMatchObject({ stepUm: 8, stepAt: 1 })
  })
  it('brush pressure, undercut and spread', () =>
    expect(
      must(
        commutator([0, 1, 0, 1], {
          springN: 12,
          brushAreaMm2: 600,
          undercutsMm: [1, 0.8],
          resistancesMOhm: [9, 10, 11],
        }),
      ),
    ).toMatchObject({ brushMPa: 0.02, undercutLeastMm: 0.8, resistanceSpreadShare: 0.2 }))
  it.each([
    [[0, 1, 2], {}],
    [[0, 1, 2, 3], { springN: 0 }],
    [[0, 1, 2, 3], { undercutsMm: [-1] }],
    [[0, 1, 2, 3], { resistancesMOhm: [0, 1] }],
  ])('refuses %j %j', (bars, more) => refused(commutator(bars, more)))
})

describe('a gas test', () => {
  it('a cooling gas alone has not leaked', () =>
    expect(must(pressureDrop(0.7, 27, (0.7 * 293.15) / 300.15, 20, 60)).dropMPa).toBeCloseTo(0, 12))
  it('at one temperature the drop is what was read', () =>
    expect(must(pressureDrop(0.7, 20, 0.69, 20, 30))).toMatchObject({
      dropMPa: expect.closeTo(0.01, 12),
      perHourMPa: expect.closeTo(0.02, 12),
    }))
  it.each([
    [0, 20, 0.6, 20, 60],
    [0.7, -274, 0.6, 20, 60],
    [0.7, 20, 0.6, 20, 0],
    [0.7, 20, -0.1, 20, 60],
  ])('refuses %j', (...given) => refused(pressureDrop(...(given as [number, number, number, number, number]))))
})
