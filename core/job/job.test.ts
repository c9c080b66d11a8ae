import fc from 'fast-check'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Technician } from '../../demo/technician.ts'
import { entryOf, plan, reading, refusal as refusalOn, sheet, technician } from '../../tests/pump.ts'
import { planFor } from '../sheet/index.ts'
import {
  effectiveEntries,
  emptyFold,
  extend,
  fold,
  hindrances,
  keyOf,
  lastAct,
  nextStep,
  progressOf,
  refusalOf,
  unmetNeeds,
  viewJob,
  type AnyEntry,
  type EntryKind,
  type JobState,
  type OwedId,
  type Payloads,
  sentenceOf,
} from './index.ts'
import { SUMS_BY_NAME } from '../sums/index.ts'
import { seenOn } from '../../tests/seen.ts'

/** State without what tells how it came about, for comparing. */
const plain = (state: JobState) =>
  JSON.parse(
    JSON.stringify(state, (_, value) =>
      value instanceof Map ? [...value] : value instanceof Set ? [...value] : value,
    ),
  )

let worker: Technician
beforeEach(() => {
  worker = technician()
})

const owed = () => viewJob(plan, worker.folded.state).owed
const owedKeys = () => owed().map(one => one.key)
const gate = () => viewJob(plan, worker.folded.state).gate
const refusal = <K extends EntryKind>(kind: K, payload: Payloads[K], role: AnyEntry['role'] = 'fitter') =>
  refusalOn(worker, kind, payload, role)
const key = (id: OwedId) => keyOf(id)

describe('a whole overhaul', () => {
  it('goes from make safe to a signature with nothing left over', () => {
    worker.workUntil()
    expect(worker.folded.state.flags).toEqual([])
    expect(owedKeys()).toEqual([])
    expect(gate()).toMatchObject({ guards: 'hand-back', open: true })
    expect(viewJob(plan, worker.folded.state).tray).toMatchObject({ off: [], bags: 0, notAccountedFor: 0 })
    expect(refusal('job.signed', { cured: 'yes' }, 'lead')).toBeNull()
    worker.sign('yes')
    expect(worker.folded.state.signed).not.toBeNull()
  })
  it('every entry of it would have been taken live, one at a time', () => {
    worker.workUntil()
    let folded = emptyFold()
    for (const entry of worker.folded.entries) {
      expect(refusalOf(plan, folded, entry), `${entry.kind} ${JSON.stringify(entry.payload)}`).toBeNull()
      folded = extend(plan, folded, [entry])
    }
  })
  it.each([
    ['hard', 'water'],
    ['carbon', 'none'],
    ['hard', 'none'],
  ])('works for %s faces with flush %s', (faces, flush) => {
    const other = planFor(sheet, { faces, flush }, SUMS_BY_NAME)
    const one = technician({ general: 0.3 }, other)
    one.workUntil()
    expect(viewJob(other, one.folded.state).gate.open).toBe(true)
    expect(other.parts.has('flush-pipe')).toBe(flush === 'water')
  })
})

describe('nothing perishable is lost', () => {
  it('holds the spacer until float and gap are read', () => {
    worker.workUntil('found-coupling')
    for (const id of ['wash', 'found-lift']) worker.act('step.done', { step: id })
    const step = plan.steps.get('spacer-off')!
    const { owed } = viewJob(plan, worker.folded.state)
    expect(hindrances(plan, worker.folded.state, owed, step).map(one => one.text)).toEqual(
      expect.arrayContaining(['End float', 'Gap between hubs']),
    )
    expect(owed.find(one => one.key === key({ kind: 'reading', check: 'float', moment: 'asFound' }))).toMatchObject({
      perishable: true,
    })
    worker.act('part.lifted', { parts: step.removes!, step: step.id })
    expect(refusal('step.done', { step: 'spacer-off' })).toMatchObject({
      code: 'step.hindered',
      and: expect.arrayContaining([
        expect.objectContaining({ values: { step: 'Take out the coupling spacer', what: 'End float' } }),
      ]),
    })
  })
  it('lets evidence go only with a written reason', () => {
    worker.workUntil('found-float')
    worker.act('evidence.lost', { check: 'float', moment: 'asFound', why: 'Coupling seized, shaft could not be moved' })
    expect(owedKeys()).not.toContain(key({ kind: 'reading', check: 'float', moment: 'asFound' }))
    expect(worker.folded.state.evidenceLost.size).toBe(1)
  })
  it('does not take a mark once the parts have parted', () => {
    worker.workUntil('slack-case')
    expect(refusal('mark.made', { mate: 'hub-index', deg: 0, seenFrom: 'drive end', carrier: 'paint' })).toMatchObject({
      code: 'mark.parted',
    })
  })
})

