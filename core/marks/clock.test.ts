import fc from 'fast-check'
import { expect, it } from 'vitest'
import vectors from '../../tests/vectors/clock.json'
import { angleBetween, clockText, fromOtherEnd, parseClock } from './index.ts'

it.each(vectors.cases)('worked case: $input.hour', ({ input, expect: wanted }) => {
  expect(fromOtherEnd((input.hour % 12) * 30) / 30 || 12).toBeCloseTo(wanted.hour, 9)
})
it('mirrored twice is itself; 12 and 6 stay, 3 and 9 change over', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 359 }), deg => {
      expect(fromOtherEnd(fromOtherEnd(deg))).toBe(deg)
    }),
  )
  expect([0, 90, 180, 270].map(fromOtherEnd)).toEqual([0, 270, 180, 90])
})
it.each([
  [0, '12:00'],
  [75, '2:30'],
  [360, '12:00'],
  [-90, '9:00'],
  [359, '12:00'],
  [45, '1:30'],
])('%s° is %s', (deg, text) => expect(clockText(deg)).toBe(text))
it.each([
  ['2:30', 75],
  ['12', 0],
  ['12.30', 15],
  ["9 o'clock", 270],
])('%s is %s°', (text, deg) => expect(parseClock(text)).toEqual({ ok: true, value: deg }))
it.each(['13', '0', '4:75', 'noon', ''])('refuses %s', text => expect(parseClock(text).ok).toBe(false))
it('measures the short way round', () => {
  expect(angleBetween(350, 10)).toBe(20)
  expect(angleBetween(0, 180)).toBe(180)
})
