import { describe, expect, it } from 'vitest'
import { plan, reading, refusal, technician } from '../../tests/pump.ts'
import { librarySheet, worker } from '../../tests/sheets.ts'
import type { Moment } from '../sheet/index.ts'
import { WALKS } from '../../tests/walks/index.ts'
import type { Technician } from '../../demo/technician.ts'
import { doorOf, projectJob, readingKey, recordOf, viewJob } from './index.ts'

const machine = (name: string, otherwise: Record<string, number | string> = {}) =>
  worker(librarySheet(name), { ...WALKS.find(one => one.sheet === name)!.figures({}), ...otherwise })
const resultAt = (one: Technician, check: string, moment: Moment) =>
  viewJob(one.plan, one.folded.state).results.get(readingKey(check, moment))!
const doorAt = (one: Technician, check: string, moment: Moment) =>
  doorOf(one.plan, one.folded.state, resultAt(one, check, moment))

/** A gear unit of which one of two locking pins stands low. */
function pinLow() {
  const gear = machine('m10-gear-unit')
  gear.workUntil('pins-in')
  for (const [station, high] of [
    ['input side', 6],
    ['output side', 3],
  ] as const)
    gear.act('reading.taken', reading('pin-height', 'build', [[high]], { station }))
  return gear
}

/** A pump whose seal stands off its line when it is set. */
function offLine() {
  const one = technician()
  one.workUntil('set-seal')
  one.prepare(plan.steps.get('set-seal')!)
  const said = one.folded.entries.find(
    entry =>
      entry.kind === 'reading.taken' && entry.payload.check === 'seal-setting' && entry.payload.moment === 'build',
  )!
  if (said.kind !== 'reading.taken') throw new Error('no reading')
  one.act('entry.corrected', { target: said.id, why: 'x', replacement: { ...said.payload, tries: [['47'], ['47']] } })
  return one
}
const remedy = { check: 'seal-setting', moment: 'build', remedy: 'Pushed back to the line' } as const

describe('something put right where it is', () => {
  it('is measured again, and until then it is as wrong as it was', () => {
    const one = offLine()
    expect(resultAt(one, 'seal-setting', 'build').judgement.verdict).toBe('Out')
    expect(doorAt(one, 'seal-setting', 'build')).toEqual({ to: 'remedy' })
    one.act('check.remedied', remedy)
    expect(one.folded.state.flags).toEqual([])
    const owed = viewJob(plan, one.folded.state).owed.find(
      each => each.id.kind === 'reading' && each.id.check === 'seal-setting',
    )!
    expect(owed.what).toBe('Seal setting distance: put right, not measured again')
    expect(owed.wrong?.stops.size).toBeGreaterThan(0)
    expect(doorAt(one, 'seal-setting', 'build')).toBeNull()
    one.workUntil('turn-1')
    expect(resultAt(one, 'seal-setting', 'build').judgement.verdict).toBe('Holds')
  })
  it('stands on the record as it was and as it is, and both reach the fleet', () => {
    const one = offLine()
    one.act('check.remedied', remedy)
    one.workUntil()
    const [row] = recordOf(one.opened, one.folded.entries, new Map()).remedied
    expect(row).toMatchObject({
      title: 'Seal setting distance',
      was: expect.stringMatching(/^47.*, Failed$/),
      remedy: 'Pushed back to the line',
      is: expect.stringMatching(/^42.*, Holds$/),
    })
    const told = projectJob(plan, one.folded.state).readings.filter(
      each => each.checkId === 'seal-setting' && each.moment === 'build' && each.cell === '',
    )
    expect(told.map(({ nth, value, verdict, stands }) => [nth, Math.round(value), verdict, stands])).toEqual([
      [0, 42, 'Holds', true],
      [1, 47, 'Out', false],
    ])
  })
  it('may be given up no more than it may be let pass', () => {
    const one = technician()
    one.workUntil('left-lift')
    one.act(
      'reading.taken',
      reading(
        'lift-de',
        'asLeft',
        [
          [0.4, -0.4],
          [0.4, -0.4],
        ],
        { style: 'signed readings' },
      ),
    )
    expect(doorAt(one, 'lift-de', 'asLeft')).not.toBeNull()
    const lost = { check: 'lift-de', moment: 'asLeft', why: 'the dial broke' } as const
    const before = refusal(one, 'evidence.lost', lost)?.code
    one.act('check.remedied', { check: 'lift-de', moment: 'asLeft', remedy: 'Shimmed' })
    expect([before, refusal(one, 'evidence.lost', lost)?.code]).toEqual(['evidence.there', 'evidence.unproved'])
  })
})

