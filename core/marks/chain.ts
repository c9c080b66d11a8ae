import { accept, refuse, type Result } from '../result.ts'
import { leastCommonMultiple } from '../whole.ts'
import { withinTurn } from './clock.ts'

/** A known mark: b stands `deg` clockwise of a, as seen from one stated end; ± tolerance; a symmetric part allows steps of 360/n. */
export interface MarkRule {
  a: string
  b: string
  deg: number
  toleranceDeg?: number
  symmetry?: number
}

/** Rules that cannot all be true: the ones that make a ring, and by how much it misses. */
export interface Contradiction {
  rules: readonly (readonly [a: string, b: string])[]
  missDeg: number
}

export interface ChainedMarks {
  /** Every part's angle against the first, where a chain leads to it; null where none does. */
  anglesDeg: Record<string, number | null>
  /** That angle is known in steps of 360° over this; 1 where it is known outright. */
  symmetries: Record<string, number>
  contradictions: Contradiction[]
}

/** Smallest miss of an angle against a rule, its symmetry counted in. */
export function missOf(deg: number, rule: Pick<MarkRule, 'deg' | 'symmetry'>): number {
  const step = 360 / (rule.symmetry ?? 1)
  const off = (((deg - rule.deg) % step) + step) % step
  return Math.min(off, step - off)
}

interface Reached {
  deg: number
  path: readonly MarkRule[]
}

/** Rules in a row leave steps of 360° over the least common multiple of their symmetries. */
const symmetryOf = (rules: readonly MarkRule[]) =>
  rules.reduce((all, { symmetry = 1 }) => leastCommonMultiple(all, symmetry), 1)
const toleranceOf = (rules: readonly MarkRule[]) => rules.reduce((sum, { toleranceDeg = 0 }) => sum + toleranceDeg, 0)

/** Walks from one part along every rule once: the parts it reaches, and the rings that do not close. */
function walk(start: string, rules: readonly MarkRule[]) {
  const reached = new Map<string, Reached>([[start, { deg: 0, path: [] }]])
  const contradictions: Contradiction[] = []
  const used = new Set<MarkRule>()
  const queue = [start]
  for (let part = queue.shift(); part !== undefined; part = queue.shift()) {
    const here = reached.get(part)!
    for (const rule of rules) {
      if (used.has(rule) || (rule.a !== part && rule.b !== part)) continue
      used.add(rule)
      const forward = rule.a === part
      const other = forward ? rule.b : rule.a
      const next: Reached = { deg: here.deg + (forward ? rule.deg : -rule.deg), path: [...here.path, rule] }
      const known = reached.get(other)
      if (!known) {
        reached.set(other, next)
        queue.push(other)
        continue
      }
      const inRing = ring(known.path, next.path)
      const missDeg = missOf(next.deg, { deg: known.deg, symmetry: symmetryOf(inRing) })
      if (missDeg > toleranceOf(inRing) + 1e-6)
        contradictions.push({ rules: inRing.map(({ a, b }) => [a, b] as const), missDeg })
    }
  }
  return { reached, contradictions }
}

/**
 * Chains marks: where A–B and B–C are known, A–C follows (angles add up, symmetries leave their common steps). A ring of
 * rules that does not close within the tolerances of its own rules is a contradiction, and is named with every rule in it.
 * Degrees, one stated end. Refused: no rule, a part against itself, a symmetry that is not 1 to 360.
 */
export function chainMarks(rules: readonly MarkRule[]): Result<ChainedMarks> {
  if (!rules.length) return refuse('Give at least one mark: two parts and the angle between them.')
  if (rules.some(rule => rule.a === rule.b)) return refuse('A part cannot be marked against itself.')
  const isSound = ({ deg, symmetry = 1 }: MarkRule) =>
    Number.isFinite(deg) && Number.isInteger(symmetry) && symmetry >= 1 && symmetry <= 360
  if (!rules.every(isSound)) return refuse('Angles are figures, and a part’s symmetry is a whole number from 1 to 360.')
  const parts = [...new Set(rules.flatMap(rule => [rule.a, rule.b]))]
  const fromFirst = walk(parts[0]!, rules)
  const contradictions = [...fromFirst.contradictions]
  const seen = new Set(fromFirst.reached.keys())
  for (const start of parts) {
    if (seen.has(start)) continue
    const apart = walk(start, rules)
    contradictions.push(...apart.contradictions)
    apart.reached.forEach((_, part) => seen.add(part))
  }
  const placed = parts.map(part => [part, fromFirst.reached.get(part)] as const)
  return accept({
    anglesDeg: Object.fromEntries(placed.map(([part, one]) => [part, one ? withinTurn(one.deg) : null])),
    symmetries: Object.fromEntries(placed.flatMap(([part, one]) => (one ? [[part, symmetryOf(one.path)]] : []))),
    contradictions,
  })
}

/** The rules of two ways to one part, without those both have in common at their beginning. */
function ring(one: readonly MarkRule[], other: readonly MarkRule[]): readonly MarkRule[] {
  let same = 0
  while (same < Math.min(one.length, other.length) && one[same] === other[same]) same++
  return [...one.slice(same), ...other.slice(same)]
}

/** Whether two marks stand as their rule wants, and by how much they miss it. */
export function marksMeet(
  standsDeg: number,
  rule: Pick<MarkRule, 'deg' | 'toleranceDeg' | 'symmetry'>,
): { meets: boolean; missDeg: number } {
  const missDeg = missOf(standsDeg, rule)
  return { meets: missDeg <= (rule.toleranceDeg ?? 0) + 1e-9, missDeg }
}
