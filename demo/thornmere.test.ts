import { pinFault } from '../shared/pins.ts'
import { describe, expect, it } from 'vitest'
import { checkResults, emptyFold, readingKey, ROLES } from '../core/job/index.ts'
import { placesOf, planFor, type Plan } from '../core/sheet/index.ts'
import { librarySheets } from '../server/db/library.ts'
import { wornFindings } from './findings.ts'
import { AREAS, FLEET, PEOPLE, sheetOf, type DemoMachine } from './thornmere.ts'
import { SUMS_BY_NAME } from '../core/sums/index.ts'

const sheets = new Map(librarySheets().map(one => [one.id, one]))
const planOf = (machine: DemoMachine) => planFor(sheets.get(sheetOf(machine))!, machine.variants, SUMS_BY_NAME)
const plan = planFor(sheets.get('m14-axially-split-pump')!, {}, SUMS_BY_NAME)
const people = { fitter: 'a', lead: 'b' }

describe('Thornmere', () => {
  it('has somebody in every role, with a PIN of their own', () => {
    expect(new Set(PEOPLE.map(one => one.role))).toEqual(new Set(ROLES))
    expect(new Set(PEOPLE.map(one => one.pin)).size).toBe(PEOPLE.length)
    for (const { pin } of PEOPLE) expect(pinFault(pin, 6)).toBeNull()
  })
  it('has every machine in an area, under a tag of its own', () => {
    expect(new Set(FLEET.map(one => one.tag)).size).toBe(FLEET.length)
    for (const one of FLEET) expect(AREAS.map(area => area.id)).toContain(one.area)
  })
  it.each(FLEET)('$tag has a past that runs forward', machine => {
    const { overhauls, hoursRun } = machine
    const hours = overhauls.map(one => one.hours)
    expect(hours).toEqual([...hours].sort((a, b) => a - b))
    expect(overhauls.map(one => one.on)).toEqual(overhauls.map(one => one.on).sort())
    for (const one of hours) expect(one).toBeLessThanOrEqual(hoursRun)
    expect(overhauls.slice(0, -1).every(one => !one.until)).toBe(true)
    for (const { until } of overhauls)
      if (until) expect(planOf(machine).whole.steps.map(step => step.id)).toContain(until)
  })
  it('renews only parts that there are, and wears only checks that there are', () => {
    for (const one of FLEET) {
      // Also what comes in only by what is decided on the job.
      const { parts, checks } = planOf(one).whole
      const refs = parts.flatMap(placesOf).map(({ ref }) => ref)
      for (const { wear } of one.overhauls) {
        expect(refs).toEqual(expect.arrayContaining(wear.renewed ?? []))
        expect(checks.map(({ id }) => id)).toEqual(expect.arrayContaining(Object.keys(wear.checks ?? {})))
      }
    }
  })
})

/** What is read of a check, cell by cell. */
const cellsAt = (of: Plan, id: string) =>
  checkResults(of, emptyFold().state).get(readingKey(id, of.checks.get(id)!.at[0]!.moment))!.worked.cells

describe('figures of a worn machine', () => {
  const figure = (share: number, moment: 'inspect' | 'build' = 'inspect', renewed: string[] = []) =>
    wornFindings({ general: share, renewed }, people).reading(
      plan.checks.get('bush-bore')!,
      moment,
      cellsAt(plan, 'bush-bore')[0]!,
      0,
    )[0]!
  it('run from the best end to the limit', () => {
    expect(figure(0)).toBeCloseTo(75.3, 6)
    expect(figure(1)).toBeCloseTo(75.5, 6)
    expect(figure(1.2)).toBeGreaterThan(75.5)
  })
  it('are fresh again once the part is new', () => {
    expect(figure(1.2, 'build', ['throttle-bush'])).toBeLessThan(75.35)
    expect(figure(1.2, 'build')).toBeGreaterThan(75.5)
  })
  it('are always believable', () => {
    for (const check of plan.sheet.checks)
      for (const cell of cellsAt(plan, check.id))
        for (const share of [0, 0.5, 1, 1.3])
          for (const value of wornFindings({ general: share }, people).reading(check, 'inspect', cell, 0)) {
            expect(value).toBeGreaterThanOrEqual(check.span[0])
            expect(value).toBeLessThanOrEqual(check.span[1])
          }
  })
})
