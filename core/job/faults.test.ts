import { beforeEach, describe, expect, it } from 'vitest'
import type { Technician } from '../../demo/technician.ts'
import { entryOf, plan, reading, refusal, technician } from '../../tests/pump.ts'
import {
  ACTS,
  clockOf,
  extend,
  holdStands,
  keyOf,
  owedWords,
  projectJob,
  readDraft,
  recordOf,
  recordTables,
  refusalOf,
  ROLES,
  timeOf,
  viewJob,
  standingReadings,
  type AnyEntry,
  type EntryKind,
  type OwedId,
  type Role,
} from './index.ts'

/** Every way found round the rules, tried again. */
let worker: Technician
beforeEach(() => {
  worker = technician()
})
const says = <K extends EntryKind>(
  kind: K,
  payload: Parameters<typeof refusal<K>>[2],
  role: Role = 'fitter',
  by?: string,
) => refusal(worker, kind, payload, role, by)
const take = (...entries: AnyEntry[]) => {
  worker.folded = extend(plan, worker.folded, entries)
}
const state = () => worker.folded.state
const view = () => viewJob(plan, state())
const isOwed = (id: OwedId) => view().owed.some(one => one.key === keyOf(id))
const result = (id: string) => view().results.get(id)!

describe('a correction is an entry like any other', () => {
  it('keeps the kind: a note never becomes a step done', () => {
    worker.workUntil('wash')
    const note = worker.act('note.written', { text: 'x' })
    take(entryOf('entry.corrected', { target: note.id, why: 'x', replacement: { step: 'rotor-out' } }))
    expect(state().steps.has('rotor-out')).toBe(false)
    expect(worker.folded.entries.at(-1)!.kind).toBe('entry.corrected')
  })
  it('is judged in the state before what it corrects', () => {
    worker.workUntil('measure-bush')
    const first = worker.act(
      'reading.taken',
      reading('bush-bore', 'inspect', [[75.4]], { station: 'middle', plane: 'A' }),
    )
    const again = (tries: number[][], station = 'middle') =>
      says('entry.corrected', {
        target: first.id,
        why: 'dial slipped',
        replacement: reading('bush-bore', 'inspect', tries, { station, plane: 'A' }),
      })
    expect(again([[75.42]])).toBeNull()
    expect(again([[0.075]])).toMatchObject({
      code: 'reading.unreadable',
      values: {
        why: '0.075 mm cannot be a reading of throttle bush bore: expected is 73 to 77 mm. Did the decimal mark slip? Check it and type it again.',
      },
    })
    expect(again([[75.42]], 'nowhere')).toMatchObject({ code: 'reading.noSuchCell' })
  })
  it('belongs to who corrects, and the record shows both figures, the reason and the names', () => {
    worker.workUntil('found-lift')
    const first = worker.folded.entries.find(one => one.kind === 'reading.taken' && one.payload.check === 'hub-gap')!
    const put = entryOf(
      'entry.corrected',
      { target: first.id, why: 'Read the wrong end', replacement: reading('hub-gap', 'asFound', [[38.2]]) },
      { role: 'lead' },
    )
    expect(refusalOf(plan, worker.folded, put)).toBeNull()
    take(put)
    expect([...state().readings.get('hub-gap asFound')!.values()][0]).toMatchObject({ by: 'odd', role: 'lead' })
    const names = new Map([
      ['rena', 'R. Okell'],
      ['odd', 'O. Hallam'],
    ])
    const record = recordOf(plan, worker.folded.entries, names)
    expect(record.corrections[0]).toMatchObject({
      what: expect.stringMatching(/Gap between hubs, as found: 3/),
      first: { who: 'R. Okell', role: 'fitter' },
      now: 'Gap between hubs, as found: 38.2',
      why: 'Read the wrong end',
      who: 'O. Hallam',
      role: 'lead',
    })
    expect(recordTables(record).find(one => one.title === 'Corrections')!.rows).toHaveLength(1)
  })
  it("is of one's own entries, or a lead's; and a planner's never passes for a fitter's", () => {
    worker.workUntil('found-lift')
    const first = worker.folded.entries.find(one => one.kind === 'reading.taken' && one.payload.check === 'hub-gap')!
    const fix = { target: first.id, why: 'x', replacement: reading('hub-gap', 'asFound', [[38.2]]) }
    expect(says('entry.corrected', fix, 'fitter', 'another')).toMatchObject({ code: 'entry.notYours' })
    expect(says('entry.corrected', fix, 'planner', 'rena')).toMatchObject({ code: 'entry.role' })
    expect(says('entry.corrected', fix, 'lead')).toBeNull()
  })
  it('leaves nothing later without its ground', () => {
    worker.workUntil('found-float')
    const isolate = worker.folded.entries.find(
      one => one.kind === 'step.done' && one.payload.step === 'isolate',
    ) as AnyEntry
    expect(says('entry.corrected', { target: isolate.id, why: 'x' })).toMatchObject({
      code: 'entry.ground',
      values: { why: '“Try the start” was done after it.' },
    })
  })
  it('never takes back an opening, nor what was signed', () => {
    expect(says('entry.corrected', { target: worker.folded.entries[0]!.id, why: 'x' }, 'lead')).toMatchObject({
      code: 'job.stands',
    })
  })
  it('of a correction bears on what that was about', () => {
    worker.workUntil('found-lift')
    const first = worker.folded.entries.find(one => one.kind === 'reading.taken' && one.payload.check === 'hub-gap')!
    const one = entryOf('entry.corrected', {
      target: first.id,
      why: 'slip',
      replacement: reading('hub-gap', 'asFound', [[38.2]]),
    })
    const two = entryOf('entry.corrected', {
      target: one.id,
      why: 'and again',
      replacement: reading('hub-gap', 'asFound', [[38.3]]),
    })
    take(one)
    expect(refusalOf(plan, worker.folded, two)).toBeNull()
    take(two)
    expect(result('hub-gap asFound').value).toBeCloseTo(38.3, 9)
    take(entryOf('entry.corrected', { target: two.id, why: 'no, the first one' }))
    expect(result('hub-gap asFound').value).toBeCloseTo(38.2, 9)
  })
})

