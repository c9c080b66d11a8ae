import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { arcPath, dialAsSvg, SMALL_DIAL } from './dial.ts'

const ends = (path: string) =>
  /^M(\S+) (\S+)A.* (\S+) (\S+)$/.exec(path)!.slice(1).map(Number) as [number, number, number, number]

describe('a small clock', () => {
  it('has three at the right, six below and nine at the left', () => {
    const [x, y, x2, y2] = ends(arcPath([90, 180]))
    expect([x, y, x2, y2]).toEqual([37, 22, 22, 37])
    expect(ends(arcPath([270, 275]))[0]).toBe(7)
  })
  it('shows what is at one place, and the long way round', () => {
    const [x, y, x2, y2] = ends(arcPath([30, 30]))
    expect(Math.hypot(x - x2, y - y2)).toBeGreaterThan(2)
    expect(arcPath([30, 300])).toContain(' 0 1 1 ')
    expect(arcPath([300, 30])).toContain(' 0 0 1 ')
  })
  it('stays within its square, whatever is found', () =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 360 }), fc.integer({ min: 0, max: 360 }), (from, to) => {
        for (const one of ends(arcPath([from, to]))) {
          expect(one).toBeGreaterThan(0)
          expect(one).toBeLessThan(SMALL_DIAL)
        }
      }),
    ))
  it('is one drawing with as many arcs as were found', () =>
    expect(
      dialAsSvg([
        [0, 30],
        [90, 90],
      ]).match(/stroke-width="6"/g),
    ).toHaveLength(2))
})
