import { beforeEach, describe, expect, it } from 'vitest'
import { refusal } from '../../../tests/pump.ts'
import { sheetNamed, worker } from '../../../tests/sheets.ts'
import type { Joint, Sheet } from '../../sheet/index.ts'
import { examineSheet } from '../../sheet/examination/index.ts'
import { progressOf, recordOf, recordTables, viewJob, type Payloads } from '../index.ts'
import type { Technician } from '../../../demo/technician.ts'

/** One's own, to be altered. */
const sheet = () => structuredClone(sheetNamed('drawn-up-joints'))
let one: Technician
const joint = (id: string) => one.plan.joints.get(id)!
const progress = (id: string) => progressOf(joint(id), one.folded.state)
const owed = () => viewJob(one.plan, one.folded.state).owed
const pull = (id: string, bolt: number, more: Partial<Payloads['bolt.pulled']>, pass = 1) =>
  one.act('bolt.pulled', { joint: id, pass, bolt, ...more })
const says = (id: string, bolt: number, more: Partial<Payloads['bolt.pulled']>, pass = 1) =>
  refusal(one, 'bolt.pulled', { joint: id, pass, bolt, ...more })
const nm = (torqueNm: number) => ({ torqueNm, text: String(torqueNm) })
beforeEach(() => {
  one = worker(sheet())
})

it('is sound, and goes from end to end without a false alarm', () => {
  expect(examineSheet(sheet())).toEqual([])
  one.workUntil()
  expect(one.folded.state.flags).toEqual([])
  expect(owed()).toEqual([])
  const joints = recordOf(one.plan, one.folded.entries, new Map()).joints
  expect(joints.map(row => row.wanted)).toEqual([
    '60 N·m, 54 to 66, turned 60°, 50 to 70, star, 3 passes',
    'until it is felt: stops dead, face to face, round, 1 pass',
    '20 N·m, 18 to 22, round, 2 passes',
  ])
  expect(joints[0]).toMatchObject({
    verdict: 'Holds',
    torques: '1: 60°, 2: 60°, 3: 60°, 4: 60°',
    locked: 'Locked: wired so that each pulls the next tight, 2 new',
    putRight: [],
  })
})

describe('torque, then a turn after snug', () => {
  const snug = () => {
    one.workUntil('cover-up')
    for (const [pass, torque] of [30, 60].entries())
      for (const bolt of [1, 3, 2, 4]) pull('cover-joint', bolt, nm(torque), pass + 1)
  }
  it('is not drawn up by the torque alone', () => {
    snug()
    expect(progress('cover-joint')).toMatchObject({ pass: 3, next: 1, verdict: 'Open' })
    expect(one.hindered()).toContain('Cover, 4 × M16: pass 3 of 3')
  })
  it('turned too far is named with its way out, and so is too little', () => {
    snug()
    pull('cover-joint', 1, { deg: 90 }, 3)
    expect(progress('cover-joint').faults).toEqual(['Bolt 1: turned too far, slacken it, snug it and turn it again.'])
    pull('cover-joint', 1, { deg: 40 }, 3)
    expect(progress('cover-joint').faults).toEqual(['Bolt 1: not turned far enough, turn it on.'])
    pull('cover-joint', 1, { deg: 60 }, 3)
    expect(progress('cover-joint')).toMatchObject({ next: 3, faults: [] })
    const [row] = recordOf(one.plan, one.folded.entries, new Map()).joints
    expect(row!.putRight.join()).toMatch(/bolt 1, pass 3: 90°, over.*bolt 1, pass 3: 40°, under/)
  })
  it('takes for each pass what that pass is, and nothing else', () => {
    snug()
    expect(says('cover-joint', 1, nm(60), 3)).toMatchObject({ code: 'bolt.pulled.byTurn' })
    expect(says('cover-joint', 1, { deg: 60 }, 1)).toMatchObject({ code: 'bolt.pulled.byTorque' })
    expect(says('cover-joint', 1, { felt: 'tight' }, 3)).toMatchObject({ code: 'bolt.pulled.byTurn' })
    expect(says('cover-joint', 1, { deg: 60, felt: 'tight' }, 3)).toMatchObject({ code: 'bolt.pulled.byTurn' })
    expect(says('cover-joint', 1, { deg: 60 }, 4)).toMatchObject({ code: 'bolt.pulled.noPass' })
    expect(says('cover-joint', 1, { deg: 60 }, 3)).toBeNull()
  })
})

