import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { sheetNamed, worker, type Read } from '../../../tests/sheets.ts'
import { entryOf, figure, reading, refusal } from '../../../tests/pump.ts'
import { examineSheet } from '../../sheet/examination/index.ts'
import { SUMS_BY_NAME } from '../../sums/index.ts'
import { exampleFigure } from '../../../demo/findings.ts'
import {
  asksOf,
  confirmationOf,
  emptyFold,
  extend,
  fold,
  keyOf,
  lacks,
  partState,
  takeIn,
  viewJob,
  sentenceOf,
} from '../index.ts'
import type { Technician } from '../../../demo/technician.ts'

const sheet = sheetNamed('four-bearing-fit-up')
const GOOD: Read = {
  'skew-hs-de': 0.4,
  'skew-hs-nde': 0.4,
  'skew-ls-de': 0.4,
  'skew-ls-nde': 0.4,
  'float build': 0.3,
  'float asLeft': 0.3,
}
/** A strip of the first bearing, measured at one of its places. */
const width = (said: string, place: string) => figure('strips-hs-de', 'build', 'widthsMm', said, { place })
const view = (one: Technician) => viewJob(one.plan, one.folded.state)
const owed = (one: Technician, kind: string) => view(one).owed.filter(debt => debt.kind === kind)
const reads = (one: Technician, check: string, moment = 'build') => view(one).results.get(`${check} ${moment}`)!
/** Somebody who has gone through the first round with these figures. */
function through(read: Read = {}): Technician {
  const one = worker(sheet, { ...GOOD, ...read })
  one.workUntil('lay-in')
  return one
}
const begin = (one: Technician, say: string) => one.act('round.begun', { loop: 'fit-up', changed: [say] })
const SCRAPED = 'a half bearing was scraped'
const CAP = 'a cap was dressed or shimmed'

describe('the sheet of the fit-up', () => {
  it('is sound', () => expect(examineSheet(sheet, SUMS_BY_NAME)).toEqual([]))
  it('goes from make-safe to the last step without a false alarm', () => {
    const one = worker(sheet, GOOD)
    one.workUntil()
    expect(one.folded.state.flags).toEqual([])
    expect(view(one).owed.map(debt => debt.what)).toEqual([])
    expect(view(one).gate).toMatchObject({ guards: 'hand-back', open: true })
  })
  const broken = (change: (copy: typeof sheet) => void) => {
    const copy = structuredClone(sheet)
    change(copy)
    return examineSheet(copy, SUMS_BY_NAME).join('\n')
  }
  it.each<[string, (copy: typeof sheet) => void, RegExp]>([
    [
      'a sum nobody knows',
      s => (s.checks[0]!.sum!.name = 'guess'),
      /strips-hs-de is worked out by an unknown sum guess/,
    ],
    [
      'a field the sum has not',
      s => (s.checks[0]!.sum!.given!.colour = 'red'),
      /fixes colour, which strip-set does not take/,
    ],
    [
      'a figure out of its span',
      s => (s.checks[0]!.sum!.given!.stripDiameterMm = 40),
      /fixes stripDiameterMm, which is no figure/,
    ],
    ['too few rows', s => s.checks[0]!.sum!.rows!.widthsMm!.pop(), /has 2 rows for widthsMm, which takes 3 to 3/],
    ['no rows', s => delete s.checks[0]!.sum!.rows, /does not say the rows of widthsMm/],
    ['a figure that is none', s => (s.checks[0]!.sum!.trend = 'luck'), /looks at luck over the years/],
    ['a check from nowhere', s => (s.checks.at(-1)!.sum!.from!.firstMm = 'flaot@build'), /from an unknown check flaot/],
    ['a moment too early', s => (s.checks.at(-1)!.sum!.from!.firstMm = 'float@inspect'), /where it is not read yet/],
    [
      'a circle',
      s => (s.checks.at(-1)!.sum!.from!.firstMm = 'float-agree@asLeft'),
      /float-agree is worked out from itself/,
    ],
    ['no limits', s => (s.checks[8]!.limits = {}), /pinch-hs-de has no limits and does not say why/],
    ['a sum that may run long', s => (s.checks[0]!.sum!.name = 'stack-trial'), /stack-trial, which may run long/],
    ['a loop until nothing', s => (s.loops![0]!.until = []), /never comes out good/],
    [
      'a goal nothing changes',
      s => (s.loops![0]!.changes = [s.loops![0]!.changes[0]!]),
      /nothing that may be changed .* voids pinch-hs-de/,
    ],
    [
      'a trial never taken off',
      s => delete s.steps.find(one => one.id === 'try-off')!.trial,
      /put on for a trial at try-on and never taken off/,
    ],
    [
      'an unknown loop',
      s => (s.steps.find(one => one.id === 'lay-in')!.needs = ['loop fit-down', 'caps-off']),
      /waits for an unknown loop fit-down/,
    ],
    [
      'two gates of one name',
      s => (s.steps.find(one => one.id === 'cover-on')!.closes = 'bearing caps'),
      /two gates shut the bearing caps/,
    ],
  ])('%s is named', (_, change, words) => expect(broken(change)).toMatch(words))
})

