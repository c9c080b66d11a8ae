import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { drawnRings, POSITIONS_DIAL, positionsAsSvg, type Position } from './positions.ts'

const { side, number: NUMBER_R } = POSITIONS_DIAL

const at = (n: number, from: number, to = from, is: Position['is'] = 'found'): Position => ({ n, from, to, is })
const apart = (one: { x: number; y: number }, other: { x: number; y: number }) =>
  Math.hypot(one.x - other.x, one.y - other.y)

describe('a large clock', () => {
  it('has the first ring outside, and every ring within the one before it', () => {
    const rings = drawnRings([[at(1, 0)], [at(2, 0)], [at(3, 0)]])
    for (const [i, ring] of rings.slice(1).entries()) expect(ring.r + ring.width).toBeCloseTo(rings[i]!.r)
  })
  it('numbers each at the middle of its own, over twelve as well', () => {
    const [ring] = drawnRings([[at(1, 90, 180), at(2, 330, 30)]])
    const middle = side / 2
    const [right, top] = ring!.numbers
    expect(right!.x).toBeGreaterThan(middle)
    expect(right!.y).toBeGreaterThan(middle)
    expect(top!.x).toBeCloseTo(middle, 0)
    expect(top!.y).toBeLessThan(middle)
  })
  it('draws a mark as a line and what was found as a band', () => {
    const [ring] = drawnRings([[at(1, 0, 0, 'mark'), at(2, 10, 20)]])
    expect([ring!.lines.length, ring!.bands.length]).toEqual([1, 1])
    expect(positionsAsSvg([[at(1, 0, 0, 'mark'), at(2, 10, 20)]]).match(/<path/g)).toHaveLength(3)
  })
  it('lays no number over another, while there is room on its ring', () =>
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 359 }), fc.integer({ min: 0, max: 359 })), { maxLength: 8 }),
        all => {
          const { numbers } = drawnRings([all.map(([from, to], i) => at(i + 1, from, to))])[0]!
          for (const [i, one] of numbers.entries())
            for (const other of numbers.slice(i + 1)) expect(apart(one, other)).toBeGreaterThanOrEqual(2 * NUMBER_R)
        },
      ),
    ))
})
