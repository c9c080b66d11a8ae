import { describe, expect, it } from 'vitest'
import { fairRoom, quickFirst, room, TooMany, turns, within } from './turns.ts'

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

describe('a fair room', () => {
  const WAITING = { each: 3, all: 5 }
  const act = (seen: string[], name: string) => async () => {
    seen.push(name)
    await after(2)
  }
  it('takes names by turns, whoever came with many', async () => {
    const fair = fairRoom(1, WAITING)
    const seen: string[] = []
    await Promise.all(['a', 'a', 'a', 'b', 'c', 'b'].map(name => fair(name, act(seen, name))))
    expect(seen).toEqual(['a', 'a', 'b', 'c', 'a', 'b'])
  })
  it('tells how many go before, until it is one’s turn', async () => {
    const fair = fairRoom(1, WAITING)
    const [seen, told]: [string[], number[]] = [[], []]
    const first = fair('a', act(seen, 'a'))
    const others = ['a', 'a'].map(name => fair(name, act(seen, name)))
    await Promise.all([first, ...others, fair('b', act(seen, 'b'), before => told.push(before))])
    expect(told[0]).toBe(2)
    expect(told).toEqual(told.toSorted((one, other) => other - one))
  })
  it('takes so many of one name, and so many over all', async () => {
    const fair = fairRoom(1, WAITING)
    const seen: string[] = []
    const tries = await Promise.allSettled(
      ['a', 'a', 'a', 'a', 'a', 'b', 'b', 'b'].map(name => fair(name, act(seen, name))),
    )
    expect(tries.map(one => one.status === 'fulfilled' || one.reason instanceof TooMany)).not.toContain(false)
    expect(tries.map(one => one.status[0]).join('')).toBe('ffffrffr')
  })
  it('forgets who is gone before their turn, and does nothing for who was gone already', async () => {
    const fair = fairRoom(1, WAITING)
    const [seen, gone]: [string[], AbortController] = [[], new AbortController()]
    const first = fair('a', act(seen, 'a'))
    const second = fair('b', act(seen, 'b'), undefined, gone.signal)
    gone.abort()
    await expect(second).rejects.toThrow()
    await expect(fair('c', act(seen, 'c'), undefined, gone.signal)).rejects.toThrow()
    await first
    await fair('d', act(seen, 'd'))
    expect(seen).toEqual(['a', 'd'])
  })
  it('goes on after one that failed', async () => {
    const fair = fairRoom(1, WAITING)
    await expect(fair('a', () => Promise.reject(new Error('no')))).rejects.toThrow('no')
    expect(await fair('a', async () => 'yes')).toBe('yes')
  })
})
