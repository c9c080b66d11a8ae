import { describe, expect, it } from 'vitest'
import { findingsOf, librarySheet, worker, type Read } from '../../../tests/sheets.ts'
import { Asking } from '../../../tests/asking.ts'
import { entryOf } from '../../../tests/pump.ts'
import { seenOn } from '../../../tests/seen.ts'
import { M14 } from '../../../tests/walks/m14.ts'
import {
  findingsOn,
  leftToLead,
  projectJob,
  proposalsOf,
  recordOf,
  recordTables,
  refusalOf,
  signedFor,
  takeIn,
  viewJob,
  type AnyEntry,
  type Payloads,
} from '../index.ts'

const sheet = librarySheet('m14-axially-split-pump')
const FACES = 'seal-faces'
const at = (step?: string, read: Read = {}) => {
  const one = worker(sheet, findingsOf({ ...M14, ...read }, true), {}, Asking)
  one.workUntil(step)
  return one
}
type One = ReturnType<typeof at>
const owed = (one: One) => viewJob(one.plan, one.folded.state).owed
const proposed = (one: One, part: string) =>
  proposalsOf(one.plan, one.folded.state, viewJob(one.plan, one.folded.state).results).get(part)
const looked = (part: string, findings: Payloads['part.looked']['findings'], look: string | undefined = FACES) => ({
  part,
  ...(look ? { look } : {}),
  findings,
  ...(findings.some(each => each.deg !== undefined) ? { seenFrom: 'drive end' } : {}),
})
const decides = (payload: Payloads['part.decided'], one: One) =>
  refusalOf(one.opened, one.folded, entryOf('part.decided', payload, { role: 'fitter' }))?.code ?? null
const why = (one: One, payload: Payloads['part.looked']) =>
  refusalOf(one.opened, one.folded, entryOf('part.looked', payload, { role: 'fitter' }))?.code ?? null

describe('a look at a part', () => {
  it('is owed at its step, part by part, until each was looked at', () => {
    const one = at('look-seal')
    const left = () => owed(one).filter(each => each.kind === 'look' && each.step === 'look-seal')
    expect(left().map(each => each.what)).toEqual([
      'Look at: Rotating face (seal faces)',
      'Look at: Stationary seat (seal faces)',
      expect.stringMatching(/^Look at: .*sleeve/i),
    ])
    const done = entryOf('step.done', { step: 'look-seal' }, { role: 'fitter' })
    expect(refusalOf(one.opened, one.folded, done)?.code).toBe('step.hindered')
    one.act('part.looked', looked('rotating-face', []))
    expect(left()).toHaveLength(2)
  })
  it('is told in words that a fitter uses, with where it is', () => {
    const one = at('look-seal')
    one.act('part.looked', looked('rotating-face', [{ code: 'chip', grade: 2, deg: 60, toDeg: 90, note: 'fresh' }]))
    expect(findingsOn(one.plan, one.folded.state, 'rotating-face')).toMatchObject([
      { text: 'Chipped edge, into its track, from 2:00 round to 3:00 seen from the drive end, fresh', verdict: 'Out' },
    ])
  })
  it('refuses what is no finding of it, what is nowhere on it, and what was looked at', () => {
    const one = at('look-seal')
    const face = (finding: Partial<Payloads['part.looked']['findings'][number]>) =>
      looked('rotating-face', [{ code: 'chip', grade: 1, ...finding }])
    expect(why(one, face({ code: 'flakes' }))).toBe('look.noSuchCode')
    expect(why(one, face({ code: 'other' }))).toBe('look.inWords')
    expect(why(one, face({ toDeg: 30 }))).toBe('look.from')
    expect(why(one, face({ zone: 'bore' }))).toBe('look.noSuchPlace')
    expect(why(one, face({ face: 'back' }))).toBe('look.noSuchPlace')
    expect(why(one, { ...face({ deg: 30 }), seenFrom: 'the moon' })).toBe('sheet.views')
    expect(why(one, looked('shaft', []))).toBe('look.notOf')
    expect(why(one, looked('moon', []))).toBe('sheet.unknown')
    expect(why(one, looked('rotating-face', [], 'moon'))).toBe('sheet.unknown')
    expect(why(at('found-float'), looked('rotating-face', []))).toBe('step.outOfReach')
    one.act('part.looked', face({}))
    expect(why(one, looked('rotating-face', []))).toBe('look.taken')
  })
  it('is corrected with its reason, and added to in passing', () => {
    const one = at('look-seal')
    const first = one.act('part.looked', looked('rotating-face', [{ code: 'checks', grade: 1 }]))
    one.act('part.looked', looked('rotating-face', [{ code: 'groove', grade: 2 }], ''))
    expect(findingsOn(one.plan, one.folded.state, 'rotating-face')).toHaveLength(2)
    const replacement = looked('rotating-face', [])
    one.act('entry.corrected', { target: first.id, why: 'Wiped off', replacement })
    expect(findingsOn(one.plan, one.folded.state, 'rotating-face').map(each => each.finding.code)).toEqual(['groove'])
  })
  it('said by two who had not seen each other stands as the worse', () => {
    const one = at('look-seal')
    one.act('part.looked', looked('rotating-face', [{ code: 'checks', grade: 2 }]))
    const seq = one.folded.entries.length
    const other = entryOf('part.looked', looked('rotating-face', []), { role: 'fitter' })
    const taken = takeIn(one.opened, one.folded, [{ ...other, seq: seq + 1, seen: seq - 1, tablet: 'b' } as AnyEntry])
    expect(taken.ok && findingsOn(one.plan, taken.folded.state, 'rotating-face')).toHaveLength(1)
  })
  it('that cannot be had is given up by whom the sheet says, which is nobody here', () => {
    const one = at('look-seal')
    const lost = { look: FACES, part: 'rotating-face', why: 'It broke' }
    const given = () =>
      refusalOf(one.opened, one.folded, entryOf('evidence.lost', lost, { role: 'fitter' }))?.code ?? null
    expect(given()).toBe('evidence.mayNot')
    one.plan.looks.get(FACES)!.lost = 'fitter'
    one.act('evidence.lost', lost)
    delete one.plan.looks.get(FACES)!.lost
    expect(owed(one).some(each => each.what.includes('Rotating face (seal'))).toBe(false)
  })
})

