import fc from 'fast-check'
import { SUMS_BY_NAME } from '../sums/index.ts'
import { describe, expect, it } from 'vitest'
import type { Sheet } from '../sheet/index.ts'
import { examineSheet } from '../sheet/examination/index.ts'
import { refusal } from '../../tests/pump.ts'
import { sheetNamed, worker } from '../../tests/sheets.ts'
import {
  consequencesOf,
  emptyFold,
  extend,
  fold,
  nextStep,
  planIn,
  proposalOf,
  recordOf,
  recordTables,
  viewJob,
  type AnyEntry,
} from './index.ts'

const sheet = sheetNamed('blower-clearances')
const axis = sheet.axes[0]!
const owedOf = (one: ReturnType<typeof worker>) => viewJob(one.plan, one.folded.state).owed.map(owed => owed.what)
/** Up to the decision, with what was found there. */
function decided(read: Record<string, number>, choice: string) {
  const one = worker(sheet, read)
  one.workUntil('decide-depth')
  one.act('variant.changed', { axis: 'depth', choice, why: 'as the gaps say' }, 'lead')
  return one
}

describe('a sheet whose depth is decided on the job', () => {
  it('is sound either way', () => expect(examineSheet(sheet, SUMS_BY_NAME)).toEqual([]))
  it.each<[string, (broken: Sheet) => void, RegExp]>([
    ['an unknown step', one => (one.axes[0]!.decided!.step = 'moon'), /decided at an unknown step moon/],
    ['a step that hangs on it', one => (one.axes[0]!.decided!.step = 'rotors-out'), /which hangs on it/],
    ['an unknown answer', one => (one.axes[0]!.decided!.else = 'burn'), /proposes an unknown answer burn/],
    ['an unknown check', one => (one.axes[0]!.decided!.proposes![0]!.check = 'gap-x'), /an unknown check gap-x/],
  ])('%s is named', (_, break_, words) => {
    const broken = structuredClone(sheet)
    break_(broken)
    expect(examineSheet(broken, SUMS_BY_NAME).join('\n')).toMatch(words)
  })
})

