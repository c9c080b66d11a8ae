import { describe, expect, it } from 'vitest'
import { entryOf } from '../../../tests/pump.ts'
import { sheetNamed, worker } from '../../../tests/sheets.ts'
import type { Technician } from '../../../demo/technician.ts'
import { readSheet, type Sheet } from '../../sheet/index.ts'
import { examineSheet } from '../../sheet/examination/index.ts'
import { SUMS_BY_NAME } from '../../sums/index.ts'
import {
  extend,
  hindrances,
  nextStep,
  obligations,
  recordOf,
  recordTables,
  refusalOf,
  type AnyEntry,
  type EntryKind,
  type Role,
} from '../index.ts'
import { childStands } from './children.ts'

const sheet = () => readSheet(structuredClone(sheetNamed('cartridge-seal-pump'))) as Sheet
const atDecide = () => {
  const one = worker(sheet())
  one.workUntil('decide')
  return one
}
/** An act as the server takes it; the code of its refusal, or null. */
function act(one: Technician, kind: EntryKind, payload: object, role: Role = 'fitter') {
  const seq = one.folded.entries.length + 1
  const entry = { ...entryOf(kind, payload as never, {}), seq, role } as AnyEntry
  const why = refusalOf(one.opened, one.folded, entry)
  if (!why) one.folded = extend(one.opened, one.folded, [entry])
  return why?.code ?? null
}
const JOB = { part: 'unit', job: 'a-job' }
const open = (one: Technician) => act(one, 'child.opened', { ...JOB, number: 31, equipment: 'P-440.unit' })
const back = (one: Technician) => act(one, 'child.returned', { ...JOB, digest: 'ab12', cured: 'yes' }, 'lead')
const cancel = (one: Technician) => act(one, 'child.cancelled', { ...JOB, why: 'Wrong seal' }, 'lead')
const stands = (one: Technician) => childStands(one.plan, one.folded.state, 'unit')
const owed = (one: Technician) =>
  obligations(one.plan, one.folded.state)
    .filter(({ kind }) => kind === 'own bench')
    .map(({ what, step, who }) => ({ what, step, who }))

