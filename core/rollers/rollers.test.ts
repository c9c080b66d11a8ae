import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { must, refused } from '../../tests/must.ts'
import {
  clearanceAfterMounting,
  CLEARANCE_GROUPS,
  driveUp,
  groupClearance,
  LOAD_CASES,
  LOADS,
  readDesignation,
  seatClasses,
  slotSetting,
  type ClearanceTable,
  type Mounted,
} from './index.ts'
import { CLEARANCE_UM } from './iso5753-data.ts'

describe('designations', () => {
  it.each([
    ['6000', 10, 26, 8],
    ['6201', 12, 32, 10],
    ['6302', 15, 42, 13],
    ['6403', 17, 62, 17],
    ['6204', 20, 47, 14],
    ['6312', 60, 130, 31],
    ['6040', 200, 310, 51],
    ['6804', 20, 32, 7],
    ['61912', 60, 85, 13],
    ['6920', 100, 140, 20],
    ['16010', 50, 80, 10],
    ['62208', 40, 80, 23],
    ['1205', 25, 52, 15],
    ['2310', 50, 110, 40],
    ['23022', 110, 170, 45],
    ['23040', 200, 310, 82],
    ['23120', 100, 165, 52],
    ['23140', 200, 340, 112],
    ['23218', 90, 160, 52.4],
    ['23220', 100, 180, 60.3],
    ['30205', 25, 52, 16.25],
    ['30312', 60, 130, 33.5],
    ['30320', 100, 215, 51.5],
    ['7208', 40, 80, 18],
    ['7310', 50, 110, 27],
    ['22210', 50, 90, 23],
    ['22320', 100, 215, 73],
    ['21311', 55, 120, 29],
    ['NU210', 50, 90, 20],
    ['NJ 2310', 50, 110, 40],
    ['N315', 75, 160, 37],
    ['NUP2218', 90, 160, 40],
  ] as const)('%s is %s × %s × %s', (text, boreMm, outsideMm, widthMm) =>
    expect(must(readDesignation(text))).toMatchObject({
      boreMm,
      outsideMm,
      widthMm,
      group: /^(7|30)/.test(text) ? null : 'CN',
    }),
  )
  it.each([
    ['6312-2RS C3', { group: 'C3', closed: 'sealed', taperedBore: false }],
    ['6312 ZZ', { closed: 'shielded' }],
    ['22220 K C4', { group: 'C4', taperedBore: true }],
    ['22220-K/C3', { group: 'C3', taperedBore: true }],
    ['NU 2210 C5', { group: 'C5' }],
    ['6208 C2', { group: 'C2' }],
    ['22220 EK/C3', { group: 'C3', taperedBore: true }],
    ['22216 CCK/W33', { taperedBore: true, heed: ['tapered bore 1:12: it is driven up, not pushed on'] }],
    ['6310-2ZC3', { group: 'C3', closed: 'shielded' }],
    ['NU 210 ECP C4', { group: 'C4', taperedBore: false }],
    ['6205 P6', { heed: ['closer than Normal class: its rings have limits of their own'] }],
  ])('%s', (text, wanted) => {
    const read = must(readDesignation(text))
    expect(read).toMatchObject(wanted)
    expect(read.heed.length).toBeGreaterThan(0)
  })
  it.each([
    ['608', /three figures/],
    ['62/28', /stroke/],
    ['60/22', /stroke/],
    ['6204 XYZ', /suffix XYZ/],
    ['22220 EKX', /suffix EKX/],
    ['6204 P7', /suffix P7/],
    ['3205', /series 32/],
    ['6099', /no dimensions/],
    ['6400', /no dimensions/],
    ['bearing', /not a designation/],
    ['', /not a designation/],
  ])('%s is refused and asks for its sizes', (text, why) => {
    refused(readDesignation(text), why)
    refused(readDesignation(text), /Measure bore, outside diameter and width/)
  })
})