describe('overhaul or close up', () => {
  it('has no answer at first, and what hangs on it waits', () => {
    const one = worker(sheet)
    expect(one.plan.steps.has('rotors-out')).toBe(false)
    one.workUntil('decide-depth')
    expect(owedOf(one)).toContain('How far it is taken')
    expect(refusal(one, 'step.done', { step: 'decide-depth' })).toMatchObject({
      code: 'step.hindered',
      values: { what: 'How far it is taken' },
    })
  })
  it('is proposed from the gaps, both ways', () => {
    const tight = worker(sheet, { 'gap-lobe': 0.05 })
    expect(proposalOf(tight.plan, viewJob(tight.plan, tight.folded.state).results, axis)).toBeNull()
    tight.workUntil('decide-depth')
    expect(proposalOf(tight.plan, viewJob(tight.plan, tight.folded.state).results, axis)).toEqual({
      choice: 'overhaul',
      why: 'Gap, lobe to lobe: Failed',
    })
    const sound = worker(sheet)
    sound.workUntil('decide-depth')
    expect(proposalOf(sound.plan, viewJob(sound.plan, sound.folded.state).results, axis)?.choice).toBe('close')
  })
  it('closed up, the rotors stay in, and the job ends without them', () => {
    const one = worker(sheet)
    one.workUntil()
    expect(nextStep(one.plan, one.folded.state)).toBeNull()
    expect(one.plan.steps.has('rotors-out')).toBe(false)
    expect(owedOf(one)).toEqual([])
  })
  it('overhauled, they come out and are measured again', () => {
    const one = worker(sheet, { 'gap-lobe asFound': 0.05 })
    one.workUntil()
    expect(one.plan.variants.depth).toBe('overhaul')
    expect(one.folded.state.steps.has('measure-again')).toBe(true)
    expect(owedOf(one)).toEqual([])
  })
  it('a gap found out, and closed up all the same, needs a concession', () => {
    const one = decided({ 'gap-lobe': 0.05 }, 'close')
    one.workUntil()
    expect(owedOf(one)).toEqual(['Gap, lobe to lobe failed'])
    // The same walk with sound gaps owes nothing.
    const sound = decided({}, 'close')
    sound.workUntil()
    expect(owedOf(sound)).toEqual([])
  })
  it('says what it brings before it is confirmed', () => {
    const one = decided({}, 'overhaul')
    one.workUntil('rotors-in')
    expect(consequencesOf(one.plan, one.folded.state, 'depth', 'close')).toMatchObject({
      comes: [],
      goes: ['Fit the rotors', 'Measure the gaps again'],
      inVain: ['Lift out the rotors', 'Decide every part that is off'],
      strays: ['Rotor, driving', 'Rotor, driven', 'Rotor bearing'],
    })
  })
  it('changed with the rotors out, asks where they go and is no trap', () => {
    const one = decided({}, 'overhaul')
    one.workUntil('rotors-in')
    one.act('variant.changed', { axis: 'depth', choice: 'close', why: 'No bearings to be had' }, 'lead')
    expect(owedOf(one).filter(what => what.startsWith('Off, and no step'))).toHaveLength(3)
    for (const part of ['rotor@drive', 'rotor@driven'])
      one.act('part.settled', { part, to: 'put back', note: 'in their places' })
    one.act('part.settled', { part: 'bearing', to: 'scrapped' })
    one.workUntil()
    expect(owedOf(one)).toEqual([])
    const record = recordOf(one.opened, one.folded.entries, new Map([['odd', 'O. Hallam']]))
    expect(record.decided.map(each => each.why)).toEqual(['as the gaps say', 'No bearings to be had'])
    expect(record.leftOut.flatMap(each => each.steps)).toContain('Lift out the rotors')
    expect(record.parts.find(each => each.name === 'Rotor bearing')).toMatchObject({ wentBack: 'scrapped' })
    const titles = recordTables(record).map(table => table.title)
    expect(titles).toContain('Decided on the job')
    // What was not done is read behind all that was.
    expect(titles.slice(-2)).toContain('Left out by what was decided')
  })
  it.each<[string, Parameters<typeof refusal>[1], object, string]>([
    ['an answer it does not have', 'variant.changed', { axis: 'depth', choice: 'burn', why: 'x' }, 'sheet.unknown'],
    ['a choice it does not have', 'variant.changed', { axis: 'moon', choice: 'x', why: 'x' }, 'sheet.unknown'],
    ['no reason', 'variant.changed', { axis: 'depth', choice: 'close', why: ' ' }, 'choice.why'],
    ['a part that is on', 'part.settled', { part: 'rotor@drive', to: 'scrapped' }, 'parts.notOff'],
    ['a part that goes back', 'part.settled', { part: 'cover', to: 'scrapped' }, 'part.settled.ownStep'],
  ])('refuses %s', (_, kind, payload, code) => {
    const one = worker(sheet)
    one.workUntil('decide-depth')
    expect(refusal(one, kind, payload as never, 'lead')).toMatchObject({ code })
  })
  it('a lead decides it, and not before the gaps are read', () => {
    const one = worker(sheet)
    const choose = { axis: 'depth', choice: 'close', why: 'x' }
    expect(refusal(one, 'variant.changed', choose, 'lead')).toMatchObject({
      code: 'step.outOfReach',
      values: { what: 'First: Measure the gaps' },
    })
    one.workUntil('decide-depth')
    expect(refusal(one, 'variant.changed', choose, 'fitter')).toMatchObject({ code: 'choice.leadOnly' })
    expect(refusal(one, 'variant.changed', choose, 'lead')).toBeNull()
  })
  it('taken back while something stands on it, is refused by name', () => {
    const one = decided({}, 'overhaul')
    const switched = one.folded.entries.at(-1)!
    one.workUntil('rotors-in')
    const back = { target: switched.id, why: 'x' }
    expect(refusal(one, 'entry.corrected', back, 'lead')).toMatchObject({
      code: 'entry.ground',
      values: {
        why: "This machine's sheet has no mark called “lobes”. Reload the job; the sheet may be another version.",
      },
    })
    const fresh = decided({}, 'overhaul')
    expect(refusal(fresh, 'entry.corrected', { target: fresh.folded.entries.at(-1)!.id, why: 'x' }, 'lead')).toBeNull()
  })
})

describe('switches in any batching', () => {
  const whole = () => {
    const one = decided({ 'gap-top asFound': 0.1 }, 'overhaul')
    one.workUntil('measure-again')
    one.act('variant.changed', { axis: 'depth', choice: 'close', why: 'Out of time' }, 'lead')
    one.act('variant.changed', { axis: 'depth', choice: 'overhaul', why: 'There is time' }, 'lead')
    one.workUntil()
    return one
  }
  it('give the same state, and the same plan, as all at once', () => {
    const { opened, folded } = whole()
    const { plan: _, ...all } = fold(opened, folded.entries)
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 1, maxLength: 40 }), cuts => {
        let built = emptyFold()
        let from = 0
        for (let i = 0; from < folded.entries.length; i++) {
          const to = from + cuts[i % cuts.length]!
          built = extend(opened, built, folded.entries.slice(from, to) as AnyEntry[])
          from = to
        }
        const { plan, ...state } = built.state
        expect(state).toEqual(all)
        expect(planIn(opened, built.state).variants).toEqual(plan!.variants)
      }),
      { numRuns: 30 },
    )
  })
})
