import { describe, expect, it } from 'vitest'
import { refusal } from '../../../tests/pump.ts'
import { librarySheet, worker } from '../../../tests/sheets.ts'
import { WALKS } from '../../../tests/walks/index.ts'
import type { Technician } from '../../../demo/technician.ts'
import { asksOf, hindrances, lacks, recordOf, sentenceOf, viewJob, wantedAt, type Payloads } from '../index.ts'
import { examineSheet } from '../../sheet/examination/index.ts'
import { SUMS_BY_NAME } from '../../sums/index.ts'

const PUMP = 'm14-axially-split-pump'
const GEAR = 'm10-gear-unit'
const BLADES = 'm8-scraped-surface-exchanger'

/** A machine in good order, but for what is read otherwise. */
const machine = (name: string, otherwise: Record<string, number | string> = {}) =>
  worker(librarySheet(name), { ...WALKS.find(one => one.sheet === name)!.figures({}), ...otherwise })

const hinderedAt = (one: Technician, step: string) => {
  const { plan, folded } = one
  return hindrances(plan, folded.state, viewJob(plan, folded.state).owed, plan.steps.get(step)!)
    .filter(({ settle }) => settle.to !== 'step' && settle.to !== 'caution')
    .map(({ text }) => text)
}
const TURNED = 'Cap to housing, drive end: 1 dot against no dot'

