/**
 * What a finding looks like, drawn from data: a ground, which is the sort of surface, and on it a pattern in three grades. A
 * pattern is laid out on a unit square, `u` along the surface and `v` across it, and the ground puts it in its place.
 */

export type Point = readonly [x: number, y: number]

/** A piece of a drawing in a box of {@link BOX}: the body, lines on it, and what was found: patches, lines and dots. */
export type Piece =
  | { is: 'body' | 'line' | 'patch' | 'tint' | 'crack' | 'score'; points: readonly Point[] }
  | { is: 'hole' | 'dot' | 'ring'; at: Point; radius: number }

export const BOX = { width: 100, height: 60 }

/** How much of it there is, by grade. */
const AMOUNT = { 1: 0.22, 2: 0.55, 3: 1 } as const
type Grade = keyof typeof AMOUNT

/** Something laid out on the unit square. */
type Laid =
  { is: 'patch' | 'tint' | 'crack' | 'score'; uv: readonly Point[] } | { is: 'dot' | 'ring'; uv: Point; radius: number }

interface Surface {
  /** Where a place of the unit square lies in the box. */
  at: (u: number, v: number) => Point
  /** Its own edges over `u`, as `v`; 1 and 0 where they are left out. */
  top?: (u: number) => number
  bottom?: (u: number) => number
  /** What belongs to it. */
  lines?: readonly (readonly Point[])[]
  holes?: readonly { uv: Point; radius: number }[]
  /** Piece as a line to and fro between its edges. */
  coiled?: true
}

const flat =
  (left: number, right: number, low: number, high: number) =>
  (u: number, v: number): Point => [left + (right - left) * u, low + (high - low) * v]
/** Round a centre below (or above, for a hollow one): from left to right. */
const round =
  (inner: number, outer: number, isHollow = false) =>
  (u: number, v: number): Point => {
    const [turn, radius] = [((u - 0.5) * 150 * Math.PI) / 180, inner + (outer - inner) * v]
    const out = radius * Math.cos(turn)
    return [50 + radius * Math.sin(turn), isHollow ? 4 + out : 56 - out]
  }
const along = (v: number): Point[] => [
  [0, v],
  [1, v],
]

/** What is drawn on. */
export type Ground =
  | 'flank'
  | 'track'
  | 'liner'
  | 'shaft'
  | 'ring face'
  | 'cord'
  | 'lip'
  | 'bore'
  | 'screw'
  | 'block'
  | 'blade'
  | 'coil'
  | 'spring'
  | 'slot'
  | 'vane'
  | 'plate'

const SURFACES: Record<Ground, Surface> = {
  'flank': {
    at: (u, v) => [6 + 8 * v + (88 - 16 * v) * u, 52 - 42 * v],
    lines: [along(0.5)],
  },
  'track': { at: round(30, 50), lines: [along(0.2), along(0.8)] },
  'liner': { at: round(26, 50, true), lines: [along(0.12)] },
  'shaft': { at: flat(4, 96, 50, 10), lines: [along(0.9), along(0.97)] },
  'ring face': { at: round(22, 50), lines: [along(0.36), along(0.64)] },
  'cord': { at: flat(6, 94, 42, 18), lines: [along(0.82)] },
  'lip': { at: round(34, 46), lines: [along(0.7)] },
  'bore': { at: round(30, 50, true), lines: [along(0.14)] },
  'screw': {
    at: flat(4, 96, 50, 10),
    top: u => (u < 0.18 ? 1 : 0.74),
    bottom: u => (u < 0.18 ? 0 : 0.26),
    lines: [0.4, 0.47, 0.54, 0.61, 0.68, 0.75, 0.82, 0.89].map(u => [
      [u, 0.28],
      [u + 0.03, 0.72],
    ]),
  },
  'block': {
    at: flat(8, 92, 50, 10),
    holes: [
      { uv: [0.25, 0.5], radius: 6 },
      { uv: [0.75, 0.5], radius: 6 },
    ],
  },
  'blade': {
    at: flat(4, 96, 46, 16),
    lines: [along(0.82)],
    holes: [
      { uv: [0.25, 0.3], radius: 3.5 },
      { uv: [0.75, 0.3], radius: 3.5 },
    ],
  },
  'coil': {
    at: flat(8, 92, 50, 10),
    lines: [0.15, 0.3, 0.45, 0.6, 0.75, 0.9].map(u => [
      [u - 0.06, 0.08],
      [u + 0.06, 0.92],
    ]),
  },
  'spring': { at: flat(6, 94, 48, 12), coiled: true },
  'slot': { at: flat(10, 90, 52, 8), top: u => (Math.abs(u - 0.5) < 0.1 ? 0.3 : 1) },
  'vane': { at: (u, v) => [6 + 88 * u, 50 - 22 * Math.sin(u * 2.2) - 18 * v] },
  'plate': {
    at: flat(8, 92, 50, 10),
    holes: [
      { uv: [0.12, 0.5], radius: 4 },
      { uv: [0.88, 0.5], radius: 4 },
    ],
  },
}

