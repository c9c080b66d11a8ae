import { describe, expect, it } from 'vitest'
import { sheetNamed, worker, type Read } from '../../tests/sheets.ts'
import { refusal } from '../../tests/pump.ts'
import { examineSheet } from '../sheet/examination/index.ts'
import { SUMS_BY_NAME } from '../sums/index.ts'
import { asksOf, causesOf, lacks, recordOf, signMet, viewJob, type Said } from './index.ts'
import type { Technician } from '../../demo/technician.ts'

const WALKS: [string, Read][] = [
  ['shaft-with-seal', {}],
  ['nut-by-slots', { 'end-play': 0.12 }],
  ['hub-off-taper', {}],
]
const read = Object.fromEntries(WALKS)
const at = (name: string, step?: string, more: Read = {}): Technician => {
  const one = worker(sheetNamed(name), { ...read[name], ...more })
  one.workUntil(step)
  return one
}
const view = (one: Technician) => viewJob(one.plan, one.folded.state)
/** What the step now next would say to these answers, put over the right ones. */
function says(one: Technician, step: string, wrong: Partial<Said> = {}): string {
  const own = one.plan.steps.get(step)!
  const right = one.said(own)
  const said: Said = {
    ...right,
    counts: { ...right.counts, ...wrong.counts },
    hands: { ...right.hands, ...wrong.hands },
    mates: { ...right.mates, ...wrong.mates },
    lubricants: { ...right.lubricants, ...wrong.lubricants },
  }
  return lacks(one.plan, asksOf(one.plan, one.folded.state, own, said), said).join(' ')
}

describe.each(WALKS)('%s', name => {
  it('is sound', () => expect(examineSheet(sheetNamed(name), SUMS_BY_NAME)).toEqual([]))
  it('goes from make-safe to the last step without a false alarm', () => {
    const one = at(name)
    expect(one.folded.state.flags).toEqual([])
    expect(view(one).owed.map(debt => debt.what)).toEqual([])
  })
})

describe('screws, springs and rings', () => {
  it.each<[string, string, Partial<Said>, RegExp]>([
    [
      'the ring that stays dry, wetted',
      'springs-in',
      { lubricants: { 'seat O-ring': 'soapy water' } },
      /Seat O-ring: soapy water, and dry is wanted. It drives the seat/,
    ],
    [
      'the ring that goes in wet, dry',
      'springs-in',
      { lubricants: { 'face O-ring': 'dry' } },
      /Face O-ring: dry, and soapy water is wanted. Dry it rolls up/,
    ],
    [
      'grease where none must be',
      'springs-in',
      { lubricants: { 'spring pockets': 'grease' } },
      /Spring pockets: grease, never that. Grease holds the springs back/,
    ],
    [
      'the screw of another hole',
      'gland-on',
      { hands: { 'screw@1': 'screw@2' } },
      /Gland screw, hole 2 is in the hand for Gland screw, hole 1/,
    ],
  ])('%s', (_, step, wrong, words) => {
    const one = at('shaft-with-seal', step)
    expect(says(one, step, wrong)).toMatch(words)
    expect(says(one, step)).toBe('')
  })
  it('silence about a ring is no answer', () => {
    const one = at('shaft-with-seal', 'springs-in')
    one.acts([{ kind: 'part.refitted', payload: { part: 'springs', step: 'springs-in' } }])
    expect(refusal(one, 'step.done', { step: 'springs-in' })).toMatchObject({
      code: 'step.unmoved',
      values: { what: 'Face O-ring is not fitted yet. Seat O-ring is not fitted yet' },
    })
    for (const part of ['face-ring', 'seat-ring']) one.act('part.refitted', { part, step: 'springs-in' })
    one.act('pieces.counted', { part: 'springs', way: 'in', n: 6 })
    expect(refusal(one, 'step.done', { step: 'springs-in' })).toMatchObject({
      code: 'step.hindered',
      values: { what: 'Say what is on it: face O-ring.' },
    })
    one.act('lubricant.applied', { step: 'springs-in', on: 'face O-ring', medium: 'soapy water' })
    one.act('lubricant.applied', { step: 'springs-in', on: 'spring pockets', medium: 'soapy water' })
    one.act('lubricant.applied', { step: 'springs-in', on: 'seat O-ring', medium: 'grease' })
    expect(refusal(one, 'step.done', { step: 'springs-in' })).toMatchObject({
      code: 'step.hindered',
      values: { what: 'Say what is on it: seat O-ring.' },
    })
    one.act('lubricant.applied', { step: 'springs-in', on: 'seat O-ring', medium: 'dry' })
    expect(refusal(one, 'step.done', { step: 'springs-in' })).toBeNull()
    expect(refusal(one, 'lubricant.applied', { step: 'springs-in', on: 'gland', medium: 'dry' })).toMatchObject({
      code: 'lubricant.notAsked',
    })
  })
  it('two screws in one bag', () => {
    const one = at('shaft-with-seal', 'gland-off')
    one.act('part.lifted', { parts: ['screw@1', 'screw@2'], step: 'gland-off' })
    one.act('part.bagged', { parts: ['screw@1'], bag: 'B1' })
    expect(refusal(one, 'part.bagged', { parts: ['screw@2'], bag: 'B1' })).toMatchObject({ code: 'keeping.bagHolds' })
    expect(refusal(one, 'part.bagged', { parts: ['screw@2'], bag: 'B2' })).toBeNull()
  })
  it('a spring that stayed in the housing', () => {
    const one = at('shaft-with-seal', 'decide')
    one.act('pieces.counted', { part: 'springs', way: 'out', n: 5 })
    expect(view(one).owed.map(debt => debt.what)).toContain('5 of 6 came off: Seal springs')
    expect(view(at('shaft-with-seal', 'decide')).owed.map(debt => debt.kind)).not.toContain('pieces')
  })
})

