import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { pauseAfter } from './pauses'
import { listenTo } from './stream'

/** A stream that does what it is told. */
class Told {
  static all: Told[] = []
  onmessage: ((said: { data: string }) => void) | null = null
  onerror: (() => void) | null = null
  isOpen = true
  private named = new Map<string, (said: { data: string }) => void>()
  constructor(readonly url: string) {
    Told.all.push(this)
  }
  addEventListener(name: string, back: (said: { data: string }) => void) {
    this.named.set(name, back)
  }
  say(name: string, data: string) {
    this.named.get(name)!({ data })
  }
  close() {
    this.isOpen = false
  }
}
const newest = () => Told.all.at(-1)!

describe('listening to a job', () => {
  beforeEach(() => {
    vi.useFakeTimers()
    Told.all = []
  })
  afterEach(() => void vi.useRealTimers())
  function listening() {
    const heard: string[] = []
    const stop = listenTo(
      'j',
      {
        grown: ({ seq }) => heard.push(`grown ${seq}`),
        reached: isThere => heard.push(isThere ? 'there' : 'gone'),
        databaseAway: () => heard.push('database away'),
      },
      Told as unknown as typeof EventSource,
    )
    return { heard, stop }
  }

  it('says what it is told', () => {
    const { heard } = listening()
    newest().onmessage!({ data: '{"seq":7}' })
    newest().say('database', 'away')
    newest().say('database', 'back')
    expect(heard).toEqual(['there', 'grown 7', 'database away', 'there'])
  })
  it('tries again after an error, with pauses that grow', () => {
    listening()
    const tries: number[] = []
    const from = Date.now()
    for (let i = 0; i < 8; i++) {
      newest().onerror!()
      expect(newest().isOpen).toBe(false)
      const count = Told.all.length
      while (Told.all.length === count) vi.advanceTimersByTime(50)
      tries.push(Date.now() - from)
    }
    const pauses = tries.map((at, i) => at - (tries[i - 1] ?? 0))
    expect(pauses[0]).toBeLessThan(1500)
    expect(pauses[3]).toBeGreaterThan(pauses[0]! * 3)
    expect(Math.max(...pauses)).toBeLessThanOrEqual(37_600)
  })
  it('begins with short pauses again once it has heard something', () => {
    listening()
    for (let i = 0; i < 6; i++) {
      newest().onerror!()
      vi.advanceTimersByTime(40_000)
    }
    newest().onmessage!({ data: '{"seq":1}' })
    const count = Told.all.length
    newest().onerror!()
    vi.advanceTimersByTime(1500)
    expect(Told.all).toHaveLength(count + 1)
  })
  it('stops, also while it waits for its next try', () => {
    const { stop } = listening()
    newest().onerror!()
    stop()
    vi.advanceTimersByTime(100_000)
    expect(Told.all).toHaveLength(1)
  })
})

describe('pauses', () => {
  it('grow to half a minute and differ by page', () => {
    expect([1, 2, 3, 4, 5, 6, 60].map(n => pauseAfter(n, 0.5))).toEqual([
      1000, 2000, 4000, 8000, 16_000, 30_000, 30_000,
    ])
    expect([pauseAfter(1, 0), pauseAfter(1, 1)]).toEqual([750, 1250])
  })
})
