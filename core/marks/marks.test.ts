import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { must, refused } from '../../tests/must.ts'
import {
  chainMarks,
  checkPlaces,
  fromOtherEnd,
  gearMesh,
  marksMeet,
  toothMeeting,
  turnFor,
  type MarkRule,
} from './index.ts'

describe('turning sense', () => {
  it.each([
    ['right', 'tighten', 'the nut or head', 'clockwise'],
    ['right', 'slacken', 'the nut or head', 'anticlockwise'],
    ['left', 'tighten', 'the nut or head', 'anticlockwise'],
    ['left', 'slacken', 'the nut or head', 'clockwise'],
    ['right', 'tighten', 'behind it', 'anticlockwise'],
    ['left', 'slacken', 'behind it', 'anticlockwise'],
  ] as const)('%s-hand, %s, from %s: %s', (hand, act, from, sense) => expect(turnFor(hand, act, from)).toBe(sense))
  it('mirrored twice is itself', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 359 }), deg => {
        expect(fromOtherEnd(fromOtherEnd(deg))).toBe(deg)
      }),
    )
  })
})

describe('chains of marks', () => {
  const mark = (a: string, b: string, deg: number, more: Partial<MarkRule> = {}): MarkRule => ({
    a,
    b,
    deg,
    toleranceDeg: 1,
    ...more,
  })
  it('A–C follows from A–B and B–C', () =>
    expect(must(chainMarks([mark('A', 'B', 90), mark('B', 'C', 120)]))).toEqual({
      anglesDeg: { A: 0, B: 90, C: 210 },
      symmetries: { A: 1, B: 1, C: 1 },
      contradictions: [],
    }))
  it('goes against a rule’s own direction, too', () =>
    expect(must(chainMarks([mark('A', 'B', 90), mark('C', 'B', 30)])).anglesDeg.C).toBe(60))
  it('a part that nothing leads to stays unknown', () =>
    expect(must(chainMarks([mark('A', 'B', 90), mark('C', 'D', 30)])).anglesDeg).toMatchObject({
      A: 0,
      B: 90,
      C: null,
      D: null,
    }))
  it('names the rules of a ring that does not close', () => {
    const { contradictions } = must(chainMarks([mark('A', 'B', 90), mark('B', 'C', 120), mark('A', 'C', 180)]))
    expect(contradictions).toHaveLength(1)
    expect(contradictions[0]!.missDeg).toBeCloseTo(30, 9)
    expect(contradictions[0]!.rules.flat().sort()).toEqual(['A', 'A', 'B', 'B', 'C', 'C'])
  })
  it('finds it away from the first part, too', () =>
    expect(must(chainMarks([mark('A', 'B', 0), mark('C', 'D', 10), mark('C', 'D', 40)])).contradictions).toHaveLength(
      1,
    ))
  it.each([
    [3, 0],
    [3.1, 1],
  ])('tolerances add up along the ring: miss of %s', (miss, count) =>
    expect(
      must(chainMarks([mark('A', 'B', 90), mark('B', 'C', 90), mark('A', 'C', 180 + miss)])).contradictions,
    ).toHaveLength(count),
  )
  it('a symmetric part closes a ring in its steps', () => {
    expect(must(chainMarks([mark('A', 'B', 0), mark('A', 'B', 120, { symmetry: 3 })])).contradictions).toHaveLength(0)
    expect(must(chainMarks([mark('A', 'B', 0), mark('A', 'B', 100, { symmetry: 3 })])).contradictions).toHaveLength(1)
  })
  it.each([7, 11, 13, 22, 360])('a part of %s alike places closes in its own steps and nowhere between', symmetry => {
    const ring = (deg: number) =>
      must(chainMarks([mark('A', 'B', 0, { symmetry, toleranceDeg: 0.1 }), mark('A', 'B', deg, { toleranceDeg: 0.1 })]))
    expect(ring((360 / symmetry) * 3).contradictions).toHaveLength(0)
    expect(ring((360 / symmetry) * 3.5).contradictions).toHaveLength(1)
    expect(ring(0).symmetries.B).toBe(symmetry)
  })
  it('symmetries along a chain leave their common steps', () =>
    expect(
      must(chainMarks([mark('A', 'B', 0, { symmetry: 4 }), mark('B', 'C', 10, { symmetry: 6 })])).symmetries,
    ).toEqual({ A: 1, B: 4, C: 12 }))
  it('a ring far down a chain is held by its own tolerances, not by those on the way to it', () => {
    const way = Array.from({ length: 8 }, (_, i) => mark(`p${i}`, `p${i + 1}`, 10, { toleranceDeg: 5 }))
    const ring = [mark('p8', 'q', 90), mark('q', 'r', 90), mark('p8', 'r', 186)]
    const { contradictions } = must(chainMarks([...way, ...ring]))
    expect(contradictions).toHaveLength(1)
    expect(new Set(contradictions[0]!.rules.flat())).toEqual(new Set(['p8', 'q', 'r']))
  })
  it('angles taken from true positions never contradict', () => {
    const truth = fc.array(fc.integer({ min: 0, max: 359 }), { minLength: 3, maxLength: 6 })
    fc.assert(
      fc.property(truth, fc.array(fc.tuple(fc.nat(5), fc.nat(5)), { minLength: 1, maxLength: 10 }), (at, pairs) => {
        const rules = pairs
          .map(([i, j]) => [i % at.length, j % at.length] as const)
          .filter(([i, j]) => i !== j)
          .map(([i, j]) => mark(`p${i}`, `p${j}`, at[j]! - at[i]!))
        if (!rules.length) return
        const { anglesDeg, contradictions } = must(chainMarks(rules))
        expect(contradictions).toEqual([])
        const first = Number(rules[0]!.a.slice(1))
        for (const [part, deg] of Object.entries(anglesDeg))
          if (deg !== null) expect(deg).toBe((((at[Number(part.slice(1))]! - at[first]!) % 360) + 360) % 360)
      }),
    )
  })
  it.each([[[]], [[mark('A', 'A', 0)]], [[mark('A', 'B', Number.NaN)]], [[mark('A', 'B', 0, { symmetry: 0 })]]])(
    'refuses %j',
    rules => refused(chainMarks(rules)),
  )
  it.each([
    [182, 0, 2, 2, true],
    [182.1, 0, 2, 2, false],
    [359, 0, 1, 1, true],
    [90, 0, 2, 4, true],
    [45, 0, 2, 4, false],
  ])('%s° against %s ± %s in %s', (stands, deg, toleranceDeg, symmetry, meets) =>
    expect(marksMeet(stands, { deg, toleranceDeg, symmetry }).meets).toBe(meets),
  )
})

