import fc from 'fast-check'
import { expect, it } from 'vitest'
import { greatestCommonDivisor, leastCommonMultiple } from './whole.ts'

it.each([
  [12, 18, 6],
  [18, 12, 6],
  [7, 0, 7],
  [0, 7, 7],
  [17, 100, 1],
  [22, 110, 22],
])('of %s and %s is %s', (a, b, divisor) => expect(greatestCommonDivisor(a, b)).toBe(divisor))

it('divides both, and nothing larger does', () => {
  const number = fc.integer({ min: 1, max: 400 })
  fc.assert(
    fc.property(number, number, (a, b) => {
      const divisor = greatestCommonDivisor(a, b)
      expect((a % divisor) + (b % divisor)).toBe(0)
      for (let larger = divisor + 1; larger <= Math.min(a, b); larger++)
        expect(a % larger === 0 && b % larger === 0).toBe(false)
    }),
  )
})

it.each([
  [4, 17, 68],
  [4, 4, 4],
  [6, 4, 12],
  [1, 9, 9],
])('%s and %s meet first in %s', (a, b, multiple) => expect(leastCommonMultiple(a, b)).toBe(multiple))