describe('clearance groups', () => {
  it.each([
    ['deep groove ball', 60, 'C3', 23, 43],
    ['deep groove ball', 65, 'CN', 8, 28],
    ['deep groove ball', 65.01, 'CN', 10, 30],
    ['deep groove ball', 6.01, 'C2', 0, 7],
    ['deep groove ball', 200, 'C5', 150, 230],
    ['cylindrical roller', 24, 'CN', 20, 45],
    ['cylindrical roller', 80, 'C3', 65, 100],
    ['spherical roller', 100, 'CN', 60, 100],
    ['spherical roller, tapered bore', 80, 'C3', 95, 120],
  ] as const)('%s %s mm %s', (table, bore, group, leastUm, greatestUm) =>
    expect(must(groupClearance(table, bore, group))).toEqual({ leastUm, greatestUm }),
  )
  it.each(Object.keys(CLEARANCE_UM) as ClearanceTable[])('%s: groups rise, and bores rise with them', table => {
    for (const [i, [upTo, ...groups]] of CLEARANCE_UM[table].rows.entries()) {
      expect(groups).toHaveLength(CLEARANCE_GROUPS.length)
      groups.forEach(([least, most], at) => {
        expect(most).toBeGreaterThan(least)
        if (at) expect(least).toBeGreaterThan(groups[at - 1]![0])
        if (at) expect(most).toBeGreaterThan(groups[at - 1]![1])
      })
      const before = CLEARANCE_UM[table].rows[i - 1]
      if (!before) continue
      expect(upTo).toBeGreaterThan(before[0])
      groups.forEach(([, most], at) =>
        expect(most).toBeGreaterThanOrEqual((before[at + 1] as readonly [number, number])[1]),
      )
    }
  })
  it.each([
    ['deep groove ball', 6],
    ['deep groove ball', 200.1],
    ['spherical roller', 14],
    ['cylindrical roller', 0],
  ] as const)('%s of %s mm is refused by name', (table, bore) =>
    refused(groupClearance(table, bore, 'CN'), new RegExp(`${bore} mm lies outside`)),
  )
})

describe('clearance after mounting', () => {
  const none = { leastUm: 0, greatestUm: 0 }
  const base: Mounted = {
    boreMm: 60,
    outsideMm: 130,
    unmounted: { leastUm: 23, greatestUm: 43 },
    inner: none,
    outer: none,
    seat: 'ground',
    warmerK: 0,
  }
  it('loose rings and no heat lose nothing', () =>
    expect(must(clearanceAfterMounting(base)).running).toEqual(base.unmounted))
  it('a loose end counts as nought, not as a gain', () =>
    expect(must(clearanceAfterMounting({ ...base, inner: { leastUm: -20, greatestUm: 0 } })).running).toEqual(
      base.unmounted,
    ))
  it('takes the inner loss by the rule', () => {
    // di = 60 + 70/4 = 77.5; 36·60/62·60/77.5
    expect(
      must(clearanceAfterMounting({ ...base, inner: { leastUm: 2, greatestUm: 36 } })).innerLoss.greatestUm,
    ).toBeCloseTo((((36 * 60) / 62) * 60) / 77.5, 9)
    expect(
      must(clearanceAfterMounting({ ...base, seat: 'turned', inner: { leastUm: 2, greatestUm: 36 } })).innerLoss
        .greatestUm,
    ).toBeCloseTo((((36 * 60) / 63) * 60) / 77.5, 9)
  })
  it('takes the outer and the heat loss by the rule', () => {
    const left = must(clearanceAfterMounting({ ...base, outer: { leastUm: 0, greatestUm: 10 }, warmerK: 10 }))
    expect(left.outerLoss.greatestUm).toBeCloseTo((10 * 112.5) / 130, 9)
    expect(left.temperatureLossUm).toBeCloseTo(0.012 * 10 * 112.5, 9)
  })
  it('more interference never leaves more clearance', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -30, max: 60, noNaN: true }),
        fc.double({ min: 0, max: 40, noNaN: true }),
        (um, more) => {
          const left = (greatestUm: number) =>
            must(clearanceAfterMounting({ ...base, inner: { leastUm: -30, greatestUm } })).running.leastUm
          expect(left(um + more)).toBeLessThanOrEqual(left(um) + 1e-9)
        },
      ),
    )
  })
  it('refuses what cannot be', () => {
    for (const wrong of [
      { outsideMm: 60 },
      { unmounted: { leastUm: 5, greatestUm: 1 } },
      { warmerK: -1 },
      { boreMm: 0 },
    ])
      refused(clearanceAfterMounting({ ...base, ...wrong }))
  })
})

