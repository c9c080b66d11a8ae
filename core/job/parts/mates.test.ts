import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { refusal, technician } from '../../../tests/pump.ts'
import { librarySheet, worker } from '../../../tests/sheets.ts'
import { planFor } from '../../sheet/index.ts'
import { asksOf, choicesOf, mateMet, markText, refusalOf, viewJob, wipedWords } from '../index.ts'
import { canBeSeen, readLabel } from './mates.ts'

const reducer = librarySheet('m3-cycloidal-reducer')
const gearUnit = librarySheet('m10-gear-unit')
const exchanger = librarySheet('m8-scraped-surface-exchanger')
/** Strips, shims, wire and blue of bearings that fit. */
const FITS = {
  'pinch-* wire*': 0.38,
  'pinch-* shim*': 0.4,
  'strips-f*': 0.92,
  'strips-s*': 1.48,
  'skew-*': 0.5,
  'blue-*': Array(24).fill(1).join(';'),
}

describe('a label', () => {
  const mesh = planFor(gearUnit).mates.get('mesh')!
  it('is the same however it is parted or written, and another where a figure differs', () => {
    const met = (made: string, read: string) => mateMet(mesh, { label: made }, { mate: 'mesh', label: read })
    expect(met('7 31 32', '7/31-32')).toBe(true)
    expect(met('P7  w31 W32', 'p7, W31, w32')).toBe(true)
    expect(met('7 31 32', '7 32 33')).toBe(false)
    expect(met('7 31 32', '73 132')).toBe(false)
  })
  it.each([
    ['7 31 32', null],
    ['7 32 31', null],
    ['7 1 71', null],
    ['7 71 1', null],
    ['31 32', null],
    ['7 31 33', 'mate.noNeighbours'],
    ['7 31 31', 'mate.noNeighbours'],
    ['7 2 71', 'mate.noNeighbours'],
    ['32', 'mate.noLabel'],
    ['left', 'mate.noLabel'],
  ])('of tooth numbers the last two are neighbours on a wheel of 71: %s', (label, code) => {
    const toothed = { ...mesh, rule: { kind: 'label', ask: 'Which?', example: '7 31 32', teeth: 71 } } as const
    expect(readLabel(toothed, { label })?.code ?? null).toBe(code)
    const plain = { ...mesh, rule: { kind: 'label', ask: 'Which?', example: 'T3' } } as const
    expect(readLabel(plain, { label })).toBeNull()
    expect(readLabel(plain, { label: ' – ' })?.code).toBe('mate.noLabel')
  })
  it('is written down before the parts part, and asked blind when they meet again', () => {
    const one = worker(gearUnit)
    one.workUntil('mark-mesh')
    const made = { mate: 'mesh', seenFrom: 'input side', carrier: 'punched numbers' }
    expect(refusal(one, 'mark.made', made)).toMatchObject({ code: 'mate.noLabel' })
    expect(refusal(one, 'mark.made', { ...made, label: ' – ' })).toMatchObject({ code: 'mate.noLabel' })
    one.act('mark.made', { ...made, label: '12 40 41' })
    expect(markText(one.plan, one.folded.state.marks.get('mesh')!)).toBe('punched numbers, “12 40 41”')
    one.workUntil('gears-in')
    expect(asksOf(one.plan, one.folded.state, one.plan.steps.get('gears-in')!).mates.map(mate => mate.id)).toContain(
      'mesh',
    )
    one.doStep(one.plan.steps.get('gears-in')!, { mates: { mesh: { label: '12 41 42' } } })
    expect(viewJob(one.plan, one.folded.state).owed.find(o => o.kind === 'wrong way')).toMatchObject({
      blocks: 'bearings',
    })
    expect(refusal(one, 'mate.answered', { mate: 'mesh', deg: 0 })).toMatchObject({ code: 'mate.noLabel' })
    one.act('mate.answered', { mate: 'mesh', label: '12-40-41' })
    expect(viewJob(one.plan, one.folded.state).owed.some(o => o.kind === 'wrong way')).toBe(false)
  })
})

describe('a stamp of the maker', () => {
  const plan = planFor(reducer, { size: 'large' })
  it('is made by nobody, and its angle is taken from the top', () => {
    const one = worker(reducer, {}, { size: 'large' })
    expect(plan.sheet.steps.flatMap(step => step.marks ?? [])).toEqual(['top'])
    expect(
      refusal(one, 'mark.made', { mate: 'first-top', deg: 0, seenFrom: 'fast side', carrier: 'punch dots' }),
    ).toMatchObject({ code: 'mark.stamped' })
    one.workUntil('second-on')
    one.doStep(one.plan.steps.get('second-on')!, { mates: { 'second-opposite': { deg: 174 } } })
    expect(viewJob(one.plan, one.folded.state).owed.some(o => o.kind === 'wrong way')).toBe(false)
  })
  it.each([
    [180, true],
    [188, true],
    [189, false],
    [0, false],
  ])('stood at %s°, a disc that belongs half a turn on is met: %s', (deg, met) => {
    const mate = plan.mates.get('second-opposite')!
    expect(mateMet(mate, { deg: 0 }, { mate: mate.id, deg })).toBe(met)
  })
})

