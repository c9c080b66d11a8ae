import { expect, it } from 'vitest'
import { whatIsNext } from './next.ts'

const base = { hoursPerWeek: 100, service: { hours: 8000, months: 24 }, now: '2026-06-01T00:00:00Z' }

it('takes the earlier of hours and calendar', () => {
  expect(whatIsNext({ ...base, hoursSince: 7000, lastOverhaulAt: '2026-01-01T00:00:00Z' })).toEqual({
    weeks: 10,
    decidedBy: 'hours',
  })
  expect(whatIsNext({ ...base, hoursSince: 100, lastOverhaulAt: '2024-07-01T00:00:00Z' })).toEqual({
    weeks: 4,
    decidedBy: 'calendar',
  })
})
it('is due at zero and after', () => {
  const lastOverhaulAt = '2026-05-01T00:00:00Z'
  expect(whatIsNext({ ...base, hoursSince: 8000, lastOverhaulAt }).weeks).toBe(0)
  expect(whatIsNext({ ...base, hoursSince: 9000, lastOverhaulAt }).weeks).toBe(-10)
})
it('waits for the calendar when the machine stands', () => {
  expect(whatIsNext({ ...base, hoursPerWeek: 0, hoursSince: 7999, lastOverhaulAt: '2026-06-01T00:00:00Z' })).toEqual({
    weeks: 104,
    decidedBy: 'calendar',
  })
})