describe('another order that the sheet allows', () => {
  it('holds from the first bolt on, and the record says which', () => {
    one.workUntil('cover-up')
    expect(says('cover-joint', 1, { ...nm(30), order: 'middle outwards' })).toMatchObject({
      code: 'bolt.pulled.notOrder',
    })
    pull('cover-joint', 1, { ...nm(30), order: 'round' })
    expect(progress('cover-joint')).toMatchObject({ next: 2, order: [1, 2, 3, 4] })
    expect(says('cover-joint', 2, { ...nm(30), order: 'star' })).toMatchObject({ code: 'bolt.pulled.begun' })
    pull('cover-joint', 3, nm(30))
    expect(progress('cover-joint').faults[0]).toMatch(/the turn of 2/)
    one.act('joint.slackened', { joint: 'cover-joint' })
    pull('cover-joint', 1, { ...nm(30), order: 'round' })
    one.pull('cover-joint')
    expect(progress('cover-joint').verdict).toBe('Holds')
    expect(recordOf(one.plan, one.folded.entries, new Map()).joints[0]!.wanted).toMatch(
      /drawn up round, which is allowed/,
    )
  })
})

describe('a joint of one nut', () => {
  it('is drawn up until it seats: what does not seat is named, and its step stays shut', () => {
    one.workUntil('nut-up')
    expect(says('nut-joint', 1, { felt: 'tight enough' })).toMatchObject({ code: 'bolt.pulled.byFeel' })
    expect(says('nut-joint', 1, nm(100))).toMatchObject({ code: 'bolt.pulled.byFeel' })
    pull('nut-joint', 1, { felt: 'stops short of its face' })
    expect(progress('nut-joint').faults).toEqual([
      'Bolt 1: not as it should feel, see what holds it and draw it up again.',
    ])
    expect(refusal(one, 'step.done', { step: 'nut-up' })).toMatchObject({
      code: 'step.hindered',
      values: { what: 'Shaft nut M40, left hand: not drawn up' },
    })
    pull('nut-joint', 1, { felt: 'stops dead, face to face' })
    expect(refusal(one, 'step.done', { step: 'nut-up' })).toBeNull()
  })
})

describe('a joint nipped first', () => {
  it('is owed at its nipping, then at its drawing up, never twice', () => {
    one.workUntil('clamp-nip')
    expect(
      owed()
        .filter(debt => debt.kind === 'joint' && debt.what.startsWith('Clamp'))
        .map(debt => debt.what),
    ).toEqual(['Clamp, 2 × M8: not nipped'])
    for (const bolt of [1, 2]) pull('clamp-joint', bolt, nm(4))
    expect(refusal(one, 'step.done', { step: 'clamp-nip' })).toBeNull()
    one.workUntil('clamp-up')
    expect(one.hindered()).toEqual(['Clamp, 2 × M8: pass 2 of 2'])
    one.pull('clamp-joint')
    expect(one.hindered()).toEqual([])
  })
})

describe('slackened in an order', () => {
  it('bolt by bolt before its step; one out of its turn stays on the record with what it does', () => {
    one.workUntil('cover-ease')
    expect(one.hindered()).toEqual(['Cover, 4 × M16: 0 of 4 eased'])
    expect(refusal(one, 'bolt.eased', { joint: 'nut-joint', bolt: 1 })).toMatchObject({ code: 'bolt.anyOrder' })
    expect(refusal(one, 'bolt.eased', { joint: 'cover-joint', bolt: 5 })).toMatchObject({ code: 'bolt.noSuch' })
    for (const bolt of [4, 3, 2, 1]) one.act('bolt.eased', { joint: 'cover-joint', bolt })
    expect(refusal(one, 'bolt.eased', { joint: 'cover-joint', bolt: 1 })).toMatchObject({ code: 'bolt.isEased' })
    expect(one.hindered()).toEqual([])
    // It is still there once the joint is drawn up again, and nothing is eased of it then.
    one.workUntil()
    expect(refusal(one, 'bolt.eased', { joint: 'cover-joint', bolt: 1 })).toMatchObject({ code: 'bolt.notNow' })
    const record = JSON.stringify(recordTables(recordOf(one.plan, one.folded.entries, new Map())))
    expect(record).toContain('bolt 3 eased in the turn of 2')
    expect(record).toContain('the cover springs')
  })
  it('in its order nothing of it is said', () => {
    one.workUntil('all-off')
    expect(recordOf(one.plan, one.folded.entries, new Map()).joints[0]!.outOfTurn).toEqual([])
  })
})

