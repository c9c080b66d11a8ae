import { describe, expect, it } from 'vitest'
import { turns } from './turns.ts'

const after = (ms: number) => new Promise(resolve => setTimeout(resolve, ms))

describe('turns', () => {
  it('are taken one after the other for one thing, and side by side for two', async () => {
    const inTurn = turns()
    const seen: string[] = []
    const act = (name: string, n: number) =>
      inTurn(name, async () => {
        seen.push(`${name}${n} in`)
        await after(5)
        seen.push(`${name}${n} out`)
        return n
      })
    expect(await Promise.all([act('a', 1), act('a', 2), act('b', 1)])).toEqual([1, 2, 1])
    expect(seen.filter(one => one.startsWith('a'))).toEqual(['a1 in', 'a1 out', 'a2 in', 'a2 out'])
    expect(seen.indexOf('b1 in')).toBeLessThan(seen.indexOf('a1 out'))
  })
  it('go on after one that failed, who is told of it', async () => {
    const inTurn = turns()
    const failed = inTurn('a', () => Promise.reject(new Error('no')))
    const next = inTurn('a', async () => 'yes')
    await expect(failed).rejects.toThrow('no')
    expect(await next).toBe('yes')
  })
})