describe('what is said of a machine is of that machine', () => {
  const seen = (seenFrom?: string) => seenOn('shaft', 'dull', { deg: 30, ...(seenFrom ? { seenFrom } : {}) })
  it('is seen from one of its ends, from above or from below', () => {
    for (const from of ['drive end', 'non-drive end', 'above', 'below'])
      expect(refusal('part.looked', seen(from)), from).toBeNull()
    for (const from of ['input side', 'Drive end', '', undefined])
      expect(refusal('part.looked', seen(from))).toMatchObject({ code: 'sheet.views' })
    const mark = { mate: 'hub-index', deg: 0, carrier: 'paint' }
    expect(refusal('mark.made', { ...mark, seenFrom: 'gear end' })).toMatchObject({ code: 'sheet.views' })
  })
  it('is taken from a kit of its sheet, or from stock, said by one id', () => {
    worker.workUntil('decide')
    worker.decideAll()
    worker.folded.state.renewals.forEach(one =>
      expect(['stock', ...plan.sheet.kits.map(kit => kit.id)]).toContain(one.from),
    )
    expect(refusal('part.renewed', { part: 'shaft', from: 'the seal kit' })).toMatchObject({
      code: 'sheet.unknown',
      values: { what: 'kit' },
    })
  })
})

describe('steps', () => {
  it('says why a step cannot be done yet', () => {
    expect(refusal('step.done', { step: 'rotor-out' })).toMatchObject({
      code: 'step.unmoved',
      values: {
        what: 'Shaft with impeller is not off yet. Impeller is not off yet. Case wear ring, non-drive end is not off yet. Case wear ring, drive end is not off yet',
      },
    })
    expect(refusal('part.lifted', { parts: ['shaft'], step: 'rotor-out' })).toMatchObject({
      code: 'step.hindered',
      values: { what: 'First: Take off both bearing caps' },
    })
    expect(refusal('step.done', { step: 'isolate' })).toMatchObject({
      code: 'step.hindered',
      values: { what: 'Read: Stored energy' },
    })
    expect(refusal('step.done', { step: 'nonsense' })).toMatchObject({
      code: 'sheet.unknown',
      values: { what: 'step' },
    })
  })
  it('puts the first step whose needs are met on the card', () => {
    expect(nextStep(plan, worker.folded.state)!.id).toBe('found-running')
    worker.workUntil('wash')
    expect(nextStep(plan, worker.folded.state)!.id).toBe('wash')
  })
  it('does not ask to measure a new one where none was renewed, nor lets what needs it pass before its time', () => {
    const asked = (renewed: string[]) => {
      const one = technician({ general: 0.4, renewed })
      one.workUntil('top-on')
      return [...one.folded.state.steps.keys()].filter(id => id.startsWith('measure-new'))
    }
    expect(asked([])).toEqual([])
    expect(asked(['throttle-bush'])).toEqual(['measure-new-bush'])
    // Its own need stands in its stead: the sleeve waits for the decision all the same.
    const early = technician()
    early.workUntil('measure-runout')
    expect(unmetNeeds(plan, early.folded.state, plan.steps.get('sleeve-on')!).map(step => step.id)).toContain('decide')
  })
  it('keeps debts until they are paid', () => {
    worker.workUntil('caps-off')
    expect(owedKeys()).toEqual(
      expect.arrayContaining([key({ kind: 'debt', debt: 'guide-studs' }), key({ kind: 'debt', debt: 'plate-loose' })]),
    )
    worker.workUntil('bush-off')
    expect(owedKeys()).not.toContain(key({ kind: 'debt', debt: 'plate-loose' }))
  })
})

