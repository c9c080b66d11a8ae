import { expect } from 'vitest'
import { runSum, sumNamed, type Answer } from '../core/sums/index.ts'
import type { Result } from '../core/result.ts'
import { must } from './must.ts'

/** A sum's own example with some figures changed. */
export const withChanges = (name: string, changes: Record<string, unknown> = {}): Result<Answer> =>
  runSum(sumNamed(name)!, { ...sumNamed(name)!.example, ...changes })

/** One figure of that answer, whole. */
export const figure = (name: string, key: string, changes: Record<string, unknown> = {}) =>
  must(withChanges(name, changes)).figures.find(one => one.key === key)!

/** Every wanted figure of that answer: numbers to a millionth of their size, words and flags exactly. */
export function figures(name: string, changes: Record<string, unknown>, wanted: Record<string, unknown>): void {
  const got = must(withChanges(name, changes)).figures
  for (const [key, value] of Object.entries(wanted)) {
    const one = got.find(other => other.key === key)
    expect(one, `${name} has no figure ${key}`).toBeDefined()
    if (typeof value !== 'number') expect(one!.value, key).toBe(value)
    else
      expect(Math.abs(Number(one!.value) - value), `${key}: ${String(one!.value)} for ${value}`).toBeLessThanOrEqual(
        1e-6 * Math.max(1, Math.abs(value)),
      )
  }
}