describe('what is wrong stops what would be done on it', () => {
  /** The pump with the cap of the drive end turned round. */
  function capTurned() {
    const one = machine(PUMP)
    one.workUntil('cap-on-de')
    one.doStep(one.plan.steps.get('cap-on-de')!, { mates: { 'cap-de': { dots: [1, 0] } } })
    return one
  }
  const answer = (dots: [number, number]): Payloads['mate.answered'] => ({ mate: 'cap-de', dots })

  it('what would be opened while it is made safe, once something of that is wrong', () => {
    const one = machine('m5-reciprocating-compressor', { 'gone discharge side': 0.03 })
    one.workUntil('oil-out')
    const of = (text: string) => text.startsWith('Pressure left in it failed')
    expect(hinderedAt(one, 'oil-out').filter(of)).toHaveLength(1)
    const off = { parts: ['plug'], step: 'oil-out' }
    expect(refusal(one, 'step.done', { step: 'oil-out' })?.code).toBeDefined()
    expect(sentenceOf(refusal(one, 'part.lifted', off)!)).toContain('Pressure left in it failed')
    // What else is locked and drained goes on: nothing that is wrong elsewhere keeps a machine from being made safe.
    expect(hinderedAt(one, 'try-start').filter(of)).toEqual([])
  })
  it('its screws, the turning of the rotor and the cover, and nothing that only comes later', () => {
    const one = capTurned()
    for (const step of ['cap-pull-de', 'turn-1', 'top-on', 'run']) expect(hinderedAt(one, step), step).toContain(TURNED)
    for (const step of ['cap-pull-nde', 'set-seal', 'clamp-on', 'clamp-pull', 'gasket-on', 'hub-on', 'left-lift'])
      expect(hinderedAt(one, step), step).not.toContain(TURNED)
    expect(refusal(one, 'step.done', { step: 'cap-pull-de' })).toMatchObject({
      code: 'step.hindered',
      values: { what: TURNED },
    })
  })
  it('its bolts are not pulled over it, and the pad is turned to what is wrong', () => {
    const one = capTurned()
    const bolt = { joint: 'cap-joint-de', pass: 1, bolt: 1, torqueNm: 35, text: '35' }
    expect(refusal(one, 'bolt.pulled', bolt)).toMatchObject({ code: 'step.hindered', values: { what: TURNED } })
    const { plan, folded } = one
    const step = plan.steps.get('cap-pull-de')!
    const { owed, results } = viewJob(plan, folded.state)
    const hindered = hindrances(plan, folded.state, owed, step)
    expect(hindered[0]).toMatchObject({ text: TURNED, wrong: expect.stringMatching(/pinches the bearing/) })
    expect(wantedAt({ plan, state: folded.state, results }, step, hindered)[0]).toEqual({ to: 'mate', mate: 'cap-de' })
  })
  it('until it is put right', () => {
    const one = capTurned()
    one.act('mate.answered', answer([1, 1]))
    for (const { id } of one.plan.sheet.steps) expect(hinderedAt(one, id), id).not.toContain(TURNED)
  })
  it('and is not passed by saying that it cannot be seen', () => {
    const one = capTurned()
    expect(refusal(one, 'mate.answered', { mate: 'cap-de', notYet: true })).toMatchObject({ code: 'mate.stoodWrong' })
    one.act('mate.answered', answer([1, 1]))
    expect(refusal(one, 'mate.answered', { mate: 'cap-de', notYet: true })).toBeNull()
  })
  it('nor by taking the answer back: what nobody has said is not built on', () => {
    const one = capTurned()
    const said = one.folded.entries.find(
      ({ kind, payload }) => kind === 'mate.answered' && (payload as { mate: string }).mate === 'cap-de',
    )!
    one.act('entry.corrected', { target: said.id, why: 'slip' })
    const open = 'How it stands: Cap to housing, drive end'
    expect(hinderedAt(one, 'cap-pull-de')).toContain(open)
    expect(hinderedAt(one, 'set-seal')).not.toContain(open)
    one.act('mate.answered', answer([1, 1]))
    expect(hinderedAt(one, 'cap-pull-de')).not.toContain(open)
  })
  it('or a lead lets it pass as it is, and no longer once it is said anew', () => {
    const one = capTurned()
    one.concede({ kind: 'wrong way', mate: 'cap-de' }, 'Bored for both')
    expect(hinderedAt(one, 'cap-pull-de')).not.toContain(TURNED)
    one.act('mate.answered', answer([2, 1]))
    expect(hinderedAt(one, 'cap-pull-de')).toContain('Cap to housing, drive end: 2 dots against 1 dot')
  })
  it('of several places only what is of that place', () => {
    const one = machine(BLADES, { 'width-b build place 3': 45.2 })
    one.workUntil('sharpen')
    one.doStep(one.plan.steps.get('sharpen')!)
    const out = 'Width of the blades, row B failed: place 3'
    expect(hinderedAt(one, 'blades-on-b')).toContain(out)
    for (const row of ['a', 'c']) expect(hinderedAt(one, `blades-on-${row}`), row).not.toContain(out)
    expect(hinderedAt(one, 'shaft-in')).toContain(out)
  })
  it('a piece that did not come off: what fits it, and what is lifted or turned over it', () => {
    const one = machine(PUMP)
    one.workUntil('face-off')
    one.doStep(one.plan.steps.get('face-off')!, { counts: { 'springs out': 7 } })
    const lost = '7 of 8 came off: Seal springs'
    for (const step of ['face-wet', 'rotor-in', 'turn-1', 'top-on']) expect(hinderedAt(one, step), step).toContain(lost)
    for (const step of ['bush-off', 'sleeve-off', 'bearings-off'])
      expect(hinderedAt(one, step), step).not.toContain(lost)
    one.act('pieces.counted', { part: 'springs', way: 'out', n: 8 })
    expect(hinderedAt(one, 'face-wet')).not.toContain(lost)
  })
  it('the step that the sheet names, where nothing else tells', () => {
    const one = machine(BLADES, { 'pins-far build pin 2': 1.9 })
    one.workUntil('pins-set')
    one.doStep(one.plan.steps.get('pins-set')!)
    const low = 'Drive pins of the primary, far end failed: pin 2'
    expect(hinderedAt(one, 'spring-on-far')).toContain(low)
    expect(hinderedAt(one, 'spring-on-driven')).not.toContain(low)
  })
})

