import { describe, expect, it } from 'vitest'
import { Asking } from '../../../tests/asking.ts'
import { findingsOf, librarySheet, worker } from '../../../tests/sheets.ts'
import type { Complaint, Sheet } from '../../sheet/index.ts'
import { M14 } from '../../../tests/walks/m14.ts'
import { hindrances, lookInto, recordOf, refusalOf, signsAt, viewJob, wantedAt, type Payloads } from '../index.ts'
import { curedBy, isForSign, reportedSigns } from './signs.ts'
import { entryOf } from '../../../tests/pump.ts'

const sheet = librarySheet('m14-axially-split-pump')

/** A pump that was sent in with these signs. */
const reported = (...signs: string[]) => reportedBy(sheet, ...signs)
const reportedBy = (by: Sheet, ...signs: string[]) =>
  worker(
    by,
    findingsOf(M14, true),
    {},
    class extends Asking {
      override open(equipment: string, complaint: string) {
        super.open(equipment, complaint, signs)
      }
    },
  )
type One = ReturnType<typeof reported>
const owed = (one: One) => viewJob(one.plan, one.folded.state).owed
const why = (one: One, payload: Payloads['sign.answered']) =>
  refusalOf(one.opened, one.folded, entryOf('sign.answered', payload, { role: 'fitter' }))?.code ?? null
const signed = (one: One, cured: Payloads['job.signed']['cured']) =>
  refusalOf(one.opened, one.folded, entryOf('job.signed', { cured }, { role: 'lead' }))?.code ?? null

describe('what was reported', () => {
  it('is of the sheet, and puts what may be behind it first', () => {
    const one = reported('weeps')
    expect(reportedSigns(one.plan, one.folded.state).map(each => each.say)).toEqual(['seal weeps'])
    one.workUntil('look-seal')
    const step = one.plan.steps.get('look-seal')!
    expect(signsAt(one.plan, one.folded.state, 'look-seal')).toHaveLength(1)
    expect(signsAt(one.plan, one.folded.state, 'measure-rings')).toEqual([])
    const { results, owed: all } = viewJob(one.plan, one.folded.state)
    const scene = { plan: one.plan, state: one.folded.state, results }
    const wanted = wantedAt(scene, step, hindrances(one.plan, one.folded.state, all, step))
    expect(wanted.length).toBeGreaterThan(2)
    expect(all.filter(each => isForSign(one.plan, one.folded.state, each.id)).map(each => each.what)).toContain(
      'Seal springs, shortest',
    )
    // Nothing of another sign.
    expect(isForSign(one.plan, one.folded.state, { check: 'discharge' })).toBe(false)
  })
  it.each<[string, Complaint['look']]>([
    ['the step itself', { steps: ['look-seal'] }],
    ['a look that is taken there', { looks: ['seal-faces'] }],
    ['one of several looks', { looks: ['impeller', 'seal-faces'] }],
    ['a check that is read there, among its moments', { checks: ['spring-length'] }],
  ])('is looked into at a step for %s', (_, look) => {
    const one = reportedBy({ ...sheet, complaints: [{ id: 'weeps', say: 'seal weeps', look }] }, 'weeps')
    const at = (step: string) => signsAt(one.plan, one.folded.state, step).map(each => each.id)
    expect([at('look-seal'), at('leak-test')]).toEqual([['weeps'], []])
  })
  it('comes first on the pad, whatever else the step wants', () => {
    const one = reported('low-head')
    one.workUntil('measure-rings')
    const step = one.plan.steps.get('measure-rings')!
    const { results, owed: all } = viewJob(one.plan, one.folded.state)
    const at = (of: One) =>
      wantedAt(
        { plan: of.plan, state: of.folded.state, results },
        step,
        hindrances(of.plan, of.folded.state, all, step),
      )
    const isFor = (each: ReturnType<typeof at>[number]) => each.to === 'look' && each.look === 'impeller'
    expect(isFor(at(one)[0]!)).toBe(true)
  })
  it('is answered once the machine has run, before it is handed back', () => {
    const one = reported('weeps', 'hot')
    one.workUntil('run')
    const answer = { sign: 'weeps', how: 'gone', was: 'Heat checks' } as const
    expect(why(one, answer)).toBe('sign.notYet')
    one.workUntil()
    expect(owed(one).map(each => each.what)).toEqual(['Reported: seal weeps', 'Reported: bearing runs hot'])
    expect(signed(one, 'yes')).toBe('job.gateShut')
    expect(why(one, { sign: 'weeps', how: 'gone' })).toBe('sign.was')
    expect(why(one, { sign: 'low-head', how: 'gone', was: 'x' })).toBe('sign.notReported')
    expect(why(one, { sign: 'moon', how: 'gone', was: 'x' })).toBe('sheet.unknown')
    one.act('sign.answered', answer)
    one.act('sign.answered', { sign: 'hot', how: 'no cause found' })
    expect(owed(one)).toEqual([])
    expect(curedBy(one.plan, one.folded.state)).toBe('not known yet')
    expect(signed(one, 'yes')).toBe('job.answered')
    expect(signed(one, 'not known yet')).toBeNull()
    one.act('sign.answered', { sign: 'hot', how: 'not gone' })
    expect(curedBy(one.plan, one.folded.state)).toBe('no')
    one.act('sign.answered', { sign: 'hot', how: 'gone', was: 'Too much grease' })
    expect(curedBy(one.plan, one.folded.state)).toBe('yes')
    expect(recordOf(one.plan, one.folded.entries, new Map()).signs).toMatchObject([
      { say: 'seal weeps', how: 'gone', was: 'Heat checks' },
      { say: 'bearing runs hot', how: 'gone', was: 'Too much grease' },
    ])
  })
  it('shows all that was found for it, the worst first, what is renewed since as it was read', () => {
    const one = reported('weeps')
    Object.assign(one.findings, findingsOf({ ...M14, 'old-rings seat ring': 'swollen or soft' }, true))
    one.workUntil()
    const [sign] = reportedSigns(one.plan, one.folded.state)
    const found = lookInto(one.plan, one.folded.state, viewJob(one.plan, one.folded.state).results, sign!.look)
    expect(found[0]).toMatchObject({ what: 'Seal O-rings as they come out', verdict: 'Out' })
    expect(found.map(each => each.verdict)).not.toContain(null)
    expect(found.find(each => each.what === 'Shaft run-out, middle')!.known).toMatch(/ mm$/)
  })
  it('in words alone asks nothing more than whether it is cured', () => {
    const one = reported()
    one.workUntil()
    expect(curedBy(one.plan, one.folded.state)).toBeNull()
    expect(signed(one, 'no')).toBeNull()
  })
})
