import { describe, expect, it } from 'vitest'
import { entryOf, plan, reading, refusal, technician } from '../../tests/pump.ts'
import { sheetNamed, worker } from '../../tests/sheets.ts'
import { planFor } from '../sheet/index.ts'
import {
  entryWords,
  freeAlike,
  recordOf,
  sentenceOf,
  takeIn,
  viewJob,
  type AnyEntry,
  type EntryKind,
  type Payloads,
} from './index.ts'
import { seenOn } from '../../tests/seen.ts'

/** More of what something rests on: each was turned round once, and nothing else saw it. */

const words = <K extends EntryKind>(kind: K, payload: Payloads[K], of = plan) => entryWords(of, entryOf(kind, payload))

describe('corrections that come together', () => {
  /** The pump with three readings in one hand, and what corrects them. */
  function read() {
    const one = technician()
    one.workUntil('measure-rings')
    const taken = one.folded.entries.filter(entry => entry.kind === 'reading.taken').slice(-3)
    const put = (target: AnyEntry, figure: string) =>
      entryOf('entry.corrected', {
        target: target.id,
        why: 'misread',
        replacement: { ...(target.payload as Payloads['reading.taken']), tries: [[figure]] },
      })
    return { one, taken, put }
  }
  const ofMicrometer = (one: AnyEntry) => (one.payload as Payloads['reading.taken']).tries.flat()[0]!

  it('are each judged in the past they reach back to: the one that cannot be is named, and none is kept', () => {
    const { one, taken, put } = read()
    const [first, second, third] = taken
    const sound = [put(first!, ofMicrometer(first!)), put(third!, ofMicrometer(third!))]
    expect(takeIn(one.opened, one.folded, sound).ok).toBe(true)
    const nonsense = put(second!, 'a mouse')
    expect(takeIn(one.opened, one.folded, [sound[0]!, nonsense, sound[1]!])).toMatchObject({
      ok: false,
      entry: { id: nonsense.id },
      why: { code: 'reading.unreadable' },
    })
  })
  it('put nothing otherwise that is only taken back, and leave the opening alone', () => {
    const { one, taken } = read()
    const done = one.folded.entries.find(entry => entry.kind === 'step.done')!
    const fix = (target: AnyEntry, replacement?: object) =>
      refusal(one, 'entry.corrected', { target: target.id, why: 'slip', ...(replacement ? { replacement } : {}) })
    expect(fix(done, done.payload as object)).toMatchObject({ code: 'entry.takeBack' })
    expect(fix(one.folded.entries[0]!)).toMatchObject({ code: 'job.stands' })
    expect(fix(taken[0]!)).toBeNull()
  })
  it('move a figure that was kept in the wrong place to another that is free, of this check or of one read alike', () => {
    const one = technician()
    one.workUntil('found-lift')
    one.act('reading.taken', reading('lift-nde', 'asFound', [['0.10', '0.10']]))
    const results = () => viewJob(one.plan, one.folded.state).results
    const kept = results().get('lift-nde asFound')!
    const places = freeAlike(results(), kept, kept.worked.cells[0]!)
    expect(places.map(({ name }) => name)).toEqual(['Lift, drive end'])
    const entry = one.folded.entries.at(-1)!
    const replacement = { ...(entry.payload as Payloads['reading.taken']), check: places[0]!.check.id }
    one.act('entry.corrected', { target: entry.id, why: 'Kept in the wrong place', replacement })
    expect(results().get('lift-nde asFound')!.read.size).toBe(0)
    expect(results().get('lift-de asFound')!.read.size).toBe(1)
    const moved = results().get('lift-de asFound')!
    expect(freeAlike(results(), moved, moved.worked.cells[0]!).map(({ check }) => check.id)).toEqual(['lift-nde'])
  })
  it('say on the record what became of what they correct', () => {
    const { one, taken } = read()
    const [back] = [entryOf('entry.corrected', { target: taken[0]!.id, why: 'dial slipped' })]
    const again = entryOf('entry.corrected', { target: back.id, why: 'it had not' })
    const { corrections } = recordOf(one.plan, [...one.folded.entries, back, again], new Map()) as unknown as {
      corrections: { now: string }[]
    }
    expect(corrections.map(each => each.now)).toEqual(['taken back', 'the correction taken back'])
  })
})

