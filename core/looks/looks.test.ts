import { describe, expect, it } from 'vitest'
import { BOX, codesOf, CODE_SETS, CODE_SET_NAMES, findingDrawing, groundOf, GRADES, type Piece } from './index.ts'

const pointsOf = (one: Piece) => ('points' in one ? one.points : [one.at])
/** Twice the area of a closed outline (shoelace). */
const area = (points: readonly (readonly [number, number])[]) =>
  Math.abs(
    points.reduce(
      (sum, [x, y], i) => sum + x * points[(i + 1) % points.length]![1] - y * points[(i + 1) % points.length]![0],
      0,
    ),
  ) / 2
const long = (points: readonly (readonly [number, number])[]) =>
  points.slice(1).reduce((sum, [x, y], i) => sum + Math.hypot(x - points[i]![0], y - points[i]![1]), 0)
const WIDE = { line: 0.8, score: 0.8, crack: 1.8, ring: 1.4 }

/** How much of a drawing is what was found: its marks, and what of the body is gone or has grown. */
function ink(drawing: Piece[], sound: Piece[]): number {
  const body = (one: Piece[]) =>
    one.flatMap(each => (each.is === 'body' ? [area(each.points)] : [])).reduce((a, b) => a + b, 0)
  // What is drawn as one line to and fro has no body.
  const coil = ([first]: Piece[]) => (first?.is === 'line' ? area(first.points) + long(first.points) : 0)
  const marks = drawing
    .slice(sound.length)
    .map(one =>
      one.is === 'patch' || one.is === 'tint'
        ? area(one.points)
        : 'points' in one
          ? long(one.points) * WIDE[one.is as 'line']
          : one.is === 'dot'
            ? Math.PI * one.radius ** 2
            : 2 * Math.PI * one.radius * WIDE.ring,
    )
  return (
    marks.reduce((a, b) => a + b, 0) + Math.abs(body(drawing) - body(sound)) + Math.abs(coil(drawing) - coil(sound))
  )
}

/** Every code with how it is drawn, and what on. */
const drawnPairs = () =>
  CODE_SET_NAMES.flatMap(set => CODE_SETS[set].codes.map(code => ({ set, code, ground: groundOf(set) })))

describe('codes of what is found', () => {
  it.each(CODE_SET_NAMES)('%s: each code once, each with its grades, told in words', set => {
    const ids = codesOf(set).map(one => one.id)
    expect(new Set(ids).size).toBe(ids.length)
    for (const { grades, tells, say } of codesOf(set)) {
      expect(new Set(grades.map(one => one.say)).size).toBe(GRADES.length)
      expect(`${say}. ${tells}`).not.toMatch(/[.]\.|undefined/)
    }
  })
  it('knows some sixteen sorts of surfaces', () => expect(CODE_SET_NAMES.length).toBeGreaterThan(15))
})

describe('what is found, drawn', () => {
  const pairs = drawnPairs().map(({ set, code, ground }) => [`${set}: ${code.say}`, ground, code.drawn!] as const)
  it.each(pairs)('%s, in three grades that are told apart at a glance', (_, ground, pattern) => {
    const sound = findingDrawing(ground, pattern, 0)
    const [mild, marked, bad] = GRADES.map(grade => ink(findingDrawing(ground, pattern, grade), sound))
    expect(mild).toBeGreaterThan(8)
    expect(marked! / mild!).toBeGreaterThan(1.35)
    expect(bad! / marked!).toBeGreaterThan(1.3)
  })
  it.each(pairs)('%s, within its box', (_, ground, pattern) => {
    for (const grade of GRADES)
      for (const [x, y] of findingDrawing(ground, pattern, grade).flatMap(pointsOf)) {
        expect(x).toBeGreaterThan(-1)
        expect(x).toBeLessThan(BOX.width + 1)
        expect(y).toBeGreaterThan(-1)
        expect(y).toBeLessThan(BOX.height + 1)
      }
  })
  it('no two codes of a set look the same', () => {
    for (const set of CODE_SET_NAMES) {
      const drawn = drawnPairs().filter(one => one.set === set)
      const looks = drawn.map(({ ground, code }) => JSON.stringify(findingDrawing(ground, code.drawn!, 3)))
      expect(new Set(looks).size, set).toBe(looks.length)
    }
  })
})
