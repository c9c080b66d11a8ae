import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { entryOf, plan, refusal, sheet, technician } from '../../tests/pump.ts'
import { librarySheet, worker } from '../../tests/sheets.ts'
import { WALKS } from '../../tests/walks/index.ts'
import type { Technician } from '../../demo/technician.ts'
import {
  holdStands,
  nextStep,
  partState,
  prospectOf,
  recordOf,
  refusalOf,
  takeIn,
  viewJob,
  type AnyEntry,
  type JobState,
  type Payloads,
  type Role,
} from './index.ts'
import { planFor } from '../sheet/index.ts'
import { canBeReopened, laterThan, stepsOver, undoneWith } from './parts/over.ts'
import { SUMS_BY_NAME } from '../sums/index.ts'
import { seenOn } from '../../tests/seen.ts'

const at = (step?: string) => {
  const one = technician()
  one.workUntil(step)
  return one
}
const reopening = (step: string, more: Partial<Payloads['step.reopened']> = {}): Payloads['step.reopened'] => ({
  step,
  why: 'It was turned round',
  ...more,
})
const refused = (one: Technician, payload: Payloads['step.reopened'], role: Role = 'fitter') =>
  refusalOf(one.opened, one.folded, entryOf('step.reopened', payload, { role }))?.code ?? null
const idsOf = (steps: readonly { id: string }[]) => steps.map(step => step.id)

describe('what comes off with a step that is taken up again', () => {
  it('is what lies over it, the newest first; what was read of it since is read again', () => {
    const { state } = at('turn-1').folded
    expect(laterThan(plan, state, 'rotor-in').map(({ step, over }) => [step.id, over])).toEqual([
      ['gasket-on', true],
      ['clamp-pull', true],
      ['clamp-on', true],
      ['cap-pull-de', true],
      ['cap-pull-nde', true],
      ['cap-on-nde', true],
      ['cap-on-de', true],
    ])
    expect(laterThan(plan, state, 'cap-on-de').map(({ step, over }) => [step.id, over])).toEqual([
      ['clamp-pull', false],
      ['cap-pull-de', true],
    ])
    expect(idsOf(undoneWith(plan, state, 'cap-on-de'))).toEqual(['cap-on-de', 'cap-pull-de', 'set-seal'])
  })
  it('is what the sheet says it lies over, where it says so', () => {
    expect([...stepsOver(plan, 'top-on')]).not.toContain('guard-on')
    expect([...stepsOver(plan, 'hub-on')]).toEqual(['spacer-on', 'guard-on'])
  })
  it('is what was said to come off, and not what was said to stay', () => {
    const { state } = at('turn-1').folded
    const undone = (said: object) => idsOf(undoneWith(plan, state, 'cap-on-de', said))
    expect(undone({ off: ['clamp-pull'] })).toContain('clamp-pull')
    expect(undone({ on: ['cap-pull-de'] })).not.toContain('cap-pull-de')
  })
  it('a run is run again, whatever stayed on', () => {
    const undone = idsOf(undoneWith(plan, at().folded.state, 'plate-pull'))
    expect(undone).toEqual(['plate-pull', 'turn-2', 'leak-test', 'run', 'walk-round'])
  })
  it('what stays on for good is not tried on again; what comes off is', () => {
    const gears = worker(librarySheet('m10-gear-unit'), WALKS.find(one => one.sheet === 'm10-gear-unit')!.figures({}))
    gears.workUntil('cooler-on')
    const undone = (said: object) => idsOf(undoneWith(gears.plan, gears.folded.state, 'blue-off', said))
    const later = laterThan(gears.plan, gears.folded.state, 'blue-off').map(each => each.step.id)
    expect(undone({ on: later })).not.toContain('fit-halves')
    expect(undone({ off: later })).toContain('fit-halves')
  })
})

describe('what taking a step up again comes to, before it is done', () => {
  it('names the parts that come off, what is done again besides, and whose hold it lies behind', () => {
    const { parts, again, behind } = prospectOf(plan, at('turn-2').folded.state, 'cap-on-de')
    expect(parts.map(one => [one.ref, one.isAlwaysNew])).toEqual([
      ['cap-screws@de', false],
      ['bearing-cap@de', false],
      ['case-upper', false],
      ['case-nuts', false],
      ['case-dowels', false],
      ['vent-washer', true],
      ['gland-screws', false],
    ])
    expect(again).toEqual(['Set the seal to its line', 'Turn the rotor by hand', 'Take the guide studs out'])
    expect(behind).toBe('Put on the top half')
    expect(prospectOf(plan, at('turn-1').folded.state, 'cap-on-de').behind).toBeNull()
  })
})