describe('in the hand for a trial', () => {
  const atTrial = () => {
    const one = worker(sheet, GOOD)
    one.workUntil('try-on')
    return { one, step: one.plan.steps.get('try-on')! }
  }
  it('each of what looks alike is said by its tag', () => {
    const { one, step } = atTrial()
    const asks = asksOf(one.plan, one.folded.state, step)
    expect(asks.hands.map(hand => hand.place)).toContain('half-lower@hs-de')
    expect(asks.hands[0]!.candidates).toHaveLength(4)
    expect(lacks(one.plan, asks, {}).join(' ')).toMatch(/Say which one is in the hand for .*half bearing/i)
    expect(lacks(one.plan, asks, one.said(step))).toEqual([])
  })
  it('one in the place of another is named before anything is read of it, and gone once it is off', () => {
    const { one, step } = atTrial()
    const said = one.said(step)
    const swap = { 'half-lower@hs-de': 'half-lower@ls-de', 'half-lower@ls-de': 'half-lower@hs-de' }
    const hands = { ...said.hands, ...swap }
    expect(lacks(one.plan, asksOf(one.plan, one.folded.state, step), { ...said, hands }).join(' ')).toMatch(
      /is in the hand for/,
    )
    one.acts(confirmationOf(one.plan, one.folded.state, step, { ...said, hands, swapped: Object.keys(swap) }))
    expect(owed(one, 'wrong place').map(debt => debt.what)[0]).toMatch(/is on trial in the place of/)
    expect(one.hindered().join(' ')).toMatch(/is on trial in the place of/)
    const parts = Object.keys(swap)
    expect(refusal(one, 'part.tried', { parts, step: 'try-on', way: 'on', places: parts.slice(1) })).not.toBeNull()
    one.act('entry.corrected', {
      target: one.folded.entries.findLast(entry => entry.kind === 'part.tried')!.id,
      why: 'Swapped',
    })
    expect(owed(one, 'wrong place')).toEqual([])
  })
  it('silent where each is in its own', () => {
    const { one } = atTrial()
    one.workUntil('read')
    expect(owed(one, 'wrong place')).toEqual([])
  })
  it('a place is of the same part, and takes one', () => {
    const { one } = atTrial()
    const tried = (parts: string[], places: string[]) =>
      refusal(one, 'part.tried', { parts, step: 'try-on', way: 'on', places })
    expect(tried(['cap@hs-de'], ['half-lower@hs-de'])).toMatchObject({ code: 'part.tried.otherPart' })
    expect(tried(['cap@hs-de', 'cap@ls-de'], ['cap@hs-de', 'cap@hs-de'])).toMatchObject({ code: 'part.tried.places' })
    // Only the caution stands before it then.
    expect(tried(['cap@hs-de'], ['cap@ls-de'])).toMatchObject({
      code: 'step.hindered',
      values: { what: 'Read: Fingers' },
    })
  })
})

