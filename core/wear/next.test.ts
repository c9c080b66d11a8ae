import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { whatIsNext, type Since } from './next.ts'

const now = '2026-06-01T00:00:00Z'
const overhaul = { hours: 8000, months: 24 }
const since = (at: string, hours: number | null = null, uses: number | null = null): Since => ({ at, hours, uses })

describe('what is next', () => {
  it('is the earlier of hours and calendar', () => {
    expect(whatIsNext(overhaul, since('2026-01-01T00:00:00Z', 7000), 100, now)).toEqual({
      weeks: 10,
      decidedBy: 'hours',
    })
    expect(whatIsNext(overhaul, since('2024-07-01T00:00:00Z', 100), 100, now)).toEqual({
      weeks: 4,
      decidedBy: 'calendar',
    })
  })
  it('is due at zero and after', () => {
    expect(whatIsNext(overhaul, since('2026-05-01T00:00:00Z', 8000), 100, now)!.weeks).toBe(0)
    expect(whatIsNext(overhaul, since('2026-05-01T00:00:00Z', 9000), 100, now)!.weeks).toBe(-10)
  })
  it('waits for the calendar when the machine stands', () => {
    expect(whatIsNext(overhaul, since(now, 7999), 0, now)).toEqual({ weeks: 104, decidedBy: 'calendar' })
  })
  it('is due when the machine stands and its hours are through', () => {
    expect(whatIsNext(overhaul, since('2026-05-01T00:00:00Z', 8000), 0, now)).toEqual({ weeks: 0, decidedBy: 'hours' })
  })
  it('goes by use at the rate it was used since', () => {
    const lifts = { months: 12, uses: { every: 600, of: 'lifts' } }
    // 100 lifts in ten weeks leave 500, which are fifty weeks more; the calendar has 42.
    expect(whatIsNext(lifts, since('2026-03-23T00:00:00Z', null, 100), 0, now)!.decidedBy).toBe('calendar')
    expect(whatIsNext(lifts, since('2026-03-23T00:00:00Z', null, 200), 0, now)).toEqual({
      weeks: 20,
      decidedBy: 'uses',
    })
    expect(whatIsNext(lifts, since('2026-03-23T00:00:00Z', null, 600), 0, now)).toEqual({ weeks: 0, decidedBy: 'uses' })
  })
  it('is not said where nothing of it can be counted', () => {
    expect(whatIsNext({ hours: 100 }, since(now), 40, now)).toBeNull()
    expect(whatIsNext({ uses: { every: 10, of: 'starts' } }, since(now), 40, now)).toBeNull()
    expect(whatIsNext({ hours: 100, months: 1 }, since(now), 40, now)).toEqual({ weeks: 4, decidedBy: 'calendar' })
  })
  it('ends a month where that has no such day', () => {
    expect(whatIsNext({ months: 1 }, since('2026-01-31T00:00:00Z'), 0, '2026-01-31T00:00:00Z')!.weeks).toBe(4)
    expect(whatIsNext({ months: 3 }, since('2025-11-30T00:00:00Z'), 0, '2026-02-28T00:00:00Z')!.weeks).toBe(0)
  })
})

it('never comes later for having run or been used more', () => {
  const counted = fc.integer({ min: 0, max: 20_000 })
  fc.assert(
    fc.property(counted, counted, counted, fc.integer({ min: 0, max: 168 }), (hours, uses, more, rate) => {
      const interval = { hours: 8000, months: 24, uses: { every: 5000, of: 'starts' } }
      const weeks = (h: number, u: number) =>
        whatIsNext(interval, since('2026-01-01T00:00:00Z', h, u), rate, now)!.weeks
      expect(weeks(hours + more, uses)).toBeLessThanOrEqual(weeks(hours, uses))
      expect(weeks(hours, uses + more)).toBeLessThanOrEqual(weeks(hours, uses))
    }),
  )
})
