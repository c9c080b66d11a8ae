import { readFileSync } from 'node:fs'
import fc from 'fast-check'
import { beforeEach, describe, expect, it } from 'vitest'
import { parse } from 'yaml'
import { wornFindings, type Wear } from '../../demo/findings.ts'
import { Technician } from '../../demo/technician.ts'
import { planFor, type Sheet } from '../sheet/index.ts'
import {
  effectiveEntries,
  emptyFold,
  extend,
  fold,
  hindrances,
  lastAct,
  nextStep,
  progressOf,
  refusalOf,
  viewJob,
  type AnyEntry,
  type EntryKind,
  type JobState,
  type Payloads,
} from './index.ts'

const sheet = parse(
  readFileSync(new URL('../../library/m14-axially-split-pump.yaml', import.meta.url), 'utf8'),
) as Sheet
const plan = planFor(sheet, { faces: 'carbon', injection: 'water' })
const people = { fitter: 'rena', lead: 'odd' }

function technician(wear: Wear = { general: 0.4 }) {
  let n = 0
  const worker = new Technician(plan, wornFindings(wear, people), {
    id: () => `e${String(++n).padStart(5, '0')}`,
    now: () => new Date(Date.UTC(2026, 4, 1) + n * 60_000).toISOString(),
  })
  worker.open('P-214B', 'Seal weeps')
  return worker
}

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

const owedIds = () => viewJob(plan, worker.folded.state).owed.map(one => one.id)
const gate = () => viewJob(plan, worker.folded.state).gate
const refusal = <K extends EntryKind>(kind: K, payload: Payloads[K], role: AnyEntry['role'] = 'fitter') =>
  refusalOf(plan, worker.folded, {
    id: 'live',
    kind,
    payload,
    madeBy: 'rena',
    role,
    madeAt: '2026-05-02T00:00:00Z',
    seq: null,
  } as AnyEntry)

describe('a whole overhaul', () => {
  it('goes from make safe to a signature with nothing left over', () => {
    worker.workUntil()
    expect(worker.folded.state.flags).toEqual([])
    expect(owedIds()).toEqual([])
    expect(gate()).toMatchObject({ guards: 'hand-back', open: true })
    expect(viewJob(plan, worker.folded.state).tray).toMatchObject({ off: [], bags: 0, notAccountedFor: 0 })
    expect(refusal('job.signed', { cured: 'yes' })).toBeNull()
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
  ])('works for %s faces with injection %s', (faces, injection) => {
    const other = planFor(sheet, { faces, injection })
    let n = 0
    const one = new Technician(other, wornFindings({ general: 0.3 }, people), {
      id: () => `e${++n}`,
      now: () => '2026-05-01T00:00:00Z',
    })
    one.open('P-1', '')
    one.workUntil()
    expect(viewJob(other, one.folded.state).gate.open).toBe(true)
    expect(other.parts.has('injection-pipe')).toBe(injection === 'water')
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
    expect(owed.find(one => one.id === 'reading float asFound')).toMatchObject({ perishable: true })
    worker.act('part.lifted', { parts: step.removes!, step: step.id })
    expect(refusal('step.done', { step: 'spacer-off' })).toMatch(/End float/)
  })
  it('lets evidence go only with a written reason', () => {
    worker.workUntil('found-float')
    worker.act('evidence.lost', { check: 'float', moment: 'asFound', why: 'Coupling seized, shaft could not be moved' })
    expect(owedIds()).not.toContain('reading float asFound')
    expect(worker.folded.state.evidenceLost.size).toBe(1)
  })
  it('does not take a mark once the parts have parted', () => {
    worker.workUntil('slack-case')
    expect(refusal('mark.made', { mate: 'hub-index', deg: 0, seenFrom: 'drive end', carrier: 'paint' })).toMatch(
      /have parted/,
    )
  })
})

describe('steps', () => {
  it('says why a step cannot be done yet', () => {
    expect(refusal('step.done', { step: 'rotor-out' })).toMatch(/First: Take off both bearing caps/)
    expect(refusal('step.done', { step: 'isolate' })).toMatch(/Read: Stored energy/)
    expect(refusal('step.done', { step: 'nonsense' })).toMatch(/no step called/)
  })
  it('puts the first step whose needs are met on the card', () => {
    expect(nextStep(plan, worker.folded.state)!.id).toBe('isolate')
    worker.workUntil('wash')
    expect(nextStep(plan, worker.folded.state)!.id).toBe('wash')
  })
  it('keeps debts until they are paid', () => {
    worker.workUntil('caps-off')
    expect(owedIds()).toEqual(expect.arrayContaining(['debt guide-studs', 'debt plate-loose']))
    worker.workUntil('bush-off')
    expect(owedIds()).not.toContain('debt plate-loose')
  })
})