describe('who may what', () => {
  it('nobody who only looks may do anything, and everybody else something', () => {
    const may = (role: Role) => Object.values(ACTS).filter(act => act.by.includes(role)).length
    expect(may('reader')).toBe(0)
    for (const role of ROLES.filter(one => one !== 'reader')) expect(may(role), role).toBeGreaterThan(0)
    expect(may('lead')).toBe(Object.keys(ACTS).length)
  })
  it.each([
    ['job.signed', 'stores', { cured: 'yes' }],
    ['job.signed', 'fitter', { cured: 'yes' }],
    ['part.decided', 'planner', { parts: ['hub'], choice: 'reuse' }],
    ['hold.signed', 'reader', { step: 'decide', basis: [] }],
    ['concession.given', 'fitter', { of: { kind: 'hold', step: 'decide' }, why: 'x' }],
    ['step.done', 'stores', { step: 'isolate' }],
    ['job.cancelled', 'fitter', { why: 'x' }],
  ] as [EntryKind, Role, never][])('%s is not done by %s', (kind, role, payload) =>
    expect(says(kind, payload, role)).toMatchObject({ code: 'entry.role' }),
  )
  it('a record is signed by a lead through an open gate, whenever the act is said to be', () => {
    worker.workUntil('run')
    const early = entryOf('job.signed', { cured: 'yes' }, { role: 'lead', receivedAt: '2026-05-09T00:00:00.000Z' })
    expect(clockOf(early)).toBe('late')
    expect(refusalOf(plan, worker.folded, early)).toMatchObject({ code: 'job.gateShut' })
    worker.workUntil()
    expect(says('job.signed', { cured: 'yes' }, 'lead')).toBeNull()
  })
  it('a job is cancelled with a reason, while the machine is whole', () => {
    expect(says('job.cancelled', { why: 'Opened on the wrong pump' }, 'planner')).toBeNull()
    worker.workUntil('found-float')
    expect(says('job.cancelled', { why: 'x' }, 'lead')).toMatchObject({ code: 'job.partsOff' })
    const other = technician()
    other.act('job.cancelled', { why: 'Opened on the wrong pump' }, 'lead')
    expect(refusal(other, 'caution.read', { step: 'isolate', caution: 0 })).toMatchObject({ code: 'ledger.closed' })
    expect(recordOf(plan, other.folded.entries, new Map()).cancelled).toMatchObject({ why: 'Opened on the wrong pump' })
  })
})