describe('parts', () => {
  it('counts what is off, bagged and lost', () => {
    worker.workUntil('slack-case')
    worker.act('part.lifted', { parts: ['case-nuts', 'case-dowels', 'vent-washer'], step: 'slack-case' })
    expect(viewJob(plan, worker.folded.state).tray.notAccountedFor).toBe(2)
    worker.act('part.bagged', { parts: ['case-nuts'], bag: '7' })
    worker.act('part.bagged', { parts: ['case-dowels'], bag: '8' })
    expect(viewJob(plan, worker.folded.state).tray.notAccountedFor).toBe(0)
  })
  it('refuses to fit what is still on, or what was to be renewed', () => {
    expect(refusal('part.refitted', { part: 'guard', step: 'guard-on' })).toMatchObject({ code: 'part.refitted.isOn' })
    worker.workUntil('decide')
    expect(refusal('part.refitted', { part: 'sleeve-ring', step: 'sleeve-on' })).toMatchObject({
      code: 'part.refitted.alwaysNew',
    })
    worker.act('part.decided', { parts: ['throttle-bush'], choice: 'renew' })
    expect(refusal('part.refitted', { part: 'throttle-bush', step: 'bush-on' })).toMatchObject({
      code: 'part.refitted.toRenew',
    })
    expect(refusal('part.renewed', { part: 'sleeve', from: 'stock' })).toMatchObject({
      code: 'part.renewed.decideFirst',
    })
    expect(refusal('part.decided', { parts: ['tab-washer'], choice: 'reuse' })).toMatchObject({
      code: 'part.decided.alwaysNew',
    })
  })
  it('decides always-new parts by itself and asks for the new one', () => {
    worker.workUntil('decide')
    expect(owedKeys()).toContain(key({ kind: 'renewal', part: 'tab-washer' }))
    expect(owedKeys()).not.toContain(key({ kind: 'decision', part: 'tab-washer' }))
    expect(owedKeys()).toContain(key({ kind: 'decision', part: 'hub' }))
  })
  it("names a part in another part's place", () => {
    worker.workUntil('bearings-on')
    worker.act('part.refitted', { part: 'bearing@nde', step: 'bearings-on', place: 'bearing@de' })
    const found = owed().find(one => one.key === key({ kind: 'wrong place', part: 'bearing@nde' }))
    expect(found?.what).toBe('Bearing, non-drive end is in the place of Bearing, drive end')
    expect(found?.blocks).toBe('cover')
  })
  it('names a mark that is not met, and which way', () => {
    worker.workUntil('cap-on-de')
    worker.act('part.refitted', { part: 'bearing-cap@de', step: 'cap-on-de' })
    worker.act('mate.answered', { mate: 'cap-de', dots: [1, 0] })
    expect(gate().reasons.map(one => one.key)).toContain(key({ kind: 'wrong way', mate: 'cap-de' }))
  })
})

