import { describe, expect, it } from 'vitest'
import { Asking } from '../../../tests/asking.ts'
import { entryOf } from '../../../tests/pump.ts'
import { findingsOf, librarySheet, worker, type Read } from '../../../tests/sheets.ts'
import { M20 } from '../../../tests/walks/m20.ts'
import { failureTables, groupDials, recordOf, refusalOf, viewJob, weighCauses, type Payloads } from '../index.ts'

const sheet = librarySheet('m20-dual-seal')
const LEARNT = { faces: 'carbon', duty: 'plain', purpose: 'analysis' }
type One = ReturnType<typeof at>
function at(step: string | undefined, read: Read = {}, variants: Record<string, string> = LEARNT) {
  const one = worker(sheet, findingsOf({ ...M20, ...read }, true), variants, Asking)
  one.workUntil(step)
  return one
}
const sceneOf = (one: One) => {
  const { state } = one.folded
  return { plan: one.plan, state, results: viewJob(one.plan, state).results }
}
const ranking = (one: One) => weighCauses(sceneOf(one)).suspects.map(({ id, score }) => [id, score])
const refused = (one: One, payload: Payloads['cause.said']) =>
  refusalOf(one.opened, one.folded, entryOf('cause.said', payload, { role: 'fitter' }))?.code ?? null
const owed = (one: One) => viewJob(one.plan, one.folded.state).owed.filter(each => each.kind === 'cause')

describe('causes of a failure', () => {
  it('are weighed by what was found for them and against them, the likeliest first', () => {
    const one = at('say-cause', {
      'ring-out': 'hard and cracked',
      'slots-out': 'both sides',
      'faces face@out': 'checks 2 at 3:00',
      'faces seat@out': 'checks 1 at 3:00',
      'set-found': 1.7,
    })
    expect(ranking(one)).toEqual([
      ['dry-out', 6],
      ['pressed', 4],
      ['askew', 1],
    ])
    const [dry, pressed] = weighCauses(sceneOf(one)).suspects
    expect(dry!.speaksFor.map(each => each.known)).toEqual([
      expect.stringContaining('Heat checks, side by side, at 3:00'),
      expect.stringContaining('Heat checks, a few'),
      'hard and cracked',
      'both sides',
    ])
    expect(pressed!.speaksFor[0]).toMatchObject({ what: 'Setting as received', known: '1.70 mm', weighs: 3 })
  })
  it('that nothing wrong speaks for are none, whatever is sound', () => {
    const one = at('say-cause')
    expect(ranking(one)).toEqual([])
    expect(weighCauses(sceneOf(one)).others).toHaveLength(sheet.causes!.length)
  })
  it('are spoken against by what was looked at and is sound', () => {
    const one = at('say-cause', { 'slide-in': 'worn where it slides' })
    const [moving] = weighCauses(sceneOf(one)).suspects
    expect(moving).toMatchObject({ id: 'moving', score: -1 })
    expect(moving!.speaksAgainst).toHaveLength(4)
  })
  it('say what would tell and nobody knows, and count nothing for it', () => {
    const one = at('read-faces', { 'slide-in': 'worn where it slides' })
    const [moving] = weighCauses(sceneOf(one)).suspects
    expect(moving).toMatchObject({ id: 'moving', score: 2, speaksAgainst: [], notKnown: ['Faces', 'Sleeve'] })
  })
  it('go by the side on which a figure is out, and by how bad a finding is', () => {
    expect(ranking(at('say-cause', { 'set-found': 2.3 }))[0]).toEqual(['open', 3])
    expect(ranking(at('say-cause', { 'faces face@in': 'coke 1 at 6:00' }))).toEqual([])
    expect(ranking(at('say-cause', { 'faces face@in': 'coke 2 at 6:00' }))).toEqual([['solids', 3]])
  })
  it('take up what was reported, and say nothing of what was not', () => {
    const one = worker(sheet, findingsOf({ ...M20, 'ring-out': 'hard and cracked' }, true), LEARNT, Asking)
    const { payload } = one.folded.entries[0] as unknown as { payload: Payloads['job.opened'] }
    payload.signs = ['hot']
    one.folded.state.opened!.payload.signs = ['hot']
    one.workUntil('say-cause')
    expect(
      weighCauses(sceneOf(one))
        .suspects.find(each => each.id === 'dry-out')!
        .speaksFor.map(each => each.known),
    ).toEqual(['hard and cracked', 'gland runs hot'])
  })
  it('stay what they were once a part is reworked and looked at again', () => {
    const one = at('decide', {
      'sleeve sleeve': 'fretted 2, under the inboard face',
      'slide-in': 'worn where it slides',
    })
    const before = ranking(one)
    one.act('part.decided', { parts: ['sleeve'], choice: 'rework', why: 'polished' })
    one.act('part.returned', { part: 'sleeve', note: 'polished' })
    one.act('part.looked', { part: 'sleeve', look: 'sleeve', findings: [] })
    expect(ranking(one)).toEqual(before)
    // On record both are there: what was found, and that it is mended.
    const looks = recordOf(one.opened, one.folded.entries, new Map()).looks.filter(each => each.part.text === 'Sleeve')
    expect(looks.map(each => each.history)).toEqual([true, false])
  })
})

