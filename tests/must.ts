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