describe('a sum of the sheet', () => {
  it('is kept half filled, and taken up by another', () => {
    const one = worker(sheet, GOOD)
    one.workUntil('read')
    const take = (place: string, said: string) => one.act('reading.taken', width(said, place))
    take('drive end', '0.56')
    take('non-drive end', '0.58')
    expect(reads(one, 'strips-hs-de')).toMatchObject({ value: null, missing: [{ place: 'middle' }] })
    expect(owed(one, 'reading').find(debt => debt.what.includes('pinion, drive end'))!.what).toMatch(
      /by strips, pinion/,
    )
    take('middle', '0.6')
    expect(reads(one, 'strips-hs-de').judgement.verdict).toBe('Holds')
    // π·0.25²/(4·0.6) mm, the widest strip, by hand.
    expect(reads(one, 'strips-hs-de').value).toBeCloseTo(0.0818, 4)
  })
  it('is judged by the worst of what it judges, by the limits of the sheet', () => {
    const one = through({ 'pinch-ls-de drive end': 0.41 })
    expect(reads(one, 'pinch-ls-de')).toMatchObject({ judgement: { verdict: 'Out', side: 'low' } })
    expect(reads(one, 'pinch-ls-de').consequence).toMatch(/can move in its cap/)
    expect(reads(one, 'pinch-ls-nde').judgement.verdict).toBe('Holds')
  })
  it('takes what other checks give', () => {
    const one = worker(sheet, { ...GOOD, 'float asLeft': 0.38 })
    one.workUntil()
    expect(reads(one, 'float-agree', 'asLeft')).toMatchObject({ judgement: { verdict: 'Out' } })
    expect(reads(one, 'float-agree', 'asLeft').value).toBeCloseTo(0.08, 9)
    expect(owed(one, 'out').map(debt => debt.what)).toEqual(['Float, open and shut failed'])
  })
  it.each([
    ['a field it does not ask for', figure('strips-hs-de', 'build', 'stripDiameterMm', '0.3'), /no such place/],
    ['a figure that cannot be', width('600', 'drive end'), /expected is/],
    ['words', width('about half', 'drive end'), /not a figure/],
    ['a place it has not', width('0.6', 'the far side'), /no such place/],
    ['what is no field at all', figure('strips-hs-de', 'build', 'constructor', '0.3'), /no such place/],
  ])('refuses %s', (_, payload, words) => {
    const one = worker(sheet, GOOD)
    one.workUntil('read')
    expect(sentenceOf(refusal(one, 'reading.taken', payload)!)).toMatch(words)
  })
  it('is never written over, and not read before its step', () => {
    const one = worker(sheet, GOOD)
    one.workUntil('try-close')
    const early = width('0.6', 'drive end')
    expect(refusal(one, 'reading.taken', early)).toMatchObject({
      code: 'step.outOfReach',
      values: { what: 'First: Open the caps again' },
    })
    one.workUntil('lay-in')
    expect(refusal(one, 'reading.taken', early)).toMatchObject({ code: 'reading.taken' })
    expect(refusal(one, 'reading.taken', reading('strips-hs-de', 'build', [[0.1]]))).toMatchObject({
      code: 'reading.noSuchCell',
    })
    const derived = figure('float-agree', 'asLeft', 'firstMm', '0.1')
    expect(refusal(one, 'reading.taken', derived)).toMatchObject({ code: 'reading.workedOut' })
  })
  it('an inch figure is an inch figure, beside others in millimetres', () => {
    const one = worker(sheet, GOOD)
    one.workUntil('read')
    one.act('reading.taken', width('0.5', 'drive end'))
    one.act('reading.taken', { ...width('0.0236', 'middle'), unit: 'in' })
    one.act('reading.taken', width('0.58', 'non-drive end'))
    expect(reads(one, 'strips-hs-de').value).toBeCloseTo((Math.PI * 0.25 ** 2) / (4 * 0.0236 * 25.4), 9)
  })
  it('a figure said twice in one press is refused', () => {
    const one = worker(sheet, GOOD)
    one.workUntil('read')
    const twice = ['0.5', '0.6'].map(said => entryOf('reading.taken', width(said, 'drive end')))
    expect(takeIn(one.opened, one.folded, twice)).toMatchObject({ ok: false, why: { code: 'reading.taken' } })
  })
})