describe('a step that is taken up again', () => {
  it('is to be done again, with what it fitted off the machine and new what is always new', () => {
    const one = at('top-on')
    const before = partState(one.folded.state, 'bearing-cap@de').kept
    one.act('step.reopened', reopening('rotor-in'))
    expect(one.folded.state.flags).toEqual([])
    const { state } = one.folded
    expect(nextStep(plan, state)?.id).toBe('rotor-in')
    expect(partState(state, 'shaft')).toMatchObject({ where: 'off', decision: { choice: 'reuse' } })
    expect(partState(state, 'bearing-cap@de')).toMatchObject({ where: 'off', kept: before })
    expect(before?.as).toBe('tag')
    expect(partState(state, 'case-gasket').renewed).toBeUndefined()
    expect(state.mates.has('cap-de')).toBe(false)
    expect(state.marks.has('cap-de')).toBe(true)
    expect(state.joints.get('cap-joint-de')).toMatchObject({ passes: [], slackened: true })
    expect(state.readings.has('seal-setting asFound')).toBe(true)
    expect(state.voided.map(gone => `${gone.check} ${gone.moment}`)).toContain('seal-setting build')
    one.workUntil()
    expect(one.folded.state.flags).toEqual([])
    expect(viewJob(plan, one.folded.state).gate.open).toBe(true)
  })
  it('asks of what was harmed coming off what becomes of it', () => {
    const one = at('cap-pull-nde')
    one.act('step.reopened', reopening('cap-on-de', { harmed: ['bearing-cap@de'] }))
    expect(partState(one.folded.state, 'bearing-cap@de').decision).toBeUndefined()
    expect(partState(one.folded.state, 'bearing-cap@nde').decision).toBeDefined()
    expect(viewJob(plan, one.folded.state).owed.map(owed => owed.key)).toContain('["decision","bearing-cap@de"]')
    expect([...one.folded.state.looks.values()].at(-1)).toMatchObject({
      part: 'bearing-cap@de',
      findings: [{ note: 'Harmed as it came off again', grade: 3 }],
    })
  })
  it('stays on the record with what was wrong, what came off, and what was read before', () => {
    const one = at('cap-on-de')
    one.doStep(plan.steps.get('cap-on-de')!, { mates: { 'cap-de': { dots: [1, 0] } } })
    one.workUntil('top-on')
    one.act('step.reopened', reopening('cap-on-de'))
    one.workUntil()
    one.sign('yes', 'A cap was turned round')
    const record = recordOf(one.opened, one.folded.entries, new Map())
    expect(record.reopened).toMatchObject([
      {
        why: 'It was turned round',
        found: ['Cap to housing, drive end: 1 dot against no dot, not met'],
        off: ['Torque the drive end cap'],
        read: [expect.stringMatching(/^Seal setting/)],
      },
    ])
    expect(record.mates.every(mate => mate.met === 'met')).toBe(true)
    expect(record.signed).not.toBeNull()
  })
  it('voids a concession that rested on what came off', () => {
    const one = at('cap-on-de')
    one.doStep(plan.steps.get('cap-on-de')!, { mates: { 'cap-de': { dots: [1, 0] } } })
    one.concede({ kind: 'wrong way', mate: 'cap-de' }, 'Until the next stop')
    one.act('step.reopened', reopening('cap-on-de'))
    expect(one.folded.state.concessions.size).toBe(0)
  })
})

