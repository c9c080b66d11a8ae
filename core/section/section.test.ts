import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import schema from '../../library/sheet.schema.json' with { type: 'json' }
import { librarySheet, librarySheetNames } from '../../tests/sheets.ts'
import { coupledVariants, planFor, type PartKind } from '../sheet/index.ts'
import { pathOf, profileOf, sectionAsSvg, sectionOf, type Point, type Shape } from './index.ts'

const KINDS = schema.definitions.PartKind.anyOf[0]!.enum as PartKind[]
const pointsOf = (shape: Shape) =>
  'points' in shape
    ? shape.points
    : ([
        [shape.at[0] - shape.radius, shape.at[1] - shape.radius],
        [shape.at[0] + shape.radius, shape.at[1] + shape.radius],
      ] as const)
const isWithin = ([x, y]: Point, box: Record<'left' | 'right' | 'low' | 'high', number>) =>
  x >= box.left - 1e-6 && x <= box.right + 1e-6 && y >= box.low - 1e-6 && y <= box.high + 1e-6
const ROOM = { width: 1080, height: 196 }

describe('what is one with a part', () => {
  it('is drawn and hit with it, and the drawing reaches as far as it does', () => {
    const plan = planFor(librarySheet('m12-turbo-blower'))
    const rotor = sectionOf(plan, ROOM).parts.find(one => one.ref === 'rotor')!
    const bare = structuredClone(plan.parts.get('rotor')!)
    delete bare.part.oneWith
    const alone = sectionOf({ ...plan, parts: new Map([['rotor', bare]]) }, ROOM).parts[0]!
    expect(rotor.shapes.map(pathOf).length).toBeGreaterThan(alone.shapes.length)
    expect([rotor.hits.length, alone.hits.length]).toEqual([4, 2])
    const only = sectionOf({ ...plan, parts: new Map([['rotor', plan.parts.get('rotor')!]]) }, ROOM)
    const right = Math.max(...only.parts[0]!.hits.map(one => one.x + one.width))
    expect(right).toBeCloseTo(only.right, 6)
  })
})

describe('a part by its kind', () => {
  it('knows every kind of the sheets', () => expect(KINDS.length).toBeGreaterThan(25))
  it.each(KINDS)('%s is drawn, within its room', kind => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 400, noNaN: true }),
        fc.double({ min: 0, max: 80, noNaN: true }),
        fc.double({ min: 0.5, max: 80, noNaN: true }),
        (length, inner, thick) => {
          const shapes = profileOf(kind, { length, inner, outer: inner + thick })
          expect(shapes.length).toBeGreaterThan(0)
          const box = { left: 0, right: length, low: inner, high: inner + thick }
          expect(shapes.flatMap(pointsOf).filter(point => !isWithin(point, box))).toEqual([])
        },
      ),
      { numRuns: 25 },
    )
  })
  it('is told from the others: no two kinds that matter at refit are drawn alike', () => {
    const drawn = (kind: PartKind, rolls?: 'balls' | 'rollers' | 'none') =>
      profileOf(kind, { length: 40, inner: 10, outer: 40 }, rolls).map(pathOf).join(' ')
    const apart = [
      'ring',
      'face',
      'soft ring',
      'lip seal',
      'snap ring',
      'gear',
      'impeller',
      'spring',
      'screw',
      'nut',
    ] as const
    const all = [
      ...apart.map(kind => drawn(kind)),
      ...(['balls', 'rollers', 'none'] as const).map(rolls => drawn('bearing', rolls)),
    ]
    expect(new Set(all).size).toBe(all.length)
  })
})

describe.each(librarySheetNames())('%s in section', name => {
  it('has every part of every machine once: on its line, or in the row below', () => {
    for (const variants of coupledVariants(librarySheet(name))) {
      const plan = planFor(librarySheet(name), variants)
      const { parts, row } = sectionOf(plan, ROOM)
      expect([...parts, ...row].map(one => one.ref).sort()).toEqual([...plan.parts.keys()].sort())
      expect(row.every(one => !plan.parts.get(one.ref)!.geometry)).toBe(true)
    }
  })
  it('lies within its drawing, and says no figure that is none', () => {
    const section = sectionOf(planFor(librarySheet(name)), ROOM)
    const points = [...section.parts, ...section.row].flatMap(one => one.shapes.flatMap(pointsOf))
    const box = { left: 0, right: ROOM.width, low: 0, high: ROOM.height }
    expect(points.filter(point => !isWithin(point, box))).toEqual([])
    expect(sectionAsSvg(section)).not.toMatch(/NaN|undefined|Infinity/)
  })
  it('has a shaft as one piece, without a line along its axis', () => {
    const plan = planFor(librarySheet(name))
    for (const { ref, shapes } of sectionOf(plan, ROOM).parts.filter(one => one.kind === 'shaft')) {
      // What is one with it is a piece more, or two where the shaft runs through it.
      const others = (plan.parts.get(ref)!.part.oneWith ?? []).map(one => (one.geometry.bore ? 2 : 1))
      const pieces = others.reduce<number>((sum, one) => sum + one, 1)
      expect(shapes.filter(shape => shape.is === 'body')).toHaveLength(pieces)
    }
  })
})