/** What a pattern does to the edges of a ground, and what it lays on it. `a` is how much there is, up to 1. */
interface Laying {
  top?: (u: number, v: number, a: number) => number
  bottom?: (u: number, v: number, a: number) => number
  marks?: (a: number) => Laid[]
}

/** Places spread evenly and by no pattern that the eye finds (additive recurrence of the plastic number). */
const spread = (n: number, [from, to]: [number, number] = [0.06, 0.94]): Point[] =>
  Array.from({ length: n }, (_, i): Point => {
    const [u, v] = [(0.5 + 0.7548776662 * (i + 1)) % 1, (0.5 + 0.5698402909 * (i + 1)) % 1]
    return [from + (to - from) * u, 0.14 + 0.72 * v]
  })
const many = (a: number, most: number) => Math.max(1, Math.round(most * a ** 1.4))
const patch = (from: number, to: number, low: number, high: number, is: 'patch' | 'tint' = 'patch'): Laid => {
  const n = Math.max(2, Math.ceil((to - from) * 16))
  const edge = (v: number) => Array.from({ length: n + 1 }, (_, i): Point => [from + ((to - from) * i) / n, v])
  return { is, uv: [...edge(high), ...edge(low).reverse()] }
}
const run = (v: number, from = 0, to = 1, is: 'score' | 'crack' = 'score'): Laid => ({
  is,
  uv: Array.from({ length: 17 }, (_, i): Point => [from + ((to - from) * i) / 16, v]),
})
/** A blot of no even outline. */
const blot = ([u, v]: Point, size: number): Laid => ({
  is: 'patch',
  uv: Array.from({ length: 9 }, (_, i): Point => {
    const [turn, far] = [(i / 9) * 2 * Math.PI, size * (0.7 + 0.15 * ((i * 7) % 5))]
    return [u + (far * Math.cos(turn)) / 90, Math.min(0.98, Math.max(0.02, v + (far * Math.sin(turn)) / 44))]
  }),
})
const dots = (n: number, radius: number, is: 'dot' | 'ring' = 'dot'): Laid[] =>
  spread(n).map(uv => ({ is, uv, radius }))
/** A line that runs as cracks do. */
const crack = (from: Point, to: Point): Laid => ({
  is: 'crack',
  uv: Array.from({ length: 9 }, (_, i): Point => {
    const off = i % 8 ? (((i * 5) % 3) - 1) * Math.hypot(to[0] - from[0], to[1] - from[1]) : 0
    return [from[0] + ((to[0] - from[0]) * i) / 8 + off * 0.03, from[1] + ((to[1] - from[1]) * i) / 8 + off * 0.04]
  }),
})
/** Pieces out of an edge: so many, so deep. */
const notched = (u: number, n: number, depth: number, wide: number) => {
  const at = Array.from({ length: n }, (_, i) => (i + 0.6) / (n + 0.2))
  const near = Math.min(...at.map(one => Math.abs(one - u)))
  return near < wide ? depth * (1 - (near / wide) ** 2) : 0
}

