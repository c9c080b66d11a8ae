import { describe, expect, it } from 'vitest'
import { refusal, technician } from '../../../tests/pump.ts'
import { librarySheet, worker } from '../../../tests/sheets.ts'
import { WALKS } from '../../../tests/walks/index.ts'
import type { Technician } from '../../../demo/technician.ts'
import {
  basisOf,
  decidedWith,
  partState,
  proposalsOf,
  recordOf,
  signedFor,
  sentenceOf,
  viewJob,
  hindrances,
} from '../index.ts'
import { seenOn } from '../../../tests/seen.ts'

const proposalFor = (one: Technician, part: string) =>
  proposalsOf(one.plan, one.folded.state, viewJob(one.plan, one.folded.state).results).get(part)
const inspected = (name: string, read: Record<string, number | string>) => {
  const one = worker(librarySheet(name), { ...WALKS.find(walk => walk.sheet === name)!.figures({}), ...read })
  one.workUntil('decide')
  return one
}
/** Decides as is proposed whatever is off and undecided. */
function decideRest(one: Technician) {
  for (const { ref, part } of one.plan.parts.values()) {
    const { where, decision } = partState(one.folded.state, ref)
    if (where !== 'off' || part.renewal === 'always' || decision) continue
    const proposal = proposalFor(one, ref)
    one.act('part.decided', decidedWith([ref], proposal?.choice ?? 'reuse', proposal))
  }
}
const BLADES = 'm8-scraped-surface-exchanger'
const GEAR = 'm10-gear-unit'

describe('what is proposed for a part', () => {
  it('is of the part that was read: the short spring, the cracked blade, and no other', () => {
    const one = inspected(BLADES, {
      'springs-primary driven end': 11.2,
      'edge-b place 3': 'a crack at a slot',
    })
    expect(proposalFor(one, 'spring@driven')).toEqual({
      choice: 'renew',
      because: ['Wave springs of the primary, free height, driven end: 11.2 mm'],
      checks: ['springs-primary'],
    })
    expect(proposalFor(one, 'spring@far')).toMatchObject({ choice: 'reuse', because: [] })
    expect(proposalFor(one, 'blade@b3')).toMatchObject({
      choice: 'renew',
      because: ['Edge and slots, row B, place 3: a crack at a slot'],
    })
    expect(proposalFor(one, 'blade@b2')).toMatchObject({ choice: 'reuse', because: [] })
  })
  it('is what the sheet says: a loose pin is pressed in, a bent shaft goes out to be straightened', () => {
    const loose = inspected(BLADES, { 'pins-driven pin 1': 1.9 })
    expect(proposalFor(loose, 'shaft')).toMatchObject({
      choice: 'reuse',
      because: ['Drive pins of the primary, driven end, pin 1: 1.90 mm'],
    })
    expect(proposalFor(inspected(BLADES, { runout: 0.9 }), 'shaft')).toMatchObject({ choice: 'send out' })
    // A heel that is sharpened away is no reason for a new blade; a width that is gone is.
    const worn = inspected(BLADES, { 'land-a place 2': 2, 'width-a place 4': 44 })
    expect(proposalFor(worn, 'blade@a2')).toMatchObject({ choice: 'reuse' })
    expect(proposalFor(worn, 'blade@a4')).toMatchObject({ choice: 'renew' })
  })
  it('is renewed with its partner, and only where that is', () => {
    const one = inspected(GEAR, { 'lining-fi lower half': 'smeared patch' })
    expect(proposalFor(one, 'half@fi-lower')).toMatchObject({ choice: 'renew', checks: ['lining-fi'] })
    expect(proposalFor(one, 'half@fi-upper')).toMatchObject({
      choice: 'renew',
      because: [expect.stringMatching(/^Renewed with half bearing, fast shaft, input side, lower half: the two were/)],
    })
    expect(proposalFor(one, 'half@fo-upper')).toMatchObject({ choice: 'reuse' })
  })
  it('is nothing where nobody looked, and what was noted where something was', () => {
    const one = technician()
    one.workUntil('decide')
    expect(proposalFor(one, 'case-nuts')).toBeUndefined()
    one.act('part.looked', seenOn('case-nuts', 'two are stretched', { grade: 3 }))
    expect(proposalFor(one, 'case-nuts')).toMatchObject({ choice: 'renew', because: ['two are stretched (damaged)'] })
  })
})