describe('a hold point', () => {
  const signing = () => ({ step: 'decide', basis: worker.basis({ kind: 'hold', step: 'decide' }) })
  const decideAll = (by: 'fitter' | 'lead', last?: string) => {
    for (const { ref, part } of plan.parts.values())
      if (state().parts.get(ref)?.where === 'off' && part.renewal !== 'always' && ref !== last)
        worker.act('part.decided', { parts: [ref], choice: 'reuse' }, by)
  }
  it('is not signed before there is work, over undecided parts, or by who did it', () => {
    worker.workUntil('decide')
    expect(says('hold.signed', signing(), 'lead')).toMatchObject({ code: 'hold.nothing' })
    decideAll('fitter', 'hub')
    expect(says('hold.signed', signing(), 'lead')).toMatchObject({ code: 'hold.undecided' })
    worker.act('part.decided', { parts: ['hub'], choice: 'reuse' })
    expect(says('hold.signed', signing(), 'lead')).toBeNull()
    expect(says('hold.signed', signing(), 'lead', 'rena')).toMatchObject({ code: 'hold.ownWork' })
  })
  it('lapses when what it covers changes, and is owed again', () => {
    worker.workUntil('decide')
    decideAll('fitter')
    worker.act('hold.signed', signing(), 'lead')
    expect(holdStands(plan, state(), plan.steps.get('decide')!)).toBe('signed')
    worker.act('part.decided', { parts: ['hub'], choice: 'send out' })
    expect(holdStands(plan, state(), plan.steps.get('decide')!)).toBe('lapsed')
    expect(view().owed.find(one => one.kind === 'hold')!.why).toMatch(/changed since/)
  })
})

describe('what may be left out', () => {
  it('is only what the sheet allows, by whom it says; never what shuts, holds or torques', () => {
    worker.workUntil('wash')
    expect(says('step.skipped', { step: 'wash', why: 'Clean already' })).toBeNull()
    for (const step of ['top-on', 'decide', 'case-pull', 'hub-off'])
      expect(says('step.skipped', { step, why: 'x' }, 'lead'), step).toMatchObject({ code: 'step.mayNotSkip' })
  })
  it('evidence goes by the sheet too, by whom it says', () => {
    worker.workUntil('found-float')
    const float = { check: 'float', moment: 'asFound' as const, why: 'Shaft seized' }
    expect(says('evidence.lost', float)).toBeNull()
    expect(says('evidence.lost', { check: 'journal-de', moment: 'inspect', why: 'x' })).toMatchObject({
      code: 'evidence.mayNot',
    })
    expect(says('evidence.lost', { mate: 'hub-index', why: 'x' })).toMatchObject({ code: 'evidence.leadOnly' })
    expect(says('evidence.lost', { mate: 'hub-index', why: 'Rusted over' }, 'lead')).toBeNull()
    expect(says('evidence.lost', { ...float, mate: 'hub-index' })).toMatchObject({ code: 'evidence.oneThing' })
    worker.doStep(plan.steps.get('found-float')!)
    expect(says('evidence.lost', float)).toMatchObject({ code: 'evidence.there' })
  })
  it('a concession is for what is owed now, and not for work undone', () => {
    const concede = (of: OwedId) => says('concession.given', { of, why: 'x' }, 'lead')
    expect(concede({ kind: 'out', check: 'float', moment: 'asLeft' })).toMatchObject({ code: 'concession.notOwed' })
    expect(concede({ kind: 'mark', mate: 'hub-index' })).toBeNull()
    expect(concede({ kind: 'step', step: 'wash' })).toMatchObject({ code: 'concession.never' })
    expect(says('concession.given', { of: { kind: 'mark' }, why: 'x' }, 'lead')).toMatchObject({
      code: 'concession.what',
    })
  })
})