/** What is drawn on it. */
export type DrawnAs =
  | 'pits'
  | 'spalls'
  | 'cracks'
  | 'scores'
  | 'band'
  | 'step'
  | 'chips'
  | 'dents'
  | 'smear'
  | 'flutes'
  | 'bloom'
  | 'rust'
  | 'mud'
  | 'blisters'
  | 'fretting'
  | 'wide'
  | 'oval'
  | 'part'
  | 'rays'
  | 'rings'
  | 'deposit'
  | 'swell'
  | 'flat'
  | 'nibbled'
  | 'cut'
  | 'neck'
  | 'rounded'
  | 'mashed'
  | 'bend'
  | 'one wall'
  | 'both walls'

const LAID: Record<DrawnAs, Laying> = {
  'pits': { marks: a => dots(many(a, 34), 0.9 + 1.3 * a) },
  'spalls': { marks: a => spread(many(a, 7), [0.2, 0.8]).map(at => blot(at, 3 + 5 * a)) },
  'cracks': {
    marks: a => [
      crack([0.3, 0.98], [0.36 + 0.24 * a, 0.86 - 0.78 * a]),
      ...(a > 0.3 ? [crack([0.3 + 0.15 * a, 0.98 - 0.45 * a], [0.62, 0.75 - 0.3 * a])] : []),
      ...(a > 0.8 ? [crack([0.5, 0.4], [0.2, 0.05]), crack([0.55, 0.3], [0.9, 0.15])] : []),
    ],
  },
  'scores': {
    marks: a =>
      Array.from({ length: many(a, 11) }, (_, i) =>
        run(0.14 + (0.72 * ((i * 4) % 11)) / 10, 0.3 - 0.25 * a, 0.62 + 0.33 * a),
      ),
  },
  'band': { marks: a => [patch(1 - (0.15 + 0.65 * a), 1, 0.04, 0.96, 'tint'), run(0.5, 1 - (0.15 + 0.65 * a), 1)] },
  'step': {
    top: (u, v, a) => (u > 0.36 ? v - 0.62 * a * Math.min(1, (u - 0.36) * 20) : v),
    marks: a => [run(0.96 - 0.62 * a, 0.4, 1)],
  },
  'chips': { top: (u, v, a) => v - notched(u, many(a, 4), 0.12 + 0.4 * a, 0.04 + 0.07 * a) },
  'dents': { marks: a => dots(many(a, 9), 1.6 + 1.6 * a, 'ring') },
  'smear': {
    marks: a => [
      ...spread(many(a, 4), [0.1, 0.6]).map(([u, v]) =>
        patch(u, u + 0.1 + 0.28 * a, Math.max(0.05, v - 0.12), Math.min(0.95, v + 0.12)),
      ),
      ...(a > 0.3 ? [run(0.3, 0.2, 0.9), run(0.7, 0.1, 0.8)] : []),
    ],
  },
  'flutes': {
    marks: a =>
      Array.from({ length: many(a, 24) + 3 }, (_, i, all = many(a, 24) + 3): Laid => {
        const u = (i + 0.5) / all
        return {
          is: a > 0.8 ? 'crack' : 'score',
          uv: [
            [u, 0.24],
            [u, 0.76],
          ],
        }
      }),
  },
  'bloom': {
    marks: a => [
      patch(0.5 - 0.46 * a, 0.5 + 0.46 * a, 0.04, 0.96, 'tint'),
      ...(a > 0.5 ? [patch(0.5 - 0.3 * a, 0.5 + 0.3 * a, 0.2, 0.8, 'tint')] : []),
      ...(a > 0.9 ? [patch(0.35, 0.65, 0.3, 0.7)] : []),
    ],
  },
  'rust': { marks: a => spread(many(a, 17)).map(at => blot(at, 1.8 + 2.2 * a)) },
  'mud': {
    marks: a =>
      Array.from({ length: many(a, 7) }, (_, i) => crack([0.2 + 0.1 * i, 0.06], [0.14 + 0.11 * i, 0.94])).concat(
        a > 0.3 ? [0.3, 0.7].map(v => crack([0.15, v], [0.15 + 0.7 * a, v])) : [],
        a > 0.9 ? [blot([0.4, 0.5], 5), blot([0.65, 0.4], 5)] : [],
      ),
  },
  'blisters': {
    marks: a => [
      ...dots(many(a, 8), 2.2 + 2.4 * a, 'ring'),
      ...(a > 0.8 ? spread(4).map(at => blot(at, 4)) : dots(many(a, 8), 0.8)),
    ],
  },
  'fretting': {
    marks: a => [patch(0.5 - 0.35 * a, 0.5 + 0.35 * a, 0.2, 0.8, 'tint'), ...dots(many(a, 26), 0.8 + 0.8 * a)],
  },
  'wide': { marks: a => [patch(0, 1, 0.38 - 0.34 * a, 0.62 + 0.34 * a, 'tint')] },
  'oval': {
    marks: a =>
      [0.25, 0.75].map(u => patch(u - 0.05 - 0.06 * a, u + 0.05 + 0.06 * a, 0.3 - 0.1 - 0.1 * a, 0.4 + 0.1 * a)),
  },
  // What is missing of the track lies bare.
  'part': { marks: a => [patch(0.5 - 0.44 * a, 0.5 + 0.44 * a, 0.36, 0.64)] },
  'rays': {
    marks: a =>
      Array.from({ length: many(a, 22) + 2 }, (_, i, all = many(a, 22) + 2): Laid => {
        const u = (i + 0.5) / all
        return {
          is: 'crack',
          uv: [
            [u, 0],
            [u + 0.01, 0.3 + 0.7 * a],
          ],
        }
      }),
  },
  'rings': {
    marks: a =>
      Array.from({ length: many(a, 6) }, (_, i) =>
        run(0.5 + (i % 2 ? 1 : -1) * 0.06 * i, 0, 1, a > 0.3 ? 'crack' : 'score'),
      ),
  },
  'deposit': {
    marks: a => [patch(0.02, 0.98, 0, 0.12 + 0.6 * a), ...spread(many(a, 12)).map(at => blot(at, 2 + 2 * a))],
  },
  'swell': {
    top: (u, v, a) => v + 0.6 * a * Math.sin(Math.PI * u),
    bottom: (u, v, a) => v - 0.6 * a * Math.sin(Math.PI * u),
  },
  'flat': { top: (_, v, a) => v - 0.66 * a },
  'nibbled': {
    bottom: (u, v, a) => (Math.abs(u - 0.5) < 0.08 + 0.42 * a ? v + 0.18 * Math.abs(Math.sin(u * 60)) + 0.05 : v),
    marks: a => [run(0.3, 0.5 - 0.06 - 0.4 * a, 0.5 + 0.06 + 0.4 * a)],
  },
  'cut': {
    top: (u, v, a) => (Math.abs(u - 0.5) < 0.025 + 0.03 * a ? v - 0.3 - 0.68 * a : v),
    marks: a => (a > 0.8 ? [crack([0.25, 0.95], [0.3, 0.05])] : []),
  },
  'neck': {
    top: (u, v, a) => v - 0.2 * a * Math.exp(-(((u - 0.3) / 0.08) ** 2)),
    bottom: (u, v, a) => v + 0.2 * a * Math.exp(-(((u - 0.3) / 0.08) ** 2)),
  },
  'rounded': {
    top: (u, v, a) => (u < 0.18 ? v - 0.42 * a * (1 - u / 0.18) ** 0.7 : v),
    bottom: (u, v, a) => (u < 0.18 ? v + 0.42 * a * (1 - u / 0.18) ** 0.7 : v),
  },
  'mashed': {
    top: (u, v, a) => (u > 0.9 ? v + 0.24 * a : v),
    bottom: (u, v, a) => (u > 0.9 ? v - 0.24 * a : v),
    marks: a => [patch(0.98 - 0.06 * a, 1, 0.3, 0.7)],
  },
  'bend': {
    top: (u, v, a) => v - 0.45 * a * Math.sin(Math.PI * u),
    bottom: (u, v, a) => v - 0.2 * a * Math.sin(Math.PI * u),
    marks: a => [run(0.5, 0.5 - 0.1 - 0.35 * a, 0.5 + 0.1 + 0.35 * a)],
  },
  'one wall': {
    top: (u, v, a) => (u >= 0.6 && u < 0.62 + 0.2 * a ? 0.3 : v),
    marks: a => [patch(0.62 + 0.2 * a, 0.66 + 0.22 * a, 0.3, 0.9)],
  },
  'both walls': {
    top: (u, v, a) => (Math.abs(u - 0.5) < 0.12 + 0.16 * a ? 0.3 : v),
    marks: a => [patch(0.62 + 0.16 * a, 0.66 + 0.17 * a, 0.3, 0.9), patch(0.34 - 0.17 * a, 0.38 - 0.16 * a, 0.3, 0.9)],
  },
}

