import { describe, expect, it } from 'vitest'
import { must, refused } from '../../../tests/must.ts'
import { figure, figures, withChanges } from '../../../tests/sums.ts'

describe('places on the clock', () => {
  it.each([
    [3, 9, '9:00'],
    [12, 12, '12:00'],
    [0, 12, '12:00'],
    [6, 6, '6:00'],
    [2.5, 9.5, '9:30'],
    [10.25, 1.75, '1:45'],
  ])('%s from one end is %s from the other', (hour, other, clock) => figures('clock', { hour }, { hour: other, clock }))
  it.each([
    ['right', 'tighten', 'the nut or head', 'clockwise'],
    ['right', 'slacken', 'behind it', 'clockwise'],
    ['left', 'tighten', 'the nut or head', 'anticlockwise'],
    ['left', 'slacken', 'the nut or head', 'clockwise'],
  ])('%s-hand, to %s, from %s: %s', (hand, act, seenFrom, sense) =>
    figures('turning-sense', { hand, act, seenFrom }, { sense }),
  )
})

describe('marks and rules', () => {
  const rule = (a: string, b: string, deg: number, toleranceDeg = 2, symmetry = 1) => ({
    a,
    b,
    deg,
    toleranceDeg,
    symmetry,
  })
  const contradictions = (rules: unknown[]) => figure('mark-chain', 'contradictionCount', { rules })
  it('A–B and B–C give A–C, the far part included', () =>
    expect(
      must(withChanges('mark-chain', { rules: [rule('A', 'B', 90), rule('B', 'C', 120), rule('D', 'C', 30)] })).more!
        .anglesDeg,
    ).toEqual({ A: 0, B: 90, C: 210, D: 180 }))
  it.each([
    [[rule('A', 'B', 90), rule('B', 'C', 120), rule('A', 'C', 210)], 0],
    [[rule('A', 'B', 90), rule('B', 'C', 120), rule('A', 'C', 216)], 0],
    [[rule('A', 'B', 90), rule('B', 'C', 120), rule('A', 'C', 216.1)], 1],
    [[rule('A', 'B', 0), rule('A', 'B', 180)], 1],
    [[rule('A', 'B', 0, 2, 2), rule('A', 'B', 180)], 0],
    [[rule('A', 'B', 0), rule('C', 'D', 10), rule('C', 'D', 50)], 1],
  ])('%j contradicts itself %s times', (rules, wanted) => {
    const one = contradictions(rules)
    expect(one.value).toBe(wanted)
    expect(one.held!.verdict).toBe(wanted ? 'Out' : 'Holds')
  })
  it.each([
    [182, 0, 2, 2, 'Holds'],
    [182, 0, 1, 178, 'Out'],
    [-3, 0, 1, 3, 'Holds'],
    [359, 1, 1, 2, 'Holds'],
  ])('stands at %s, wanted %s, symmetry %s: misses %s°', (standsDeg, deg, symmetry, missDeg, verdict) => {
    figures('mark-meets', { standsDeg, deg, symmetry }, { missDeg })
    expect(figure('mark-meets', 'missDeg', { standsDeg, deg, symmetry }).held!.verdict).toBe(verdict)
  })
})

describe('teeth and places', () => {
  it.each([
    [22, 110, 22, false, 5, 1],
    [23, 110, 1, true, 110, 23],
    [36, 48, 12, false, 4, 3],
    [20, 20, 20, false, 1, 1],
  ])('%s and %s teeth', (pinionTeeth, wheelTeeth, meshes, hunting, pinionTurnsToRepeat, wheelTurnsToRepeat) =>
    figures('gear-mesh', { pinionTeeth, wheelTeeth }, { meshes, hunting, pinionTurnsToRepeat, wheelTurnsToRepeat }),
  )
  it('run-in sets keep their mark even when hunting', () => {
    const note = (runInOrTimed: boolean) => must(withChanges('gear-mesh', { pinionTeeth: 23, runInOrTimed })).notes![0]
    expect([note(false), note(true)]).toEqual([
      expect.stringMatching(/not needed/),
      expect.stringMatching(/mark matters/),
    ])
  })
  it('two teeth meet after so many turns, or never', () => {
    figures('hunting', {}, { meet: true, afterPinionTurns: 3 })
    figures('hunting', { pinionTeeth: 20, wheelTooth: 54 }, { meet: false, afterPinionTurns: null })
    refused(withChanges('hunting', { pinionTooth: 18 }), /pinion has 17/)
  })
  const placed = (...moves: [string, string, string, boolean?][]) =>
    moves.map(([part, cameFrom, wentTo, renewed]) => ({ part, cameFrom, wentTo, renewed }))
  it.each([
    [placed(['a', '1', '1'], ['b', '2', '2']), 0],
    [placed(['a', '1', '2'], ['b', '2', '1']), 1],
    [placed(['a', '1', '2'], ['b', '2', '3'], ['c', '3', '1']), 1],
    [placed(['a', '1', '2', true], ['b', '2', '1', true]), 0],
    [placed(['a', '1', '3'], ['b', '3', '3']), 2],
    [placed(['a', '1 ', '1'], ['b', '2', '  2'], ['c', 'row  B', 'row B']), 0],
    [placed(['a', '1 ', '2'], ['b', '2', '1']), 1],
  ])('%j: %s wrong', (list, wrongCount) => figures('places', { placed: list }, { wrongCount }))
  it('a ring of three is told as one', () =>
    expect(
      figure('places', 'wrongCount', { placed: placed(['a', '1', '2'], ['b', '2', '3'], ['c', '3', '1']) }).held!
        .consequence,
    ).toBe('a and b and c changed places (1, 2, 3)'))
  it('which way round: a no is Out, silence is Open', () => {
    figures('facing', {}, { wrongCount: 1, openCount: 1 })
    const standing = (...stands: string[]) =>
      figure('facing', 'wrongCount', {
        parts: stands.map((one, i) => ({ part: `p${i}`, rule: 'face up', stands: one })),
      })
    expect(standing('yes', 'no', 'not looked at').held).toMatchObject({
      verdict: 'Out',
      consequence: expect.stringMatching(/wrong face/),
    })
    expect(standing('yes', 'not looked at').held!.verdict).toBe('Open')
    expect(standing('yes', 'yes').held!.verdict).toBe('Holds')
  })
})
