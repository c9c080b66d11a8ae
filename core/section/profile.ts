import type { Part, PartKind } from '../sheet/types.ts'

/** Half a part in section, from the axis outward: what is seen of it by its kind. Along the axis and outward, both from zero. */
export type Point = readonly [along: number, out: number]

/** A piece of a drawing: a body that is filled, or a line on it; a round one has a radius and nothing else. */
export type Shape =
  { is: 'body' | 'soft' | 'line'; points: readonly Point[] } | { is: 'round' | 'soft round'; at: Point; radius: number }

/** The room a part has: its length, its bore and its outside as radii. The unit is what it is drawn in. */
export interface Box {
  length: number
  inner: number
  outer: number
}

/** What rolls in a bearing; `none` in a plain one. */
export type Rolling = NonNullable<Part['rolls']>

interface Room extends Box {
  /** From bore to outside. */
  thick: number
  rolls: Rolling
}

type Draw = (room: Room) => Shape[]

/** Under this, a detail is a smudge. */
const FINE = 5

const body = (...points: Point[]): Shape => ({ is: 'body', points })
const line = (...points: Point[]): Shape => ({ is: 'line', points })

/** Four corners, between two places along and two radii. */
const corners = (from: number, to: number, low: number, high: number): Point[] => [
  [from, low],
  [from, high],
  [to, high],
  [to, low],
]

/** A plain piece; its outer edges are broken by as much as may be seen. */
function block({ length, inner, outer, thick }: Room, edge = 3): Shape {
  const cut = Math.min(edge, length / 4, thick / 4)
  return body([0, inner], [0, outer - cut], [cut, outer], [length - cut, outer], [length, outer - cut], [length, inner])
}

/** Lines across, evenly, between two radii: teeth, threads, windings. */
function across({ length }: Room, from: number, to: number, pitch: number, lean = 0): Shape[] {
  const count = Math.max(1, Math.floor(length / pitch) - 1)
  const step = length / (count + 1)
  return Array.from({ length: count }, (_, i) => {
    const x = step * (i + 1)
    return line([Math.max(0, x - lean), from], [Math.min(length, x + lean), to])
  })
}

/** A line to and fro between two radii: springs. */
function zigzag({ length, inner, outer }: Room, pitch: number): Shape {
  const count = Math.max(2, Math.round(length / pitch))
  return line(...Array.from({ length: count + 1 }, (_, i): Point => [(length * i) / count, i % 2 ? outer : inner]))
}

const plain: Draw = room => [block(room)]
const square: Draw = room => [block(room, 0)]

const thread: Draw = room => [
  block(room, 2),
  ...(room.length > 2 * FINE ? across(room, room.outer - room.thick * 0.3, room.outer, 4, 1) : []),
]

/** A head at one end, a threaded shank behind it. */
const screw: Draw = room => {
  const { length, inner, outer, thick } = room
  const head = Math.min(length * 0.35, thick)
  const shank = inner + thick * 0.6
  return [
    body([0, inner], [0, outer], [head, outer], [head, shank], [length, shank], [length, inner]),
    ...(length - head > 2 * FINE
      ? across({ ...room, length: length - head }, inner, shank, 4, 1).map(one =>
          one.is === 'line' ? line(...one.points.map(([x, y]): Point => [x + head, y])) : one,
        )
      : []),
  ]
}

const nut: Draw = room => [
  block(room, 3),
  line([0, room.inner + room.thick * 0.45], [room.length, room.inner + room.thick * 0.45]),
]

/** Two rings with balls or rollers between them; where nothing rolls, a shell with its lining. */
const bearing: Draw = room => {
  const { length, inner, outer, thick, rolls } = room
  const wall = thick * 0.27
  if (rolls === 'none') return [block(room, 1), line([0, inner + thick * 0.3], [length, inner + thick * 0.3])]
  const middle = inner + thick / 2
  const radius = Math.min(thick * 0.3, length * 0.4)
  const race = (low: number, high: number) => body(...corners(0, length, low, high))
  const rolling: Shape =
    rolls === 'balls'
      ? { is: 'round', at: [length / 2, middle], radius }
      : body(...corners(length * 0.18, length * 0.82, middle - radius * 0.85, middle + radius * 0.85))
  return [race(inner, inner + wall), race(outer - wall, outer), rolling]
}

/** Teeth round the outside, over their root. */
const gear: Draw = room => {
  const root = room.outer - Math.min(room.thick * 0.25, 9)
  return [block(room, 2), line([0, root], [room.length, root]), ...across(room, root, room.outer, 7, 3)]
}

/** A hub, two shrouds that come together toward the outside, and vanes between them. */
const impeller: Draw = ({ length, inner, outer, thick }) => {
  const hub = inner + thick * 0.38
  return [
    body([0, inner], [0, hub], [length * 0.3, outer], [length * 0.7, outer], [length, hub], [length, inner]),
    line([length * 0.16, hub - thick * 0.06], [length * 0.41, outer]),
    line([length * 0.84, hub - thick * 0.06], [length * 0.59, outer]),
    line([length * 0.5, inner + thick * 0.2], [length * 0.5, outer]),
  ]
}

/** A body with a narrower nose that runs on the other face. */
const face: Draw = ({ length, inner, outer, thick }) => [
  body(
    [0, inner],
    [0, outer],
    [length * 0.7, outer],
    [length * 0.7, inner + thick * 0.7],
    [length, inner + thick * 0.62],
    [length, inner + thick * 0.2],
    [length * 0.7, inner + thick * 0.12],
    [length * 0.7, inner],
  ),
]