describe('readings', () => {
  const bush = (bore: number) => technician({ general: 0.4, checks: { 'bush-bore': bore } })
  it('makes the clearance from bore and sleeve, and says what out does', () => {
    worker = bush(1.3)
    worker.workUntil('decide')
    const result = viewJob(plan, worker.folded.state).results.get('bush-clearance inspect')!
    expect(result.span![1]).toBeCloseTo(75.56 - 74.96, 2)
    expect(viewJob(plan, worker.folded.state).results.get('bush-bore inspect')!.judgement.verdict).toBe('Out')
    expect(owedKeys()).toContain(key({ kind: 'out', check: 'bush-bore', moment: 'inspect' }))
    expect(result.working()).toHaveLength(3)
  })
  it('asks a renewed part to be measured again, and then lets go', () => {
    worker = technician({ general: 0.4, checks: { 'bush-bore': 1.3 }, renewed: ['throttle-bush'] })
    worker.workUntil('measure-new-bush')
    expect(owedKeys()).toContain(key({ kind: 'reading', check: 'bush-bore', moment: 'build' }))
    expect(owedKeys()).not.toContain(key({ kind: 'reading', check: 'sleeve-journal', moment: 'build' }))
    worker.workUntil('bush-on')
    expect(owedKeys().filter(id => id.startsWith('out'))).toEqual([])
  })
  it('stays open until every place and try is in', () => {
    worker.workUntil('found-float')
    worker.act('reading.taken', reading('float', 'asFound', [[0, 0.2]]))
    expect(viewJob(plan, worker.folded.state).results.get('float asFound')!.judgement.verdict).toBe('Open')
    const whole = reading('float', 'asFound', [
      [0, 0.2],
      [0, 0.21],
      [0.01, 0.22],
    ])
    // Half measured is measured: it is corrected, with the reason, never written over.
    expect(refusal('reading.taken', whole)).toMatchObject({ code: 'reading.taken' })
    worker.act('entry.corrected', { target: worker.folded.entries.at(-1)!.id, why: 'the rest', replacement: whole })
    expect(viewJob(plan, worker.folded.state).results.get('float asFound')!).toMatchObject({
      judgement: { verdict: 'Holds' },
    })
  })
  it('says so when the tries do not agree', () => {
    worker.workUntil('found-float')
    worker.act(
      'reading.taken',
      reading('float', 'asFound', [
        [0, 0.2],
        [0, 0.2],
        [0, 0.29],
      ]),
    )
    expect(viewJob(plan, worker.folded.state).results.get('float asFound')!.notes()[0]).toMatch(
      /try 3 stands furthest off/,
    )
  })
  it.each([
    [reading('journal-de', 'inspect', [[0.06]], { station: 'inner', plane: 'A' }), /cannot be a reading/],
    [reading('journal-de', 'inspect', [[60]], { station: 'far', plane: 'A' }), /no such place/],
    [reading('float', 'asFound', [[0, 0.1]], { station: 'far' }), /no such place/],
    [reading('float', 'build', [[0, 1]]), /not taken at that moment/],
    [reading('float', 'asFound', [[0]]), /takes 2 figures/],
    [reading('runout', 'inspect', [[0, 0]]), /takes 8 figures/],
    [reading('bush-clearance', 'inspect', [[0.4]]), /worked out/],
    [reading('float', 'asFound', []), /no reading/],
  ] as [Payloads['reading.taken'], RegExp][])('refuses %j', (payload, why) =>
    expect(sentenceOf(refusal('reading.taken', payload)!)).toMatch(why),
  )
})

describe('the gate', () => {
  it('names what is missing, then opens, then guards the hand-back', () => {
    worker.workUntil('rotor-in')
    expect(gate()).toMatchObject({ guards: 'cover', open: false })
    expect(gate().reasons.map(one => one.key)).toEqual(
      expect.arrayContaining([
        key({ kind: 'step', step: 'set-seal' }),
        key({ kind: 'reading', check: 'seal-setting', moment: 'build' }),
        key({ kind: 'joint', joint: 'cap-joint-de' }),
      ]),
    )
    expect(refusal('step.done', { step: 'top-on' })).toMatchObject({
      code: 'step.unmoved',
      values: { what: 'Case top half is not fitted yet' },
    })
    worker.workUntil('top-on')
    expect(gate().reasons).toEqual([])
    worker.doStep(plan.steps.get('top-on')!)
    expect(gate()).toMatchObject({ guards: 'hand-back', open: false })
    expect(refusal('job.signed', { cured: 'yes' }, 'lead')).toMatchObject({ code: 'job.gateShut' })
  })
  it('lets a lead pass an item in writing, and nobody else', () => {
    worker = technician({ general: 0.4, checks: { 'journal-nde': -2.2 } })
    worker.workUntil('rotor-in')
    const of = { kind: 'out', check: 'journal-nde', moment: 'inspect' } as const
    expect(gate().reasons.map(one => one.key)).toContain(key(of))
    expect(refusal('concession.given', { of, why: 'One season' })).toMatchObject({ code: 'entry.role' })
    worker.concede(of, 'One season')
    expect(gate().reasons.map(one => one.key)).not.toContain(key(of))
    expect(worker.folded.state.concessions.get(key(of))).toMatchObject({ by: 'odd', why: 'One season' })
  })
  it('wants a lead at the hold point', () => {
    expect(refusal('hold.signed', { step: 'decide', basis: [] })).toMatchObject({ code: 'signer.lead' })
    expect(refusal('hold.signed', { step: 'decide', basis: [] }, 'lead')).toMatchObject({ code: 'hold.nothing' })
  })
})

