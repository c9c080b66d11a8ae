import { expect, it } from 'vitest'
import { countsRead, dueOn } from './due.ts'

const service = (name: string, weeks: number | null) => ({
  ...{ id: name, name, last: null },
  next: weeks === null ? null : { weeks, decidedBy: 'hours' as const },
})

it('puts what is due first first, whatever it is', () => {
  const next = { weeks: 9, decidedBy: 'calendar' as const }
  const services = [service('Oil changed', 20), service('Examined', 3), service('Greased', null)]
  expect(dueOn({ next, services }).map(one => one.what)).toEqual(['Examined', 'Overhaul', 'Oil changed'])
  expect(dueOn({ next: null, services: [service('Greased', null)] })).toEqual([])
})

it('keeps counts that were read, nought among them', () => {
  expect(countsRead({ starts: 0, lifts: undefined, washings: 12 })).toEqual({ starts: 0, washings: 12 })
})
