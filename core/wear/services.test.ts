import { describe, expect, it } from 'vitest'
import type { Service } from '../sheet/index.ts'
import { countersOf, servicesOf, type Done } from './services.ts'

const now = '2026-06-01T00:00:00Z'
const service: Service = {
  hours: 8000,
  months: 24,
  also: [
    { id: 'oil', name: 'Oil changed', hours: 2000, step: 'oil-in' },
    { id: 'examined', name: 'Examined', months: 12, uses: { every: 500, of: 'lifts' } },
    { id: 'rope', name: 'Rope looked at', uses: { every: 100, of: 'lifts' } },
  ],
}
const meters = { hoursRun: 6000, hoursPerWeek: 100, uses: { lifts: 900 } }
const done = (at: string, hours: number | null = null, uses: Done['uses'] = {}): Done => ({ at, hours, uses })
const standing = (written: [string, Done][], overhaul: Done | null) =>
  Object.fromEntries(servicesOf(service, new Map(written), overhaul, meters, now).map(one => [one.id, one]))

describe('what is done between overhauls', () => {
  it('counts from an overhaul where a step of it does the same', () => {
    const { oil, examined } = standing([], done('2026-01-01T00:00:00Z', 5000))
    expect(oil).toMatchObject({ last: { withOverhaul: true }, next: { weeks: 10, decidedBy: 'hours' } })
    expect(examined).toMatchObject({ last: null, next: null })
  })
  it('counts from whichever of the two is later', () => {
    const written: [string, Done][] = [['oil', done('2026-03-01T00:00:00Z', 5500)]]
    expect(standing(written, done('2026-01-01T00:00:00Z', 5000)).oil!.next!.weeks).toBe(15)
    expect(standing(written, done('2026-04-01T00:00:00Z', 5900)).oil!.next!.weeks).toBe(19)
    expect(standing(written, null).oil!.last).toMatchObject({ withOverhaul: false })
  })
  it('counts use where it was read both times', () => {
    const read = standing([['examined', done('2026-03-23T00:00:00Z', null, { lifts: 500 })]], null)
    // 400 in ten weeks: the last hundred are through in two and a half.
    expect(read.examined!.next).toEqual({ weeks: 3, decidedBy: 'uses' })
    expect(standing([['rope', done('2026-03-23T00:00:00Z')]], null).rope!.next).toBeNull()
  })
  it('names each counter once', () => expect(countersOf(service)).toEqual(['lifts']))
})