describe('what is proposed where several things were found', () => {
  it('is the worse of them; what was noted before the part was renewed tells of the old one', () => {
    const one = inspected(BLADES, { 'edge-b place 3': 'a crack at a slot' })
    const note = (part: string, grade: number) => one.act('part.looked', seenOn(part, 'a mark', { grade }))
    note('blade@b3', 3)
    note('blade@b4', 1)
    expect(proposalFor(one, 'blade@b3')).toMatchObject({
      choice: 'renew',
      because: [expect.anything(), 'a mark (damaged)'],
    })
    expect(proposalFor(one, 'blade@b4')).toMatchObject({ choice: 'reuse', because: ['a mark (of no matter)'] })
    one.act('part.decided', decidedWith(['blade@b3'], 'renew', proposalFor(one, 'blade@b3')))
    one.act('part.renewed', { part: 'blade@b3', from: 'stock' })
    expect(proposalFor(one, 'blade@b3')?.because ?? []).not.toContain('a mark (damaged)')
  })
  it('is nothing for what is on the machine, or is always new', () => {
    const one = inspected(BLADES, {})
    const { plan, folded } = one
    const proposed = [...proposalsOf(plan, folded.state, viewJob(plan, folded.state).results).keys()]
    expect(proposed.length).toBeGreaterThan(0)
    expect(proposed.filter(ref => plan.parts.get(ref)!.part.renewal === 'always')).toEqual([])
    expect(proposed.filter(ref => partState(folded.state, ref).where !== 'off')).toEqual([])
  })
})

describe('deciding', () => {
  it('asks no reason for what is proposed, and one for anything else', () => {
    const one = inspected(BLADES, { 'edge-b place 3': 'a crack at a slot' })
    const says = (part: string, choice: 'reuse' | 'renew', why?: string) =>
      refusal(one, 'part.decided', decidedWith([part], choice, proposalFor(one, part), why))
    expect(says('blade@b3', 'renew')).toBeNull()
    expect(says('blade@b2', 'reuse')).toBeNull()
    const why = says('blade@b3', 'reuse')!
    expect(sentenceOf(why)).toBe(
      'Blade, row B, place 3: Edge and slots, row B, place 3: a crack at a slot; renew is proposed. Say why it is decided otherwise.',
    )
    expect(says('blade@b3', 'reuse', 'The crack is a scratch, seen under a glass')).toBeNull()
    expect(says('blade@b2', 'renew')).toMatchObject({ code: 'part.decided.against' })
    // Nor is it hidden what it was decided against.
    const hidden = { parts: ['blade@b3'], choice: 'reuse', why: 'It will do', proposed: 'reuse' } as const
    expect(refusal(one, 'part.decided', hidden)).toMatchObject({ code: 'part.decided.proposedNow' })
    expect(refusal(one, 'part.decided', { ...hidden, proposed: undefined })).toMatchObject({
      code: 'part.decided.proposedNow',
    })
  })
  it('three things against what was proposed stand first on the list that is signed against, and on the record', () => {
    const one = inspected(BLADES, { 'edge-b place 3': 'a crack at a slot', 'springs-primary far end': 11.2 })
    const decide = (part: string, choice: 'reuse' | 'renew', why?: string) =>
      one.act('part.decided', decidedWith([part], choice, proposalFor(one, part), why))
    decide('blade@b3', 'reuse', 'Only a scratch, seen under a glass')
    decide('spring@far', 'reuse', 'No new one before Tuesday')
    decide('blade@a1', 'renew', 'Taken for the show case')
    decide('blade@a2', 'reuse')
    expect(signedFor(one.plan, one.folded.state)).toEqual([])
    decideRest(one)
    expect(
      signedFor(one.plan, one.folded.state)
        .filter(line => line.isOdd)
        .map(({ what, why }) => [what, why]),
    ).toEqual([
      ['Blade, row A, place 1: renew, where reuse was proposed', 'Taken for the show case'],
      ['Blade, row B, place 3: reuse, where renew was proposed', 'Only a scratch, seen under a glass'],
      ['Wave spring, primary, far end: reuse, where renew was proposed', 'No new one before Tuesday'],
    ])
    const { parts } = recordOf(one.opened, one.folded.entries, new Map())
    expect(parts.filter(row => row.against).map(row => [row.name, row.decision, row.against, row.found])).toEqual([
      ['Blade, row A, place 1', 'renew: Taken for the show case', 'reuse', ''],
      [
        'Blade, row B, place 3',
        'reuse: Only a scratch, seen under a glass',
        'renew',
        'Edge and slots, row B, place 3: a crack at a slot',
      ],
      [
        'Wave spring, primary, far end',
        'reuse: No new one before Tuesday',
        'renew',
        'Wave springs of the primary, free height, far end: 11.2 mm',
      ],
    ])
  })
})