describe('a joint', () => {
  const pull = (bolt: number, pass: number, torqueNm: number) =>
    worker.act('bolt.pulled', { joint: 'gland-plate-joint', pass, bolt, torqueNm, text: String(torqueNm) })
  const joint = plan.joints.get('gland-plate-joint')!
  beforeEach(() => {
    worker.workUntil('plate-pull')
  })
  it('follows the star and asks again for what is over', () => {
    expect(progressOf(joint, worker.folded.state)).toMatchObject({ pass: 1, next: 1 })
    pull(1, 1, 12.6)
    pull(4, 1, 20)
    expect(progressOf(joint, worker.folded.state)).toMatchObject({
      next: 4,
      faults: ['Bolt 4: over, slacken it and torque it again.'],
    })
    pull(4, 1, 12.6)
    expect(progressOf(joint, worker.folded.state).next).toBe(2)
  })
  it('is open, however good, when pulled out of order', () => {
    pull(1, 1, 12.6)
    pull(2, 1, 12.6)
    expect(progressOf(joint, worker.folded.state)).toMatchObject({ verdict: 'Open', next: null })
    expect(progressOf(joint, worker.folded.state).faults[0]).toMatch(/the turn of 4/)
    worker.act('joint.slackened', { joint: joint.id })
    worker.pull(joint.id, 'pull')
    expect(progressOf(joint, worker.folded.state)).toMatchObject({ verdict: 'Holds', pass: null })
  })
  it('refuses a bolt or pass it does not have', () => {
    expect(refusal('bolt.pulled', { joint: joint.id, pass: 1, bolt: 7, torqueNm: 1, text: '1' })).toMatchObject({
      code: 'bolt.noSuch',
    })
    expect(refusal('bolt.pulled', { joint: joint.id, pass: 4, bolt: 1, torqueNm: 1, text: '1' })).toMatchObject({
      code: 'bolt.pulled.noPass',
    })
  })
})