describe('what is built up on the bench', () => {
  it('is looked at there, though the part it stands on goes in later', () => {
    const one = worker(exchanger)
    one.workUntil('spring-on-driven')
    const mate = one.plan.mates.get('spring-pin-driven')!
    expect(one.folded.state.parts.get('shaft')!.where).toBe('off')
    expect(canBeSeen(one.plan, one.folded.state, mate)).toBe(false)
    one.doStep(one.plan.steps.get('spring-on-driven')!)
    expect(canBeSeen(one.plan, one.folded.state, mate)).toBe(true)
  })
})

describe('what may be seen', () => {
  it('is offered whole, and the right one does not always stand first', () => {
    const mates = [gearUnit, reducer, exchanger].flatMap(sheet => planFor(sheet).sheet.mates)
    const seen = mates.filter(one => one.rule.kind === 'seen')
    for (const mate of seen)
      expect([...choicesOf(mate)].map(one => one.say).toSorted()).toEqual(
        mate.rule.kind === 'seen' ? mate.rule.choices.map(one => one.say).toSorted() : [],
      )
    const first = seen.filter(mate => choicesOf(mate)[0]!.met).length
    expect(first / seen.length).toBeGreaterThan(0.1)
    expect(first / seen.length).toBeLessThan(0.7)
  })
  it('keeps its order for one mate', () => {
    fc.assert(
      fc.property(fc.string({ minLength: 1 }), fc.integer({ min: 2, max: 6 }), (id, n) => {
        const choices = Array.from({ length: n }, (_, i) => ({ say: String(i), met: i === 0 }))
        const mate = { id, rule: { kind: 'seen', ask: '', choices } } as unknown as Parameters<typeof choicesOf>[0]
        expect(choicesOf(mate)).toEqual(choicesOf(mate))
        expect(new Set(choicesOf(mate)).size).toBe(n)
      }),
    )
  })
})

describe('read in several places', () => {
  it('the worst of them stands for all, and says so', () => {
    const one = worker(exchanger, { 'pins-far inspect pin 2': 1.9, 'pins-driven inspect pin 1': 2.7 })
    one.workUntil('decide')
    const { results } = viewJob(one.plan, one.folded.state)
    const far = results.get('pins-far inspect')!
    expect(far).toMatchObject({ value: 1.9, span: [1.9, 2.4], judgement: { verdict: 'Out', side: 'low' } })
    expect(far.consequence).toMatch(/spins on the shaft/)
    expect(results.get('pins-driven inspect')!.consequence).toMatch(/jams the ring/)
    expect(results.get('pins-driven inspect')!.working()).toHaveLength(2)
  })
})

describe('the items of a round', () => {
  it('are counted in and out anew in every round', () => {
    const one = worker(gearUnit, { ...FITS, 'pinch-so output end, wire, flattened': 0.43 })
    one.workUntil('journals-oiled')
    one.act('round.begun', { loop: 'fit-up', changed: ['the cover was dressed'] })
    const laid = asksOf(one.plan, one.folded.state, one.plan.steps.get('fit-lay')!)
    expect(laid.counts.map(count => `${count.item} ${count.way}`)).toEqual(['strips in', 'wires in', 'shims in'])
    one.doStep(one.plan.steps.get('fit-lay')!)
    expect(
      viewJob(one.plan, one.folded.state)
        .owed.filter(o => o.kind === 'debt')
        .map(o => o.what),
    ).toContain('Gauging strips')
  })
})

describe('what a choice is proposed by', () => {
  const proposed = (product: string, current: number) => {
    const one = worker(exchanger, { product, current })
    one.workUntil('shaft-in')
    return one.plan.variants.style
  }
  it.each([
    ['thin and even', 8, 'closed'],
    ['thick', 8, 'holes'],
    ['thick, with lumps off the wall', 8, 'cutaways'],
    ['thin and even', 13.5, 'holes'],
    ['thin and even', 15, 'cutaways'],
  ])('it ran on %s and drew %s A: %s', (product, current, style) => expect(proposed(product, current)).toBe(style))
})

describe('an act asked of the server', () => {
  it('is not refused at a gate for what is said with the gate’s own step', () => {
    const one = technician()
    one.workUntil('top-on')
    const step = one.plan.steps.get('top-on')!
    one.prepare(step)
    const before = one.folded
    one.doStep(step)
    const refits = one.folded.entries.slice(before.entries.length).filter(entry => entry.kind === 'part.refitted')
    expect(refits.length).toBe(1)
    expect(refusalOf(one.opened, before, refits[0]!)).toBeNull()
  })
})

describe('a mark that does not last', () => {
  it('is named at the step that washes it off, and at no other', () => {
    const one = worker(gearUnit)
    one.workUntil('mark-mesh')
    one.act('mark.made', { mate: 'mesh', seenFrom: 'input side', carrier: 'washable pen', label: '12 40 41' })
    const wash = () => one.plan.sheet.steps.find(step => step.station === 'clean')!
    const said = (id: string) => wipedWords(one.plan, one.folded.state, one.plan.steps.get(id)!)
    expect(said(wash().id)).toBeNull()
    one.workUntil(wash().id)
    expect(said(wash().id)).toMatch(/washes marks off: .*\(washable pen\)\. Scribe or punch/)
    expect(said('decide')).toBeNull()
    one.workUntil('decide')
    expect(said(wash().id)).toBeNull()
  })
})
