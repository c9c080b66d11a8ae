import { beforeEach, describe, expect, it } from 'vitest'
import { figure, reading, refusal, technician } from '../../tests/pump.ts'
import { sheetNamed, worker } from '../../tests/sheets.ts'
import type { Hold, Sheet } from '../sheet/index.ts'
import { examineSheet } from '../sheet/examination/index.ts'
import { SUMS_BY_NAME } from '../sums/index.ts'
import {
  competenceFor,
  holdStands,
  isOwnWork,
  neverConceded,
  recordOf,
  recordTables,
  signerRefusal,
  viewJob,
  type Competence,
} from './index.ts'
import type { Technician } from '../../demo/technician.ts'

type CellAt = { place?: string; column?: string }
const GOOD: Competence = { by: 'competent', of: 'taper fits', number: 'T-9', until: '2027-01-31' }
const HOLD: Hold = { by: 'competent', of: 'taper fits' }

describe('who may sign', () => {
  it.each<[string, Hold, 'lead' | 'fitter', Competence | undefined, string]>([
    ['a fitter where a lead is wanted', { by: 'lead' }, 'fitter', undefined, 'signer.lead'],
    ['a lead where more than a lead is wanted', HOLD, 'lead', undefined, 'signer.paper'],
    ['on a paper for something else', HOLD, 'lead', { by: 'competent', of: 'lifting gear' }, 'signer.paper'],
    ['certified is not appointed', HOLD, 'lead', { by: 'certified', of: 'taper fits' }, 'signer.paper'],
    ['on a paper that has run out', HOLD, 'fitter', { ...GOOD, until: '2026-04-30' }, 'signer.over'],
  ])('not %s', (_, hold, role, on, code) =>
    expect(signerRefusal(hold, role, on, '2026-05-01T08:00:00.000Z')).toMatchObject({ code }),
  )
  it.each<[string, Hold, 'lead' | 'fitter' | 'reader', Competence | undefined]>([
    ['a lead', { by: 'lead' }, 'lead', undefined],
    ['whoever holds the paper, whatever their role', HOLD, 'reader', GOOD],
    ['on its last day', HOLD, 'fitter', { ...GOOD, until: '2026-05-01' }],
    ['on a paper without a last day', HOLD, 'fitter', { by: 'competent', of: 'Taper fits ' }],
  ])('%s', (_, hold, role, on) => expect(signerRefusal(hold, role, on, '2026-05-01T23:59:00.000Z')).toBeNull())
  it('takes the paper that is good for longest', () => {
    const over = { ...GOOD, until: '2026-01-01' }
    const soon = { ...GOOD, until: '2026-06-01' }
    const other: Competence = { by: 'certified', of: 'taper fits' }
    expect(competenceFor(HOLD, [over, other, soon, GOOD], '2026-05-01T08:00:00Z')).toBe(GOOD)
    expect(competenceFor(HOLD, [over, other], '2026-05-01T08:00:00Z')).toBe(over)
    expect(competenceFor(HOLD, [other], '2026-05-01T08:00:00Z')).toBeUndefined()
  })
})

describe('a hold point over the work of a step before it', () => {
  let one: Technician
  const says = (payload: { step: string; on?: Competence }, role: 'lead' | 'fitter' = 'lead', by?: string) =>
    refusal(one, 'hold.signed', { ...payload, basis: one.basis({ kind: 'hold', step: payload.step }) }, role, by)
  const owedHold = () => viewJob(one.plan, one.folded.state).owed.find(debt => debt.kind === 'hold')
  beforeEach(() => {
    one = worker(sheetNamed('hub-off-taper'))
  })

  it('is signed by who may, once the work is done, and never by who did it', () => {
    one.workUntil('hub-on')
    expect(says({ step: 'shut', on: GOOD })).toMatchObject({ code: 'hold.undone' })
    one.workUntil('shut')
    expect(owedHold()).toMatchObject({ who: 'competent', why: expect.stringMatching(/competent for taper fits/) })
    expect(says({ step: 'shut' })).toMatchObject({ code: 'signer.paper' })
    expect(says({ step: 'shut', on: GOOD }, 'fitter', 'rena')).toMatchObject({ code: 'hold.ownWork' })
    expect(says({ step: 'shut', on: GOOD }, 'fitter', 'tove')).toBeNull()
    expect(says({ step: 'shut', on: GOOD })).toBeNull()
  })
  it('lapses when that work changes, and says on what it was signed', () => {
    one.workUntil('shut')
    one.act('hold.signed', { step: 'shut', basis: one.basis({ kind: 'hold', step: 'shut' }), on: GOOD }, 'lead')
    const step = () => one.plan.steps.get('shut')!
    expect(holdStands(one.plan, one.folded.state, step())).toBe('signed')
    expect(owedHold()).toBeUndefined()
    const target = [...one.folded.state.readings.get('advance build')!.values()][0]!.entry
    const replacement = figure('advance', 'build', 'advancedMm', '0.94')
    one.act('entry.corrected', { target, why: 'Misread', replacement })
    expect(holdStands(one.plan, one.folded.state, step())).toBe('lapsed')
    const record = recordOf(one.plan, one.folded.entries, new Map())
    expect(record.holds[0]!.signer).toBe('competent for taper fits, no. T-9, good until 2027-01-31')
    expect(JSON.stringify(recordTables(record))).toContain('no. T-9')
  })
  it('is not conceded by a lead, who is no such person', () => {
    one.workUntil('shut')
    const of = { kind: 'hold', step: 'shut' } as const
    expect(neverConceded(one.plan, of)).toMatch(/a lead’s word does not stand for that/)
    expect(refusal(one, 'concession.given', { of, why: 'Nobody here' }, 'lead')).toMatchObject({
      code: 'concession.never',
    })
  })
})

