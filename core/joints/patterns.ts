import { accept, refuse, type Result } from '../result.ts'

/** The order in which the bolts of a joint are pulled, each school by its name. Places are numbered from 1. */
export const PATTERNS = [
  'star',
  'two opposite, then round',
  'round',
  'middle outwards',
  'two tools at once',
  'four tools at once',
] as const
export type Pattern = (typeof PATTERNS)[number]

/** Orders of a joint that goes round: a circle has no middle to go outwards from. */
export const CIRCLE_PATTERNS = PATTERNS.filter(one => one !== 'middle outwards')

/** Why a school does it its way; shown beside its name. */
export const PATTERN_REASONS: Record<Pattern, string> = {
  'star': 'always straight across, so the joint closes square',
  'two opposite, then round': 'two bolts hold the joint square, the rest follow quickly',
  'round': 'for check passes, when every bolt already carries load',
  'middle outwards': 'presses a long joint flat from its middle to its ends',
  'two tools at once': 'two opposite bolts rise together, so nothing tips',
  'four tools at once': 'four bolts a quarter turn apart rise together: large joints, even gasket',
}

/** Usual star orders of flange practice. */
const STARS: Record<number, readonly number[]> = {
  4: [1, 3, 2, 4],
  6: [1, 4, 2, 5, 3, 6],
  8: [1, 5, 3, 7, 2, 6, 4, 8],
  12: [1, 7, 4, 10, 2, 8, 5, 11, 3, 9, 6, 12],
  16: [1, 9, 5, 13, 3, 11, 7, 15, 2, 10, 6, 14, 4, 12, 8, 16],
}

/** Other even counts: opposite pairs, each new pair starting in the middle of the widest gap left. */
function evenStar(n: number): number[] {
  const half = n / 2
  const starts = [0]
  while (starts.length < half) {
    const sorted = [...starts].sort((a, b) => a - b)
    const gaps = sorted.map((from, i) => ({ from, width: (sorted[i + 1] ?? half) - from }))
    const widest = gaps.reduce((best, gap) => (gap.width > best.width ? gap : best))
    starts.push(widest.from + Math.floor(widest.width / 2))
  }
  return starts.flatMap(start => [start + 1, start + half + 1])
}

/** Odd counts step on by (n − 1)/2 places, which visits every place once. */
function oddStar(n: number): number[] {
  return Array.from({ length: n }, (_, i) => (((i * (n - 1)) / 2) % n) + 1)
}

function outwards(n: number): number[] {
  const centre = (n + 1) / 2
  return Array.from({ length: n }, (_, i) => i + 1).sort((a, b) => Math.abs(a - centre) - Math.abs(b - centre) || a - b)
}

function oppositeThenRound(n: number): number[] {
  const across = Math.floor(n / 2) + 1
  return [1, across, ...Array.from({ length: n }, (_, i) => i + 1).filter(place => place !== 1 && place !== across)]
}

/** Tools side by side: each step's bolts are spread evenly round the joint, steps follow the star of one sector. */
function together(n: number, tools: number): number[][] {
  const sector = n / tools
  const starts = sector === 1 ? [1] : orderOf('star', sector)
  return starts.map(start => Array.from({ length: tools }, (_, tool) => start + tool * sector))
}

const orderOf = (pattern: 'star' | 'round', n: number): readonly number[] =>
  pattern === 'round' || n < 3
    ? Array.from({ length: n }, (_, i) => i + 1)
    : (STARS[n] ?? (n % 2 ? oddStar(n) : evenStar(n)))

const singly = (order: readonly number[]) => order.map(bolt => [bolt])

const STEPS: Record<Pattern, (n: number) => number[][]> = {
  'star': n => singly(orderOf('star', n)),
  'two opposite, then round': n => singly(oppositeThenRound(n)),
  'round': n => singly(orderOf('round', n)),
  'middle outwards': n => singly(outwards(n)),
  'two tools at once': n => together(n, 2),
  'four tools at once': n => together(n, 4),
}
const TOOLS: Partial<Record<Pattern, number>> = { 'two tools at once': 2, 'four tools at once': 4 }

/** Where the bolts stand: on a circle, round a rectangle, or in two rows along a split line. */
export type BoltLayout =
  | { kind: 'circle'; bolts: number }
  | { kind: 'rectangle'; along: number; across: number }
  | { kind: 'split line'; aSide: number }

/** Number of bolts of a layout: a rectangle counts its corners once, a split line has both rows. */
export function boltCount(layout: BoltLayout): number {
  if (layout.kind === 'circle') return layout.bolts
  return layout.kind === 'rectangle' ? 2 * (layout.along + layout.across) - 4 : 2 * layout.aSide
}

