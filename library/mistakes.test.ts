import { readFileSync, writeFileSync } from 'node:fs'
import { afterAll, describe, expect, it } from 'vitest'
import { Technician } from '../demo/technician.ts'
import { ALL_MISTAKES } from '../tests/mistakes/index.ts'
import { nextStep, viewJob } from '../core/job/index.ts'
import { Asking } from '../tests/asking.ts'
import { mend } from '../tests/mistakes/mend.ts'
import { Bench, type Mistake, type Mistakes } from '../tests/mistakes/bench.ts'
import { findingsOf, librarySheet, worker } from '../tests/sheets.ts'

/** Somebody who stands where another does, with hands of their own. */
function forkOf(one: Technician, figures: Mistakes['figures'], Who = Technician): Bench {
  const read = figures(one.opened.variants)
  const fork = new Who(one.opened, { ...findingsOf(read, true) }, one.clock, one.label)
  fork.folded = one.folded
  return new Bench(fork, read)
}

/** Where a machine stands: the steps that are done, where its parts are, and what is owed. */
const standsOf = ({ plan, folded: { state } }: Technician): string =>
  JSON.stringify([
    [...state.steps.keys()].sort(),
    [...state.parts].map(([ref, { where, fitted }]) => `${ref} ${where} ${fitted?.place ?? ''}`).sort(),
    viewJob(plan, state)
      .owed.map(one => one.key)
      .sort(),
  ])

interface Caught {
  family: string
  what: string
  text: string
  noticed: string
  stopped: string
}
const caught: Caught[] = []

const keyOf = ({ variants }: Mistake) => JSON.stringify(variants ?? {})

/** What tired people do, family by family: each is named with what it does, and nothing of it is said of those who do it right. */
describe.each(ALL_MISTAKES)('$family', ({ family, sheet: name, figures, mistakes }) => {
  const sheet = librarySheet(name)
  it('has ten at least', () => expect(mistakes.length).toBeGreaterThanOrEqual(10))
  describe.each([...new Set(mistakes.map(keyOf))])('%s', key => {
    const own = mistakes.filter(one => keyOf(one) === key)
    const variants = own[0]!.variants ?? {}
    const walking = worker(sheet, findingsOf(figures(variants), true), variants)
    const steps = walking.plan.sheet.steps.map(step => step.id)
    it.each(own.toSorted((a, b) => steps.indexOf(a.at) - steps.indexOf(b.at)))('$what', mistake => {
      walking.workUntil(mistake.at)
      const [wrong, right] = [forkOf(walking, figures), forkOf(walking, figures)]
      mistake.does(wrong)
      const found = wrong.said().filter(one => mistake.says.test(one.text) && mistake.means.test(one.text))
      expect(
        found.map(one => one.text),
        wrong
          .said()
          .map(one => one.text)
          .join('\n'),
      ).not.toEqual([])
      expect(found.map(one => one.noticed)).toContain(mistake.noticed)
      // Done right, nothing of the sort is said.
      right.does(mistake.at)
      expect(right.heard).toEqual([])
      expect(right.said().filter(one => mistake.says.test(one.text) && mistake.means.test(one.text))).toEqual([])
      expect(wrong.stoppedBefore(right)[0] ?? null).toBe(mistake.stopped)
      // Put right by the door that is offered, it goes on to a signed record, every act asked of the server's rules.
      const known = new Set(viewJob(right.plan, right.by.folded.state).owed.map(one => one.key))
      const { by } = forkOf(wrong.by, figures, Asking)
      mend(by, known, mistake.renews)
      // The step itself is done by now, too. What stands then as if nothing had been done wrong goes on as the walks do; the rest
      // is gone through, and some of them anyway.
      by.workUntil(nextStep(right.plan, right.by.folded.state)?.id)
      if (standsOf(by) !== standsOf(right.by) || mistakes.indexOf(mistake) % 6 === 0) {
        by.workUntil()
        expect(viewJob(by.plan, by.folded.state).owed.map(one => one.what)).toEqual([])
        by.act('job.signed', { cured: 'yes' }, 'lead')
      }
      expect(by.folded.state.flags).toEqual([])
      const { text } = found.find(one => one.noticed === mistake.noticed)!
      const stopped = mistake.stopped === null ? 'nothing' : walking.plan.steps.get(mistake.stopped)!.title
      caught.push({ family, what: mistake.what, text, noticed: mistake.noticed, stopped })
    })
  })
})

const DOC = new URL('../docs/mistakes.md', import.meta.url)
const anchor = (family: string) =>
  family
    .toLowerCase()
    .replaceAll(/[^a-z0-9 -]/g, '')
    .replaceAll(' ', '-')
const cell = (text: string) => text.replaceAll('|', '\\|').replaceAll('\n', ' ')

/** The table is written anew by a whole run; a run of some of them leaves it alone. */
afterAll(() => {
  const all = ALL_MISTAKES.flatMap(({ family, mistakes }) =>
    mistakes.flatMap(({ what }) => caught.find(one => one.family === family && one.what === what) ?? []),
  )
  if (all.length < ALL_MISTAKES.flatMap(one => one.mistakes).length) return
  const text = [
    '# What tired people do, and what Needler says',
    '',
    'Written by the tests (`library/mistakes.test.ts` over `tests/mistakes/`): every line was done on the core, and was not said where the same was done right.',
    '',
    '| Machine | Mistakes |',
    '|---|---|',
    ...ALL_MISTAKES.map(({ family, mistakes }) => `| [${family}](#${anchor(family)}) | ${mistakes.length} |`),
    '',
    ...ALL_MISTAKES.flatMap(({ family }) => [
      `## ${family}`,
      '',
      '| What is done wrong | Stopped before | Said | What is said |',
      '|---|---|---|---|',
      ...all
        .filter(one => one.family === family)
        .map(({ what, stopped, noticed, text }) => `| ${[what, stopped, noticed, text].map(cell).join(' | ')} |`),
      '',
    ]),
  ].join('\n')
  const old = (() => {
    try {
      return readFileSync(DOC, 'utf8')
    } catch {
      return ''
    }
  })()
  if (old !== text) writeFileSync(DOC, text)
})