describe('what it failed of', () => {
  const coked = () => at('say-cause', { 'faces face@in': 'coke 2 at 6:00' })
  it('holds its step until it is said, and is asked only where it is to be learnt', () => {
    const one = coked()
    expect(owed(one)).toMatchObject([{ step: 'say-cause', settle: { to: 'cause' } }])
    const done = entryOf('step.done', { step: 'say-cause' }, { role: 'fitter' })
    expect(refusalOf(one.opened, one.folded, done)?.code).toBe('step.hindered')
    one.act('cause.said', { cause: 'solids' })
    expect(owed(one)).toEqual([])
    one.workUntil()
    const routine = at('decide', {}, { ...LEARNT, purpose: 'routine' })
    expect(owed(routine)).toEqual([])
    expect(refused(routine, { cause: 'solids' })).toBe('cause.notAsked')
  })
  it('wants a word where less speaks for it, where it is another, and where none was found', () => {
    const one = coked()
    expect(refused(one, { cause: 'moon' })).toBe('sheet.unknown')
    expect(refused(one, { cause: 'aged' })).toBe('cause.likelier')
    expect(refused(one, { cause: 'aged', why: 'It stood for four years' })).toBeNull()
    expect(refused(one, { cause: 'other' })).toBe('cause.inWords')
    expect(refused(one, { cause: 'not found', why: ' ' })).toBe('cause.ruledOut')
    expect(refused(one, { cause: 'solids' })).toBeNull()
  })
  it('is not said before what tells of it was read', () =>
    expect(refused(at('read-faces'), { cause: 'not found', why: 'nothing' })).toBe('step.outOfReach'))
  it('stands on record with what speaks for it and against it, and is first said of another when that was meant', () => {
    const one = coked()
    one.act('cause.said', { cause: 'aged', why: 'It stood for four years' })
    const rows = recordOf(one.opened, one.folded.entries, new Map([['fitter', 'R. Okell']])).causes
    expect(rows.map(({ id, isSaid, why, unseen }) => [id, isSaid, why, unseen])).toEqual([
      ['aged', true, 'It stood for four years', []],
      ['solids', false, '', []],
    ])
  })
})

describe('the failure report', () => {
  const one = () =>
    at(undefined, {
      'faces face@in': 'coke 2 from 4:30 to 7:30',
      'faces seat@in': 'wide 1 at 9:00',
      'received': 'product at the drain',
    })
  it('has every mark and finding by the hour from the datum of its group', () => {
    const { plan, folded } = one()
    const [turning, still] = groupDials(plan, folded.state)
    expect(turning!.told).toMatch(/^Hole A of the collar stands at 12; looked at from the atmosphere side\./)
    expect(turning!.rings.map(each => each.part)).toEqual([
      'Drive collar',
      'Turning face, outboard',
      'Turning face, inboard',
    ])
    expect(turning!.placed.at(-1)).toEqual({
      ...{ n: 4, part: 'Turning face, inboard', what: 'Coked or crusted, a hard rim behind it' },
      at: '4:30 round to 7:30',
    })
    expect(still!.placed.map(each => each.n)).toEqual([5, 6, 7])
  })
  it('turns round what was seen from the other side, and by where the datum stands', () => {
    const { plan, folded } = one()
    const looked = [...folded.state.looks.values()].map(each =>
      each.part === 'face@in' ? { ...each, seenFrom: 'product side' } : each,
    )
    const state = { ...folded.state, looks: new Map(looked.map(each => [each.part, each])) }
    const seen = (some: typeof plan) => groupDials(some, state)[0]!.placed.at(-1)!.at
    expect(seen(plan)).toBe('4:30 round to 7:30')
    const over = new Map(
      looked.map(each => [each.part, { ...each, findings: [{ code: 'coke', grade: 2, deg: 60, toDeg: 90 }] }]),
    )
    expect(groupDials(plan, { ...state, looks: over })[0]!.placed.at(-1)!.at).toBe('9:00 round to 10:00')
    const [group, ...rest] = plan.sheet.assemblies
    const turned = {
      ...plan,
      sheet: { ...plan.sheet, assemblies: [{ ...group!, datum: { ...group!.datum, at: 3 } }, ...rest] },
    }
    expect(groupDials(turned, { ...state, looks: over })[0]!.placed.at(-1)!.at).toBe('6:00 round to 7:00')
  })
  it('tells what was found, and nothing of how it was built up again', () => {
    const { opened, folded } = one()
    const tables = failureTables(recordOf(opened, folded.entries, new Map()))
    expect(tables[0]!.title).toBe('What it failed of')
    const readings = tables.find(each => each.title === 'Readings')!
    expect(readings.rows.flatMap(row => row[0]!.small)).not.toContain('at build')
    expect(tables.map(each => each.title)).not.toContain('Joints')
  })
})