describe('what was found on a part', () => {
  it('proposes what becomes of it: the worst of all that was found', () => {
    const one = at('decide', { 'seal-faces rotating-face': 'chip 1 at 3:00; checks 2' })
    expect(proposed(one, 'rotating-face')).toMatchObject({
      choice: 'renew',
      because: [expect.stringMatching(/^Chipped edge/), 'Heat checks, side by side'],
    })
    expect(proposed(one, 'stationary-seat')).toMatchObject({ choice: 'reuse', because: [] })
  })
  it('stops nothing until the part is decided for reuse, and then whatever would build it in', () => {
    const one = at('decide', { 'seal-faces rotating-face': 'checks 2' })
    const found = () => owed(one).find(each => each.kind === 'finding')
    expect(found()).toBeUndefined()
    const decided = { parts: ['rotating-face'], proposed: 'renew', found: 'Heat checks, side by side' } as const
    expect(decides({ ...decided, choice: 'reuse' }, one)).toBe('part.decided.against')
    one.act('part.decided', { ...decided, choice: 'reuse', why: 'Lapped here' })
    expect(found()).toMatchObject({
      what: 'Rotating face failed: Heat checks, side by side',
      who: 'lead',
      holdsStart: true,
    })
    expect(found()!.wrong!.stops.has('face-wet') || found()!.wrong!.stops.has('face-on')).toBe(true)
    one.act('part.decided', { ...decided, choice: 'renew' })
    expect(found()).toBeUndefined()
  })
  it('that is for a lead to say of is put on reuse with a reason, which whoever signs reads first', () => {
    const one = at('decide', { 'seal-faces stationary-seat': 'coke 2' })
    expect(leftToLead(one.plan, one.folded.state, 'stationary-seat')).toBe('Coked or crusted, a hard rim behind it')
    expect(decides({ parts: ['stationary-seat'], choice: 'reuse' }, one)).toBe('part.decided.leadReads')
    one.prepare(one.plan.steps.get('decide')!)
    expect(signedFor(one.plan, one.folded.state)[0]).toMatchObject({
      isOdd: true,
      found: expect.stringMatching(/hard rim/),
    })
  })
  it('beside something slight proposes nothing: all proposals are taken with one press, and this one wants a reason', () => {
    const one = at('decide', { 'seal-faces stationary-seat': 'coke 2; wide 1' })
    expect(proposed(one, 'stationary-seat')).toBeUndefined()
    expect(proposed(one, 'rotating-face')).toMatchObject({ choice: 'reuse' })
    const worse = at('decide', { 'seal-faces stationary-seat': 'coke 2; checks 1' })
    expect(proposed(worse, 'stationary-seat')).toMatchObject({ choice: 'renew' })
  })
  it('tells of the old part once a new one is taken: that may be looked at, and need not be', () => {
    const one = at('decide', { 'seal-faces rotating-face': 'checks 2' })
    one.act('part.decided', { parts: ['rotating-face'], choice: 'renew', proposed: 'renew', found: 'Heat checks' })
    one.act('part.renewed', { part: 'rotating-face', from: 'stock' })
    expect(owed(one).filter(each => each.kind === 'look')).toEqual([])
    expect(why(one, looked('rotating-face', []))).toBeNull()
    one.act('part.looked', looked('rotating-face', [{ code: 'chip', grade: 1, deg: 30 }]))
    expect(findingsOn(one.plan, one.folded.state, 'rotating-face')).toHaveLength(1)
  })
  it('on a part that came back from rework is history, and it is looked at again before it goes in', () => {
    const one = at('decide', { 'sleeve sleeve': 'scores 3, under the bush' })
    one.act('part.decided', { parts: ['sleeve'], choice: 'rework', proposed: 'rework', found: 'Scored' })
    one.act('part.returned', { part: 'sleeve' })
    expect(findingsOn(one.plan, one.folded.state, 'sleeve')).toEqual([])
    const again = owed(one).find(each => each.kind === 'look')!
    expect(again).toMatchObject({ what: expect.stringMatching(/^Look again at/), station: 'build' })
    one.act('part.looked', looked('sleeve', [], 'sleeve'))
    expect(owed(one).filter(each => each.kind === 'look')).toEqual([])
  })
  it('on what stays in the machine is owed to a lead', () => {
    const one = at('decide')
    const fixed = [...one.plan.parts.keys()].find(ref => !one.plan.removedBy.has(ref))!
    one.act('part.looked', seenOn(fixed, 'a crack at a foot', { grade: 3 }))
    expect(owed(one).find(each => each.kind === 'finding')).toMatchObject({ why: 'It is in the machine as it is' })
  })
  it('stands on the record beside a clock, and with the fleet for the next overhaul', () => {
    const one = at(undefined, { 'seal-faces rotating-face': 'wide 1 from 4:00 to 9:30' })
    const table = recordTables(recordOf(one.plan, one.folded.entries, new Map())).find(
      each => each.title === 'Looked at',
    )!
    const row = table.rows.find(each => JSON.stringify(each).includes('Track too wide'))!
    expect(row.find(each => each.arcs)!.arcs).toEqual([[120, 285]])
    const kept = projectJob(one.plan, one.folded.state).looks
    expect(kept.find(each => each.partRef === 'rotating-face')).toMatchObject({
      lookId: FACES,
      stands: true,
      seenFrom: 'drive end',
      findings: [{ code: 'wide', grade: 1, deg: 120, toDeg: 285 }],
    })
    expect(kept.find(each => each.partRef === 'stationary-seat')!.findings).toEqual([])
  })
  it('is not what is in there any more once its part is new', () => {
    const one = at('decide')
    one.act('part.looked', looked('face-ring', [{ code: 'other', grade: 1, note: 'torn' }], ''))
    const stands = () =>
      Object.fromEntries(projectJob(one.plan, one.folded.state).looks.map(each => [each.partRef, each.stands]))
    expect(stands()).toMatchObject({ 'rotating-face': true, 'stationary-seat': true, 'face-ring': false })
    one.act('part.decided', { parts: ['rotating-face'], choice: 'renew', proposed: 'reuse', found: '', why: 'It wept' })
    one.act('part.renewed', { part: 'rotating-face', from: 'stock' })
    expect(stands()).toMatchObject({ 'rotating-face': false, 'stationary-seat': true })
  })
})
