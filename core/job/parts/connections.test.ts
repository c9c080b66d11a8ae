import { describe, expect, it } from 'vitest'
import { sheetNamed, worker } from '../../../tests/sheets.ts'
import { Asking } from '../../../tests/asking.ts'
import { planFor, readSheet, type Sheet } from '../../sheet/index.ts'
import { examineSheet } from '../../sheet/examination/index.ts'
import { SUMS_BY_NAME } from '../../sums/index.ts'
import { asksOf, lacks, nextStep, undecided, viewJob } from '../index.ts'

const sheet = () => readSheet(structuredClone(sheetNamed('dosing-pump'))) as Sheet
const LABELS: Record<string, string> = {
  'wire-pulse-end-1': 'T3',
  'wire-alarm-end-1': 'T5',
  'wire-level-end-1': 'T7',
  'hose-in-end-1': 'lower port',
  'hose-in-end-2': 'long lance',
  'hose-out-end-1': 'upper port',
  'hose-out-end-2': 'bleed port',
}
/** Somebody who reads what stands on each end. */
class Reading extends Asking {
  override mark(id: string) {
    this.act('mark.made', { mate: id, label: LABELS[id]!, seenFrom: 'motor', carrier: 'label' })
  }
}
const at = (step?: string) => {
  const one = worker(sheet(), {}, { level: 'fitted' }, Reading) as Reading
  one.workUntil(step)
  return one
}
const owed = (one: Asking) => viewJob(one.plan, one.folded.state).owed

describe('a connection', () => {
  it('is written out as a label at each end, marked as it comes off and read as it goes back', () => {
    const { steps, mates } = planFor(sheet(), { level: 'fitted' }, SUMS_BY_NAME)
    expect(steps.get('hoses-off')).toMatchObject({
      marks: ['hose-in-end-1', 'hose-in-end-2', 'hose-out-end-1', 'hose-out-end-2'],
      leaves: [
        { id: 'caps-hose-in', what: 'Caps on Hose, suction', until: 'hoses-on', pieces: 2 },
        { id: 'caps-hose-out', what: 'Caps on Hose, discharge', until: 'hoses-on', pieces: 2 },
      ],
    })
    expect(mates.get('wire-pulse-end-1')).toMatchObject({
      a: 'board',
      b: 'wire@pulse',
      title: 'Wire, pulse, at the terminal board',
    })
    expect([...planFor(sheet(), { level: 'none' }, SUMS_BY_NAME).mates.keys()]).not.toContain('wire-level-end-1')
    // What is written out already is not written out twice.
    expect(readSheet(sheet() as never)).toEqual(sheet())
  })
  it('does not come off before its ends are read', () => {
    const one = at('leads-off')
    expect(owed(one).filter(each => each.kind === 'mark' && each.step === 'leads-off')).toHaveLength(3)
  })
  it('is neither bagged nor tagged, and nobody decides it', () => {
    const one = at('leads-off')
    const { bags, tags } = asksOf(one.plan, one.folded.state, one.plan.steps.get('leads-off')!)
    expect([bags, tags]).toEqual([[], []])
    one.workUntil('decide')
    expect(
      owed(one)
        .filter(each => each.kind === 'decision')
        .map(each => each.what),
    ).toEqual(['Decide: Pump head'])
    expect(undecided(one.plan, one.folded.state).map(each => each.ref)).toEqual(['head'])
  })
  it('that is crossed is named with the one it is crossed with, and the start waits for it', () => {
    const one = at('leads-on')
    const step = nextStep(one.plan, one.folded.state)!
    const said = one.said(step)
    one.prepare(step)
    one.doStep(step, {
      mates: { ...said.mates, 'wire-pulse-end-1': { label: 'T5' }, 'wire-alarm-end-1': { label: 't 3' } },
    })
    const wrong = owed(one).filter(each => each.kind === 'wrong way')
    expect(wrong.map(each => [each.what, each.why])).toEqual([
      [
        'Wire, pulse, at the terminal board: reads “T5”',
        'It is crossed: that belongs to Wire, alarm, at the terminal board. The pump doses on the alarm, and stands still on the pulse',
      ],
      [
        'Wire, alarm, at the terminal board: reads “t 3”',
        'It is crossed: that belongs to Wire, pulse, at the terminal board. The pump doses on the alarm, and stands still on the pulse',
      ],
    ])
    expect(() => one.workUntil()).toThrow(/Wire, (pulse|alarm)/)
    one.act('mate.answered', { mate: 'wire-pulse-end-1', label: 'T3' })
    one.act('mate.answered', { mate: 'wire-alarm-end-1', label: 'T5' })
    one.workUntil()
    expect(owed(one)).toEqual([])
  })
  it('goes back with its caps counted off', () => {
    const one = at('hoses-on')
    const step = one.plan.steps.get('hoses-on')!
    const said = one.said(step)
    expect(
      lacks(one.plan, asksOf(one.plan, one.folded.state, step), {
        ...said,
        counts: { ...said.counts, 'caps-hose-out out': 1 },
      }).join(' '),
    ).toContain('Caps on Hose, discharge: 2 went in, 1 came out')
  })
  it.each([['fitted'], ['none']])('goes from make-safe to the last step without a word: %s', level => {
    const one = worker(sheet(), {}, { level }, Reading) as Reading
    one.workUntil()
    expect([owed(one), one.folded.state.flags]).toEqual([[], []])
  })
})

describe('a connection that makes no sense', () => {
  it.each<[string, (wire: Record<string, unknown>) => void, string]>([
    ['ends nowhere', wire => delete wire.joins, 'wire@pulse is a connection and does not say where its ends go'],
    ['is none', wire => (wire.kind = 'pipe'), 'wire@pulse says where its ends go, which only a connection does'],
    [
      'goes to nothing',
      wire => (wire.joins = [{ to: 'moon', at: 'x', example: 'x' }]),
      'wire@pulse goes to an unknown part moon',
    ],
    ['is bagged', wire => (wire.keep = 'bag'), 'wire@pulse is a connection, which is told by its labels: lay it out'],
    [
      'is always new',
      wire => (wire.renewal = 'always'),
      'wire@pulse is a connection, which nobody decides: on condition',
    ],
    ['may be crossed', wire => delete wire.ifSwapped, 'wire@pulse does not say what comes of it when it is crossed'],
  ])('%s', (_, does, sentence) => {
    const source = structuredClone(sheetNamed('dosing-pump'))
    does(source.parts.find(part => part.id === 'wire') as unknown as Record<string, unknown>)
    expect(examineSheet(source, SUMS_BY_NAME)).toContain(sentence)
  })
  it('and one that does is sound', () => expect(examineSheet(sheetNamed('dosing-pump'), SUMS_BY_NAME)).toEqual([]))
})
