import { beforeEach, describe, expect, it } from 'vitest'
import type { Technician } from '../../demo/technician.ts'
import { plan, refusal, technician } from '../../tests/pump.ts'
import {
  asksOf,
  confirmationOf,
  countFault,
  extend,
  keyOf,
  lacks,
  partUnder,
  projectJob,
  recordOf,
  refusalOf,
  trayOf,
  viewJob,
  type EntryKind,
  type OwedId,
  type Payloads,
  type Said,
} from './index.ts'

/** What a tired person does to places, marks, tags and pieces, and how it is caught. Each is silent when done right. */
let worker: Technician
beforeEach(() => {
  worker = technician()
})
const says = <K extends EntryKind>(kind: K, payload: Payloads[K]) => refusal(worker, kind, payload)
const step = (id: string) => plan.steps.get(id)!
const state = () => worker.folded.state
const owed = () => viewJob(plan, state()).owed
const isOwed = (id: OwedId) => owed().find(one => one.key === keyOf(id))
/** Confirms a step with something said otherwise than a careful fitter would. */
function confirm(id: string, otherwise: Said) {
  const one = step(id)
  one.cautions?.forEach((_, caution) => worker.act('caution.read', { step: id, caution }))
  const right = worker.said(one)
  const said: Said = { ...right, ...otherwise }
  for (const key of ['counts', 'mates', 'hands'] as const)
    Object.assign(said, { [key]: { ...right[key], ...otherwise[key] } })
  worker.acts(confirmationOf(plan, state(), one, said))
}

describe('tags and bags', () => {
  it('a tag hangs on one part of one place', () => {
    worker.workUntil('caps-off')
    const { tags } = asksOf(plan, state(), step('caps-off'))
    expect(tags).toEqual(['bearing-cap@nde', 'bearing-cap@de'])
    worker.workUntil('rotor-out')
    const label = state().parts.get('bearing-cap@nde')!.kept!.label
    expect(state().parts.get('bearing-cap@de')!.kept!.label).not.toBe(label)
    expect(says('part.tagged', { part: 'bearing-cap@de', tag: label.toLowerCase() })).toMatchObject({
      code: 'keeping.tagHangs',
    })
    expect(says('part.tagged', { part: 'bearing-cap@de', tag: 'T99' })).toBeNull()
  })
  it('a bag holds one story: lookalikes are not mixed, what belongs together may be', () => {
    worker.workUntil('rotor-out')
    const bag = state().parts.get('cap-screws@de')!.kept!.label
    expect(state().parts.get('cap-screws@nde')!.kept!.label).toBe(bag)
    expect(says('part.bagged', { parts: ['gland-screws'], bag })).toMatchObject({ code: 'keeping.bagHolds' })
    expect(says('part.bagged', { parts: ['gland-screws', 'case-nuts'], bag: 'B99' })).toMatchObject({
      code: 'keeping.notOneBag',
    })
    expect(says('part.bagged', { parts: ['gland-screws'], bag: 'B99' })).toBeNull()
  })
  it('a number is free again once its part is back', () => {
    worker.workUntil('bush-on')
    const label = state().parts.get('sleeve')!.kept!.label
    expect(says('part.tagged', { part: 'hub', tag: label })).toBeNull()
    expect(partUnder(plan, state(), label)).toBeNull()
  })
  it('no number is given twice in a whole overhaul', () => {
    worker.workUntil()
    const labels = worker.folded.entries.flatMap(one => (one.kind === 'part.tagged' ? one.payload.tag : []))
    expect(labels.length).toBeGreaterThan(10)
    expect(new Set(labels).size).toBe(labels.length)
  })
})

