import { describe, expect, it } from 'vitest'
import { recordTables, viewJob, type JobRecord } from '../core/job/index.ts'
import type { Variants } from '../core/sheet/index.ts'
import { Asking } from '../tests/asking.ts'
import { bare, printedPages } from '../tests/printing.ts'
import { decisionsOf, machinesOf, madeRecord } from '../tests/records.ts'
import { librarySheet } from '../tests/sheets.ts'
import { WALKS } from '../tests/walks/index.ts'

const named = (variants: Variants) => Object.values(variants).join(', ') || 'the one there is'

/** Columns of figures in which a row without one has no business. */
const FIGURES = /^(Value|As found|As left|Change|Pieces)$/

function wordsIn(value: unknown, found: string[] = []): string[] {
  if (typeof value === 'string') found.push(value)
  else if (value && typeof value === 'object') for (const one of Object.values(value)) wordsIn(one, found)
  return found
}

/** What no reader should see: an object, a name that is the sheet's own, a hole nobody filled, a figure that is not there. */
function faultsOf(record: JobRecord, ids: ReadonlySet<string>): string[] {
  const tables = recordTables(record)
  const odd = wordsIn({ ...record, tables }).filter(
    words =>
      /undefined|null|NaN|\[object|"by":|[{}]/.test(words) ||
      (words.match(/[\w]+(?:[-@][\w]+)+/g) ?? []).some(word => ids.has(word)),
  )
  const objects = tables.flatMap(({ title, columns, rows }) =>
    rows.flatMap(row =>
      row.flatMap((cell, i) => [
        ...([cell.text, ...(cell.small ?? []), ...(cell.lines ?? [])] as unknown[])
          .filter(words => words !== undefined && typeof words !== 'string')
          .map(words => `${title}: ${JSON.stringify(words)}`),
        ...(FIGURES.test(columns[i]!.head) && !cell.text?.trim()
          ? [`${title}: no figure under ${columns[i]!.head}`]
          : []),
      ]),
    ),
  )
  return [...odd, ...objects]
}

const rowsIn = (record: JobRecord) => recordTables(record).flatMap(table => table.rows).length

/** Every machine family gone through from make-safe to a signed record, with figures that were written without its sheet. */
describe.each(WALKS)('$sheet', ({ sheet: name, figures }) => {
  const sheet = librarySheet(name)
  const known = machinesOf(sheet).map(variants => [named(variants), variants, {} as Variants] as const)
  // What is decided on the job is gone through with every choice, on the last of the machines.
  const decided = decisionsOf(sheet).map(choices => [`decided: ${named(choices)}`, known.at(-1)![1], choices] as const)
  let longest: JobRecord | undefined

  it.each([...known, ...decided])(
    '%s: nothing in good order raises an alarm, and the record is signed',
    (_, variants, choices) => {
      const { half, signed, ids, before, after } = madeRecord(sheet, figures, variants, { Who: Asking, choices })
      const view = viewJob(before.plan, before.state)
      expect(before.state.flags).toEqual([])
      expect(view.owed.map(o => o.what)).toEqual([])
      expect(view.gate.open).toBe(true)
      // What is held against the last overhaul has nothing to be held against on a machine's first.
      const unwell = [...view.results.values()].filter(
        ({ owed, judgement, worked }) => owed && !worked.isFirst && judgement.verdict !== 'Holds',
      )
      expect(unwell.map(({ check, moment, judgement }) => `${check.title} ${moment}: ${judgement.verdict}`)).toEqual([])
      expect(after.signed).not.toBeNull()
      expect(signed.concessions).toEqual([])
      for (const record of [half, signed]) {
        expect(faultsOf(record, ids)).toEqual([])
        expect(recordTables(record).length).toBeGreaterThan(5)
        if (!longest || rowsIn(record) > rowsIn(longest)) longest = record
      }
    },
  )

  it('the longest of its records is printed with every word of it', async () => {
    // Only where some of the machines were gone through before.
    if (!longest) return
    const [pages, tables] = [await printedPages(longest), recordTables(longest)]
    // No page is there for one row: with its title, its heads and the footer, that comes to five lines or six.
    for (const page of pages) expect(page.split('\n').length, page).toBeGreaterThanOrEqual(8)
    // Whatever a page begins with, the table it belongs to is named over it.
    const titles = tables.map(one => bare(one.title))
    for (const page of pages.slice(1))
      expect(
        titles.filter(title => bare(page).startsWith(title)),
        page,
      ).not.toEqual([])
    const pdf = bare(pages.join('\n'))
    for (const { title, rows } of tables) {
      expect(pdf).toContain(bare(title))
      for (const { text = '', small = [] } of rows.flat())
        for (const words of [text, ...small]) expect(pdf, title).toContain(bare(words))
    }
  })
})
