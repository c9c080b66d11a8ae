import { describe, expect, it } from 'vitest'
import { SUMS_BY_NAME } from '../sums/index.ts'
import { examineSheet, type Check, type Sheet } from '../sheet/index.ts'
import { reading, refusal } from '../../tests/pump.ts'
import { sheetNamed, worker } from '../../tests/sheets.ts'
import { projectJob, recordOf, showLimits, showValue, viewJob } from './index.ts'

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
    one.act('reading.taken', reading('burrs', 'inspect', [[0]], { station: 'driving rotor', texts: [['nothing']] }))
    expect(at(one, 'burrs').judgement.verdict).toBe('Open')
    one.act('reading.taken', reading('burrs', 'inspect', [[2]], { station: 'driven rotor', texts: [['scored']] }))
    expect(at(one, 'burrs')).toMatchObject({ judgement: { verdict: 'Out' }, value: 2 })
  })
  it('an answer that is out is owed, and a good one is not', () => {
    expect(owed(found({ turn: 2 }))).toContain('Rotors turned by hand is out')
    expect(owed(found({}))).not.toContain('Rotors turned by hand is out')
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
  it.each<[string, Parameters<typeof reading>, object, RegExp]>([
    ['an answer that is not on the sheet', ['turn', 'inspect', [[0]]], { texts: [['fine']] }, /not on the sheet/],
    ['an answer under another’s number', ['turn', 'inspect', [[2]]], { texts: [['smooth all round']] }, /not on the/],
    ['a number no answer has', ['turn', 'inspect', [[7]]], { texts: [['x']] }, /outside what can be believed/],
    ['a place it is not asked in', ['burrs', 'inspect', [[0]]], { texts: [['nothing']] }, /no such place/],
  ])('refuses %s', (_, [check, moment, tries], more, words) => {
    const one = worker(sheet)
    one.workUntil('measure')
    expect(refusal(one, 'reading.taken', reading(check, moment, tries, more))).toMatch(words)
    expect(
      refusal(one, 'reading.taken', reading('turn', 'inspect', [[0]], { texts: [['smooth all round']] })),
    ).toBeNull()
  })
  it('is answered once; another answer is a correction with its reason', () => {
    const again = reading('turn', 'inspect', [[1]], { texts: [['a little gritty']] })
    expect(refusal(found({}), 'reading.taken', again)).toMatch(/measured there already/)
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