describe('who takes what up again', () => {
  it.each([
    ['step.notDone', 'turn-1', 'cap-on-de'],
    ['step.notReopened', 'top-on', 'clean-faces'],
    ['step.notReopened', 'top-on', 'rotor-out'],
    ['step.notReopened', undefined, 'walk-round'],
    ['sheet.unknown', 'top-on', 'no-such-step'],
  ] as const)('%s', (code, until, step) => {
    const one = at(until === 'turn-1' ? 'cap-on-de' : until)
    expect(refused(one, reopening(step))).toBe(code)
  })
  it('says why, names what was done after it, and harms nothing that did not come off', () => {
    const one = at('turn-1')
    expect(refused(one, reopening('cap-on-de', { why: ' ' }))).toBe('step.whyReopened')
    expect(refused(one, reopening('cap-on-de', { off: ['sleeve-on'] }))).toBe('step.notAfter')
    expect(refused(one, reopening('cap-on-de', { on: ['no-such'] }))).toBe('sheet.unknown')
    expect(refused(one, reopening('cap-on-de', { off: ['cap-pull-de'], on: ['cap-pull-de'] }))).toBe('step.both')
    expect(refused(one, reopening('cap-on-de', { harmed: ['shaft'] }))).toBe('step.notComingOff')
    expect(refused(one, reopening('cap-on-de'))).toBeNull()
  })
  it('what lies behind a gate that is shut is a lead’s, stays it on or not', () => {
    const one = at('nuts-on')
    expect(refused(one, reopening('cap-on-de'))).toBe('step.leadReopens')
    expect(refused(one, reopening('cap-on-de', { on: ['top-on'] }))).toBe('step.leadReopens')
    expect(refused(one, reopening('cap-on-de', { on: ['top-on'] }), 'lead')).toBeNull()
    const open = at('left-float')
    expect(refused(open, reopening('hub-on'))).toBeNull()
  })
  it('what is gone through in rounds is gone through in another', () => {
    const gear = worker(librarySheet('m10-gear-unit'), WALKS.find(one => one.sheet === 'm10-gear-unit')!.figures({}))
    gear.workUntil('journals-oiled')
    expect(refused(gear, reopening('fit-pull'))).toBe('step.inRounds')
    gear.act('step.reopened', reopening('lowers-in'))
    expect(gear.folded.state.flags).toEqual([])
    expect(gear.folded.state.rounds.get('fit-up')).toHaveLength(1)
    expect(gear.folded.state.steps.has('fit-pull')).toBe(false)
    gear.workUntil()
    expect(gear.folded.state.flags).toEqual([])
  })
})

describe('acts of a tablet that had not seen it', () => {
  const late = (one: Technician, kind: AnyEntry['kind'], payload: object): AnyEntry =>
    entryOf(
      kind,
      payload as never,
      {
        ...{ tablet: 'other', seen: one.folded.entries.length - 1, seq: one.folded.entries.length + 1 },
        madeBy: 'per',
      } as never,
    )
  it('are undone with it, and looked into before the hand-back; marks stand', () => {
    const one = at('cap-pull-nde')
    one.act('step.reopened', reopening('cap-on-de'))
    const mate = late(one, 'mate.answered', { mate: 'cap-de', dots: [1, 1] })
    expect(refusalOf(one.opened, one.folded, mate)).toBeNull()
    const taken = takeIn(one.opened, one.folded, [mate])
    expect(taken.ok && taken.folded.state).toMatchObject({
      flags: [{ why: { code: 'step.undone' } }],
      late: [{ counted: false }],
    })
    expect(taken.ok && taken.folded.state.mates.has('cap-de')).toBe(false)
    // What is not about it counts as ever.
    const tag = late(one, 'part.looked', seenOn('shaft', 'a scratch'))
    const kept = takeIn(one.opened, one.folded, [tag])
    expect(kept.ok && kept.folded.state.flags).toEqual([])
  })
  it('the same taken up again by two is once', () => {
    const one = at('clamp-on')
    one.act('step.reopened', reopening('cap-on-de'))
    const again = late(one, 'step.reopened', reopening('cap-on-de'))
    const taken = takeIn(one.opened, one.folded, [again])
    expect(taken.ok && taken.folded.state.reopenings).toHaveLength(1)
    expect(taken.ok && taken.folded.state.late).toEqual([])
  })
})