describe('a nut by its slots', () => {
  it('set a stop too far is out, by the sum and by the dial', () => {
    const one = at('nut-by-slots', undefined, { 'setting End clearance wanted': 0.17, 'end-play': 0.17 })
    expect(view(one).owed.map(debt => debt.what)).toEqual(['End clearance by slots failed', 'End play failed'])
  })
  it('slots that do not agree with the dial', () => {
    const one = at('nut-by-slots', undefined, { 'end-play': 0.15 })
    expect(view(one).owed.map(debt => debt.what)).toEqual(['Slots against the dial failed'])
  })
  it('a tab that stands against a land', () => {
    const one = at('nut-by-slots', 'nut-on')
    one.act('part.refitted', { part: 'washer', step: 'nut-on' })
    one.act('part.refitted', { part: 'nut', step: 'nut-on' })
    one.act('mate.answered', { mate: 'tab', say: 'against a land' })
    expect(view(one).owed.find(debt => debt.kind === 'wrong way')).toMatchObject({
      why: expect.stringMatching(/backs off/),
    })
  })
})

describe('stuck, or will not go', () => {
  const look = (one: Technician, step: string, worked: Parameters<typeof causesOf>[5] = []) => {
    const own = one.plan.steps.get(step)!
    const sign = signMet(one.folded.state, own)
    return sign ? causesOf(one.plan, one.folded.state, view(one).results, own, sign, worked) : []
  }
  it('holds its step until it is known what it was', () => {
    const one = at('nut-by-slots', 'seat-nut')
    expect(look(one, 'seat-nut')).toEqual([])
    expect(refusal(one, 'trouble.met', { step: 'seat-nut', sign: 'It smells' })).toMatchObject({
      code: 'trouble.strange',
    })
    one.act('trouble.met', { step: 'seat-nut', sign: 'The nut stops before its face' })
    expect(one.hindered().join()).toMatch(/The nut stops before its face/)
    expect(
      refusal(one, 'trouble.cleared', { step: 'seat-nut', sign: 'The nut stops before its face', means: ' ' }),
    ).toMatchObject({ code: 'trouble.means' })
    one.act('trouble.cleared', {
      step: 'seat-nut',
      sign: 'The nut stops before its face',
      means: 'The thread is burred',
    })
    expect(one.hindered().join()).not.toMatch(/stops before/)
    expect(recordOf(one.plan, one.folded.entries, new Map()).troubles).toMatchObject([
      { what: expect.stringMatching(/: The nut stops before its face$/), was: 'The thread is burred' },
    ])
    expect(at('nut-by-slots', 'seat-nut').hindered().join()).not.toMatch(/stops before/)
  })
  it('leads to the likeliest first: by what is known, then by what it was elsewhere', () => {
    const one = at('hub-off-taper', 'let-go')
    one.act('trouble.met', { step: 'let-go', sign: 'The hub does not move' })
    // Not read yet weighs more than what is done.
    expect(look(one, 'let-go').map(cause => cause.means)).toEqual([
      'It was advanced too far last time',
      'A set screw still holds it',
    ])
    expect(look(one, 'let-go')[0]!.looks[0]).toMatchObject({
      known: 'not read yet',
      settle: { to: 'reading', check: 'advance' },
    })
    const past = [{ step: 'seat-nut', what: 'The thread is burred', times: 3 }]
    const nut = at('nut-by-slots', 'seat-nut')
    nut.act('trouble.met', { step: 'seat-nut', sign: 'The nut stops before its face' })
    expect(look(nut, 'seat-nut', past).map(cause => cause.worked)).toEqual([3, 0])
  })
  it('a nut taken off before the hub has let go', () => {
    const one = at('hub-off-taper', 'let-go')
    expect(refusal(one, 'part.lifted', { parts: ['nut'], step: 'nut-off' })).toMatchObject({
      code: 'step.hindered',
      values: { what: 'First: Break the hub off its taper' },
    })
  })
  it.each<[string, Read, RegExp]>([
    ['pushed on too little', { 'advance Advanced so far': 0.7 }, /Advance on the taper failed/],
    ['pushed on too far', { 'advance Advanced so far': 1.2 }, /Advance on the taper failed/],
    ['gripping at one end only', { 'advance Contact by blue': 50 }, /Advance on the taper failed/],
  ])('a hub %s', (_, figures, words) => {
    const one = at('hub-off-taper', 'shut', figures)
    expect(one.hindered().join()).toMatch(words)
    // What is left is the second pair of eyes.
    expect(at('hub-off-taper', 'shut').hindered()).toEqual(['Hold point: Put on hub and nut for good'])
  })
})