const softRing: Draw = ({ length, inner, thick }) => {
  const radius = Math.min(length, thick) / 2
  return [{ is: 'soft round', at: [length / 2, inner + thick / 2], radius }]
}

/** A case that sits outside, and a lip on the shaft with its spring behind. */
const lipSeal: Draw = ({ length, inner, outer, thick }) => [
  {
    is: 'soft',
    points: [
      [0, outer],
      [length, outer],
      [length, outer - thick * 0.22],
      [length * 0.25, outer - thick * 0.22],
      [length * 0.25, inner + thick * 0.42],
      [length * 0.75, inner],
      [length * 0.35, inner + thick * 0.1],
      [0, inner + thick * 0.5],
    ],
  },
  { is: 'round', at: [length * 0.62, inner + thick * 0.3], radius: Math.min(length, thick) * 0.11 },
]

/** Soft, or too thin to be hatched. */
const filled = ({ length, inner, outer }: Room): Shape => ({ is: 'soft', points: corners(0, length, inner, outer) })

const snapRing: Draw = room => [filled(room)]

const gasket: Draw = snapRing

const key: Draw = room => [
  block(room, Math.min(room.length, room.thick) / 3),
  line([room.length * 0.2, room.inner + room.thick / 2], [room.length * 0.8, room.inner + room.thick / 2]),
]

const pipe: Draw = ({ length, inner, outer, thick }) => [
  body(...corners(0, length, inner, outer)),
  line([0, outer - thick * 0.25], [length, outer - thick * 0.25]),
]

/** Rings in their grooves near one end. */
const piston: Draw = room => [
  block(room, 2),
  ...[0.14, 0.28].map(at => line([room.length * at, room.outer], [room.length * at, room.outer - room.thick * 0.2])),
  {
    is: 'round',
    at: [room.length * 0.6, room.inner + room.thick * 0.2],
    radius: Math.min(room.length, room.thick) * 0.1,
  },
]

/** A long one with an eye at either end. */
const rod: Draw = ({ length, inner, thick }) => {
  const [eye, middle] = [Math.min(length * 0.2, thick / 2), inner + thick / 2]
  return [
    body(...corners(eye, length - eye, middle - thick * 0.18, middle + thick * 0.18)),
    { is: 'round', at: [eye, middle], radius: eye },
    { is: 'round', at: [length - eye, middle], radius: eye },
  ]
}

/** A disc on a stem. */
const valve: Draw = ({ length, inner, outer, thick }) => [
  body(
    [0, inner],
    [0, outer],
    [length * 0.2, outer],
    [length * 0.35, inner + thick * 0.3],
    [length, inner + thick * 0.3],
    [length, inner],
  ),
]

/** A block, pressed on by its spring. */
const brush: Draw = room => {
  const { length, inner, outer, thick } = room
  return [
    body(...corners(0, length, inner, inner + thick * 0.6)),
    zigzag({ ...room, inner: inner + thick * 0.65, outer }, 5),
  ]
}

const winding: Draw = room => [
  block(room, 6),
  ...across(room, room.inner + room.thick * 0.08, room.outer - room.thick * 0.08, 6, 4),
]

/** Soft pieces side by side in their pockets. */
const element: Draw = room => [filled(room), ...across(room, room.inner, room.outer, 10)]

const connection: Draw = ({ length, inner, thick }) => {
  const radius = Math.min(length, thick) / 4
  return [
    { is: 'round', at: [radius, inner + thick / 2], radius },
    line([radius * 2, inner + thick / 2], [length, inner + thick / 2]),
  ]
}

const hook: Draw = ({ length, inner, outer, thick }) => {
  const radius = Math.min(length, thick) * 0.38
  const [along, out] = [length / 2, inner + radius]
  const bow = Array.from({ length: 9 }, (_, i): Point => {
    const turn = (Math.PI * 1.4 * i) / 8
    return [along - radius * Math.cos(turn), out - radius * Math.sin(turn)]
  })
  return [line([along - radius, outer], ...bow)]
}

const spring: Draw = room => [zigzag(room, Math.max(3, room.thick * 0.45))]

const DRAWN: Record<PartKind, Draw> = {
  'shaft': plain,
  'housing': room => [block(room, 6)],
  'ring': plain,
  'face': face,
  'soft ring': softRing,
  'lip seal': lipSeal,
  'snap ring': snapRing,
  'disc': room => [block(room, 4)],
  'sleeve': plain,
  bearing,
  spring,
  'fastener': thread,
  screw,
  nut,
  gasket,
  key,
  impeller,
  pipe,
  gear,
  piston,
  rod,
  'plate': square,
  valve,
  brush,
  winding,
  element,
  connection,
  hook,
}

/**
 * What is drawn of a part by its kind, half of it in section, in a room of its own: bodies first, then what stands on them. A kind
 * that is not known is drawn as a plain piece.
 * @param rolls what rolls in a bearing; `none` for a plain one
 */
export function profileOf(kind: PartKind, box: Box, rolls: Rolling = 'balls'): Shape[] {
  const draw = Object.hasOwn(DRAWN, kind) ? DRAWN[kind] : plain
  return draw({ ...box, thick: box.outer - box.inner, rolls })
}

/** How a body is hatched, by what its kind is mostly made of. */
export type Tone = 'plain' | 'grey' | 'blue'
const TONES: Partial<Record<PartKind, Tone>> = {
  shaft: 'plain',
  rod: 'plain',
  bearing: 'blue',
  ring: 'blue',
  face: 'blue',
  sleeve: 'blue',
  spring: 'blue',
  piston: 'blue',
  valve: 'blue',
}
export const toneOf = (kind: PartKind): Tone => TONES[kind] ?? 'grey'