/** Honest mistakes of a fit-up: each is named, and the same walk without it is silent. */
describe('mistakes of a fit-up', () => {
  it.each<[string, Read, RegExp]>([
    [
      'a bearing too tight at one end',
      { 'strips-hs-de drive end': 0.9 },
      /Clearance by strips, pinion, drive end, failed/,
    ],
    [
      'a shaft that lies askew',
      { 'skew-ls-nde End A, left': 0.33, 'skew-ls-nde End B, right': 0.33, 'skew-ls-nde': 0.5 },
      /Skew by strips, wheel, non-drive end, failed/,
    ],
    ['a shell loose in its cap', { 'pinch-hs-nde non-drive end': 0.42 }, /Cap pinch, pinion, non-drive end, failed/],
    [
      'a strip that cannot measure the gap',
      { 'strips-ls-de middle': 0.35 },
      /Clearance by strips, wheel, drive end, open/,
    ],
    ['a wire that never touched', { 'pinch-hs-de drive end': 0.6 }, /Cap pinch, pinion, drive end, open/],
  ])('%s', (_, read, words) => {
    const one = through(read)
    expect(owed(one, 'round')[0]!.what).toMatch(words)
    expect(one.hindered().join()).toMatch(words)
    expect(refusal(one, 'part.refitted', { part: 'cap@hs-de', step: 'lay-in' })).toMatchObject({
      code: 'step.hindered',
      values: { what: expect.stringMatching(/^Fit-up of the bearings/) },
    })
    expect(owed(through(), 'round')).toEqual([])
  })
  it('a cap that is at the machine shop, tried on', () => {
    const one = worker(sheet, GOOD)
    one.workUntil('try-on')
    one.act('part.decided', { parts: ['cap@hs-de'], choice: 'rework' })
    const tried = { parts: ['cap@hs-de'], step: 'try-on', way: 'on' } as const
    one.act('caution.read', { step: 'try-on', caution: 0 })
    expect(refusal(one, 'part.tried', { ...tried, parts: [...tried.parts] })).toMatchObject({ code: 'part.tried.away' })
  })
  it('a cap left on after the trial', () => {
    const one = worker(sheet, GOOD)
    one.workUntil('try-off')
    expect(owed(one, 'trial').map(debt => debt.what)).toContain('On for a trial: Bearing cap, wheel, drive end')
    expect(refusal(one, 'round.begun', { loop: 'fit-up', changed: [SCRAPED] })).toMatchObject({ code: 'round.onTrial' })
    expect(owed(through(), 'trial')).toEqual([])
  })
  it('a cap scraped under readings that then still count', () => {
    const one = through({ 'pinch-ls-de drive end': 0.41 })
    begin(one, CAP)
    expect(reads(one, 'pinch-ls-de').value).toBeNull()
    expect(reads(one, 'strips-ls-de').value).toBeNull()
    expect(one.folded.state.voided.every(round => round.cause === CAP && round.round === 1)).toBe(true)
  })
  it('a round begun that nobody began', () => {
    const one = worker(sheet, GOOD)
    one.workUntil('try-on')
    expect(refusal(one, 'round.begun', { loop: 'fit-up', changed: [SCRAPED] })).toMatchObject({
      code: 'round.notBegun',
    })
    expect(refusal(through(), 'round.begun', { loop: 'fit-up', changed: ['luck'] })).toMatchObject({
      code: 'round.strange',
    })
  })
  it('a round begun after the caps went on for good', () => {
    const one = worker(sheet, GOOD)
    one.workUntil('caps-pull')
    expect(refusal(one, 'round.begun', { loop: 'fit-up', changed: [SCRAPED] })).toMatchObject({
      code: 'round.doneAfter',
    })
  })
  it('a strip that slid', () => {
    const one = through()
    one.act('round.voided', { loop: 'fit-up', checks: ['strips-hs-de'], cause: 'the shaft turned' })
    expect(reads(one, 'strips-hs-de').value).toBeNull()
    expect(reads(one, 'strips-hs-nde').judgement.verdict).toBe('Holds')
    expect(owed(one, 'reading').map(debt => debt.what)).toContain('Clearance by strips, pinion, drive end, 3 readings')
    expect(
      owed(through(), 'reading')
        .map(debt => debt.what)
        .join(),
    ).not.toMatch(/strips/)
    expect(refusal(one, 'round.voided', { loop: 'fit-up', checks: ['float'], cause: 'x' })).toMatchObject({
      code: 'round.notIn',
    })
  })
  it('a cap in another place for good', () => {
    const one = through()
    one.act('part.refitted', { part: 'cap@hs-de', step: 'lay-in', place: 'cap@hs-nde' })
    expect(owed(one, 'wrong place').map(debt => debt.what)).toEqual([
      'Bearing cap, pinion, drive end is in the place of Bearing cap, pinion, non-drive end',
    ])
    // It holds up the gate it lies behind, not the one after.
    expect(owed(one, 'wrong place')[0]!.blocks).toBe('bearing caps')
  })
})

