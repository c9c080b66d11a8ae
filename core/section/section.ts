import type { Geometry, PartKind, PartPlace, Plan, Ref } from '../sheet/index.ts'
import { profileOf, toneOf, type Point, type Rolling, type Shape, type Tone } from './profile.ts'

/** A machine along its own axis, drawn from its sheet: every shaft line to the extent of what sits on it, what has no place there in a row below. */

/** Radii are drawn shorter than lengths: the section is a plan of what lies where, not a drawing to scale. */
const RADIAL = 0.74
/** Room left and right of it. */
const SIDE = 25
/** Lines of words over and under it: the part in hand, and the ends. */
const [TOP, FOOT] = [18, 22]
/** A glyph of the row below, and from one to the next. */
const [GLYPH, STEP] = [15, 21]
/** Room for the names of the ends, beside the row below. */
const ENDS = 150

/** A box that can be hit. */
export interface Hit {
  x: number
  y: number
  width: number
  height: number
}

export interface DrawnPart {
  ref: Ref
  name: string
  kind: PartPlace['part']['kind']
  tone: Tone
  /** In the order in which they are drawn. */
  shapes: Shape[]
  hits: Hit[]
  /** Where a word about it is tied to. */
  middle: number
  top: number
  /** Outside diameter, for what speaks for several; nothing for what lies in the row. */
  outside: number
}

export interface Section {
  width: number
  height: number
  parts: DrawnPart[]
  /** What has no place on a shaft line, in a row below. */
  row: DrawnPart[]
  lines: { id: string; name: string; centre: number; top: number }[]
  left: number
  right: number
}

/** The same in the room of the drawing: to the one side of the axis or the other. */
function placed(shape: Shape, x: number, centre: number, way: 1 | -1): Shape {
  const at = ([along, out]: Point): Point => [x + along, centre - way * out]
  return 'points' in shape ? { ...shape, points: shape.points.map(at) } : { ...shape, at: at(shape.at) }
}

/** A body that reaches to the axis is one piece, drawn without a line along it. */
function wholeBody(shape: Shape, x: number, centre: number): Shape[] {
  const isSolid = 'points' in shape && shape.is !== 'line' && shape.points[0]![1] === 0
  if (!isSolid) return [placed(shape, x, centre, 1), placed(shape, x, centre, -1)]
  const [upper, lower] = ([1, -1] as const).map(way => placed(shape, x, centre, way) as { points: readonly Point[] })
  return [{ ...shape, points: [...upper!.points, ...lower!.points.toReversed()] }]
}

interface LineRoom {
  id: string
  name: string
  centre: number
  top: number
  radial: number
}

/** Everything of a part that lies on a shaft line. */
const extentsOf = ({ geometry, part }: PartPlace): Geometry[] => [
  geometry!,
  ...(part.oneWith ?? []).map(one => one.geometry),
]

/** One scale for all lines: one that is thicker has more room. */
function linesOf({ sheet }: Plan, parts: readonly PartPlace[], height: number): LineRoom[] {
  const named = sheet.lines ?? [{ id: '', name: '' }]
  const all = named.map(line => {
    const own = parts.filter(one => (one.geometry!.line ?? named[0]!.id) === line.id)
    return { ...line, radius: Math.max(1, ...own.flatMap(extentsOf).map(one => one.outside / 2)) }
  })
  const sum = all.reduce((radii, one) => radii + 2 * one.radius, 0)
  const radial = Math.min(RADIAL, (height - TOP - FOOT - 4 * all.length) / sum)
  const free = (height - TOP - FOOT - radial * sum) / all.length
  let top = TOP
  return all.map(({ id, name, radius }) => {
    const band = 2 * radius * radial + free
    top += band
    return { id, name, centre: top - band / 2, top: top - band, radial }
  })
}

