import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { drawnAsSvg, drawnOn, isMeant, type DrawnShape } from './index.ts'

const SIZE = { width: 2000, height: 1000 }
const numbersOf = (path: string) => (path.match(/-?\d+(?:\.\d+)?/g) ?? []).map(Number)

describe('what is drawn on a picture', () => {
  it('is an arrow from its tail to its tip, with a head that points where it goes', () => {
    const { paths } = drawnOn([{ is: 'arrow', x: 0.1, y: 0.5, toX: 0.5, toY: 0.5 }], SIZE)
    const [fromX, fromY, tipX, tipY, againX, againY, headX, headY, , , otherX, otherY] = numbersOf(paths[0]!)
    expect([fromX, fromY, tipX, tipY, againX, againY]).toEqual([200, 500, 1000, 500, 1000, 500])
    expect(headX).toBe(otherX)
    expect(headX).toBeLessThan(1000)
    expect(headY! + otherY!).toBeCloseTo(1000)
  })
  it('is a circle round its middle through the place on its rim', () => {
    const [left, middle, radius] = numbersOf(
      drawnOn([{ is: 'circle', x: 0.5, y: 0.5, toX: 0.6, toY: 0.5 }], SIZE).paths[0]!,
    )
    expect([left, middle, radius]).toEqual([800, 500, 200])
  })
  it('is never too small to be seen', () => {
    const [, , radius] = numbersOf(drawnOn([{ is: 'circle', x: 0.5, y: 0.5 }], SIZE).paths[0]!)
    expect(radius).toBeGreaterThan(50)
    expect(isMeant({ is: 'circle', x: 0.5, y: 0.5, toX: 0.501, toY: 0.5 }, SIZE)).toBe(false)
    expect(isMeant({ is: 'arrow', x: 0.5, y: 0.5, toX: 0.6, toY: 0.5 }, SIZE)).toBe(true)
    expect(isMeant({ is: 'word', x: 0, y: 0, text: ' ' }, SIZE)).toBe(false)
  })
  it('lies at the same place of the picture whatever its size', () => {
    const at = fc.double({ min: 0, max: 1, noNaN: true })
    const shape: fc.Arbitrary<DrawnShape> = fc.record({
      is: fc.constantFrom('arrow', 'circle'),
      x: at,
      y: at,
      toX: at,
      toY: at,
    })
    fc.assert(
      fc.property(shape, fc.integer({ min: 1, max: 8 }), (one, by) => {
        // What is too small to point anywhere is not kept.
        fc.pre(isMeant(one, SIZE))
        const small = numbersOf(drawnOn([one], SIZE).paths[0]!)
        const large = numbersOf(drawnOn([one], { width: SIZE.width * by, height: SIZE.height * by }).paths[0]!)
        // The flags of an arc are no lengths.
        for (const [i, n] of small.entries())
          expect(Math.abs(large[i]! - n * by) < 0.2 * by || large[i] === n).toBe(true)
      }),
    )
  })
  it('goes to paper as arrows and circles; words are no part of a drawing that is read as one', () => {
    const svg = drawnAsSvg(
      [
        { is: 'word', x: 0.2, y: 0.2, text: '</svg><script>"&' },
        { is: 'circle', x: 0.5, y: 0.5 },
      ],
      SIZE,
    )
    expect(svg).not.toContain('script')
    expect(svg.match(/<path/g)).toHaveLength(2)
  })
})