describe('parts', () => {
  it('counts what is off, bagged and lost', () => {
    worker.workUntil('slack-case')
    worker.act('part.lifted', { parts: ['case-nuts', 'case-dowels', 'vent-washer'], step: 'slack-case' })
    expect(viewJob(plan, worker.folded.state).tray.notAccountedFor).toBe(2)
    worker.act('part.bagged', { parts: ['case-nuts', 'case-dowels'], bag: '7' })
    expect(viewJob(plan, worker.folded.state).tray.notAccountedFor).toBe(0)
  })
  it('refuses to fit what is still on, or what was to be renewed', () => {
    expect(refusal('part.refitted', { part: 'guard', step: 'guard-on', answers: [] })).toMatch(/still on/)
    worker.workUntil('decide')
    expect(refusal('part.refitted', { part: 'sleeve-ring', step: 'sleeve-on', answers: [] })).toMatch(/always renewed/)
    worker.act('part.decided', { parts: ['throttle-bush'], choice: 'renew' })
    expect(refusal('part.refitted', { part: 'throttle-bush', step: 'bush-on', answers: [] })).toMatch(/to be renewed/)
    expect(refusal('part.renewed', { part: 'sleeve', from: 'stock' })).toMatch(/Decide first/)
    expect(refusal('part.decided', { parts: ['tab-washer'], choice: 'reuse' })).toMatch(/always renewed/)
  })
  it('decides always-new parts by itself and asks for the new one', () => {
    worker.workUntil('decide')
    expect(owedIds()).toContain('renewal tab-washer')
    expect(owedIds()).not.toContain('decision tab-washer')
    expect(owedIds()).toContain('decision hub')
  })
  it("names a part in another part's place", () => {
    worker.workUntil('bearings-on')
    worker.act('part.refitted', { part: 'bearing@oe', step: 'bearings-on', place: 'bearing@de', answers: [] })
    const found = viewJob(plan, worker.folded.state).owed.find(one => one.id === 'place bearing@oe')
    expect(found?.what).toBe('Bearing, outer end is in the place of Bearing, drive end')
    expect(found?.blocks).toBe('cover')
  })
  it('names a mark that is not met, and which way', () => {
    worker.workUntil('caps-on')
    worker.act('part.refitted', {
      part: 'bearing-cap@de',
      step: 'caps-on',
      answers: [{ mate: 'cap-de', met: true, deg: 180 }],
    })
    expect(gate().reasons.map(one => one.id)).toContain('wrong bearing-cap@de cap-de')
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
    expect(owedIds()).toContain('out bush-bore inspect')
    expect(result.working).toHaveLength(3)
  })
  it('asks a renewed part to be measured again, and then lets go', () => {
    worker = technician({ general: 0.4, checks: { 'bush-bore': 1.3 }, renewed: ['throttle-bush'] })
    worker.workUntil('measure-new-bush')
    expect(owedIds()).toContain('reading bush-bore build')
    expect(owedIds()).not.toContain('reading sleeve-journal build')
    worker.workUntil('bush-on')
    expect(owedIds().filter(id => id.startsWith('out'))).toEqual([])
  })
  it('stays open until every place and try is in', () => {
    worker.workUntil('found-float')
    worker.act('reading.taken', { check: 'float', moment: 'asFound', tries: [[0, 0.2]], texts: [['0', '0.2']] })
    expect(viewJob(plan, worker.folded.state).results.get('float asFound')!.judgement.verdict).toBe('Open')
    worker.act('reading.taken', {
      check: 'float',
      moment: 'asFound',
      tries: [
        [0, 0.2],
        [0, 0.21],
        [0.01, 0.22],
      ],
      texts: [],
    })
    expect(viewJob(plan, worker.folded.state).results.get('float asFound')!).toMatchObject({
      judgement: { verdict: 'Holds' },
    })
  })
  it('says so when the tries do not agree', () => {
    worker.workUntil('found-float')
    worker.act('reading.taken', {
      check: 'float',
      moment: 'asFound',
      tries: [
        [0, 0.2],
        [0, 0.2],
        [0, 0.29],
      ],
      texts: [],
    })
    expect(viewJob(plan, worker.folded.state).results.get('float asFound')!.notes[0]).toMatch(
      /try 3 stands furthest off/,
    )
  })
  it.each([
    [{ check: 'journal-de', moment: 'inspect', station: 'inner', plane: 'A', tries: [[0.06]], texts: [] }, /believed/],
    [{ check: 'journal-de', moment: 'inspect', station: 'far', plane: 'A', tries: [[60]], texts: [] }, /no such place/],
    [{ check: 'float', moment: 'build', tries: [[0, 1]], texts: [] }, /not taken at that moment/],
    [{ check: 'float', moment: 'asFound', tries: [[0]], texts: [] }, /takes 2 figures/],
    [{ check: 'runout', moment: 'inspect', tries: [[0, 0]], texts: [] }, /takes 8 figures/],
    [{ check: 'bush-clearance', moment: 'inspect', tries: [[0.4]], texts: [] }, /worked out/],
    [{ check: 'float', moment: 'asFound', tries: [], texts: [] }, /no reading/],
  ] as [Payloads['reading.taken'], RegExp][])('refuses %j', (payload, why) =>
    expect(refusal('reading.taken', payload)).toMatch(why),
  )
})