describe('time', () => {
  const at = (madeAt: string, receivedAt: string) => ({ madeAt, receivedAt })
  it('is the one given while it is near its arrival, else the arrival', () => {
    const near = at('2026-05-01T10:00:00.000Z', '2026-05-01T10:03:00.000Z')
    const late = at('2026-05-01T10:00:00.000Z', '2026-05-01T14:00:00.000Z')
    const ahead = at('2026-05-03T10:00:00.000Z', '2026-05-01T10:00:00.000Z')
    expect([near, late, ahead].map(clockOf)).toEqual(['live', 'late', 'ahead'])
    expect([near, late, ahead].map(timeOf)).toEqual([near.madeAt, late.receivedAt, ahead.receivedAt])
  })
  it('a wrong clock orders and projects nothing, and is shown', () => {
    worker.workUntil('found-coupling')
    const wrong = entryOf('reading.taken', reading('hub-gap', 'asFound', [[38]]), {
      madeAt: '2031-01-01T00:00:00.000Z',
      receivedAt: '2026-05-01T12:00:00.000Z',
    })
    take(wrong)
    expect(projectJob(plan, state()).readings.find(one => one.checkId === 'hub-gap')!.takenAt).toBe(
      '2026-05-01T12:00:00.000Z',
    )
    expect(recordOf(plan, worker.folded.entries, new Map()).late[0]).toMatchObject({ clock: 'ahead' })
  })
  it('what was done without the network counts, and what it went past is owed before hand-back, to a lead', () => {
    worker.workUntil('found-float')
    const receivedAt = '2026-05-02T06:00:00.000Z'
    const lifted = entryOf('part.lifted', { parts: ['spacer', 'spacer-bolts'], step: 'spacer-off' }, { receivedAt })
    expect(refusalOf(plan, worker.folded, { ...lifted, receivedAt: lifted.madeAt })).toMatchObject({
      code: 'step.hindered',
      values: { what: 'First: Measure end float as found' },
    })
    expect(refusalOf(plan, worker.folded, lifted)).toBeNull()
    take(lifted)
    expect(state().parts.get('spacer')!.where).toBe('off')
    const debt = view().owed.find(one => one.kind === 'late')!
    expect(debt).toMatchObject({ blocks: 'hand-back', who: 'lead', what: expect.stringMatching(/Coupling spacer/) })
    expect(debt.why).toMatch(/End float|First/)
    expect(says('concession.given', { of: debt.id, why: 'Seen by me' }, 'lead')).toBeNull()
    // Where the parts do not allow it, it is not counted.
    expect(refusalOf(plan, worker.folded, { ...lifted, id: 'again' })).toMatchObject({ code: 'part.lifted.isOff' })
  })
})

