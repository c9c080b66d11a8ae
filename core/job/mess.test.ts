import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { Asking } from '../../tests/asking.ts'
import { doing, doings, goOn } from '../../tests/doings.ts'
import { findingsOf, librarySheet, worker, type Read } from '../../tests/sheets.ts'
import { WALKS } from '../../tests/walks/index.ts'
import { fold, viewJob } from './index.ts'

const SHEETS = WALKS.filter(one => /^m(3|8|10|14)-/.test(one.sheet))

describe('whatever is taken of a machine that is put together', () => {
  it.each(SHEETS)('leaves a way on to a signed record: $sheet', ({ sheet, figures }) => {
    const read = findingsOf(figures({}) as Read, true)
    const steps = worker(librarySheet(sheet), read, {}, Asking).plan.sheet.steps
    const builds = steps.filter(step => step.station === 'build')
    fc.assert(
      fc.property(doings, fc.nat(999), (done, where) => {
        const one = worker(librarySheet(sheet), read, {}, Asking) as Asking
        one.workUntil(builds[where % builds.length]!.id)
        for (const each of done) doing(one, each)
        expect(fold(one.opened, one.folded.entries)).toEqual(one.folded.state)
        goOn(one)
        expect(
          viewJob(one.plan, one.folded.state)
            .owed.filter(owed => owed.kind !== 'late')
            .map(owed => owed.what),
        ).toEqual([])
      }),
      { numRuns: 3 },
    )
  })
})
