import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { Pulse, type Change } from './pulse.ts'

/** A database that answers, fails or hangs as it is told. */
function watched(first: 'a' | 'fails' | 'hangs' = 'a') {
  let how: string = first
  const seen: string[] = []
  const pulse = new Pulse({
    ask: () =>
      how === 'fails'
        ? Promise.reject(new Error('no'))
        : how === 'hangs'
          ? new Promise(() => {})
          : Promise.resolve(how),
    lost: async () => void seen.push('lost'),
    found: () => seen.push('found'),
  })
  pulse.onChange((change: Change) => seen.push(change))
  return { pulse: pulse.start(), seen, now: (next: string) => (how = next) }
}

describe('the pulse of a database', () => {
  beforeEach(() => void vi.useFakeTimers())
  afterEach(() => void vi.useRealTimers())
  const pass = (ms: number) => vi.advanceTimersByTimeAsync(ms)

  it('says nothing while it answers', async () => {
    const { pulse, seen } = watched()
    await pass(10_000)
    expect([seen, pulse.isAway]).toEqual([[], false])
  })
  it('is away at the first failure, lets go of the connections, and is back with the first answer', async () => {
    const { pulse, seen, now } = watched()
    await pass(100)
    now('fails')
    await pass(700)
    expect([seen, pulse.isAway]).toEqual([['lost', 'away'], true])
    now('a')
    await pass(400)
    expect([seen.slice(-2), pulse.isAway]).toEqual([['found', 'back'], false])
  })
  it('finds one that hangs within three seconds', async () => {
    const { pulse, now } = watched()
    await pass(10)
    now('hangs')
    await pass(3000)
    expect(pulse.isAway).toBe(true)
  })
  it('is told once that it went, however often it is asked in vain', async () => {
    const { seen, now } = watched()
    await pass(10)
    now('hangs')
    await pass(20_000)
    expect(seen.filter(one => one === 'away')).toHaveLength(1)
    expect(seen.filter(one => one === 'lost').length).toBeGreaterThan(3)
  })
  it('takes another start of it for another: what was known of it does not hold', async () => {
    const { seen, now } = watched()
    await pass(10)
    now('b')
    await pass(1000)
    expect(seen).toEqual(['found', 'back'])
  })
  it('is looked at at once when somebody says so, by all of them together', async () => {
    const { pulse, now } = watched()
    await pass(10)
    now('fails')
    await Promise.all([pulse.look(), pulse.look()])
    expect(pulse.isAway).toBe(true)
  })
  it('stops', async () => {
    const { pulse, seen, now } = watched()
    await pass(10)
    pulse.stop()
    now('fails')
    await pass(10_000)
    expect(seen).toEqual([])
  })
})