describe('a reading belongs to a state its step can have', () => {
  it('no journal on an assembled machine, no as-left before strip, nothing before make-safe', () => {
    const journal = reading('journal-de', 'inspect', [[60.01]], { station: 'inner', plane: 'A' })
    expect(says('reading.taken', reading('hub-gap', 'asFound', [[38]]))).toMatchObject({
      code: 'step.outOfReach',
      values: { what: 'First: Take off the coupling guard' },
    })
    worker.workUntil('found-lift')
    expect(says('reading.taken', journal)).toMatchObject({
      code: 'step.outOfReach',
      values: { what: 'First: Pull both bearings and lip seals' },
    })
    expect(says('reading.taken', reading('hub-gap', 'asLeft', [[38]]))).toMatchObject({
      code: 'step.outOfReach',
      values: { what: 'First: Fit the coupling hub' },
    })
    expect(says('part.lifted', { parts: ['case-upper'], step: 'top-off' })).toMatchObject({
      code: 'step.hindered',
      values: { what: 'First: Slacken the case nuts from the ends inwards' },
    })
    expect(says('bolt.pulled', { joint: 'case-joint', pass: 1, bolt: 5, torqueNm: 93, text: '93' })).toMatchObject({
      code: 'step.outOfReach',
      values: { what: 'First: Dowels in and case nuts on by hand' },
    })
  })
  it('is gone once its step destroyed it', () => {
    worker.workUntil('found-float')
    worker.act('evidence.lost', { check: 'float', moment: 'asFound', why: 'Seized' })
    worker.act('step.done', { step: 'found-float' })
    worker.workUntil('hub-off')
    expect(says('reading.taken', reading('float', 'asFound', [[0, 0.1]]))).toMatchObject({ code: 'reading.gone' })
  })
  it('comes with what was typed, read again', () => {
    worker.workUntil('found-coupling')
    const typed = (tries: string[][], more = {}) => says('reading.taken', reading('hub-gap', 'asFound', tries, more))
    expect(typed([['38,1']])).toBeNull()
    expect(typed([['1.5 in']])).toBeNull()
    expect(typed([['1.5']], { unit: 'in' })).toBeNull()
    expect(typed([])).toMatchObject({
      code: 'reading.unreadable',
      values: { why: 'Gap between hubs: there is no reading in it.' },
    })
    expect(typed([['a dial']])).toMatchObject({
      code: 'reading.unreadable',
      values: { why: '“a dial” is not a figure. Type a number, for example 4.25 mm.' },
    })
    expect(typed([['38.1']], { unit: 'cubits' })).toMatchObject({
      code: 'reading.unreadable',
      values: { why: 'Gap between hubs: there is no unit “cubits”.' },
    })
    expect(typed([['38.1']], { unit: 'constructor' })).toMatchObject({
      code: 'reading.unreadable',
      values: { why: 'Gap between hubs: there is no unit “constructor”.' },
    })
    expect(typed([['38.1']], { unit: 'kg' })).toMatchObject({
      code: 'reading.unreadable',
      values: { why: 'Gap between hubs is not read in kg. Give it in mm.' },
    })
    expect(typed([['38.1', '38.2']])).toMatchObject({
      code: 'reading.unreadable',
      values: { why: 'Gap between hubs takes 1 figures a try.' },
    })
    worker.workUntil('plate-pull')
    const bolt = { joint: 'gland-plate-joint', pass: 1, bolt: 1, torqueNm: 12.6 }
    expect(says('bolt.pulled', { ...bolt, text: '12.6 Nm' })).toBeNull()
    expect(says('bolt.pulled', { ...bolt, text: '126' })).toMatchObject({ code: 'bolt.pulled.differs' })
  })
})