describe('the machine is not started', () => {
  it('over a joint that weeps; it is over what is read as it runs', () => {
    const one = machine(PUMP, { 'test-pressure': 0.4, 'warm-de': 90 })
    one.workUntil('run')
    const wrong = () => hinderedAt(one, 'run').filter(text => / failed| against /.test(text))
    expect(wrong()).toEqual(['Pressure held for 10 minutes failed'])
    one.concede({ kind: 'out', check: 'test-pressure', moment: 'asLeft' }, 'The gauge was at fault')
    expect(wrong()).toEqual([])
    one.doStep(one.plan.steps.get('run')!)
    expect(viewJob(one.plan, one.folded.state).owed.map(({ what }) => what)).toContain(
      'Bearing temperature, drive end failed',
    )
  })
  it('before guards, locks and people are seen to; nobody lets that pass', () => {
    const one = machine(PUMP)
    one.workUntil('run')
    const step = one.plan.steps.get('run')!
    one.prepare(step)
    const { started } = one.said(step)
    const codes = (said: object) => {
      const refused = refusal(one, 'step.done', { step: 'run', ...said })
      return refused && sentenceOf(refused)
    }
    expect(codes({})).toMatch(/Before it is started: Guards and bolts.*Locks at the isolator.*Who stands/s)
    expect(codes({ started: { ...started, locks: 'my own' } })).toMatch(/taken off by whoever put it on/)
    expect(codes({ started: { ...started, people: 'no such answer' } })).toMatch(/Who stands at the machine/)
    // Only the caution of the shift is left to read.
    expect(codes({ started })).toMatch(/cannot be done yet\. Read: Starting up\.$/)
    const asked = asksOf(one.plan, one.folded.state, step)
    expect(lacks(one.plan, asked, { ...one.said(step), started: {} })).toHaveLength(3)
    // What was seen stays on the record.
    one.doStep(step)
    const row = recordOf(one.opened, one.folded.entries, new Map()).steps.find(each => each.title === step.title)
    expect(row?.started).toBe('nothing, all are on; none, each taken off by its owner; nobody, and they know it starts')
    // A step that starts nothing asks nothing of it.
    expect(asksOf(one.plan, one.folded.state, one.plan.steps.get('walk-round')!).starting).toEqual([])
  })
  it('with a bolt missing, whoever would concede it', () => {
    const one = machine(PUMP)
    one.workUntil('nuts-on')
    one.doStep(one.plan.steps.get('nuts-on')!, { counts: { 'case-nuts in': 11 } })
    const of = { kind: 'pieces', part: 'case-nuts', way: 'in' } as const
    expect(hinderedAt(one, 'run').join()).toContain('11 of 12 went back')
    const given = { of, basis: one.basis(of), why: 'The last one tomorrow' }
    expect(refusal(one, 'concession.given', given, 'lead')).toMatchObject({ code: 'concession.never' })
  })
  it('a motor that runs alone waits for what the sheet names, and for guards, locks and people', () => {
    const sheet = structuredClone(librarySheet(PUMP))
    const run = sheet.steps.find(step => step.id === 'run')!
    run.starts = 'motor alone'
    const one = worker(sheet, { ...WALKS.find(walk => walk.sheet === PUMP)!.figures({}), 'test-pressure': 0.4 })
    one.workUntil('run')
    expect(hinderedAt(one, 'run').join()).not.toContain('Pressure held')
    expect(asksOf(one.plan, one.folded.state, one.plan.steps.get('run')!).starting).toHaveLength(3)
  })
  it('with two oil lines crossed', () => {
    const one = machine(GEAR)
    one.workUntil('lines-on')
    const [feed, sprays] = one.plan.steps.get('lines-on')!.fits!.filter(ref => ref.startsWith('oil-line@'))
    one.doStep(one.plan.steps.get('lines-on')!, {
      hands: { [feed!]: sprays!, [sprays!]: feed! },
      swapped: [feed!, sprays!],
    })
    for (const step of ['oil-in', 'run-light', 'run-load'])
      expect(hinderedAt(one, step).join(), step).toContain('is in the place of')
  })
})

describe('a sheet', () => {
  it.each<[string, (sheet: ReturnType<typeof librarySheet>) => void, RegExp]>([
    ['that stops a step it does not have', one => (one.mates[0]!.before = 'nowhere'), /stops an unknown step nowhere/],
    ['whose check does', one => (one.checks[0]!.before = 'nowhere'), /check .* stops an unknown step nowhere/],
    ['that mends what it does not check', one => (one.steps[0]!.mends = ['nothing']), /mends an unknown check nothing/],
  ])('%s is refused', (_, change, words) => {
    const sheet = structuredClone(librarySheet(PUMP))
    change(sheet)
    expect(examineSheet(sheet, SUMS_BY_NAME).join('\n')).toMatch(words)
  })
})