describe('seats', () => {
  it('the ring that turns against the load is the tight one', () => {
    expect(must(seatClasses(60, 'ball', 'inner ring turns against the load', 'normal'))).toMatchObject({
      bySize: { shaft: 'k5', housing: 'H7' },
      byHabit: { shaft: 'k6', housing: 'H7' },
    })
    expect(must(seatClasses(60, 'ball', 'outer ring turns against the load', 'normal'))).toMatchObject({
      bySize: { shaft: 'g6', housing: 'N7' },
    })
  })
  it.each([
    [100, 'k5'],
    [100.01, 'm5'],
    [140, 'm5'],
    [200, 'm6'],
    [200.01, 'n6'],
  ])('a ball bearing of %s mm, normal load: %s', (bore, shaft) =>
    expect(must(seatClasses(bore, 'ball', 'inner ring turns against the load', 'normal')).bySize.shaft).toBe(shaft),
  )
  it('every case has both schools', () => {
    for (const loadCase of LOAD_CASES)
      for (const load of LOADS)
        for (const elements of ['ball', 'roller'] as const)
          for (const bore of [1, 40, 500]) {
            const { bySize, byHabit } = must(seatClasses(bore, elements, loadCase, load))
            expect([bySize, byHabit].every(one => one.shaft && one.housing && one.why)).toBe(true)
          }
  })
  it.each([0, 501, Number.NaN])('refuses a bore of %s', bore =>
    refused(seatClasses(bore, 'ball', LOAD_CASES[0], 'normal')),
  )
})

describe('drive-up', () => {
  it('follows the rule on 1:12', () => {
    const up = must(driveUp(80, '1:12', 2, 90))
    expect(up.reduction).toEqual({ leastUm: 36, greatestUm: 48 })
    expect(up.travelMm.least).toBeCloseTo(0.54, 9)
    expect(up.nutDeg.least).toBeCloseTo(97.2, 9)
    expect(up.leftUm).toEqual({ leastUm: 42, greatestUm: 54 })
  })
  it('is about two and a half times as far on 1:30', () =>
    expect(must(driveUp(80, '1:30', 2)).travelMm.least / must(driveUp(80, '1:12', 2)).travelMm.least).toBeCloseTo(
      2.5,
      9,
    ))
  it('refuses what cannot be', () => {
    refused(driveUp(0, '1:12', 2))
    refused(driveUp(80, '1:12', 0))
    refused(driveUp(80, '1:12', 2, -1))
  })
})

describe('locknut slots', () => {
  it('one tab stops at the nut’s slots', () =>
    expect(must(slotSetting(1.5, 4, 1, 0.12))).toMatchObject({
      stopsPerTurn: 4,
      fewer: { stops: 0, leavesMm: 0 },
      more: { stops: 1, leavesMm: 0.375 },
    }))
  it('slots and tabs together give their least common multiple', () =>
    expect(must(slotSetting(1.5, 4, 6, 0.1)).stopsPerTurn).toBe(12))
  it('an exact stop is on both sides', () =>
    expect(must(slotSetting(2, 4, 1, 0.5))).toMatchObject({ fewer: { stops: 1 }, more: { stops: 1, leavesMm: 0.5 } }))
  it('what is wanted lies between the two', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 30 }),
        fc.integer({ min: 1, max: 30 }),
        fc.double({ min: 0, max: 10, noNaN: true }),
        (slots, tabs, wanted) => {
          const { fewer, more, travelPerStopMm } = must(slotSetting(1, slots, tabs, wanted))
          expect(fewer.leavesMm).toBeLessThanOrEqual(wanted + 1e-6)
          expect(more.leavesMm).toBeGreaterThanOrEqual(wanted - 1e-6)
          expect(more.leavesMm - fewer.leavesMm).toBeLessThanOrEqual(travelPerStopMm + 1e-9)
        },
      ),
    )
  })
  it.each([
    [0, 4, 1, 0.1],
    [1.5, 4.5, 1, 0.1],
    [1.5, 4, 0, 0.1],
    [1.5, 4, 1, -0.1],
    [1.5, 4, 1, 31],
  ])('refuses %s %s %s %s', (...given) => refused(slotSetting(...(given as [number, number, number, number]))))
})
