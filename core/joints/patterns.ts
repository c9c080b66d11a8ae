import { accept, refuse, type Result } from '../result.ts'

/** The order in which the bolts of a joint are pulled, each school by its name. Places are numbered from 1. */
export const PATTERNS = ['star', 'two opposite, then round', 'round', 'middle outwards'] as const
export type Pattern = typeof PATTERNS[number]

/** Why a school does it its way; shown beside its name. */
export const PATTERN_REASONS: Record<Pattern, string> = {
  'star': 'always straight across, so the joint closes square',
  'two opposite, then round': 'two bolts hold the joint square, the rest follow quickly',
  'round': 'for check passes, when every bolt already carries load',
  'middle outwards': 'presses a long joint flat from its middle to its ends',
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
    const widest = gaps.reduce((best, gap) => gap.width > best.width ? gap : best)
    starts.push(widest.from + Math.floor(widest.width / 2))
  }
  return starts.flatMap(start => [start + 1, start + half + 1])
}

/** Odd counts step on by (n − 1)/2 places, which visits every place once. */
function oddStar(n: number): number[] {
  return Array.from({ length: n }, (_, i) => (i * (n - 1) / 2) % n + 1)
}

function outwards(n: number): number[] {
  const centre = (n + 1) / 2
  return Array.from({ length: n }, (_, i) => i + 1).sort((a, b) => Math.abs(a - centre) - Math.abs(b - centre) || a - b)
}

function oppositeThenRound(n: number): number[] {
  const across = Math.floor(n / 2) + 1
  return [1, across, ...Array.from({ length: n }, (_, i) => i + 1).filter(place => place !== 1 && place !== across)]
}

const ORDERS: Record<Pattern, (n: number) => readonly number[]> = {
  'star': n => STARS[n] ?? (n % 2 ? oddStar(n) : evenStar(n)),
  'two opposite, then round': oppositeThenRound,
  'round': n => Array.from({ length: n }, (_, i) => i + 1),
  'middle outwards': outwards,
}

/**
 * The order of one pass over n bolts, every place exactly once.
 * @param n 2 to 200 bolts; refused outside that
 * @example boltOrder('star', 8) // [1, 5, 3, 7, 2, 6, 4, 8]
 */
export function boltOrder(pattern: Pattern, n: number): Result<readonly number[]> {
  if (!Number.isInteger(n) || n < 2 || n > 200) return refuse(`A joint has 2 to 200 bolts; ${n} is not a count to plan for.`)
  return accept(ORDERS[pattern](n))
}