describe('an out that was renewed', () => {
  beforeEach(() => {
    worker = technician({ general: 0.4, checks: { 'impeller-eye': 1.4 }, renewed: ['impeller'] })
    worker.workUntil('decide')
  })
  const out = { kind: 'out', check: 'impeller-eye', moment: 'inspect' } as const
  it('stays out of the way: the new one is measured, the clearance is of the new one, the gate opens, the yard is glad', () => {
    expect(isOwed(out)).toBe(true)
    worker.doStep(plan.steps.get('decide')!)
    expect(isOwed(out)).toBe(false)
    expect(result('impeller-eye inspect')).toMatchObject({ history: true, judgement: { verdict: 'Out' } })
    expect(isOwed({ kind: 'reading', check: 'impeller-eye', moment: 'build' })).toBe(true)
    expect(result('ring-clearance build').judgement.verdict).toBe('Open')
    worker.workUntil('measure-new-ring')
    expect(result('impeller-eye build').history).toBe(false)
    const made = result('ring-clearance build').value!
    expect(made).toBeCloseTo(result('ring-bore inspect').value! - result('impeller-eye build').value!, 9)
    worker.workUntil()
    expect(view().gate.open).toBe(true)
    const { readings } = projectJob(plan, state())
    expect(readings.find(one => one.checkId === 'impeller-eye' && one.moment === 'inspect')!.stands).toBe(false)
    expect(standingReadings(readings, () => 'this job')[0]!.verdict).not.toBe('Out')
    expect(recordOf(plan, worker.folded.entries, new Map()).readings.filter(one => one.history).length).toBe(6)
  })
  it('renewed again, the first new one is history too, and the second is measured', () => {
    const eye = (plane: string, figure: number) =>
      entryOf('reading.taken', reading('impeller-eye', 'build', [[figure]], { station: 'eye', plane }))
    const renewed = () => [
      entryOf('part.lifted', { parts: ['impeller'], step: 'rotor-out' }),
      entryOf('part.decided', { parts: ['impeller'], choice: 'renew' }),
      entryOf('part.renewed', { part: 'impeller', from: 'stock' }),
    ]
    worker = technician()
    take(...renewed(), eye('A', 183.7), eye('B', 183.7))
    expect(result('impeller-eye build').missing).toEqual([])
    take(entryOf('part.refitted', { part: 'impeller', step: 'rotor-in' }), ...renewed())
    expect(result('impeller-eye build').missing).toHaveLength(2)
    take(eye('A', 183.6), eye('B', 183.6))
    expect(result('impeller-eye build')).toMatchObject({ missing: [], history: false, span: [183.6, 183.6] })
    expect(state().flags).toEqual([])
    expect(projectJob(plan, state()).movements).toHaveLength(2)
  })
  it('and a second fetch is a second movement, not a silent one', () => {
    worker.doStep(plan.steps.get('decide')!)
    const before = projectJob(plan, state()).movements.length
    expect(says('part.renewed', { part: 'impeller', from: 'stock' })).toMatchObject({ code: 'part.renewed.inHand' })
    expect(projectJob(plan, state()).movements).toHaveLength(before)
    expect(new Set(projectJob(plan, state()).movements.map(one => one.entryId)).size).toBe(before)
  })
})