describe('put in for now', () => {
  it('keeps shut what it lies behind until it is out, counted', () => {
    const one = at('shaft-with-seal', 'springs-in')
    one.act('item.placed', { what: 'rag in the bore', n: 2 })
    const still = () => view(one).owed.find(debt => debt.kind === 'item')
    expect(still()).toMatchObject({ what: 'Still in: 2 × rag in the bore', blocks: 'cover' })
    expect(view(one).gate.reasons.map(debt => debt.kind)).toContain('item')
    one.workUntil('gland-on')
    expect(one.hindered()).toContain('Still in: 2 × rag in the bore')
    expect(refusal(one, 'step.done', { step: 'gland-on' })).toMatchObject({
      code: 'step.unmoved',
      values: {
        what: 'Gland plate is not fitted yet. Gland screw, hole 1 is not fitted yet. Gland screw, hole 2 is not fitted yet. Gland screw, hole 3 is not fitted yet',
      },
    })
    expect(refusal(one, 'item.removed', { what: 'rag in the bore', n: 3 })).toMatchObject({ code: 'item.more' })
    expect(refusal(one, 'item.removed', { what: 'lamp', n: 1 })).toMatchObject({ code: 'item.isNotIn' })
    expect(refusal(one, 'item.placed', { what: 'rag in the bore', n: 1 })).toMatchObject({ code: 'item.isIn' })
    one.act('item.removed', { what: 'rag in the bore', n: 1 })
    expect(still()!.what).toBe('Still in: 1 × rag in the bore')
    one.act('item.removed', { what: 'rag in the bore', n: 1 })
    expect(still()).toBeUndefined()
    expect(one.hindered()).toEqual([])
  })
  it('is not conceded away', () => {
    const one = at('shaft-with-seal', 'springs-in')
    one.act('item.placed', { what: 'plug', n: 1 })
    expect(refusal(one, 'concession.given', { of: { kind: 'item', item: 'plug' }, why: 'x' }, 'lead')).toMatchObject({
      code: 'concession.never',
    })
  })
})