describe('corrections', () => {
  const correct = (target: string, replacement?: Payloads['entry.corrected']['replacement']) =>
    worker.act('entry.corrected', { target, why: 'wrong', ...(replacement ? { replacement } : {}) })
  it('undoes exactly what it corrects, wherever it stands', () => {
    worker.workUntil('found-lift')
    fc.assert(
      fc.property(fc.nat(), fc.constantFrom('note.written', 'part.looked', 'concession.given'), (at, kind) => {
        const payload =
          kind === 'note.written'
            ? { text: 'x' }
            : kind === 'part.looked'
              ? seenOn('hub', 'nick')
              : { of: { kind: 'debt', debt: 'x' }, why: 'y' }
        const extra = entryOf(kind, payload as Payloads[typeof kind], { role: 'lead', id: 'extra' })
        const before = worker.folded.entries
        const where = 1 + (at % before.length)
        const undo = entryOf('entry.corrected', { target: 'extra', why: 'slip' }, { role: 'lead', id: 'undo' })
        const added = [...before.slice(0, where), extra, ...before.slice(where), undo]
        expect(plain(fold(plan, added))).toEqual(plain(fold(plan, before)))
      }),
      { numRuns: 40 },
    )
  })
  it('puts a better reading in the place of the old one, and both stay on the ledger', () => {
    worker.workUntil('found-lift')
    const old = worker.folded.entries.find(one => one.kind === 'reading.taken' && one.payload.check === 'float')!
    correct(
      old.id,
      reading('float', 'asFound', [
        [0, 0.11],
        [0, 0.11],
        [0, 0.11],
      ]),
    )
    expect(viewJob(plan, worker.folded.state).results.get('float asFound')!.value).toBeCloseTo(0.11, 9)
    expect(worker.folded.entries).toContain(old)
  })
  it('can be corrected in turn', () => {
    const note = worker.act('note.written', { text: 'first' })
    const undo = correct(note.id)
    expect(worker.folded.state.notes).toEqual([])
    correct(undo.id)
    expect(worker.folded.state.notes).toHaveLength(1)
    expect(effectiveEntries(worker.folded.entries)).toHaveLength(2)
  })
  it('may not pull the ground from under a later act', () => {
    worker.workUntil('found-float')
    const lifted = worker.folded.entries.find(one => one.kind === 'part.lifted')!
    expect(refusal('entry.corrected', { target: lifted.id, why: 'x' })).toMatchObject({
      code: 'entry.ground',
      values: { why: 'Flush pipe washers: count them when they are off.' },
    })
    expect(refusal('entry.corrected', { target: 'nobody', why: 'x' })).toMatchObject({ code: 'entry.notHere' })
    expect(refusal('entry.corrected', { target: worker.folded.entries[0]!.id, why: 'x' })).toMatchObject({
      code: 'job.stands',
    })
    expect(refusal('entry.corrected', { target: worker.folded.entries.at(-1)!.id, why: '  ' })).toMatchObject({
      code: 'entry.why',
    })
  })
  it("takes back one's own newest act first", () => {
    worker.workUntil('found-float')
    // One press: the step done, and what was lifted with it.
    const press = worker.folded.entries.at(-1)!.act
    expect(lastAct(worker.folded.entries, 'rena')).toEqual(
      worker.folded.entries.filter(one => one.act === press).toReversed(),
    )
    expect(lastAct(worker.folded.entries, 'nobody')).toEqual([])
    const before = plain(worker.folded.state)
    const [note, together] = worker.acts([
      { kind: 'note.written', payload: { text: 'slip' } },
      { kind: 'note.written', payload: { text: 'another' } },
    ])
    const act = lastAct(worker.folded.entries, 'rena')
    expect(act.map(one => one.id)).toEqual([together!.id, note!.id])
    for (const one of act) correct(one.id)
    expect(plain(worker.folded.state)).toEqual(before)
  })
  it('two presses of one moment are two acts', () => {
    const at = { madeAt: '2026-05-02T00:00:00.000Z' }
    const one = entryOf('note.written', { text: 'one' }, { ...at, id: 'n1', act: 'a1' })
    const two = entryOf('note.written', { text: 'two' }, { ...at, id: 'n2', act: 'a2' })
    worker.folded = extend(plan, worker.folded, [one, two])
    expect(lastAct(worker.folded.entries, 'rena').map(each => each.id)).toEqual(['n2'])
  })
})