describe('parts going back', () => {
  const refit = (part: string, step: string, more = {}) => says('part.refitted', { part, step, ...more })
  it('go back in their own place, one to a place', () => {
    worker.workUntil('bush-on')
    expect(refit('throttle-bush', 'bush-on')).toBeNull()
    expect(refit('throttle-bush', 'bush-on', { place: 'case-gasket' })).toMatchObject({
      code: 'part.refitted.otherPart',
    })
    expect(refit('sleeve', 'bush-on')).toMatchObject({ code: 'part.refitted.notHere' })
    worker.workUntil('bearings-on')
    worker.act('part.refitted', { part: 'bearing@nde', step: 'bearings-on', place: 'bearing@de' })
    expect(refit('bearing@de', 'bearings-on')).toMatchObject({ code: 'part.refitted.taken' })
  })
  it('are decided, back from where they were, and new where they must be', () => {
    worker.workUntil('decide')
    expect(refit('hub', 'hub-on')).toMatchObject({ code: 'part.refitted.notDecided' })
    worker.act('part.decided', { parts: ['hub'], choice: 'send out' })
    expect(refit('hub', 'hub-on')).toMatchObject({ code: 'part.refitted.away' })
    expect(isOwed({ kind: 'return', part: 'hub' })).toBe(true)
    expect(says('part.returned', { part: 'hub', note: 'Bore ground' }, 'stores')).toBeNull()
    worker.act('part.returned', { part: 'hub' })
    expect(isOwed({ kind: 'return', part: 'hub' })).toBe(false)
    expect(says('part.returned', { part: 'hub' })).toMatchObject({ code: 'part.returned.notAway' })
    worker.act('part.decided', { parts: ['hub'], choice: 'rework' })
    expect(refit('hub', 'hub-on')).toMatchObject({ code: 'part.refitted.away' })
  })
  it('always new is new each time it goes on', () => {
    worker.workUntil('bush-on')
    const on = worker.folded.entries.filter(one => one.kind === 'step.done').at(-1)!
    expect(on.payload).toMatchObject({ step: 'sleeve-on' })
    const press = worker.folded.entries.filter(one => one.act === on.act)
    // The sleeve comes off again: what was pressed once goes in the bin.
    for (const one of press.toReversed()) worker.act('entry.corrected', { target: one.id, why: 'Nicked the ring' })
    expect(state().parts.get('sleeve-ring')).toMatchObject({ where: 'off', renewed: expect.anything() })
    worker.doStep(plan.steps.get('sleeve-on')!)
    expect(state().parts.get('sleeve-ring')!.fitted!.as).toBe('new')
  })
  it('a concession on the new one lets the old one go back, as what it is', () => {
    worker.workUntil('decide')
    worker.act('part.decided', { parts: ['throttle-bush'], choice: 'renew' })
    const of = { kind: 'renewal', part: 'throttle-bush' } as const
    expect(says('concession.given', { of, why: 'None to be had before the campaign' }, 'lead')).toBeNull()
    worker.act('concession.given', { of, why: 'None to be had before the campaign' }, 'lead')
    expect(refit('throttle-bush', 'bush-on')).not.toMatchObject({ code: 'part.refitted.toRenew' })
    worker.workUntil('bush-on')
    expect(worker.act('part.refitted', { part: 'throttle-bush', step: 'bush-on' })).toBeDefined()
    expect(state().flags).toEqual([])
    expect(state().parts.get('throttle-bush')!.fitted!.as).toBe('same')
  })
})

describe('nothing changes under the finger', () => {
  it('an act meant for a step that is settled meanwhile is refused, and so is a part that is not its own', () => {
    worker.workUntil('wash')
    expect(says('part.lifted', { parts: ['spacer'], step: 'found-float' })).toMatchObject({ code: 'step.settled' })
    expect(says('part.lifted', { parts: ['spacer'], step: 'hub-off' })).toMatchObject({ code: 'part.lifted.notHere' })
    expect(says('step.done', { step: 'found-float' })).toMatchObject({ code: 'step.settled' })
  })
  it('two may work at two steps', () => {
    worker.workUntil('drain')
    for (const step of ['drain', 'guard-off'])
      for (const [caution] of (plan.steps.get(step)!.cautions ?? []).entries())
        worker.folded = extend(plan, worker.folded, [entryOf('caution.read', { step, caution })])
    expect(says('step.done', { step: 'drain' })).toMatchObject({
      code: 'step.hindered',
      values: { what: 'Write what was found. What came out of the drain?' },
    })
    expect(says('step.done', { step: 'drain', note: 'grit' })).toBeNull()
    // A caution is read by whoever does it, once a shift.
    expect(says('part.lifted', { parts: ['guard'], step: 'guard-off' }, 'fitter', 'another')).toBeNull()
    const drain = () => says('step.done', { step: 'drain', note: 'grit' }, 'fitter', 'another')
    const reads = (madeAt: string) => {
      const read = entryOf(
        'caution.read',
        { step: 'drain', caution: 0 },
        { madeBy: 'another', madeAt, receivedAt: madeAt },
      )
      worker.folded = extend(plan, worker.folded, [read])
    }
    expect(drain()).toMatchObject({ code: 'step.hindered', values: { what: 'Read: Hot juice under pressure' } })
    reads('2026-05-01T11:00:00.000Z')
    expect(drain()).toMatchObject({ code: 'step.hindered', values: { what: 'Read: Hot juice under pressure' } })
    reads('2026-05-01T13:00:00.000Z')
    expect(drain()).toBeNull()
  })
})