describe('what was said of something that is covered by now', () => {
  const covered = () => {
    const one = at('cap-on-de')
    one.doStep(plan.steps.get('cap-on-de')!, { mates: { 'cap-de': { dots: [1, 0] } } })
    return one
  }
  const answer = { mate: 'cap-de', dots: [1, 1] }
  it('is said anew while the part can be moved, and not once something lies over it', () => {
    const one = covered()
    expect(refusal(one, 'mate.answered', answer)).toBeNull()
    one.workUntil('top-on')
    expect(refusal(one, 'mate.answered', answer)?.code).toBe('mate.covered')
    expect(refusal(one, 'mate.answered', answer, 'lead')?.code).toBe('mate.covered')
    one.act('step.reopened', reopening('cap-on-de'))
    one.workUntil('cap-pull-de')
    expect(refusal(one, 'mate.answered', answer)).toBeNull()
  })
  it('is corrected by a lead alone, and both stay visible', () => {
    const one = covered()
    one.workUntil('top-on')
    const said = one.folded.entries.find(entry => entry.kind === 'mate.answered' && entry.payload.mate === 'cap-de')!
    const correction = { target: said.id, why: 'read from the wrong end', replacement: answer }
    expect(refusal(one, 'entry.corrected', correction)?.code).toBe('entry.covered')
    expect(refusal(one, 'entry.corrected', correction, 'lead')).toBeNull()
    one.act('entry.corrected', correction, 'lead')
    const [corrected] = recordOf(one.opened, one.folded.entries, new Map()).corrections
    expect(corrected).toMatchObject({
      what: 'Cap to housing, drive end: 1 dot against no dot',
      now: 'Cap to housing, drive end: 1 dot against 1 dot',
    })
  })
  it('is signed for with the work: said anew, the signature lapses', () => {
    const steps = sheet.steps.map(step => (step.id === 'cap-on-de' ? { ...step, hold: { by: 'lead' } } : step))
    const signing = planFor({ ...sheet, steps }, {}, SUMS_BY_NAME)
    const one = technician({ general: 0.4 }, signing)
    one.workUntil('cap-pull-nde')
    const step = signing.steps.get('cap-on-de')!
    expect(holdStands(signing, one.folded.state, step)).toBe('lapsed')
    one.signHold('cap-on-de', step.hold!)
    expect(holdStands(signing, one.folded.state, step)).toBe('signed')
    one.act('mate.answered', { ...answer, dots: [2, 2] })
    expect(holdStands(signing, one.folded.state, step)).toBe('lapsed')
  })
})

it('is taken back only while nothing rests on it', () => {
  const one = at('clamp-on')
  const entry = one.act('step.reopened', reopening('cap-on-de'))
  const back = entryOf('entry.corrected', { target: entry.id, why: 'the wrong step' })
  expect(refusalOf(one.opened, one.folded, back)).toBeNull()
  one.workUntil('cap-pull-nde')
  expect(refusalOf(one.opened, one.folded, back)?.code).toBe('entry.ground')
})

/** A state as it is but for who did it and when, what is void by now, and what is new a second time. */
const SAID_OTHERWISE = new Set([
  'count',
  'heard',
  'flags',
  'voided',
  'reopenings',
  'renewals',
  'cautions',
  'rounds',
  'liftedCount',
])
const STAMPS = new Set(['by', 'role', 'at', 'entry', 'n', 'seq', 'tablet', 'vouchedBy', 'basis', 'order'])
function plain(value: unknown): unknown {
  if (value instanceof Map)
    return Object.fromEntries(
      [...value].map(([key, one]) => [key, plain(one)] as const).sort(([a], [b]) => (a < b ? -1 : 1)),
    )
  if (Array.isArray(value)) return value.map(plain)
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(
    Object.entries(value).flatMap(([key, one]) =>
      STAMPS.has(key) || one === undefined ? [] : [[key, plain(one)] as const],
    ),
  )
}
const said = (state: JobState) =>
  Object.fromEntries(
    Object.entries(state).flatMap(([key, one]) => (SAID_OTHERWISE.has(key) ? [] : [[key, plain(one)]])),
  )

describe('a job in which a step was taken up again and done again', () => {
  const SHEETS = WALKS.filter(one => /^m(3|8|10|14)-/.test(one.sheet))
  it.each(SHEETS)('is as if it had never been wrong: $sheet', ({ sheet, figures }) => {
    const build = () => worker(librarySheet(sheet), figures({}))
    const never = build()
    never.workUntil()
    const again = never.plan.sheet.steps.filter(
      step => canBeReopened(never.plan, step) && !never.plan.loopOf.has(step.id),
    )
    fc.assert(
      fc.property(fc.constantFrom(...again), fc.integer({ min: 0, max: 6 }), fc.boolean(), (step, further, all) => {
        const one = build()
        const steps = one.plan.sheet.steps
        one.workUntil(steps[Math.min(steps.length - 1, steps.indexOf(step) + 1 + further * 4)]!.id)
        if (!one.folded.state.steps.has(step.id)) return
        const later = laterThan(one.plan, one.folded.state, step.id)
        one.act(
          'step.reopened',
          reopening(step.id, { off: later.filter(each => all || each.over).map(each => each.step.id) }),
          'lead',
        )
        one.workUntil()
        expect(one.folded.state.flags).toEqual([])
        expect(said(one.folded.state)).toEqual(said(never.folded.state))
      }),
      { numRuns: 12 },
    )
  })
})