describe('the gate', () => {
  it('names what is missing, then opens, then guards the hand-back', () => {
    worker.workUntil('rotor-in')
    expect(gate()).toMatchObject({ guards: 'cover', open: false })
    expect(gate().reasons.map(one => one.id)).toEqual(
      expect.arrayContaining(['step set-seal', 'reading seal-setting build', 'joint cap-joint-de']),
    )
    expect(refusal('step.done', { step: 'top-on' })).toMatch(/cannot be done yet/)
    worker.workUntil('top-on')
    expect(gate().reasons).toEqual([])
    worker.doStep(plan.steps.get('top-on')!)
    expect(gate()).toMatchObject({ guards: 'hand-back', open: false })
    expect(refusal('job.signed', { cured: 'yes' })).toMatch(/The gate is shut/)
  })
  it('lets a lead pass an item in writing, and nobody else', () => {
    worker = technician({ general: 0.4, checks: { 'journal-oe': -2.2 } })
    worker.workUntil('rotor-in')
    const id = 'out journal-oe inspect'
    expect(gate().reasons.map(one => one.id)).toContain(id)
    expect(refusal('concession.given', { obligation: id, why: 'One season' })).toMatch(/lead/)
    worker.act('concession.given', { obligation: id, why: 'One season' }, 'lead')
    expect(gate().reasons.map(one => one.id)).not.toContain(id)
    expect(worker.folded.state.concessions.get(id)).toMatchObject({ by: 'odd', why: 'One season' })
  })
  it('wants a lead at the hold point', () => {
    expect(refusal('hold.signed', { step: 'decide' })).toMatch(/lead/)
    expect(refusal('hold.signed', { step: 'decide' }, 'lead')).toBeNull()
  })
})

