import { describe, expect, it } from 'vitest'
import { Asking } from '../../../tests/asking.ts'
import { doing, goOn } from '../../../tests/doings.ts'
import { findingsOf, librarySheet, worker, type Read } from '../../../tests/sheets.ts'
import { WALKS } from '../../../tests/walks/index.ts'
import { nextStep, recordOf, recordTables, viewJob, type RecordTable } from '../index.ts'
import { seenOn } from '../../../tests/seen.ts'

type Cell = RecordTable['rows'][number][number]

/**
 * Whole jobs in which much went wrong, written out: what was owed on the way, and every table of the record. What reads otherwise
 * after a change is looked at line by line; `npx vitest run -u` takes it as right.
 */

const PEOPLE = new Map([
  ['rena', 'R. Okell'],
  ['odd', 'O. Hallam'],
])

const cellText = ({ text, small = [], verdict, by, lines = [] }: Cell): string =>
  [
    text,
    verdict && `(${verdict})`,
    by && [by.who, by.role, by.when, by.clock].filter(Boolean).join(', '),
    ...small,
    ...lines,
  ]
    .filter(Boolean)
    .join(' / ')

function owedLines(one: Asking): string[] {
  const at = nextStep(one.plan, one.folded.state)
  const { owed, gate } = viewJob(one.plan, one.folded.state)
  return [
    `== before ${at?.id ?? 'the hand-back'}; gate ${gate.guards} ${gate.open ? 'open' : 'shut'}`,
    ...owed.map(each =>
      [
        each.kind,
        each.station,
        each.what,
        each.why,
        each.step ?? '-',
        each.blocks,
        JSON.stringify(each.settle),
        ['perishable', 'withItsStep', 'onceReached', 'holdsStart'].filter(flag => each[flag as 'perishable']).join(' '),
        typeof each.who === 'string' ? each.who : JSON.stringify(each.who),
        each.wrong ? `wrong at ${each.wrong.at ?? '-'}, stops ${[...each.wrong.stops].join(' ')}` : '',
      ].join(' | '),
    ),
  ]
}

const recordLines = (one: Asking): string[] => {
  const record = recordOf(one.plan, one.folded.entries, PEOPLE)
  return recordTables(record).flatMap(({ title, columns, rows }) => [
    `== ${title}: ${columns.map(({ head, width }) => `${head} ${width}`).join(' | ')}`,
    ...rows.map(row => row.map(cellText).join(' | ')),
  ])
}

/** Read otherwise as left than as found. */
const LEFT = { 'float asLeft': 0.12, 'discharge asLeft': 0.34, 'current asLeft': 71, 'noise asLeft': 77 }

/** What goes wrong, in this order, once the machine is half built. */
const MESS = (['answer', 'reopen', 'read', 'remedy', 'answer', 'reopen', 'read', 'answer'] as const).map((sort, i) => ({
  sort,
  about: 37 * (i + 1),
  way: i % 4,
  isLate: i % 3 === 1,
}))

describe('a job in which much went wrong, written out', () => {
  it.each(WALKS.filter(one => /^m(3|14)-/.test(one.sheet)))('$sheet', async ({ sheet, figures }) => {
    const one = worker(librarySheet(sheet), findingsOf({ ...figures({}), ...LEFT } as Read, true), {}, Asking) as Asking
    const lines = owedLines(one).slice(0, 40)
    one.workUntil('decide')
    lines.push(...owedLines(one).slice(0, 40))
    const [off] = [...one.folded.state.parts].find(([, now]) => now.where === 'off')!
    one.act('part.looked', seenOn(off, 'Track is dull', { deg: 75, seenFrom: one.plan.sheet.ends.left }))
    one.act('note.written', { text: 'Half way' })
    const note = one.act('note.written', { text: 'Written in the wrong job' })
    one.act('entry.corrected', { target: note.id, why: 'Another machine' }, 'lead')
    const builds = one.plan.sheet.steps.filter(step => step.station === 'build')
    goOn(one, 12, builds[Math.floor(builds.length * 0.8)]!.id)
    for (const each of MESS) doing(one, each)
    lines.push(...owedLines(one))
    goOn(one)
    lines.push(...owedLines(one))
    for (const { id: of } of viewJob(one.plan, one.folded.state).owed)
      one.act('concession.given', { of, basis: one.basis(of), why: 'Looked into' }, 'lead')
    one.act('job.signed', { cured: 'no', cause: 'Wear' }, 'lead')
    expect(lines.filter(line => /undefined|NaN|\[object/.test(line))).toEqual([])
    await expect([...lines, ...recordLines(one)].join('\n')).toMatchFileSnapshot(`./written-out/${sheet}.txt`)
  })
})
