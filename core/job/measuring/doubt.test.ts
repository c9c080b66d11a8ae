import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { reading, technician, plan } from '../../../tests/pump.ts'
import { doubtOf, leadingDigits, showValue, unitDoubtOf, viewJob, wearDoubtOf, widthOf, withLeading } from '../index.ts'

const journal = plan.checks.get('journal-de')!
const float = plan.checks.get('float')!
const lift = plan.checks.get('lift-de')!

describe('a figure that is odd', () => {
  it.each([
    ['a micrometer one millimetre out', journal, 61.012, null, /61\.012 mm lies 0\.991 mm over the limit\. Is that/],
    [
      'the same, with what was found last',
      journal,
      59.012,
      60.01,
      /under the limit\. The last overhaul found 60\.010 mm/,
    ],
    ['far from the last overhaul, however good', float, 0.12, 3, /far from the last overhaul, which found 3\.00 mm/],
    ['a lone maximum', lift, 1.2, null, /over the limit/],
  ] as const)('is asked about: %s', (_, check, value, last, words) =>
    expect(doubtOf(check, value, last)).toMatch(words),
  )
  it.each([
    ['in its limits', journal, 60.012, 60.009],
    ['in its limits, and never read before', journal, 60.012, null],
    ['as far from the last overhaul as may be, and no further', float, 0.5, 3],
    ['a journal worn by two widths', journal, 59.97, 60.009],
    ['a lift three times the limit', lift, 0.3, 0.05],
  ] as const)('and is not: %s', (_, check, value, last) => expect(doubtOf(check, value, last)).toBeNull())
  it('is asked in the display’s unit, and alike in both', () => {
    expect(doubtOf(journal, 61.012, null, 'inch')).toMatch(/2\.4020 in lies 0\.0390 in over/)
    fc.assert(
      fc.property(fc.double({ min: 58, max: 62, noNaN: true }), value => {
        expect(doubtOf(journal, value, 60.01) === null).toBe(doubtOf(journal, value, 60.01, 'inch') === null)
      }),
    )
  })
  it('has a width to be held against: between limits, or from the best end to a lone one', () => {
    expect(widthOf(journal)).toBeCloseTo(0.019, 9)
    expect(widthOf(lift)).toBeCloseTo(0.1, 9)
    expect(widthOf({ limits: {} })).toBeUndefined()
  })
})

describe('a figure typed without a unit', () => {
  it.each([
    [
      'in the other unit it is what the last overhaul found',
      float,
      0.01,
      0.25,
      'mm',
      /0\.01 is read in mm\. In inches it would be 0\.25 mm, which is nearer to the 0\.25 mm of the last overhaul/,
    ],
    ['or what is wanted', float, 0.005, null, 'mm', /nearer to what is wanted/],
    ['the other way round', float, 0.12 * 25.4, 0.12, 'in', /0\.12 is read in inches\. In mm/],
  ] as const)('is asked about where %s', (_, check, value, last, unit, words) =>
    expect(unitDoubtOf(check, value, last, unit)).toMatch(words),
  )
  it.each([
    ['it lies near as it is', float, 0.2, 0.25, 'mm'],
    ['the other unit is no nearer', float, 0.05, 0.12, 'mm'],
    [
      'none of it is wanted, and it is a little',
      { unit: 'bar', decimals: 2, limits: { max: 0.01, best: 0 } },
      0.002,
      null,
      'bar',
    ],
    [
      'none of it is wanted, and it is much',
      { unit: 'bar', decimals: 2, limits: { max: 0.01, best: 0 } },
      0.06,
      null,
      'bar',
    ],
    ['nothing says what is wanted', { ...float, limits: { max: 0.3 } }, 0.01, null, 'mm'],
  ] as const)('and is not where %s', (_, check, value, last, unit) =>
    expect(unitDoubtOf(check, value, last, unit)).toBeNull(),
  )
})

describe('a figure that has gone the other way than wear', () => {
  const worn = { ...journal, wears: 'down' } as const
  it('is asked about beyond what tries may scatter, of the part as it ran', () => {
    expect(wearDoubtOf(worn, 'inspect', 60.02, 60.007)).toMatch(/60\.020 mm is 0\.013 mm more than the last overhaul/)
    expect(wearDoubtOf(worn, 'inspect', 60.01, 60.007)).toBeNull()
    expect(wearDoubtOf(worn, 'inspect', 60.002, 60.02)).toBeNull()
    expect(wearDoubtOf(worn, 'build', 60.02, 60.007)).toBeNull()
    expect(wearDoubtOf(worn, 'inspect', 60.02, null)).toBeNull()
    expect(wearDoubtOf({ ...float, wears: 'up' }, 'asFound', 0.05, 0.2)).toMatch(/0\.15 mm less than/)
  })
})

describe('leading digits', () => {
  it('come from the limits, past the decimal point, and leave two figures to type', () => {
    expect(leadingDigits(journal)).toBe('60.0')
    expect(leadingDigits(journal, 'inch')).toBe('2.36')
    expect(leadingDigits(plan.checks.get('hub-gap')!)).toBeNull()
    expect(leadingDigits(lift)).toBeNull()
  })
  it('are put before just the last figures, and before nothing else', () => {
    expect(withLeading('60.0', 2, '12')).toBe('60.012')
    // What is shown is what is meant, also while it is short of a digit.
    expect(withLeading('2.', 2, '6')).toBe('2.6')
    for (const typed of ['123', '60.012', '1.2', '-1', '12 mm']) expect(withLeading('60.0', 2, typed)).toBeNull()
  })
  it('whatever is typed with them lies within ten of the last place but one of both limits', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 99 }), last => {
        const read = Number(withLeading('60.0', 2, String(last).padStart(2, '0')))
        expect(read).toBeGreaterThanOrEqual(60)
        expect(read).toBeLessThan(60.1)
      }),
    )
  })
})

describe('tries that disagree', () => {
  const worker = technician()
  worker.workUntil('found-float')
  worker.act(
    'reading.taken',
    reading('float', 'asFound', [
      [0, 0.12],
      [0, 0.12],
      [0, 0.29],
    ]),
  )
  const result = () => viewJob(plan, worker.folded.state).results.get('float asFound')!
  it('are judged by nothing, and shown as what they are', () => {
    expect(result()).toMatchObject({ scatter: [0.12, 0.29], judgement: { verdict: 'Open' }, missing: [] })
    expect(showValue(float, result())).toBe('0.12 to 0.29 mm, tries disagree')
  })
  it('are owed until they are measured again', () => {
    const owed = () =>
      viewJob(plan, worker.folded.state).owed.find(
        one => one.id.kind === 'reading' && one.id.check === 'float' && one.id.moment === 'asFound',
      )
    expect(owed()).toMatchObject({ what: 'End float: tries disagree', perishable: true })
    const taken = worker.folded.entries.at(-1)!
    worker.act('entry.corrected', {
      target: taken.id,
      why: 'Dial foot slipped at the third',
      replacement: reading('float', 'asFound', [
        [0, 0.12],
        [0, 0.12],
        [0, 0.13],
      ]),
    })
    expect(owed()).toBeUndefined()
    expect(result().judgement.verdict).toBe('Holds')
  })
})