it('how a joint is locked is said only where it is locked at all, in the answers of the sheet', () => {
  const sheet = sheetNamed('drawn-up-joints')
  const own = planFor(sheet)
  const one = worker(sheet)
  const locked = [...own.joints.values()].find(joint => joint.locking)!
  const plain = [...own.joints.values()].find(joint => !joint.locking)
  const says = (joint: string, say: string) => refusal(one, 'joint.locked', { joint, say })
  expect(says('nowhere', 'x')).toMatchObject({ code: 'sheet.unknown' })
  if (plain) expect(says(plain.id, 'wired')).toMatchObject({ code: 'joint.locked.none' })
  const other = says(locked.id, 'somehow')!
  expect(other.code).toBe('joint.locked.choose')
  expect(sentenceOf(other)).toContain(locked.title)
})

it('what is seen on a part is kept, and says where it was seen from only where it lies somewhere', () => {
  const one = technician()
  one.workUntil('measure-rings')
  const seen = (where: object = {}) => seenOn('impeller', 'a chip', where)
  expect(words('part.looked', seen())).not.toMatch(/seen from/)
  expect(words('part.looked', seen({ deg: 90, seenFrom: 'drive end' }))).toMatch(/ at 3:00 seen from the drive end$/)
  expect(refusal(one, 'part.looked', seen({ deg: 90, seenFrom: 'the moon' }))).not.toBeNull()
  const before = one.folded.state.looks.size
  one.act('part.looked', seen())
  expect(one.folded.state.looks.size).toBe(before + 1)
})

it('fewer pieces, and more than there are, are said to be different things', () => {
  const why = (n: number) => {
    const one = technician()
    one.workUntil('face-off')
    one.doStep(one.plan.steps.get('face-off')!, { counts: { 'springs out': n } })
    return viewJob(one.plan, one.folded.state).owed.find(debt => debt.kind === 'pieces')?.why
  }
  const lost = (n: number) => {
    const one = technician()
    one.workUntil('face-off')
    one.doStep(one.plan.steps.get('face-off')!, { counts: { 'springs out': n } })
    return viewJob(one.plan, one.folded.state).tray.notAccountedFor
  }
  // What may lie in the machine is not accounted for.
  expect([lost(8), lost(7), lost(5), lost(9)]).toEqual([0, 1, 3, 0])
  expect(why(7)).toMatch(/may lie in the machine/)
  expect(why(8)).toBeUndefined()
  expect(why(9)).toMatch(/belongs somewhere else/)
})

it('only parts and steps that are there are tried', () => {
  const one = worker(sheetNamed('four-bearing-fit-up'))
  one.workUntil('try-on')
  const tries = (parts: string[], step = 'try-on') => refusal(one, 'part.tried', { parts, step, way: 'on' })
  expect(tries(['moon'])).toMatchObject({ code: 'sheet.unknown' })
  expect(tries(['cap@hs-de'], 'nowhere')).toMatchObject({ code: 'sheet.unknown' })
  expect(tries(['shaft-of-another'])).toMatchObject({ code: 'sheet.unknown' })
  // What is there is told from what is not: it only waits for what the step waits for.
  expect(tries([one.plan.steps.get('try-on')!.trial!.on![0]!])?.code).not.toBe('sheet.unknown')
})

it('of one thing counted on two tablets the count that is further off stands', () => {
  const one = technician()
  one.workUntil('face-off')
  one.doStep(one.plan.steps.get('face-off')!)
  const { entries } = one.folded
  const seen = entries.length
  const counted = (n: number, tablet: string) =>
    entryOf('pieces.counted', { part: 'springs', way: 'out', n }, { seen, tablet, seq: seen + n })
  const taken = takeIn(one.opened, one.folded, [counted(7, 'a'), counted(5, 'b'), counted(6, 'c')])
  if (!taken.ok) throw new Error(sentenceOf(taken.why))
  expect(taken.folded.state.counts.get('springs out')?.n).toBe(5)
})

it('a reading is of one figure unless its way of measuring says otherwise', () => {
  const one = technician()
  one.workUntil('found-coupling')
  expect(refusal(one, 'reading.taken', reading('hub-gap', 'asFound', [[38, 38]]))).not.toBeNull()
  expect(refusal(one, 'reading.taken', reading('hub-gap', 'asFound', [[38]]))).toBeNull()
})