describe('which one is in the hand', () => {
  beforeEach(() => worker.workUntil('cap-on-de'))
  const ask = () => asksOf(plan, state(), step('cap-on-de')).hands
  it('is asked of parts with siblings, in the order of their tags, whichever place is filled', () => {
    expect(ask().map(one => one.place)).toEqual(['bearing-cap@de', 'cap-screws@de'])
    const [one] = ask()
    const [other] = asksOf(plan, state(), step('cap-on-nde')).hands
    expect(one!.candidates).toEqual(other!.candidates)
    expect(partUnder(plan, state(), ` ${one!.candidates[1]!.label.toLowerCase()}`)).toBe(one!.candidates[1]!.part)
  })
  it('the cap of the other end is named at once, and goes in only on purpose', () => {
    const asks = asksOf(plan, state(), step('cap-on-de'))
    const right = worker.said(step('cap-on-de'))
    expect(lacks(plan, asks, right)).toEqual([])
    const swapped = { 'bearing-cap@de': 'bearing-cap@nde' }
    expect(lacks(plan, asks, { ...right, hands: swapped })[0]).toBe(
      'Bearing cap, non-drive end is in the hand for Bearing cap, drive end. It was bored with its own housing; on the other it pinches the bearing on one side.',
    )
    expect(lacks(plan, asks, { ...right, hands: {} })[0]).toMatch(/Say which one is in the hand/)
    // What it has worn to is said of a worn one: a new one has worn to nothing.
    const withNew = asks.hands.map(hand => ({
      ...hand,
      candidates: hand.candidates.map(one => ({ ...one, isNew: one.part === 'bearing-cap@nde' })),
    }))
    expect(lacks(plan, { ...asks, hands: withNew }, { ...right, hands: swapped })[0]).toBe(
      'Bearing cap, non-drive end is in the hand for Bearing cap, drive end.',
    )
    confirm('cap-on-de', { hands: swapped, swapped: Object.keys(swapped) })
    expect(state().flags).toEqual([])
    expect(isOwed({ kind: 'wrong place', part: 'bearing-cap@nde' })).toMatchObject({ blocks: 'cover' })
    // The other one goes in the place that is left, on purpose, too.
    confirm('cap-on-nde', { hands: { 'bearing-cap@nde': 'bearing-cap@de' }, swapped: ['bearing-cap@nde'] })
    expect(state().flags).toEqual([])
    expect(state().steps.has('cap-on-nde')).toBe(true)
  })
  it('is not asked of parts that are all new, nor of what shares a bag; of what looks alike it is, by its bag', () => {
    // The screws of both caps share a bag; those of the gland plate look like them, and lie in another.
    const screws = ask().find(one => one.place === 'cap-screws@de')!
    expect(screws.candidates.map(one => one.part).sort()).toEqual(['cap-screws@de', 'gland-screws'])
    const lips = technician()
    lips.workUntil('bearings-on')
    const hands = asksOf(plan, lips.folded.state, step('bearings-on')).hands.map(one => one.place)
    expect(hands).toEqual(['bearing@nde', 'bearing@de'])
  })
  it('a new one is told from the old one that is kept', () => {
    const one = technician({ general: 0.4, renewed: ['bearing@de'] })
    one.workUntil('bearings-on')
    const [first] = asksOf(plan, one.folded.state, step('bearings-on')).hands
    expect(first!.candidates.map(candidate => candidate.part).sort()).toEqual(['bearing@de', 'bearing@nde'])
    expect(first!.candidates.some(candidate => candidate.label === 'the new one')).toBe(true)
  })
})

