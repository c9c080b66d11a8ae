import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { boltOrder, jointProgress, PATTERNS } from './index.ts'

const order = (pattern: typeof PATTERNS[number], n: number) => {
  const got = boltOrder(pattern, n)
  if (!got.ok) throw new Error(got.why)
  return got.value
}

describe('orders', () => {
  it.each([[4, [1, 3, 2, 4]], [6, [1, 4, 2, 5, 3, 6]], [8, [1, 5, 3, 7, 2, 6, 4, 8]], [12, [1, 7, 4, 10, 2, 8, 5, 11, 3, 9, 6, 12]], [3, [1, 2, 3]], [5, [1, 3, 5, 2, 4]], [10, [1, 6, 3, 8, 4, 9, 2, 7, 5, 10]]])('star of %i', (n, wanted) => expect(order('star', n)).toEqual(wanted))
  it('middle outwards starts in the middle', () => {
    expect(order('middle outwards', 5)).toEqual([3, 2, 4, 1, 5])
    expect(order('two opposite, then round', 6)).toEqual([1, 4, 2, 3, 5, 6])
  })
  it('every order visits every bolt once', () => {
    fc.assert(fc.property(fc.constantFrom(...PATTERNS), fc.integer({ min: 2, max: 120 }), (pattern, n) => {
      expect([...order(pattern, n)].sort((a, b) => a - b)).toEqual(Array.from({ length: n }, (_, i) => i + 1))
    }))
  })
  it('a star of an even count goes straight across', () => {
    fc.assert(fc.property(fc.integer({ min: 2, max: 60 }), (half) => {
      const star = order('star', half * 2)
      for (let i = 0; i < star.length; i += 2) expect(Math.abs(star[i]! - star[i + 1]!)).toBe(half)
    }))
  })
  it.each([1, 0, -4, 2.5, 201])('refuses %s bolts', n => expect(boltOrder('star', n).ok).toBe(false))
})

describe('progress', () => {
  const plan = { bolts: 4, targetNm: 100, toleranceShare: 0.05, passes: [0.5, 1], pattern: 'star' as const }
  const pulls = (torque: number, ...bolts: number[]) => bolts.map(bolt => ({ bolt, torqueNm: torque }))
  it('is open until the last bolt of the last pass', () => {
    expect(jointProgress(plan, [])).toMatchObject({ pass: 1, next: 1, verdict: 'Open' })
    expect(jointProgress(plan, [pulls(50, 1, 3, 2, 4)])).toMatchObject({ pass: 2, next: 1, verdict: 'Open' })
    expect(jointProgress(plan, [pulls(50, 1, 3, 2, 4), pulls(100, 1, 3, 2)])).toMatchObject({ next: 4, verdict: 'Open' })
    expect(jointProgress(plan, [pulls(50, 1, 3, 2, 4), pulls(100, 1, 3, 2, 4)])).toMatchObject({ pass: null, verdict: 'Holds' })
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