describe('teeth', () => {
  it('in a hunting pair any tooth meets any', () => {
    for (let wheel = 1; wheel <= 100; wheel++) expect(must(toothMeeting(17, 100, 3, wheel)).meet).toBe(true)
  })
  it('in another pair only every g-th', () => {
    expect(must(toothMeeting(22, 110, 1, 23))).toMatchObject({ meet: true, afterPinionTurns: 1 })
    expect(must(toothMeeting(22, 110, 1, 2))).toMatchObject({ meet: false, afterPinionTurns: null })
  })
  it('is what turning by hand finds', () => {
    const teeth = fc.integer({ min: 5, max: 40 })
    fc.assert(
      fc.property(teeth, teeth, fc.nat(39), fc.nat(39), (z1, z2, i, j) => {
        const [pinion, wheel] = [i % z1, j % z2]
        const found = Array.from(
          { length: gearMesh(z1, z2).ok ? z2 : 0 },
          (_, turn) => (pinion + turn * z1) % z2,
        ).indexOf(wheel)
        expect(must(toothMeeting(z1, z2, pinion + 1, wheel + 1)).afterPinionTurns).toBe(found < 0 ? null : found)
      }),
    )
  })
  it.each([
    [22, 110, 0, 1],
    [22, 110, 23, 1],
    [22, 110, 1, 111],
    [4, 110, 1, 1],
  ])('refuses %s %s %s %s', (...teeth) => refused(toothMeeting(...(teeth as [number, number, number, number]))))
})

describe('places', () => {
  const put = (part: string, cameFrom: string, wentTo: string, renewed = false) => ({ part, cameFrom, wentTo, renewed })
  it('all home is nothing to say', () =>
    expect(must(checkPlaces([put('a', '1', '1'), put('b', '2', '2')]))).toEqual({ swaps: [], strays: [], twice: [] }))
  it('two that changed over are a swap', () =>
    expect(must(checkPlaces([put('a', '1', '2'), put('b', '2', '1')])).swaps).toEqual([
      { parts: ['a', 'b'], places: ['1', '2'] },
    ]))
  it('three in a ring are one swap', () =>
    expect(must(checkPlaces([put('a', '1', '2'), put('b', '2', '3'), put('c', '3', '1')])).swaps[0]!.parts).toEqual([
      'a',
      'b',
      'c',
    ]))
  it('one astray is a stray, and a place with two is named', () =>
    expect(must(checkPlaces([put('a', '1', '2'), put('b', '2', '2')]))).toMatchObject({
      swaps: [],
      strays: [{ part: 'a' }],
      twice: [{ place: '2', parts: ['a', 'b'] }],
    }))
  it('a renewed part may go anywhere', () => expect(must(checkPlaces([put('a', '1', '2', true)])).strays).toEqual([]))
  it('refuses nothing, and one part twice', () => {
    refused(checkPlaces([]))
    refused(checkPlaces([put('a', '1', '1'), put('a', '2', '2')]))
  })
})
