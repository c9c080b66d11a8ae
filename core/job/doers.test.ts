import { describe, expect, it } from 'vitest'
import { refusal } from '../../tests/pump.ts'
import { sheetNamed, worker } from '../../tests/sheets.ts'
import { examineSheet } from '../sheet/examination/index.ts'
import type { Doer, SheetSource } from '../sheet/index.ts'
import { SUMS_BY_NAME } from '../sums/index.ts'
import { confirmationOf, neverConceded, recordOf, recordTables, sentenceOf, viewJob, type Competence } from './index.ts'
import { doerRefusal } from './parts/doers.ts'

const PAPER: Competence = { by: 'certified', of: 'ammonia', number: 'R-4', until: '2027-01-31' }
const at = (step: string) => {
  const one = worker(sheetNamed('gas-let-down'))
  one.workUntil(step)
  return one
}

describe('a step that not everybody may do', () => {
  it('is refused by name without the paper, on one for something else, and on one that is over', () => {
    const one = at('recover')
    const says = (on?: Competence) =>
      refusal(one, 'step.done', { step: 'recover', note: 'nothing on both', ...(on ? { on } : {}) })
    expect(sentenceOf(says()!)).toBe(
      '“Recover the gas and prove both sides empty” is done by somebody certified for ammonia. Ask them; their paper stands by their name under People.',
    )
    expect(says({ ...PAPER, of: 'lifting gear' })).toMatchObject({ code: 'doer.notYou' })
    expect(says({ ...PAPER, by: 'competent' })).toMatchObject({ code: 'doer.notYou' })
    expect(says({ ...PAPER, until: '2020-01-31' })).toMatchObject({
      code: 'doer.over',
      values: { until: '2020-01-31' },
    })
    expect(says(PAPER)).toBeNull()
  })
  it('by a lead is no fitter’s', () => {
    const one = at('decide')
    one.decideAll()
    expect(refusal(one, 'step.done', { step: 'decide' })).toMatchObject({ code: 'doer.notYou' })
    expect(refusal(one, 'step.done', { step: 'decide' }, 'lead')).toBeNull()
  })
  it('is all theirs, or others’ under their eyes where the sheet allows that', () => {
    const one = at('cover-off')
    const step = one.plan.steps.get('cover-off')!
    const acts = confirmationOf(one.plan, one.folded.state, step, one.said(step))
    // All of it but that it is done, by whoever stands there.
    one.acts(acts.slice(0, -1))
    const done = { step: 'cover-off', on: PAPER } as const
    expect(refusal(one, 'step.done', done, 'fitter', 'somebody else')).toBeNull()
    expect(refusal(one, 'step.done', { step: 'cover-off' })).toMatchObject({
      code: 'doer.notYou',
      values: { eyes: true },
    })
    // Where the sheet does not allow that, the paper of who confirms it is not enough.
    const strict = { ...step, doer: { by: 'certified', of: 'ammonia' } } as const
    const as = { person: 'somebody else', role: 'fitter', on: PAPER, at: '2026-05-01T08:00:00.000Z' } as const
    expect(doerRefusal(one.plan, one.folded.state, strict, as)).toMatchObject({ code: 'doer.others' })
    expect(doerRefusal(one.plan, one.folded.state, strict, { ...as, person: 'rena' })).toBeNull()
  })
  it('goes through to a signed record that says on which paper', () => {
    const one = at('recover')
    one.workUntil()
    expect(viewJob(one.plan, one.folded.state).owed.map(debt => debt.what)).toEqual([])
    const { steps } = recordOf(one.opened, one.folded.entries, new Map())
    expect(steps.find(row => row.title.startsWith('Recover'))).toMatchObject({ on: 'certified for ammonia' })
    const tables = recordTables(recordOf(one.opened, one.folded.entries, new Map()))
    expect(JSON.stringify(tables)).toContain('done by somebody certified for ammonia')
  })
  it('done late by somebody else is owed before hand-back, and nobody accepts it', () => {
    const one = at('recover')
    one.act('step.done', { step: 'recover', note: 'nothing on both' })
    const debt = viewJob(one.plan, one.folded.state).owed.find(each => each.kind === 'doer')!
    expect(debt.what).toBe('Not done by somebody certified for ammonia: Recover the gas and prove both sides empty')
    expect(neverConceded(one.plan, debt.id)).toMatch(/take the step back/)
    const done = one.folded.entries.at(-1)!
    one.act('entry.corrected', { target: done.id, why: 'Not mine to do' })
    expect(viewJob(one.plan, one.folded.state).owed.some(each => each.kind === 'doer')).toBe(false)
    one.workUntil()
    expect(viewJob(one.plan, one.folded.state).owed).toEqual([])
  })
})

it('what another puts right at such a step afterwards does not take it from who did it', () => {
  const one = at('decide')
  one.act('pieces.counted', { part: 'screws', way: 'out', n: 8 }, 'lead')
  expect(viewJob(one.plan, one.folded.state).owed.filter(each => each.kind === 'doer')).toEqual([])
})

describe('a sheet that says who may', () => {
  const faults = (doer: Partial<Doer>) => {
    const sheet = structuredClone(sheetNamed('gas-let-down')) as unknown as { steps: { id: string; doer?: object }[] }
    sheet.steps.find(step => step.id === 'recover')!.doer = doer
    return examineSheet(sheet as unknown as SheetSource, SUMS_BY_NAME).join('\n')
  }
  it('is sound', () => expect(examineSheet(sheetNamed('gas-let-down'), SUMS_BY_NAME)).toEqual([]))
  it.each<[Partial<Doer>, RegExp]>([
    [{ by: 'certified' }, /does not say what its doer is certified for/],
    [{ by: 'lead', of: 'ammonia' }, /is done by a lead, and wants ammonia besides/],
    [{ by: 'anybody' as never }, /doer/],
  ])('is faulty: %o', (doer, words) => expect(faults(doer)).toMatch(words))
})