describe('where it is not put right so', () => {
  it('what is not out, what was found, what is worked out, and what is not there', () => {
    const one = offLine()
    const refused = (payload: object) => refusal(one, 'check.remedied', { ...remedy, ...payload } as never)?.code
    expect(refused({})).toBeUndefined()
    expect(refused({ check: 'lift-de', moment: 'asLeft' })).toBe('remedy.notOut')
    expect(refused({ moment: 'asFound' })).toBe('remedy.asFound')
    expect(refused({ check: 'no-such' })).toBe('sheet.unknown')
    expect(refused({ place: 'nowhere' })).toBe('remedy.noSuchPlace')
  })
  it('what lies under other work by now: the step is taken up again', () => {
    const gear = pinLow()
    gear.doStep(gear.plan.steps.get('pins-in')!)
    expect(doorAt(gear, 'pin-height', 'build')).toEqual({ to: 'remedy' })
    gear.doStep(gear.plan.steps.get('lowers-in')!)
    expect(doorAt(gear, 'pin-height', 'build')).toEqual({ to: 'reopen', step: 'pins-in' })
    expect(refusal(gear, 'check.remedied', { check: 'pin-height', moment: 'build', remedy: 'Driven' })?.code).toBe(
      'remedy.elsewhere',
    )
  })
  it('what is read in rounds: another round', () => {
    const ends = [...Array(6).fill(1), ...Array(12).fill(0), ...Array(6).fill(1)].join(';')
    const gear = machine('m10-gear-unit', { 'blue-so-lower': ends })
    gear.workUntil('blue-off')
    const out = resultAt(gear, 'blue-so-lower', 'build')
    expect(out.judgement.verdict).toBe('Out')
    expect(doorOf(gear.plan, gear.folded.state, out)).toEqual({ to: 'round', loop: 'blue' })
    expect(refusal(gear, 'check.remedied', { check: out.check.id, moment: out.moment, remedy: 'Scraped' })?.code).toBe(
      'remedy.inRounds',
    )
  })
})

it('place by place, what was good is not measured again', () => {
  const gear = pinLow()
  gear.prepare(gear.plan.steps.get('pins-in')!)
  expect(resultAt(gear, 'pin-height', 'build').judgement.verdict).toBe('Out')
  gear.act('check.remedied', { check: 'pin-height', moment: 'build', remedy: 'Seat cleaned, pin driven home' })
  expect(resultAt(gear, 'pin-height', 'build').missing.map(cell => cell.place)).toEqual(['output side'])
  gear.act('reading.taken', reading('pin-height', 'build', [[6]], { station: 'output side' }))
  expect(resultAt(gear, 'pin-height', 'build').judgement.verdict).not.toBe('Out')
  const [row] = recordOf(gear.opened, gear.folded.entries, new Map()).remedied
  expect(row?.was).toMatch(/Failed$/)
})

it('what was found on the bench stays as it was found, and is read again once it is put right', () => {
  const one = machine('m8-scraped-surface-exchanger', { 'faces-driven inspect seat': 'a flat or worn drive slot' })
  one.workUntil('decide')
  // The turning face is renewed, so that both are looked at again; of the seat what was found counts until then.
  one.act('part.decided', { parts: ['primary@driven'], choice: 'renew' })
  one.act('part.renewed', { part: 'primary@driven', from: 'stock' })
  expect(resultAt(one, 'faces-driven', 'build').places.size).toBe(1)
  Object.assign(one.findings, machine('m8-scraped-surface-exchanger').findings)
  const missing = () => resultAt(one, 'faces-driven', 'build').missing.map(cell => cell.place)
  expect(missing()).toEqual(['turning face'])
  one.measure(one.plan.checks.get('faces-driven')!, 'build')
  expect(resultAt(one, 'faces-driven', 'build').judgement.verdict).toBe('Out')
  one.act('check.remedied', { check: 'faces-driven', moment: 'build', remedy: 'Lapped' })
  expect(missing()).toEqual(['seat'])
  expect(resultAt(one, 'faces-driven', 'inspect').judgement.verdict).toBe('Out')
  expect(viewJob(one.plan, one.folded.state).owed.some(debt => debt.wrong && debt.kind === 'reading')).toBe(true)
  one.measure(one.plan.checks.get('faces-driven')!, 'build')
  expect(resultAt(one, 'faces-driven', 'build').judgement.verdict).toBe('Holds')
  expect(recordOf(one.opened, one.folded.entries, new Map()).remedied).toMatchObject([
    {
      title: 'Faces, driven end',
      was: expect.stringMatching(/Failed$/),
      remedy: 'Lapped',
      is: expect.stringMatching(/Holds$/),
    },
  ])
})

describe('what proposes a choice by being out', () => {
  /** A hoist whose top hook has opened, decided so in spite of it or because of it. */
  const bent = (choice: string) => {
    const hoist = machine('m2-lever-hoist', { 'throat top hook': 33.1 })
    hoist.workUntil('decide-scope')
    hoist.act('variant.changed', { axis: 'scope', choice, why: 'Looked at together' }, 'lead')
    hoist.workUntil('register')
    return hoist
  }
  const owedOn = (one: Technician) =>
    viewJob(one.plan, one.folded.state).owed.flatMap(({ id }) => (id.kind === 'out' ? [id.check] : []))

  it('is left by the choice that it proposes, where another was made in spite of it', () => {
    const hoist = bent('exam')
    expect(owedOn(hoist)).toContain('throat')
    expect(doorAt(hoist, 'throat', 'asLeft')).toEqual({ to: 'choice', axis: 'scope', choice: 'scrap' })
  })
  it('is answered by that choice, and owed no more', () => {
    const hoist = bent('scrap')
    expect(resultAt(hoist, 'throat', 'asFound').judgement.verdict).toBe('Out')
    expect(owedOn(hoist)).toEqual([])
  })
  it('also where it was read again before it was decided otherwise', () => {
    const hoist = bent('exam')
    hoist.act('variant.changed', { axis: 'scope', choice: 'scrap', why: 'It has opened' }, 'lead')
    expect(owedOn(hoist)).toEqual([])
  })
})
