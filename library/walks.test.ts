import { describe, expect, it } from 'vitest'
import { recordOf, recordTables, viewJob } from '../core/job/index.ts'
import { coupledVariants, everyVariant, type Variants } from '../core/sheet/index.ts'
import { Asking } from '../tests/asking.ts'
import { findingsOf, librarySheet, worker } from '../tests/sheets.ts'
import { WALKS } from '../tests/walks/index.ts'

const named = (variants: Variants) => Object.values(variants).join(', ') || 'the one there is'

/** Every machine family gone through from make-safe to a signed record, with figures that were written without its sheet. */
describe.each(WALKS)('$sheet', ({ sheet: name, figures, machine }) => {
  const sheet = librarySheet(name)
  // Choices that hang together in every combination, each of the others once.
  const known = coupledVariants({ ...sheet, axes: sheet.axes.filter(axis => !axis.decided) }).map(
    variants => [named(variants), variants, {} as Variants] as const,
  )
  // What is decided on the job is gone through with every choice, on the last of the machines.
  const decided = everyVariant({ axes: sheet.axes.filter(axis => axis.decided) })
    .filter(choices => Object.keys(choices).length)
    .map(choices => [`decided: ${named(choices)}`, known.at(-1)![1], choices] as const)
  it.each([...known, ...decided])(
    '%s: nothing in good order raises an alarm, and the record is signed',
    (_, variants, choices) => {
      const one = worker(sheet, findingsOf(figures(variants), true), variants, Asking)
      for (const axis of sheet.axes.filter(({ id }) => choices[id])) {
        one.workUntil(axis.decided!.step)
        one.act('variant.changed', { axis: axis.id, choice: choices[axis.id]!, why: 'Wanted so' }, 'lead')
      }
      one.workUntil()
      const { state } = one.folded
      const view = viewJob(one.plan, state)
      expect(state.flags).toEqual([])
      expect(view.owed.map(o => o.what)).toEqual([])
      expect(view.gate.open).toBe(true)
      // What is held against the last overhaul has nothing to be held against on a machine's first.
      const unwell = [...view.results.values()].filter(
        ({ owed, judgement, worked }) => owed && !worked.isFirst && judgement.verdict !== 'Holds',
      )
      expect(unwell.map(({ check, moment, judgement }) => `${check.title} ${moment}: ${judgement.verdict}`)).toEqual([])
      one.act('job.signed', { cured: 'yes', cause: machine }, 'lead')
      expect(one.folded.state.signed).not.toBeNull()
      const record = recordOf(one.plan, one.folded.entries, new Map())
      expect(record.concessions).toEqual([])
      expect(recordTables(record).every(table => table.rows.every(row => !row.join(' ').includes('undefined')))).toBe(
        true,
      )
    },
  )
})