describe('a sub-assembly that may go to its own bench', () => {
  it('is asked of once it is off, where parts are decided', () => {
    const one = worker(sheet())
    one.workUntil('unit-off')
    expect([stands(one), owed(one)]).toEqual([null, []])
    one.workUntil('decide')
    expect(owed(one)).toEqual([
      { what: 'Seal unit: to its own bench, or back as it is?', step: 'decide', who: 'fitter' },
    ])
  })
  it('holds the step that fits it until its job is signed', () => {
    const one = atDecide()
    expect(open(one)).toBeNull()
    one.doStep(nextStep(one.plan, one.folded.state)!)
    expect([stands(one), owed(one)]).toEqual([
      'away',
      [{ what: 'Seal unit is on its own bench, job 31', step: 'unit-build', who: 'fitter' }],
    ])
    const target = one.folded.entries.find(({ kind }) => kind === 'child.opened')!.id
    expect(act(one, 'entry.corrected', { target, why: 'Slip' })).toBe('child.stands')
    const step = one.plan.steps.get('unit-build')!
    const held = hindrances(one.plan, one.folded.state, obligations(one.plan, one.folded.state), step)
    expect(held.map(({ text }) => text)).toEqual(['Seal unit is on its own bench, job 31'])
    expect(act(one, 'part.refitted', { part: 'unit', step: 'unit-build' })).toBe('step.hindered')
    expect(back(one)).toBeNull()
    expect([stands(one), owed(one)]).toEqual(['back', []])
    one.workUntil()
    expect(one.folded.state.flags).toEqual([])
  })
  it('goes back without one where that is said, and that can be taken back', () => {
    const one = atDecide()
    expect(act(one, 'child.none', { part: 'unit', why: 'Sound' })).toBeNull()
    expect([stands(one), owed(one)]).toEqual(['without', []])
    const target = one.folded.entries.at(-1)!.id
    expect(act(one, 'entry.corrected', { target, why: 'It weeps after all' })).toBeNull()
    expect(stands(one)).toBe('unsaid')
  })
  it('waits for a lead where its job was given up', () => {
    const one = atDecide()
    open(one)
    expect(cancel(one)).toBeNull()
    expect(owed(one)).toEqual([{ what: 'Job 31 of Seal unit was cancelled', step: 'unit-build', who: 'lead' }])
    expect(act(one, 'child.none', { part: 'unit', why: 'Sound' })).toBe('child.leadSays')
    expect(act(one, 'child.none', { part: 'unit', why: 'Sound' }, 'lead')).toBeNull()
    expect(stands(one)).toBe('without')
  })
  it('goes to another job where the first was given up, or went back without one', () => {
    const one = atDecide()
    open(one)
    cancel(one)
    expect([open(one), stands(one)]).toEqual([null, 'away'])
    const other = atDecide()
    act(other, 'child.none', { part: 'unit', why: 'Sound' })
    expect([open(other), stands(other)]).toEqual([null, 'away'])
  })
  it('is not asked of where a new one goes in', () => {
    const one = atDecide()
    expect(act(one, 'part.decided', { parts: ['unit'], choice: 'renew', why: 'Cracked', proposed: 'reuse' })).toBeNull()
    expect([stands(one), owed(one)]).toEqual([null, []])
  })
  it('holds nothing once a new one goes in, though its job is open; that one still ends', () => {
    const one = atDecide()
    open(one)
    expect(act(one, 'part.decided', { parts: ['unit'], choice: 'renew', why: 'Scrap', proposed: 'reuse' })).toBeNull()
    expect([stands(one), owed(one), open(one)]).toEqual([null, [], 'child.away'])
    expect(back(one)).toBeNull()
  })
  it('is in one job at a time, and comes back from that', () => {
    const one = atDecide()
    expect(back(one)).toBe('child.none')
    open(one)
    expect(open(one)).toBe('child.away')
    expect(act(one, 'child.none', { part: 'unit', why: 'Sound' })).toBe('child.away')
    expect(act(one, 'child.returned', { ...JOB, job: 'another', digest: 'ab', cured: 'yes' }, 'lead')).toBe(
      'child.none',
    )
    back(one)
    expect(cancel(one)).toBe('child.none')
  })
  it('is off, and has a bench of its own', () => {
    const one = worker(sheet())
    one.workUntil('unit-off')
    expect(open(one)).toBe('parts.notOff')
    one.workUntil('decide')
    expect(act(one, 'child.none', { part: 'guard', why: 'Sound' })).toBe('child.noBench')
  })
  it('stands on the record, with the digest of its ledger', () => {
    const one = atDecide()
    open(one)
    back(one)
    one.workUntil()
    one.sign('yes')
    const tables = recordTables(recordOf(one.plan, one.folded.entries, new Map()))
    expect(JSON.stringify(tables)).toContain('Ledger ab12')
  })
})

describe('a sheet', () => {
  it.each([
    ['always new', { renewal: 'always', renewalWhy: 'pressed once' }, 'is always renewed'],
    ['by the same sheet', { bench: { sheet: 'cartridge-seal-pump' } }, 'that by the sheet of the whole machine'],
  ])('sends no part to its own bench that is %s', (_, more, words) => {
    const wrong = sheet()
    Object.assign(
      wrong.parts.find(one => one.id === 'unit')!,
      more,
    )
    expect(examineSheet(wrong, SUMS_BY_NAME).join()).toContain(`part unit goes to a bench of its own, and ${words}`)
  })
  it('nor one that stays on', () => {
    const wrong = sheet()
    const [unit] = [wrong.parts.find(one => one.id === 'unit')!]
    wrong.parts.push({ ...unit, id: 'stays', item: 99 })
    expect(examineSheet(wrong, SUMS_BY_NAME).join()).toContain('stays does not come off and go back by a step')
  })
})
