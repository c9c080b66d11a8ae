import { describe, expect, it } from 'vitest'
import { quickFirst, room, turns, within } from './turns.ts'

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

describe('a room', () => {
  it('holds so many, and lets the others in as they came', async () => {
    const few = room(2)
    let [inside, most] = [0, 0]
    const seen: number[] = []
    const act = (n: number) =>
      few(async () => {
        most = Math.max(most, ++inside)
        seen.push(n)
        await after(3)
        inside--
        if (n === 1) throw new Error('no')
        return n
      })
    const ends = await Promise.allSettled([0, 1, 2, 3, 4].map(act))
    expect([most, seen]).toEqual([2, [0, 1, 2, 3, 4]])
    expect(ends.map(one => one.status)).toEqual(['fulfilled', 'rejected', 'fulfilled', 'fulfilled', 'fulfilled'])
  })
  it('lets the quick go first, but not for ever', async () => {
    const { counted, quiet } = quickFirst(20)
    const few = room(1, quiet)
    const seen: string[] = []
    const quick = counted(() => after(10).then(() => seen.push('quick')))
    await Promise.all([few(async () => seen.push('slow')), quick])
    expect(seen).toEqual(['quick', 'slow'])
    const long = counted(() => after(80).then(() => seen.push('long')))
    await Promise.all([few(async () => seen.push('not for ever')), long])
    expect(seen.slice(2)).toEqual(['not for ever', 'long'])
  })
})

describe('within', () => {
  it('passes on what comes in time, and what fails', async () => {
    expect(
      await within(
        50,
        after(1).then(() => 'yes'),
      ),
    ).toBe('yes')
    await expect(within(50, Promise.reject(new Error('no')))).rejects.toThrow('no')
  })
  it('does not wait for ever', () => expect(within(5, new Promise(() => {}))).rejects.toMatchObject({ code: '57014' }))
})
