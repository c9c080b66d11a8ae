import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Technician } from '../../demo/technician.ts'
import { refusal } from '../../tests/pump.ts'
import { librarySheet, sheetNamed, worker } from '../../tests/sheets.ts'
import { WALKS } from '../../tests/walks/index.ts'
import { examineSheet } from '../sheet/examination/index.ts'
import type { SheetSource } from '../sheet/index.ts'
import { SUMS_BY_NAME } from '../sums/index.ts'
import {
  checkResults,
  doorOf,
  hindrances,
  proposalsOf,
  readingKey,
  recordOf,
  stepsLeft,
  unmetNeeds,
  viewJob,
} from './index.ts'

const PUMP = 'm14-axially-split-pump'
const pump = (read: Record<string, string> = {}, until = 'wash') => {
  const one = worker(librarySheet(PUMP), { ...WALKS.find(walk => walk.sheet === PUMP)!.figures({}), ...read })
  one.workUntil(until)
  return one
}

describe('evidence', () => {
  it('is read before it is gone, by hand or given up in writing', () => {
    const one = pump({}, 'sleeve-off')
    const { plan, folded } = one
    const before = () =>
      hindrances(plan, one.folded.state, viewJob(plan, one.folded.state).owed, plan.steps.get('sleeve-off')!)
    expect(before().map(each => each.text)).toContain('Seal O-rings as they come out, 3 readings')
    expect(folded.state.flags).toEqual([])
    const lost = { check: 'old-rings', moment: 'asFound', why: 'They fell into the sump' } as const
    expect(refusal(one, 'evidence.lost', lost)).toBeNull()
    one.act('evidence.lost', lost)
    expect(before().map(each => each.text)).not.toContain('Seal O-rings as they come out, 3 readings')
  })
  it('that is out is told, and stops, proposes and mends nothing', () => {
    const one = pump({ 'old-rings seat ring': 'swollen or soft' }, 'decide')
    const { owed, results } = viewJob(one.plan, one.folded.state)
    const read = results.get(readingKey('old-rings', 'asFound'))!
    expect(read.judgement.verdict).toBe('Out')
    expect(read.consequence).toMatch(/which cleaner was used/)
    expect(owed.filter(debt => /O-rings/.test(debt.what))).toEqual([])
    expect([...proposalsOf(one.plan, one.folded.state, results).values()].flatMap(each => each.checks)).not.toContain(
      'old-rings',
    )
    expect(doorOf(one.plan, one.folded.state, read)).toBeNull()
    expect(refusal(one, 'check.remedied', { check: 'old-rings', moment: 'asFound', remedy: 'Washed' })).toMatchObject({
      code: 'remedy.asFound',
    })
    const rows = recordOf(one.opened, one.folded.entries, new Map()).readings
    expect(rows.find(row => row.title === 'Seal O-rings as they come out')).toMatchObject({
      moment: 'as found, evidence',
      verdict: 'Out',
    })
  })
  it('nobody is the worse for: the job is signed with it', () => {
    const one = pump({ 'old-rings seat ring': 'swollen or soft' }, undefined as never)
    one.workUntil()
    expect(viewJob(one.plan, one.folded.state).owed).toEqual([])
  })
})

/** Whatever comes next of what the rules allow: a step that can be done, one taken up again, a part decided away. */
function goesOn(one: Technician, pick: number): void {
  const { plan, folded } = one
  const { state } = folded
  const done = [...state.steps.keys()]
  const again = done[pick % Math.max(1, done.length)]
  const off = [...state.parts].filter(([, now]) => now.where === 'off').map(([ref]) => ref)
  const part = off[pick % Math.max(1, off.length)]
  if (pick % 5 === 0 && again) {
    const payload = { step: again, why: 'Looked wrong' }
    if (!refusal(one, 'step.reopened', payload, 'lead')) one.act('step.reopened', payload, 'lead')
  } else if (pick % 7 === 0 && part) {
    const payload = { parts: [part], choice: 'renew', why: 'Not worth it', proposed: 'reuse' } as const
    if (!refusal(one, 'part.decided', payload)) one.act('part.decided', payload)
    if (!refusal(one, 'part.renewed', { part, from: 'stock' })) one.act('part.renewed', { part, from: 'stock' })
  } else {
    const free = stepsLeft(plan, state).filter(step => !unmetNeeds(plan, state, step).length)
    if (free.length) one.doStep(free[pick % free.length]!)
  }
}

describe.each(['dual-seal', 'cartridge-seal-pump', 'dc-motor', 'turbo-blower'])('evidence of %s', name => {
  it('is owed once, in whatever order what may be done is done', () =>
    fc.assert(
      fc.property(fc.array(fc.nat(1000), { minLength: 10, maxLength: 40 }), picks => {
        const one = worker(sheetNamed(name))
        const evidence = new Set(one.plan.sheet.checks.filter(check => check.evidence).map(check => check.id))
        expect(evidence.size).toBeGreaterThan(0)
        const settled = new Set<string>()
        for (const pick of picks) {
          goesOn(one, pick)
          const owed = viewJob(one.plan, one.folded.state)
            .owed.flatMap(debt => (debt.id.kind === 'reading' ? [debt.id] : []))
            .filter(debt => evidence.has(debt.check))
            .map(debt => readingKey(debt.check, debt.moment))
          expect(new Set(owed).size).toBe(owed.length)
          expect(owed.filter(key => settled.has(key))).toEqual([])
          for (const [key, { check, complete }] of checkResults(one.plan, one.folded.state))
            if (evidence.has(check.id) && complete) settled.add(key)
        }
        expect(one.folded.state.flags).toEqual([])
      }),
      { numRuns: 10 },
    ))
})

describe('a sheet with evidence', () => {
  const written = (more: Record<string, unknown>) => {
    const sheet = structuredClone(librarySheet(PUMP)) as unknown as { checks: Record<string, unknown>[] }
    Object.assign(
      sheet.checks.find(one => one.id === 'old-rings')!,
      more,
    )
    return examineSheet(sheet as unknown as SheetSource, SUMS_BY_NAME)
  }
  it('is sound where it is read in time', () => expect(written({})).toEqual([]))
  it.each<[string, Record<string, unknown>, RegExp]>([
    [
      'read too late',
      { at: [{ moment: 'inspect', step: 'look-seal' }] },
      /evidence at look-seal, and nothing says when it is gone/,
    ],
    [
      'read at build',
      { at: [{ moment: 'build', step: 'measure-new-springs' }] },
      /evidence and is taken at build: it is of what was found/,
    ],
    ['with a remedy', { remedies: ['Washed'] }, /evidence and stops nothing: its `remedies` says nothing/],
    ['with a step to stop', { before: 'top-on' }, /evidence and stops nothing: its `before` says nothing/],
    ['with a proposal', { proposes: 'renew' }, /evidence and stops nothing: its `proposes` says nothing/],
  ])('is faulty: %s', (_, more, words) => expect(written(more).join('\n')).toMatch(words))
})