describe('what a draft would say', () => {
  it('is what the kept reading says', () => {
    const sweep = [0, 0.01, 0.03, 0.05, 0.06, 0.05, 0.03, 0.01]
    worker.workUntil('measure-runout')
    const now = result('runout inspect')
    const draft = readDraft(plan, now, now.missing[0]!, { values: [sweep] })
    worker.act('reading.taken', reading('runout', 'inspect', [sweep]))
    const kept = result('runout inspect')
    expect(draft.result).toMatchObject({
      value: kept.value,
      judgement: kept.judgement,
      consequence: kept.consequence,
      complete: true,
    })
    expect(draft.judgement).toEqual(kept.judgement)
    expect(draft.consequence).toBe(kept.consequence)
    expect(draft.reduced!.value).toBe(kept.value)
  })
  it('says when the tries stand apart, and which', () => {
    const tries = [
      [0, 0.12],
      [0, 0.12],
      [0, 0.29],
    ]
    const now = result('float asFound')
    const draft = (values: number[][]) => readDraft(plan, now, now.missing[0]!, { values })
    expect(draft(tries).reduced!.scatter).toMatchObject({ furthest: 2, least: 0.12, greatest: 0.29 })
    expect(draft([[0]])).toMatchObject({ reduced: null, judgement: { verdict: 'Open' } })
    expect(draft([[0, 0.12]])).toMatchObject({ judgement: { verdict: 'Holds' }, result: { complete: false } })
  })
})

describe('the record', () => {
  it('has roles, cautions, the rung that freed it, and what was put right', () => {
    worker.workUntil('hub-off')
    const step = plan.steps.get('hub-off')!
    worker.act('caution.read', { step: step.id, caution: 0 })
    worker.act('mark.made', { mate: 'hub-index', deg: 0, seenFrom: 'drive end', carrier: 'paint line' })
    worker.act('part.lifted', { parts: step.removes!, step: step.id, method: step.ladder![1]! })
    worker.act('part.tagged', { part: 'hub', tag: 'T9' })
    worker.act('part.bagged', { parts: ['hub-key'], bag: 'B9' })
    worker.act('step.done', { step: step.id })
    worker.workUntil('cap-pull-nde')
    worker.act('bolt.pulled', { joint: 'cap-joint-nde', pass: 1, bolt: 1, torqueNm: 60, text: '60' })
    worker.workUntil()
    worker.sign('yes')
    const record = recordOf(plan, worker.folded.entries, new Map([['rena', 'R. Okell']]))
    expect(record.parts.find(one => one.name === 'Coupling hub')!.method).toMatch(/blow on its spindle/)
    expect(record.cautions.length).toBeGreaterThan(8)
    expect(record.cautions[0]).toMatchObject({ who: 'R. Okell', role: 'fitter' })
    expect(record.joints.find(one => one.title.startsWith('Bearing cap, non-drive'))!.putRight).toEqual([
      'bolt 1, pass 1: 60.0 N·m, over, R. Okell',
    ])
    expect(record.holds).toEqual([expect.objectContaining({ role: 'lead', stands: 'stands' })])
    expect(record.signed).toMatchObject({ role: 'lead' })
    expect(recordTables(record).map(one => one.title)).toEqual(
      expect.arrayContaining(['Hold points', 'Cautions read', 'Joints']),
    )
  })
  it('an owed thing has words for every kind', () => {
    for (const one of viewJob(plan, technician().folded.state).owed)
      expect(owedWords(plan, one.id)).not.toMatch(/undefined|[{}]/)
  })
})
