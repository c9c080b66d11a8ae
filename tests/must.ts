import { expect } from 'vitest'
import type { Result } from '../core/result.ts'

/** The value of a result that must be one. */
export function must<T>(result: Result<T>): T {
  if (!result.ok) throw new Error(result.why)
  return result.value
}

/** A refusal with a sentence a person can act on. */
export function refused(result: Result<unknown>, why?: RegExp): void {
  expect(result.ok, 'should have been refused').toBe(false)
  if (result.ok) return
  expect(result.why.length).toBeGreaterThan(20)
  if (why) expect(result.why).toMatch(why)
}

/** Equal to a millionth. */
export function near(got: number, wanted: number): void {
  expect(Math.abs(got - wanted)).toBeLessThanOrEqual(1e-6 * Math.max(1, Math.abs(wanted)))
}

/** Every wanted figure by its name, equal to a millionth. */
export function allNear(got: object, wanted: Record<string, number>): void {
  for (const [key, value] of Object.entries(wanted)) near((got as Record<string, number>)[key]!, value)
}
