import { describe, expect, it } from 'vitest'
import { SUMS_BY_NAME } from '../../sums/index.ts'
import type { Check, Sheet } from '../../sheet/index.ts'
import { examineSheet } from '../../sheet/examination/index.ts'
import { answer, refusal } from '../../../tests/pump.ts'
import { sheetNamed, worker } from '../../../tests/sheets.ts'
import { projectJob, recordOf, showLimits, showValue, viewJob, sentenceOf } from '../index.ts'

const sheet = sheetNamed('blower-clearances')
const at = (one: ReturnType<typeof worker>, check: string) =>
  viewJob(one.plan, one.folded.state).results.get(`${check} inspect`)!
const owed = (one: ReturnType<typeof worker>) => viewJob(one.plan, one.folded.state).owed.map(each => each.what)
const found = (read: Record<string, number>) => {
  const one = worker(sheet, read)
  one.workUntil('decide-depth')
  return one
}

describe('what is asked', () => {
  it('is judged by the answer, with its meaning', () => {
    const smooth = at(found({}), 'turn')
    expect(smooth).toMatchObject({ value: 0, judgement: { verdict: 'Holds' }, consequence: null })
    expect(showValue(smooth.check, smooth)).toBe('smooth all round')
    expect(showLimits(smooth.check)).toBe('smooth all round')
    const gritty = at(found({ turn: 1 }), 'turn')
    expect(gritty).toMatchObject({ judgement: { verdict: 'Thin' }, consequence: null })
    expect(gritty.notes()).toEqual(['Dirt in a bearing: wash, and turn again'])
    expect(at(found({ turn: 2 }), 'turn').consequence).toMatch(/will not last/)
  })
  it('in several places counts by the worst', () => {
    const one = worker(sheet)
    one.workUntil('measure')
    one.act('reading.taken', answer('burrs', 'inspect', 'nothing', 'driving rotor'))
    expect(at(one, 'burrs').judgement.verdict).toBe('Open')
    one.act('reading.taken', answer('burrs', 'inspect', 'scored', 'driven rotor'))
    expect(at(one, 'burrs')).toMatchObject({ judgement: { verdict: 'Out' }, value: 2 })
  })
  it('an answer that is out is owed, and a good one is not', () => {
    expect(owed(found({ turn: 2 }))).toContain('Rotors turned by hand failed')
    expect(owed(found({}))).not.toContain('Rotors turned by hand failed')
  })
  it('stands on the record and in the fleet’s figures', () => {
    const one = found({ turn: 1 })
    const record = recordOf(one.opened, one.folded.entries, new Map())
    expect(record.readings.find(each => each.title === 'Rotors turned by hand')).toMatchObject({
      value: 'a little gritty',
      limits: 'smooth all round',
      verdict: 'Thin',
    })
    expect(projectJob(one.plan, one.folded.state).readings.find(each => each.checkId === 'turn')).toMatchObject({
      verdict: 'Thin',
      share: null,
    })
  })
  it.each([
    [
      'an answer that is not on the sheet',
      answer('turn', 'inspect', 'fine'),
      /no answer “fine”. Choose one of: smooth all/,
    ],
    ['the number of an answer', answer('turn', 'inspect', '0'), /no answer “0”/],
    ['a place it is not asked in', answer('burrs', 'inspect', 'nothing', 'the cover'), /no such place/],
    ['no place, where there are several', answer('burrs', 'inspect', 'nothing'), /no such place/],
  ])('refuses %s', (_, payload, words) => {
    const one = worker(sheet)
    one.workUntil('measure')
    expect(sentenceOf(refusal(one, 'reading.taken', payload)!)).toMatch(words)
    expect(refusal(one, 'reading.taken', answer('turn', 'inspect', 'smooth all round'))).toBeNull()
  })
  it('is answered once; another answer is a correction with its reason', () => {
    const again = answer('turn', 'inspect', 'a little gritty')
    expect(refusal(found({}), 'reading.taken', again)).toMatchObject({ code: 'reading.taken' })
  })
})

describe('a check that is asked, examined', () => {
  it.each<[string, (check: Check) => void, RegExp]>([
    ['no question', check => (check.ask = ''), /asks nothing/],
    ['one way only', check => (check.choices = check.choices!.slice(0, 1)), /only be answered one way/],
    ['an answer twice', check => (check.choices![1]!.say = check.choices![0]!.say), /“smooth all round” twice/],
    ['no meaning', check => delete check.choices![2]!.means, /does not say what “grinds in one place” does/],
  ])('%s is named', (_, break_, words) => {
    const broken: Sheet = structuredClone(sheet)
    break_(broken.checks.find(one => one.id === 'turn')!)
    expect(examineSheet(broken, SUMS_BY_NAME).join('\n')).toMatch(words)
  })
  it('and sound as it is', () => expect(examineSheet(sheet, SUMS_BY_NAME)).toEqual([]))
})