describe('how parts stand', () => {
  it('a mark is held against where it stands, and the half that is turned round is named', () => {
    worker.workUntil('cap-on-de')
    confirm('cap-on-de', { mates: { 'cap-de': { dots: [1, 0] } } })
    expect(isOwed({ kind: 'wrong way', mate: 'cap-de' })!.what).toBe('Cap to housing, drive end: 1 dot against no dot')
    expect(isOwed({ kind: 'wrong way', mate: 'cap-nde' })).toBeUndefined()
    // Turned round and looked at again, it meets; no correction is wanted.
    worker.act('mate.answered', { mate: 'cap-de', dots: [1, 1] })
    expect(isOwed({ kind: 'wrong way', mate: 'cap-de' })).toBeUndefined()
  })
  it('is asked when it can be seen: the bush in the case once the rotor lies in it, the line when the clamp is tight', () => {
    worker.workUntil('bush-on')
    expect(asksOf(plan, state(), step('bush-on')).mates).toEqual([])
    expect(says('mate.answered', { mate: 'bush-hole', say: 'the hole in the bush, whole' })).toMatchObject({
      code: 'mate.notBoth',
    })
    worker.workUntil('rotor-in')
    expect(asksOf(plan, state(), step('rotor-in')).mates.map(one => one.id)).toEqual(
      expect.arrayContaining(['bush-hole', 'bush-seat', 'vanes', 'ring-pin-de']),
    )
    worker.workUntil('clamp-pull')
    expect(asksOf(plan, state(), step('clamp-pull')).mates.map(one => one.id)).toEqual(['line-lower', 'line-upper'])
  })
  it('every mate is asked once in an overhaul, and none is left', () => {
    worker.workUntil()
    const answered = worker.folded.entries.flatMap(one => (one.kind === 'mate.answered' ? one.payload.mate : []))
    const asked = plan.sheet.mates.filter(one => one.rule.kind !== 'free').map(one => one.id)
    expect(answered.toSorted()).toEqual(asked.toSorted())
  })
  it('not yet is an answer, and stays owed before the cover', () => {
    worker.workUntil('rotor-in')
    confirm('rotor-in', { mates: { 'bush-seat': { notYet: true } } })
    expect(state().steps.has('rotor-in')).toBe(true)
    expect(isOwed({ kind: 'mate', mate: 'bush-seat' })).toMatchObject({ blocks: 'cover' })
    worker.act('mate.answered', { mate: 'bush-seat', say: 'nowhere' })
    expect(isOwed({ kind: 'mate', mate: 'bush-seat' })).toBeUndefined()
  })
  it('silence is refused, and a claim that is no answer too', () => {
    worker.workUntil('rotor-in')
    const acts = confirmationOf(plan, state(), step('rotor-in'), {
      ...worker.said(step('rotor-in')),
      mates: {},
    })
    step('rotor-in').cautions!.forEach((_, caution) => worker.act('caution.read', { step: 'rotor-in', caution }))
    worker.acts(acts.slice(0, -1))
    expect(says('step.done', { step: 'rotor-in' })).toMatchObject({
      code: 'step.hindered',
      and: expect.arrayContaining([
        expect.objectContaining({
          values: { step: 'Lay the rotor in', what: 'Say how it stands: Bush hole to flush port.' },
        }),
      ]),
    })
    expect(says('mate.answered', { mate: 'vanes' })).toMatchObject({ code: 'mate.oneThing' })
    expect(says('mate.answered', { mate: 'vanes', say: 'yes' })).toMatchObject({ code: 'mate.choose' })
    expect(says('mate.answered', { mate: 'vanes', deg: 3 })).toMatchObject({ code: 'mate.choose' })
    expect(says('mate.answered', { mate: 'sleeve-ring-free', say: 'x' })).toMatchObject({ code: 'mate.anyWay' })
  })
  it('a distance is a distance: 1 mm past the line is named, with what was typed', () => {
    worker.workUntil('clamp-pull')
    const typed = (mm: number, text: string) => says('mate.answered', { mate: 'line-lower', mm, text })
    expect(says('mate.answered', { mate: 'line-lower', deg: 0 })).toMatchObject({
      code: 'mate.unreadable',
      values: { why: 'Nothing typed. Give the figure in mm.' },
    })
    expect(typed(43, '42')).toMatchObject({ code: 'mate.differs' })
    expect(typed(4.3, '4.3')).toMatchObject({
      code: 'mate.unreadable',
      values: {
        why: '4.3 mm cannot be a reading of Seal line, lower joint face: expected is 20 to 70 mm. Did the decimal mark slip? Check it and type it again.',
      },
    })
    confirm('clamp-pull', { mates: { 'line-lower': { mm: 43, text: '43' } } })
    worker.pull('clamp-joint', 'pull')
    expect(isOwed({ kind: 'wrong way', mate: 'line-lower' })!.blocks).toBe('cover')
  })
  it('a lost mark is answered by how it was set without it', () => {
    worker.workUntil('caps-off')
    worker.act('evidence.lost', { mate: 'cap-de', why: 'Ground off by the last shop' }, 'lead')
    worker.workUntil('cap-on-de')
    expect(state().marks.has('cap-de')).toBe(false)
    worker.workUntil()
    expect(state().mates.get('cap-de')!.say).toBe('set without its mark')
    expect(viewJob(plan, state()).gate.open).toBe(true)
  })
  it('a mark can be made between parts that lifted together, until the step that is to make it is done', () => {
    worker.workUntil('clamp-off')
    const mark = { mate: 'clamp-mark', deg: 0, seenFrom: 'drive end', carrier: 'paint line' }
    // Made already at its step; taken back, it can be made again only while the halves are one.
    const made = worker.folded.entries.find(one => one.kind === 'mark.made' && one.payload.mate === 'clamp-mark')!
    worker.act('entry.corrected', { target: made.id, why: 'Smeared' })
    expect(says('mark.made', mark)).toBeNull()
    worker.workUntil('caps-off')
    expect(says('mark.made', mark)).toMatchObject({ code: 'mark.parted' })
  })
})