const ALONG = Array.from({ length: 97 }, (_, i) => i / 96)

/** A finding as it is drawn: what it is on, and how much of it there is; grade 0 is the ground alone. */
export function findingDrawing(ground: Ground, pattern: DrawnAs, grade: Grade | 0): Piece[] {
  const { at, top = () => 1, bottom = () => 0, lines = [], holes = [], coiled }: Surface = SURFACES[ground]
  const a = grade === 0 ? 0 : AMOUNT[grade]
  const laying: Laying = grade === 0 ? {} : LAID[pattern]
  const high = (u: number) => laying.top?.(u, top(u), a) ?? top(u)
  const low = (u: number) => laying.bottom?.(u, bottom(u), a) ?? bottom(u)
  const edge = [...ALONG.map(u => at(u, Math.max(low(u), high(u)))), ...[...ALONG].reverse().map(u => at(u, low(u)))]
  const coils = Array.from({ length: 15 }, (_, i) => at(i / 14, i % 2 ? high(i / 14) : low(i / 14)))
  const place = (one: Laid): Piece =>
    'radius' in one
      ? { is: one.is, at: at(...one.uv), radius: one.radius }
      : { is: one.is, points: one.uv.map(([u, v]) => at(u, v)) }
  return [
    coiled ? { is: 'line', points: coils } : { is: 'body', points: edge },
    ...lines.map((uv): Piece => ({ is: 'line', points: finely(uv).map(([u, v]) => at(u, Math.min(v, high(u)))) })),
    ...holes.map((one): Piece => ({ is: 'hole', at: at(...one.uv), radius: one.radius })),
    ...(laying.marks?.(a) ?? []).map(place),
  ]
}

/** A straight line on the unit square, in pieces that a round ground can bend. */
function finely(uv: readonly Point[]): Point[] {
  const [[u1, v1], [u2, v2]] = [uv[0]!, uv.at(-1)!]
  return Array.from({ length: 25 }, (_, i): Point => [u1 + ((u2 - u1) * i) / 24, v1 + ((v2 - v1) * i) / 24])
}

const OUTLINES: readonly Piece['is'][] = ['body', 'patch', 'tint']

/** A piece as SVG writes it: a path, closed where it is an outline. */
export function pathOf(piece: Piece): string {
  if ('at' in piece) {
    const [[x, y], r] = [piece.at, piece.radius]
    return `M${fine(x - r)} ${fine(y)}a${fine(r)} ${fine(r)} 0 1 0 ${fine(2 * r)} 0a${fine(r)} ${fine(r)} 0 1 0 ${fine(-2 * r)} 0z`
  }
  const way = piece.points.map(([x, y]) => `${fine(x)} ${fine(y)}`).join('L')
  return `M${way}${OUTLINES.includes(piece.is) ? 'z' : ''}`
}
const fine = (figure: number) => Number(figure.toFixed(1))
