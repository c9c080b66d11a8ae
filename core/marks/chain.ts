import { accept, refuse, type Result } from '../result.ts'
import { greatestCommonDivisor } from '../whole.ts'
import { withinTurn } from './clock.ts'

/** A known mark: b stands `deg` clockwise of a, as seen from one stated end; ± tolerance; a symmetric part allows steps of 360/n. */
export interface MarkRule {
  a: string
  b: string
  deg: number
  toleranceDeg?: number
  symmetry?: number
}

export interface ChainedMarks {
  /** Every part's angle against the first, where a chain leads to it; null where none does. */
  anglesDeg: Record<string, number | null>
  /** Rules that cannot all be true: the ones that close a ring, and by how much they miss. */
  contradictions: { rules: readonly [a: string, b: string][]; missDeg: number }[]
}

/** Smallest miss of an angle against a rule, its symmetry counted in. */
export function missOf(deg: number, rule: Pick<MarkRule, 'deg' | 'symmetry'>): number {
  const step = 360 / (rule.symmetry ?? 1)
  const off = (((deg - rule.deg) % step) + step) % step
  return Math.min(off, step - off)
}

interface Reached {
  deg: number
  toleranceDeg: number
  step: number
  path: readonly [string, string][]
}

/** What a chain of two symmetric rules still tells: steps of the common divisor of both turns. */
const commonStep = (a: number, b: number): number => {
  const [x, y] = [Math.round(a * 1000), Math.round(b * 1000)]
  return greatestCommonDivisor(x, y) / 1000
}

/**
 * Chains marks: where A–B and B–C are known, A–C follows (angles and tolerances add up). A ring of rules that does not
 * close within its tolerances is a contradiction and is named with every rule in it. Degrees, one stated end.
 * Refused: no rule, a part against itself, a symmetry that is not 1 to 360.
 */
export function chainMarks(rules: readonly MarkRule[]): Result<ChainedMarks> {
  if (!rules.length) return refuse('Give at least one mark: two parts and the angle between them.')
  if (rules.some(rule => rule.a === rule.b)) return refuse('A part cannot be marked against itself.')
  if (
    rules.some(
      rule =>
        !Number.isFinite(rule.deg) ||
        !((rule.symmetry ?? 1) >= 1 && (rule.symmetry ?? 1) <= 360 && Number.isInteger(rule.symmetry ?? 1)),
    )
  )
    return refuse('Angles are figures, and a part’s symmetry is a whole number from 1 to 360.')
  const parts = [...new Set(rules.flatMap(rule => [rule.a, rule.b]))]
  const used = new Set<MarkRule>()
  const contradictions: ChainedMarks['contradictions'] = []
  let fromFirst = new Map<string, Reached>()
  for (const start of parts) {
    if (fromFirst.has(start)) continue
    const reached = new Map<string, Reached>([[start, { deg: 0, toleranceDeg: 0, step: 360, path: [] }]])
    const queue = [start]
    for (let part = queue.shift(); part !== undefined; part = queue.shift()) {
      const here = reached.get(part)!
      for (const rule of rules) {
        if (used.has(rule) || (rule.a !== part && rule.b !== part)) continue
        used.add(rule)
        const forward = rule.a === part
        const other = forward ? rule.b : rule.a
        const next: Reached = {
          deg: here.deg + (forward ? rule.deg : -rule.deg),
          toleranceDeg: here.toleranceDeg + (rule.toleranceDeg ?? 0),
          step: commonStep(here.step, 360 / (rule.symmetry ?? 1)),
          path: [...here.path, [rule.a, rule.b]],
        }
        const known = reached.get(other)
        if (!known) {
          reached.set(other, next)
          queue.push(other)
          continue
        }
        const step = commonStep(known.step, next.step)
        const missDeg = missOf(next.deg, { deg: known.deg, symmetry: 360 / step })
        if (missDeg > known.toleranceDeg + next.toleranceDeg + 1e-6)
          contradictions.push({ rules: ring(known.path, next.path), missDeg })
      }
    }
    if (start === parts[0]) fromFirst = reached
    else
      reached.forEach(
        (_, part) =>
          fromFirst.has(part) || fromFirst.set(part, { deg: Number.NaN, toleranceDeg: 0, step: 360, path: [] }),
      )
  }
  const anglesDeg = Object.fromEntries(
    parts.map(part => {
      const deg = fromFirst.get(part)?.deg ?? Number.NaN
      return [part, Number.isNaN(deg) ? null : withinTurn(deg)]
    }),
  )
  return accept({ anglesDeg, contradictions })
}

/** The rules of two ways to one part, without those both have in common at their beginning. */
function ring(one: readonly [string, string][], other: readonly [string, string][]): readonly [string, string][] {
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