/**
 * Bolts pulled at each step of one pass over n bolts on a circle, every place exactly once; more than one where several tools work together.
 * @param n 2 to 200 bolts; refused outside that, and where the tools do not share them out evenly
 * @example boltSteps('two tools at once', 8) // [[1, 5], [3, 7], [2, 6], [4, 8]]
 */
export function boltSteps(pattern: Pattern, n: number): Result<readonly (readonly number[])[]> {
  if (!Number.isInteger(n) || n < 2 || n > 200)
    return refuse(`A joint has 2 to 200 bolts; ${n} is not a count to plan for.`)
  if (!(pattern in STEPS))
    return refuse(`There is no order called “${String(pattern)}”. Choose: ${Object.keys(STEPS).join(', ')}.`)
  const tools = TOOLS[pattern] ?? 1
  if (n % tools) return refuse(`${n} bolts cannot be shared out evenly among ${tools} tools. Choose another order.`)
  return accept(STEPS[pattern](n))
}

/**
 * The order of one pass over n bolts, every place exactly once.
 * @param n 2 to 200 bolts; refused outside that
 * @example boltOrder('star', 8) // [1, 5, 3, 7, 2, 6, 4, 8]
 */
export function boltOrder(pattern: Pattern, n: number): Result<readonly number[]> {
  const steps = boltSteps(pattern, n)
  return steps.ok ? accept(steps.value.flat()) : steps
}

/** The same for a joint of the sheet, which may be one bolt or one nut. */
export const jointOrder = (pattern: Pattern, n: number): Result<readonly number[]> =>
  n === 1 && pattern in STEPS ? accept([1]) : boltOrder(pattern, n)

/** The order in which a joint is slackened: a school of its own, or as it is drawn up, backwards. */
export function slackeningOrder(order: Pattern | 'backwards', pattern: Pattern, n: number): Result<readonly number[]> {
  if (order !== 'backwards') return jointOrder(order, n)
  const up = jointOrder(pattern, n)
  return up.ok ? accept(up.value.toReversed()) : up
}

/**
 * Middle outwards on a rectangle or a split line: the bolts nearest the middle first, crossing from side to side, ends and
 * corners last. Places are numbered clockwise from the top left (rectangle), or row by row, left to right (split line).
 * Refused: sides under 2 or over 50 bolts.
 */
export function outwardsOn(layout: Exclude<BoltLayout, { kind: 'circle' }>): Result<readonly number[]> {
  const sides = layout.kind === 'rectangle' ? [layout.along, layout.across] : [layout.aSide]
  if (!sides.every(side => Number.isInteger(side) && side >= 2 && side <= 50))
    return refuse('A side has 2 to 50 bolts, corners counted.')
  const points = boltPoints(layout)
  const left = points.map((point, i) => ({ ...point, bolt: i + 1, out: Math.hypot(point.x, point.y) }))
  const order: typeof left = []
  while (left.length) {
    const nearest = Math.min(...left.map(one => one.out))
    const last = order.at(-1)
    // Of bolts that lie alike, the one furthest from the last is next: straight or slantwise across.
    const away = (one: { x: number; y: number }) => (last ? Math.hypot(one.x - last.x, one.y - last.y) : 0)
    const alike = left.filter(one => one.out < nearest + 1e-9)
    const next = alike.reduce((best, one) => (away(one) > away(best) + 1e-9 ? one : best))
    order.push(...left.splice(left.indexOf(next), 1))
  }
  return accept(order.map(one => one.bolt))
}

/** Where each bolt stands, in pitches from the middle of the joint: x to the right, y down; bolt 1 first. */
export function boltPoints(layout: BoltLayout): { x: number; y: number }[] {
  if (layout.kind === 'circle') {
    return Array.from({ length: layout.bolts }, (_, i) => {
      const turn = (2 * Math.PI * i) / layout.bolts
      return { x: Math.sin(turn), y: -Math.cos(turn) }
    })
  }
  if (layout.kind === 'split line')
    return [-1, 1].flatMap(y => Array.from({ length: layout.aSide }, (_, i) => ({ x: i - (layout.aSide - 1) / 2, y })))
  const { along, across } = layout
  const [right, down] = [(along - 1) / 2, (across - 1) / 2]
  const side = (count: number, at: (i: number) => { x: number; y: number }) =>
    Array.from({ length: count - 1 }, (_, i) => at(i))
  return [
    ...side(along, i => ({ x: i - right, y: -down })),
    ...side(across, i => ({ x: right, y: i - down })),
    ...side(along, i => ({ x: right - i, y: down })),
    ...side(across, i => ({ x: -right, y: down - i })),
  ]
}