describe('a joint', () => {
  const pull = (bolt: number, pass: number, torqueNm: number) =>
    worker.act('bolt.pulled', { joint: 'seal-plate-joint', pass, bolt, torqueNm, text: String(torqueNm) })
  const joint = plan.joints.get('seal-plate-joint')!
  beforeEach(() => {
    worker.workUntil('plate-pull')
  })
  it('follows the star and asks again for what is over', () => {
    expect(progressOf(joint, worker.folded.state)).toMatchObject({ pass: 1, next: 1 })
    pull(1, 1, 12.6)
    pull(4, 1, 20)
    expect(progressOf(joint, worker.folded.state)).toMatchObject({
      next: 4,
      faults: ['Bolt 4: over, slack it and pull again.'],
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
    worker.pull(joint.id)
    expect(progressOf(joint, worker.folded.state)).toMatchObject({ verdict: 'Holds', pass: null })
  })
  it('refuses a bolt or pass it does not have', () => {
    expect(refusal('bolt.pulled', { joint: joint.id, pass: 1, bolt: 7, torqueNm: 1, text: '' })).toMatch(/no bolt 7/)
    expect(refusal('bolt.pulled', { joint: joint.id, pass: 4, bolt: 1, torqueNm: 1, text: '' })).toMatch(/no pass 4/)
  })
})

describe('corrections', () => {
  const correct = (target: string, replacement?: Payloads['entry.corrected']['replacement']) =>
    worker.act('entry.corrected', { target, why: 'wrong', replacement })
  it('undoes exactly what it corrects, wherever it stands', () => {
    worker.workUntil('found-lift')
    fc.assert(
      fc.property(fc.nat(), fc.constantFrom('note.written', 'part.observed', 'concession.given'), (at, kind) => {
        const extra = {
          id: 'extra',
          kind,
          madeBy: 'odd',
          role: 'lead',
          madeAt: '2026-05-02T00:00:00Z',
          seq: 1,
          payload:
            kind === 'note.written'
              ? { text: 'x' }
              : kind === 'part.observed'
                ? { part: 'hub', finding: 'nick', severity: 'worn' }
                : { obligation: 'debt x', why: 'y' },
        } as AnyEntry
        const before = worker.folded.entries
        const where = 1 + (at % before.length)
        const undo = {
          ...extra,
          id: 'undo',
          kind: 'entry.corrected',
          payload: { target: 'extra', why: 'slip' },
        } as AnyEntry
        const added = [...before.slice(0, where), extra, ...before.slice(where), undo]
        expect(plain(fold(plan, added))).toEqual(plain(fold(plan, before)))
      }),
      { numRuns: 40 },
    )
  })
  it('puts a better reading in the place of the old one, and both stay on the ledger', () => {
    worker.workUntil('found-lift')
    const old = worker.folded.entries.find(one => one.kind === 'reading.taken' && one.payload.check === 'float')!
    correct(old.id, {
      kind: 'reading.taken',
      payload: {
        ...old.payload,
        tries: [
          [0, 0.11],
          [0, 0.11],
          [0, 0.11],
        ],
      },
    })
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
    expect(refusal('entry.corrected', { target: lifted.id, why: 'x' })).toMatch(/Take that back first/)
    expect(refusal('entry.corrected', { target: 'nobody', why: 'x' })).toMatch(/not in this job/)
    expect(refusal('entry.corrected', { target: worker.folded.entries[0]!.id, why: 'x' })).toMatch(/opening/)
    expect(refusal('entry.corrected', { target: worker.folded.entries.at(-1)!.id, why: '  ' })).toMatch(/Say why/)
  })
  it("takes back one's own newest act first", () => {
    worker.workUntil('found-float')
    expect(lastAct(worker.folded.entries, 'rena')).toEqual([worker.folded.entries.at(-1)])
    expect(lastAct(worker.folded.entries, 'nobody')).toEqual([])
    const before = plain(worker.folded.state)
    const note = worker.act('note.written', { text: 'slip' })
    const together = { ...note, id: 'together' } as AnyEntry
    worker.folded = extend(plan, worker.folded, [together])
    const act = lastAct(worker.folded.entries, 'rena')
    expect(act.map(one => one.id)).toEqual(['together', note.id])
    for (const one of act) correct(one.id)
    expect(plain(worker.folded.state)).toEqual(before)
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
    expect(state.flags).toEqual([{ entry: 'bad', kind: 'part.lifted', why: expect.stringContaining('no part called') }])
  })
  it('takes nothing but an addendum after the signature', () => {
    worker.workUntil()
    worker.sign('yes')
    expect(refusal('note.written', { text: 'x' })).toMatch(/signed/)
    expect(refusal('addendum.written', { text: 'x' })).toBeNull()
  })
})

/** A slow, obvious count of where parts are, to hold the fold against. */
it('agrees with a plain count of parts under random acts', () => {
  const refs = [...plan.parts.keys()]
  const move = fc.tuple(
    fc.constantFrom('part.lifted', 'part.renewed', 'part.decided', 'part.refitted') as fc.Arbitrary<EntryKind>,
    fc.constantFrom(...refs),
  )
  fc.assert(
    fc.property(fc.array(move, { maxLength: 120 }), moves => {
      const where: Record<string, { off: boolean; fitted?: boolean; renew?: boolean; fresh?: boolean }> = {}
      let folded = emptyFold()
      moves.forEach(([kind, ref], i) => {
        const always = plan.parts.get(ref)!.part.renewal === 'always'
        const now = (where[ref] ??= { off: false })
        const payload =
          kind === 'part.lifted'
            ? { parts: [ref], step: 's' }
            : kind === 'part.renewed'
              ? { part: ref, from: 'stock' }
              : kind === 'part.decided'
                ? { parts: [ref], choice: 'renew' }
                : { part: ref, step: 's', answers: [] }
        folded = extend(plan, folded, [
          { id: `m${i}`, kind, payload, madeBy: 'a', role: 'fitter', madeAt: '', seq: i } as AnyEntry,
        ])
        if (kind === 'part.lifted' && !now.off) Object.assign(now, { off: true, fitted: false })
        if (kind === 'part.decided') now.renew = true
        if (kind === 'part.renewed' && now.off && (always || now.renew)) now.fresh = true
        if (kind === 'part.refitted' && now.off && ((!always && !now.renew) || now.fresh))
          Object.assign(now, { off: false, fitted: true })
      })
      for (const [ref, now] of Object.entries(where))
        expect(folded.state.parts.get(ref)?.where ?? 'on', ref).toBe(now.off ? 'off' : now.fitted ? 'fitted' : 'on')
      expect(viewJob(plan, folded.state).tray.off.length).toBe(Object.values(where).filter(one => one.off).length)
    }),
    { numRuns: 60 },
  )
})
