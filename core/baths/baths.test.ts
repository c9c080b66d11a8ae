import { describe, expect, it } from 'vitest'
import { must, refused } from '../../tests/must.ts'
import { mixBath, waitState } from './index.ts'

describe('a bath', () => {
  it('mixes', () => expect(must(mixBath(120, 5, 40))).toEqual({ stockL: 15, waterL: 105 }))
  it('as strong as its concentrate takes no water', () => expect(must(mixBath(10, 40, 40)).waterL).toBe(0))
  it.each([
    [0, 5, 40],
    [10, 50, 40],
    [10, 5, 101],
    [10, 0, 40],
  ])('refuses %s L of %s from %s', (...given) => refused(mixBath(...(given as [number, number, number]))))
  it.each([
    [119, 'too soon', 1, 'Open'],
    [120, 'may come out', 240, 'Holds'],
    [360, 'may come out', 0, 'Thin'],
    [361, 'too long', null, 'Out'],
  ])('%s minutes of 120 to 360: %s', (doneMin, state, nextMin, verdict) =>
    expect(
      must(waitState({ what: 'soak', doneMin: doneMin as number, shortestMin: 120, longestMin: 360 })),
    ).toMatchObject({
      state,
      nextMin,
      held: { verdict },
    }),
  )
  it('without a longest it may stay', () =>
    expect(must(waitState({ what: 'soak', doneMin: 1e4, shortestMin: 10 }))).toMatchObject({
      state: 'may come out',
      nextMin: null,
      held: { verdict: 'Holds' },
    }))
  it('refuses times the wrong way round', () =>
    refused(waitState({ what: 'soak', doneMin: 1, shortestMin: 10, longestMin: 5 })))
})