/** One piece of a part on its line: its shapes, and where it is hit. */
function pieceOn(
  { kind, geometry, rolls }: { kind: PartKind; geometry: Geometry; rolls?: Rolling },
  line: LineRoom,
  along: (mm: number) => number,
): Pick<DrawnPart, 'shapes' | 'hits'> {
  const { from, to, bore, outside, side = 'both' } = geometry
  const [inner, outer] = [(bore / 2) * line.radial, (outside / 2) * line.radial]
  const [x, width] = [along(from), along(to) - along(from)]
  const half = profileOf(kind, { length: width, inner, outer }, rolls)
  const upper: Hit = { x, y: line.centre - outer, width, height: outer - inner }
  const lower: Hit = { ...upper, y: line.centre + inner }
  return {
    shapes: half.flatMap(shape =>
      side === 'both' ? wholeBody(shape, x, line.centre) : [placed(shape, x, line.centre, side === 'upper' ? 1 : -1)],
    ),
    hits: [...(side === 'lower' ? [] : [upper]), ...(side === 'upper' ? [] : [lower])],
  }
}

function drawnOn(one: PartPlace, line: LineRoom, along: (mm: number) => number): DrawnPart {
  const { kind, rolls, oneWith = [] } = one.part
  const geometry = one.geometry!
  const [own, ...others] = [{ kind, geometry, rolls }, ...oneWith].map(piece => pieceOn(piece, line, along))
  const [{ x, y, width }] = own!.hits as [Hit]
  return {
    ref: one.ref,
    name: one.name,
    kind,
    tone: toneOf(kind),
    shapes: [own!, ...others].flatMap(piece => piece.shapes),
    hits: [own!, ...others].flatMap(piece => piece.hits),
    middle: x + width / 2,
    top: y,
    outside: geometry.outside,
  }
}

/** What has no place on the line, one glyph after the other, closer where there are many. */
function rowOf(parts: readonly PartPlace[], width: number, height: number): DrawnPart[] {
  const step = Math.min(STEP, (width - 2 * ENDS) / Math.max(1, parts.length))
  const size = Math.min(GLYPH, step * 0.8)
  const [left, bottom] = [(width - step * parts.length) / 2, height - 3]
  return parts.map((one, i) => {
    const x = left + step * i
    const box = { length: size, inner: 0.5, outer: size }
    return {
      ref: one.ref,
      name: one.name,
      kind: one.part.kind,
      tone: toneOf(one.part.kind),
      shapes: profileOf(one.part.kind, box, one.part.rolls).map(shape => placed(shape, x, bottom, 1)),
      hits: [{ x, y: bottom - size, width: size, height: size }],
      middle: x + size / 2,
      top: bottom - size,
      outside: 0,
    }
  })
}

/** What is drawn first lies under what comes after: shafts, then from the outside in. */
const under = (one: DrawnPart, other: DrawnPart): number =>
  Number(other.kind === 'shaft') - Number(one.kind === 'shaft') || other.outside - one.outside

/** The section of a machine, in a drawing so wide and so high. */
export function sectionOf(plan: Plan, { width, height }: { width: number; height: number }): Section {
  const all = [...plan.parts.values()]
  const parts = all.filter(one => one.geometry)
  const from = Math.min(...parts.flatMap(extentsOf).map(one => one.from))
  const to = Math.max(...parts.flatMap(extentsOf).map(one => one.to))
  const along = (mm: number) => SIDE + ((mm - from) / (to - from || 1)) * (width - 2 * SIDE)
  const lines = linesOf(plan, parts, height)
  const lineOf = (one: PartPlace) => lines.find(line => line.id === one.geometry!.line) ?? lines[0]!
  return {
    width,
    height,
    parts: parts.map(one => drawnOn(one, lineOf(one), along)).sort(under),
    row: rowOf(
      all.filter(one => !one.geometry),
      width,
      height,
    ),
    lines: lines.map(({ id, name, centre, top }) => ({ id, name, centre, top })),
    left: SIDE,
    right: width - SIDE,
  }
}
