import { describe, expect, it } from 'vitest'
import { refusal } from '../../../tests/pump.ts'
import { openedWith, sheetNamed, worker } from '../../../tests/sheets.ts'
import type { Technician } from '../../../demo/technician.ts'
import { examineSheet } from '../../sheet/examination/index.ts'
import { SUMS_BY_NAME } from '../../sums/index.ts'
import { asksOf, lacks, recordOf, sentenceOf, type Payloads } from '../index.ts'
import { isSameFact } from './facts.ts'

const HOIST = sheetNamed('lever-hoist')

/** A hoist whose earlier jobs kept this of it. */
const hoist = (kept?: Payloads['job.opened']['kept']): Technician =>
  worker(HOIST, {}, { limiter: 'none' }, openedWith(kept ? { kept } : {}))
const SERIAL = [{ fact: 'serial', text: 'LH 4471' }]
const isolate = (one: Technician) => one.plan.steps.get('isolate')!
const says = (one: Technician, facts: Record<string, string>, otherFacts: string[] = []) => {
  const right = one.said(isolate(one))
  const said = { ...right, facts: { ...right.facts, ...facts }, otherFacts }
  return lacks(one.plan, asksOf(one.plan, one.folded.state, isolate(one)), said)
}
const table = (one: Technician) =>
  recordOf(one.plan, one.folded.entries, new Map()).facts.map(row => [row.what, row.says, row.was])

describe('what a machine says of itself', () => {
  it.each([
    ['LH 4471', 'lh4471', true],
    ['LH-4471', 'LH 4471', true],
    ['LH 4471', 'LH 4477', false],
    ['LH 447', 'LH 4471', false],
  ])('%s and %s are the same: %s', (one, other, same) => expect(isSameFact(one, other)).toBe(same))
  it('is written down before the step is done, and stands on the record', () => {
    const one = hoist()
    expect(says(one, { serial: ' ' })).toEqual(['Write down what it says. What serial stands on the plate?'])
    expect(refusal(one, 'step.done', { step: 'isolate' })).toMatchObject({ code: 'step.hindered' })
    one.doStep(isolate(one), { facts: { serial: 'LH 9', examined: '01-2026' } })
    expect(one.folded.state.steps.has('isolate')).toBe(true)
    expect(table(one)).toEqual([
      ['Serial', 'LH 9', 'not kept before'],
      ['Last examination', '01-2026', 'not kept before'],
    ])
    expect(asksOf(one.plan, one.folded.state, isolate(one)).facts).toEqual([])
  })
  it('is confirmed the next time, however it is parted', () => {
    const one = hoist(SERIAL)
    expect(says(one, { serial: 'lh-4471' })).toEqual([])
    one.doStep(isolate(one), { facts: { serial: 'lh-4471', examined: '01-2026' } })
    expect(table(one)[0]).toEqual(['Serial', 'lh-4471', 'as it was'])
  })
  it('another one is named, on the pad and by the server, until somebody says that it is another', () => {
    const one = hoist(SERIAL)
    const why =
      'What serial stands on the plate? It says “LH 4477”, and the last job kept “LH 4471”. Look again; where it is another one, say so.'
    expect(says(one, { serial: 'LH 4477' })).toEqual([why])
    expect(says(one, { serial: 'LH 4477' }, ['serial'])).toEqual([])
    const refused = refusal(one, 'fact.read', { fact: 'serial', text: 'LH 4477' })!
    expect([refused.code, sentenceOf(refused)]).toEqual(['fact.another', why])
    one.doStep(isolate(one), { facts: { serial: 'LH 4477', examined: '01-2026' }, otherFacts: ['serial'] })
    expect(table(one)[0]).toEqual(['Serial', 'LH 4477', 'another one: it was LH 4471'])
  })
  it('of what the sheet does not ask nothing is kept', () =>
    expect(refusal(hoist(), 'fact.read', { fact: 'colour', text: 'red' })).toMatchObject({ code: 'sheet.unknown' }))
  it('a fact that two steps read is at fault', () => {
    const twice = structuredClone(HOIST)
    twice.steps.find(step => step.id === 'open')!.keeps = isolate(hoist()).keeps
    expect(examineSheet(twice, SUMS_BY_NAME).join()).toContain('the fact serial is read at two steps: read it once')
  })
})