describe('locking', () => {
  const locked = (say: string, fresh?: number) =>
    refusal(one, 'joint.locked', { joint: 'cover-joint', say, ...(fresh === undefined ? {} : { newPieces: fresh }) })
  const drawUp = () => {
    one.workUntil('cover-up')
    for (const [pass, torque] of [30, 60].entries())
      for (const bolt of [1, 3, 2, 4]) pull('cover-joint', bolt, nm(torque), pass + 1)
    expect(locked('not wired', 0)).toMatchObject({ code: 'joint.locked.loose' })
    for (const bolt of [1, 3, 2, 4]) pull('cover-joint', bolt, { deg: 60 }, 3)
  }
  it('is asked once it is drawn up, wired the slack way is named, and so is a wire used again', () => {
    drawUp()
    expect(one.hindered()).toEqual(['Cover, 4 × M16: how is it locked?'])
    expect(locked('wired the slack way')).toMatchObject({ code: 'joint.locked.count' })
    expect(locked('glued', 2)).toMatchObject({ code: 'joint.locked.choose' })
    one.act('joint.locked', { joint: 'cover-joint', say: 'wired the slack way', newPieces: 2 })
    expect(owed().find(debt => debt.kind === 'locking')).toMatchObject({
      what: 'Cover, 4 × M16: not locked as wanted',
      why: 'A bolt works loose and goes through the machine',
    })
    one.act('joint.locked', { joint: 'cover-joint', say: 'wired so that each pulls the next tight', newPieces: 1 })
    expect(one.hindered()).toEqual(['Cover, 4 × M16: not locked as wanted'])
    one.act('joint.locked', { joint: 'cover-joint', say: 'wired so that each pulls the next tight', newPieces: 2 })
    expect(one.hindered()).toEqual([])
  })
  it('is lost when the joint is slackened again', () => {
    one.workUntil('clamp-up')
    one.act('joint.slackened', { joint: 'cover-joint' })
    expect(owed().map(debt => debt.kind)).toContain('joint')
    one.pull('cover-joint')
    expect(owed().map(debt => debt.kind)).not.toContain('locking')
    expect(one.folded.state.joints.get('cover-joint')!.locked).toMatchObject({ newPieces: 2 })
  })
})

describe('a joint as it is written', () => {
  it.each<[string, Partial<Joint>, string]>([
    ['cover-joint', { passes: [0.5] }, 'joint cover-joint cannot be drawn up as written'],
    ['cover-joint', { targetNm: undefined }, 'joint cover-joint is turned further with nothing that makes it snug'],
    [
      'nut-joint',
      { felt: { ask: 'x', choices: [{ say: 'x', met: true }] } },
      'joint nut-joint can only be felt one way',
    ],
    ['clamp-joint', { nip: 2 }, 'joint clamp-joint is nipped by all of its passes'],
    ['clamp-joint', { nip: undefined }, 'step clamp-nip nips clamp-joint, which does not say by which passes'],
    [
      'cover-joint',
      { allowed: ['four tools at once'], layout: { kind: 'circle', bolts: 6, diameterMm: 9 } },
      'joint cover-joint cannot be drawn up as written',
    ],
    [
      'cover-joint',
      { locking: { ask: 'x', choices: [{ say: 'y', met: true }], ifWrong: 'z' } },
      'joint cover-joint can only be locked one way',
    ],
  ])('%s %o', (id, more, words) => {
    const written: Sheet = sheet()
    written.joints = written.joints.map(own => (own.id === id ? { ...own, ...more } : own))
    expect(examineSheet(written)).toContain(words)
  })
  it('nipped and never drawn up for good', () => {
    const written = sheet()
    written.steps = written.steps.map(step => (step.id === 'clamp-up' ? { ...step, joint: undefined } : step))
    expect(examineSheet(written)).toContain('clamp-joint is nipped at clamp-nip and never drawn up for good')
  })
})