describe('pieces', () => {
  it('seven of eight springs: one may lie in the machine, and the cover waits', () => {
    worker.workUntil('face-off')
    confirm('face-off', { counts: { 'springs out': 7 } })
    expect(isOwed({ kind: 'pieces', part: 'springs', way: 'out' })).toMatchObject({
      what: '7 of 8 came off: Seal springs',
      blocks: 'cover',
    })
    worker.act('pieces.counted', { part: 'springs', way: 'out', n: 8 })
    expect(isOwed({ kind: 'pieces', part: 'springs', way: 'out' })).toBeUndefined()
  })
  it('one that was not there when the machine was opened is accounted for, and a new one goes in for it', () => {
    worker.workUntil('face-off')
    confirm('face-off', { counts: { 'springs out': 7 } })
    expect(trayOf(worker.plan, state()).notAccountedFor).toBe(1)
    const out = { part: 'springs', way: 'out', n: 7 } as const
    expect(says('pieces.counted', { ...out, absent: 2 })).toMatchObject({ code: 'pieces.tooMany' })
    expect(says('pieces.counted', { ...out, fromStock: 1 })).toMatchObject({ code: 'pieces.otherWay' })
    expect(says('pieces.counted', { ...out, way: 'in', absent: 1 })).toMatchObject({ code: 'pieces.otherWay' })
    worker.act('pieces.counted', { ...out, absent: 1 })
    expect(trayOf(worker.plan, state()).notAccountedFor).toBe(0)
    expect(isOwed({ kind: 'pieces', part: 'springs', way: 'out' })).toBeUndefined()
    worker.workUntil('face-wet')
    confirm('face-wet', { counts: { 'springs in': 7 } })
    expect(isOwed({ kind: 'pieces', part: 'springs', way: 'in' })!.why).toMatch(/a new one from stock/)
    worker.act('pieces.counted', { part: 'springs', way: 'in', n: 7, fromStock: 1 })
    expect(isOwed({ kind: 'pieces', part: 'springs', way: 'in' })).toBeUndefined()
    const taken = projectJob(worker.plan, state()).movements.filter(one => one.partRef === 'springs')
    expect(taken.at(-1)).toMatchObject({ takenFrom: 'stock', quantity: 1 })
    const counted = recordOf(worker.opened, worker.folded.entries, new Map()).counted
    expect(counted.filter(row => row.what === 'Seal springs').map(row => row.n)).toEqual([
      '7 and 1 not there',
      '7 and 1 new from stock',
    ])
  })
  it('one left over on the bench is named when the rest goes back', () => {
    worker.workUntil('cap-on-de')
    confirm('cap-on-de', { counts: { 'cap-screws@de in': 3 } })
    expect(isOwed({ kind: 'pieces', part: 'cap-screws@de', way: 'in' })!.what).toBe(
      '3 of 4 went back: Cap screws M12, drive end',
    )
  })
  it('what was not counted is asked, and nothing is counted that is not there', () => {
    worker.workUntil('face-off')
    expect(lacks(plan, asksOf(plan, state(), step('face-off')), {})).toContain('Count out: Seal springs.')
    expect(says('pieces.counted', { part: 'springs', way: 'out', n: 8 })).toMatchObject({ code: 'pieces.when' })
    expect(says('pieces.counted', { part: 'shaft', way: 'out', n: 1 })).toMatchObject({ code: 'pieces.onePiece' })
    expect(says('pieces.counted', { way: 'out', n: 1 })).toMatchObject({ code: 'pieces.oneThing' })
    expect(says('pieces.counted', { item: 'moon', way: 'in', n: 1 })).toMatchObject({
      code: 'sheet.unknown',
      values: { what: 'item to count' },
    })
  })
  it('a guide stud left in: named by its number, and nothing is torqued over it', () => {
    worker.workUntil('studs-out')
    const count = asksOf(plan, state(), step('studs-out')).counts[0]!
    expect(count).toMatchObject({ must: 2, way: 'out' })
    expect(countFault(count, 1)).toMatch(/2 went in, 1 came out. 1 still in: find it/)
    expect(countFault(count, 2)).toBeNull()
    worker.act('pieces.counted', { item: 'guide-studs', way: 'out', n: 1 })
    expect(says('step.done', { step: 'studs-out' })).toMatchObject({
      code: 'step.hindered',
      values: { what: 'Guide studs in the case joint: 2 went in, 1 came out. 1 still in: find it before going on.' },
    })
    expect(says('bolt.pulled', { joint: 'case-joint', pass: 1, bolt: 6, torqueNm: 93, text: '93' })).toMatchObject({
      code: 'step.outOfReach',
      values: { what: 'First: Take the guide studs out' },
    })
    worker.act('pieces.counted', { item: 'guide-studs', way: 'out', n: 2 })
    expect(says('step.done', { step: 'studs-out' })).toBeNull()
  })
})

describe('a wrench set and clicked', () => {
  it('is kept as that, judged alike, and said on the record', () => {
    worker.workUntil('cap-pull-de')
    const pulled = worker.act('bolt.pulled', {
      joint: 'cap-joint-de',
      pass: 1,
      bolt: 1,
      torqueNm: 35,
      text: '35',
      how: 'clicked',
    })
    expect(state().joints.get('cap-joint-de')!.passes[0]![0]).toMatchObject({ torqueNm: 35, how: 'clicked' })
    expect(refusalOf(plan, worker.folded, { ...pulled, id: 'other' })).toBeNull()
    expect(extend(plan, worker.folded, []).state.flags).toEqual([])
  })
})