describe('rounds', () => {
  it('reopen the steps of the loop and what the change voids, not more', () => {
    const one = through({ 'strips-hs-de drive end': 0.9 })
    begin(one, SCRAPED)
    expect(one.folded.state.steps.has('try-on')).toBe(false)
    expect(one.folded.state.steps.has('caps-off')).toBe(true)
    expect(reads(one, 'pinch-hs-de').judgement.verdict).toBe('Holds')
    expect(reads(one, 'skew-hs-de').value).toBeNull()
    one.findings.figure = (sum, check, _, cell) =>
      check.id.startsWith('skew') ? '0.4' : exampleFigure(sum, cell, check)
    one.workUntil('lay-in')
    expect(owed(one, 'round')).toEqual([])
    expect(partState(one.folded.state, 'cap@hs-de').trial).toBeUndefined()
  })
  it('the trial owes no torque once it is opened again, the last closing does', () => {
    const one = through()
    expect(owed(one, 'joint').map(debt => debt.id)).toEqual([{ kind: 'joint', joint: 'caps' }])
    expect(keyOf({ kind: 'joint', joint: 'caps' })).toBe(owed(one, 'joint')[0]!.key)
  })
  it('come out the same however the ledger is cut', () => {
    const one = through({ 'strips-hs-de drive end': 0.9 })
    begin(one, SCRAPED)
    one.workUntil('read')
    one.act('reading.taken', width('0.6', 'drive end'))
    const { entries } = one.folded
    const whole = fold(one.opened, entries)
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: entries.length }), { maxLength: 6 }), cuts => {
        let folded = emptyFold()
        let from = 0
        for (const to of [...cuts.sort((a, b) => a - b), entries.length]) {
          folded = extend(one.opened, folded, entries.slice(from, to))
          from = Math.max(from, to)
        }
        expect(folded.state.voided).toEqual(whole.voided)
        expect([...folded.state.readings]).toEqual([...whole.readings])
        expect([...folded.state.steps.keys()]).toEqual([...whole.steps.keys()])
      }),
      { numRuns: 20 },
    )
  })
})

describe('gates', () => {
  it('are as many as the sheet has, each with what lies behind it', () => {
    const one = worker(sheet, GOOD)
    expect(view(one).gate).toMatchObject({ guards: 'bearing caps', open: false })
    one.workUntil('lay-in')
    expect(view(one).gate).toMatchObject({ guards: 'bearing caps', open: true })
    one.workUntil('caps-pull')
    expect(view(one).gate).toMatchObject({ guards: 'cover', open: false })
    one.workUntil('cover-on')
    expect(view(one).gate).toMatchObject({ guards: 'cover', open: true })
    one.workUntil('float-shut')
    expect(view(one).gate.guards).toBe('hand-back')
  })
})