describe('what was seen', () => {
  it('changed meanwhile, is not signed for, and not conceded', () => {
    const one = worker(sheetNamed('hub-off-taper'))
    one.workUntil('shut')
    const basis = one.basis({ kind: 'hold', step: 'shut' })
    expect(refusal(one, 'hold.signed', { step: 'shut', basis, on: GOOD }, 'lead')).toBeNull()
    expect(refusal(one, 'hold.signed', { step: 'shut', basis: basis.slice(1), on: GOOD }, 'lead')).toMatchObject({
      code: 'hold.changed',
    })
  })
  it('a concession lets pass the reading that was seen, and no other', () => {
    const one = technician({ general: 0.4, checks: { 'journal-nde': -2.2 } })
    one.workUntil('rotor-in')
    const of = { kind: 'out', check: 'journal-nde', moment: 'inspect' } as const
    const owed = () => viewJob(one.plan, one.folded.state).owed.some(debt => debt.kind === 'out')
    expect(refusal(one, 'concession.given', { of, why: 'One season' }, 'lead')).toMatchObject({
      code: 'concession.changed',
    })
    one.concede(of, 'One season')
    expect(owed()).toBe(false)
    const target = one.basis(of)[0]!
    const { place, column } = one.folded.entries.find(entry => entry.id === target)!.payload as CellAt
    const replacement = reading('journal-nde', 'inspect', [[59.9]], { place, column })
    one.act('entry.corrected', { target, why: 'Misread', replacement })
    expect(owed()).toBe(true)
    const record = recordOf(one.plan, one.folded.entries, new Map())
    expect(record.concessions[0]!.what).toMatch(/lapsed: it is another since/)
    one.concede(of, 'Seen again')
    expect(owed()).toBe(false)
  })
})

describe('where there is only one lead', () => {
  const of = { kind: 'hold', step: 'decide' } as const
  it('the concession says so, and only over their own work', () => {
    const one = technician()
    one.workUntil('decide')
    one.decideAll()
    expect(refusal(one, 'hold.signed', { step: 'decide', basis: one.basis(of) }, 'lead', 'rena')).toMatchObject({
      code: 'hold.ownWork',
    })
    expect(isOwnWork(one.plan, one.folded.state, of, 'rena')).toBe(true)
    expect(isOwnWork(one.plan, one.folded.state, of, 'odd')).toBe(false)
    const why = 'Nobody else on nights'
    expect(refusal(one, 'concession.given', { of, basis: one.basis(of), why }, 'lead', 'rena')).toMatchObject({
      code: 'concession.ownWork',
    })
    expect(
      refusal(one, 'concession.given', { of, basis: one.basis(of), why, onlyLead: true }, 'lead', 'rena'),
    ).toBeNull()
    expect(refusal(one, 'concession.given', { of, basis: one.basis(of), why }, 'lead', 'odd')).toBeNull()
    // Now the lead decides one of them, too: then it is over their own work.
    one.act('part.decided', { parts: ['hub'], choice: 'reuse' }, 'lead')
    one.concede(of, why, { onlyLead: true })
    expect(JSON.stringify(recordTables(recordOf(one.plan, one.folded.entries, new Map())))).toContain(
      'the only lead here, over their own work',
    )
  })
})

describe('a hold as it is written', () => {
  const written = (hold: Hold): string[] => {
    const sheet = sheetNamed('hub-off-taper')
    return examineSheet(
      { ...sheet, steps: sheet.steps.map(step => (step.id === 'shut' ? { ...step, hold } : step)) } as Sheet,
      SUMS_BY_NAME,
    )
  }
  it.each<[Hold, string]>([
    [{ by: 'certified', covers: ['hub-on'] }, 'the hold at shut does not say what its signer is certified for'],
    [
      { by: 'lead', of: 'taper fits', covers: ['hub-on'] },
      'the hold at shut is signed by a lead, and wants taper fits besides',
    ],
    [{ by: 'lead', covers: ['gone'] }, 'the hold at shut covers an unknown step gone'],
  ])('%o', (hold, words) => expect(written(hold)).toEqual([words]))
  it('covers only what comes before it', () => {
    const sheet = sheetNamed('hub-off-taper')
    const steps = sheet.steps.map(step =>
      step.id === 'ease' ? { ...step, hold: { by: 'lead', covers: ['hub-on'] } as Hold } : step,
    )
    expect(examineSheet({ ...sheet, steps }, SUMS_BY_NAME)).toEqual([
      'the hold at ease covers hub-on, which does not come before it',
    ])
  })
})