describe('what was found where it has no business', () => {
  const rinsed = (found: string) => {
    const one = worker(librarySheet(BLADES))
    one.workUntil('emptied')
    one.doStep(one.plan.steps.get('emptied')!, { found })
    one.workUntil('decide')
    return one
  }
  const signing = (one: Technician) =>
    hindrances(one.plan, one.folded.state, viewJob(one.plan, one.folded.state).owed, one.plan.steps.get('decide')!)
      .map(each => each.text)
      .filter(text => /come from/.test(text))
  it('holds the decisions until it is said what it came off, and stands first on what is signed', () => {
    const one = rinsed('scale, metal')
    decideRest(one)
    expect(signing(one)).toEqual(['Where did it come from: metal'])
    const hold = { step: 'decide', basis: basisOf(one.plan, one.folded.state, { kind: 'hold', step: 'decide' }) }
    expect(sentenceOf(refusal(one, 'hold.signed', hold, 'lead')!)).toBe('It is not said yet where it came from: metal.')
    expect(refusal(one, 'origin.said', { step: 'emptied', word: 'splinters of blade', from: 'A blade' })).toMatchObject(
      { code: 'origin.notFound' },
    )
    one.act('origin.said', { step: 'emptied', word: 'metal', from: 'A pin top that touched the tube' })
    expect(signing(one)).toEqual([])
    expect(signedFor(one.plan, one.folded.state)[0]).toEqual({
      ...{ what: 'Metal, found at: Empty it, rinse it and let it come to room temperature', found: '', isOdd: true },
      why: 'A pin top that touched the tube',
    })
    const { origins } = recordOf(one.opened, one.folded.entries, new Map())
    expect(origins).toMatchObject([{ what: 'metal', from: 'A pin top that touched the tube' }])
  })
  it('asks nothing of scale', () => expect(signing(rinsed('scale'))).toEqual([]))
})

describe('a new part is new', () => {
  it('is measured as the old one was, also where that had been sharpened first', () => {
    const one = worker(librarySheet(BLADES), WALKS.find(walk => walk.sheet === BLADES)!.figures({}))
    one.workUntil('pins-set')
    const missing = () =>
      viewJob(one.plan, one.folded.state)
        .results.get('width-a build')!
        .missing.map(cell => cell.place)
    expect(missing()).toEqual([])
    one.act('part.decided', { parts: ['blade@a3'], choice: 'renew', why: 'It fell' })
    one.act('part.renewed', { part: 'blade@a3', from: 'stock' })
    expect(missing()).toEqual(['place 3'])
    const step = one.plan.steps.get('blades-on-a')!
    const { owed } = viewJob(one.plan, one.folded.state)
    expect(hindrances(one.plan, one.folded.state, owed, step).map(each => each.text)).toContain(
      'Width of the blades, row A: not measured of what went in since',
    )
  })
  it('never goes under the tag of the one that was scrapped', () => {
    const one = inspected(BLADES, {})
    one.act('part.decided', { parts: ['blade@a3'], choice: 'renew', why: 'It fell' })
    const { label } = one.folded.state.parts.get('blade@a3')!.kept!
    one.act('part.renewed', { part: 'blade@a3', from: 'stock' })
    expect(refusal(one, 'part.tagged', { part: 'blade@a3', tag: label })).toMatchObject({ code: 'keeping.tagOfOld' })
    expect(refusal(one, 'part.tagged', { part: 'blade@a3', tag: 'N1' })).toBeNull()
  })
  it('what came back from outside is measured again', () => {
    const one = inspected(BLADES, { 'runout inspect': 0.9 })
    const owed = () =>
      viewJob(one.plan, one.folded.state).owed.some(debt => debt.key === '["reading","runout","build"]')
    one.act('part.decided', { parts: ['shaft'], choice: 'send out' })
    expect(owed()).toBe(false)
    one.act('part.returned', { part: 'shaft', note: 'Straightened' })
    expect(owed()).toBe(true)
  })
})