describe('laws of the fold', () => {
  it('is the same however the entries are cut, corrections and nonsense included', () => {
    worker.workUntil()
    const all = [...worker.folded.entries]
    fc.assert(
      fc.property(
        fc.array(fc.nat(all.length - 1), { maxLength: 8 }),
        fc.array(fc.tuple(fc.nat(all.length - 1), fc.nat(all.length - 1)), { maxLength: 4 }),
        (cuts, slips) => {
          const ledger = [...all]
          for (const [at, target] of slips)
            ledger.splice(1 + Math.max(at, target), 0, {
              ...all[0]!,
              id: `c${at}-${target}`,
              kind: 'entry.corrected',
              payload: { target: all[Math.min(at, target)]!.id, why: 'x' },
            } as AnyEntry)
          let folded = emptyFold()
          let from = 0
          for (const cut of [...new Set([...cuts, ledger.length])].sort((a, b) => a - b)) {
            folded = extend(plan, folded, ledger.slice(from, cut))
            from = cut
          }
          expect(plain(folded.state)).toEqual(plain(fold(plan, ledger)))
        },
      ),
      { numRuns: 25 },
    )
  })
  it('does not touch the state it extends', () => {
    worker.workUntil('rotor-in')
    const before = plain(worker.folded.state)
    extend(plan, worker.folded, [
      { ...worker.folded.entries[0]!, id: 'n', kind: 'note.written', payload: { text: 'x' } } as AnyEntry,
    ])
    const first = worker.folded
    worker.workUntil()
    expect(plain(first.state)).toEqual(before)
  })
  it('flags nonsense and drops nothing; unknown kinds are passed over', () => {
    const odd = { ...worker.folded.entries[0]!, id: 'odd', kind: 'gauge.linked', payload: {} } as unknown as AnyEntry
    const nonsense = {
      ...worker.folded.entries[0]!,
      id: 'bad',
      kind: 'part.lifted',
      payload: { parts: ['moon'], step: 'x' },
    } as AnyEntry
    const { state, entries } = extend(plan, worker.folded, [odd, nonsense])
    expect(entries).toHaveLength(3)
    expect(state.flags).toEqual([
      { entry: 'bad', kind: 'part.lifted', why: { code: 'sheet.unknown', values: { what: 'part', id: 'moon' } } },
    ])
  })
  it('takes nothing but an addendum after the signature', () => {
    worker.workUntil()
    worker.sign('yes')
    expect(refusal('note.written', { text: 'x' })).toMatchObject({ code: 'ledger.closed' })
    expect(refusal('addendum.written', { text: 'x' })).toBeNull()
  })
})

/** A slow, obvious count of where parts are, to hold the fold against. */
it('agrees with a plain count of parts under random acts', () => {
  // Parts that are asked nothing as they go back, so that the count is of places alone.
  const refs = [...plan.fittedBy.keys()].filter(ref => !plan.matesOf.has(ref))
  const move = fc.tuple(
    fc.constantFrom('part.lifted', 'part.renewed', 'part.decided', 'part.refitted') as fc.Arbitrary<EntryKind>,
    fc.constantFrom(...refs),
  )
  fc.assert(
    fc.property(fc.array(move, { maxLength: 120 }), moves => {
      const where: Record<string, { off: boolean; fitted?: boolean; renew?: boolean; fresh?: boolean }> = {}
      let movements = 0
      let folded = emptyFold()
      moves.forEach(([kind, ref]) => {
        const always = plan.parts.get(ref)!.part.renewal === 'always'
        const now = (where[ref] ??= { off: false })
        const payload =
          kind === 'part.lifted'
            ? { parts: [ref], step: plan.removedBy.get(ref)!.id }
            : kind === 'part.renewed'
              ? { part: ref, from: 'stock' }
              : kind === 'part.decided'
                ? { parts: [ref], choice: 'renew' }
                : { part: ref, step: plan.fittedBy.get(ref)!.id }
        folded = extend(plan, folded, [entryOf(kind, payload as Payloads[typeof kind])])
        if (kind === 'part.lifted' && !now.off)
          Object.assign(now, { off: true, fitted: false, renew: false, fresh: false })
        if (kind === 'part.decided' && now.off) now.renew = true
        if (kind === 'part.renewed' && now.off && !now.fresh && (always || now.renew)) {
          now.fresh = true
          movements += 1
        }
        if (kind === 'part.refitted' && now.off && now.fresh) Object.assign(now, { off: false, fitted: true })
      })
      for (const [ref, now] of Object.entries(where))
        expect(folded.state.parts.get(ref)?.where ?? 'on', ref).toBe(now.off ? 'off' : now.fitted ? 'fitted' : 'on')
      expect(viewJob(plan, folded.state).tray.off.length).toBe(Object.values(where).filter(one => one.off).length)
      expect(folded.state.renewals).toHaveLength(movements)
    }),
    { numRuns: 60 },
  )
})
