import fc from 'fast-check'
import { beforeAll, describe, expect, it } from 'vitest'
import type { Technician } from '../../../demo/technician.ts'
import { plan, technician } from '../../../tests/pump.ts'
import {
  entryWords,
  isOnlyFound,
  projectJob,
  recordOf,
  recordParts,
  recordTables,
  showLimits,
  showValue,
  standingReadings,
  type AnyEntry,
  type JobRecord,
} from '../index.ts'
import type { Moment } from '../../sheet/index.ts'
import { seenOn } from '../../../tests/seen.ts'

const names = new Map([
  ['rena', 'R. Okell'],
  ['odd', 'O. Hallam'],
])

function overhaul() {
  const worker = technician({ general: 0.4, checks: { 'bush-bore': 1.2 }, renewed: ['throttle-bush'] })
  worker.workUntil('found-lift')
  const slip = worker.act('note.written', { text: 'Juice gritty at the drain' })
  worker.act('entry.corrected', { target: slip.id, why: 'Wrong machine' })
  worker.act('note.written', { text: 'Clear water pressure low' })
  worker.workUntil('look-seal')
  worker.act('part.looked', seenOn('rotating-face', 'track wider than the face', { deg: 75, seenFrom: 'drive end' }))
  worker.workUntil()
  worker.sign('yes', 'Bush worn')
  return worker
}

describe('the record', () => {
  let record: JobRecord
  let worker: Technician
  beforeAll(() => {
    worker = overhaul()
    record = recordOf(plan, worker.folded.entries, names)
  })
  it('says what was reported, who signed and whether it helped', () => {
    expect(record).toMatchObject({
      complaint: 'Seal weeps',
      signed: { who: 'O. Hallam', role: 'lead', cured: 'yes', cause: 'Bush worn' },
    })
  })
  it('sets as found beside as left', () => {
    expect(record.compared.map(one => one.title)).toEqual([
      'End float',
      'Lift, drive end',
      'Lift, non-drive end',
      'Gap between hubs',
      'Bearing temperature, drive end',
      'Bearing temperature, non-drive end',
      'Vibration, drive end',
      'Vibration, non-drive end',
      'Air at the pump',
      'Discharge pressure',
      'Motor current',
    ])
    expect(record.compared[0]).toMatchObject({ moved: 'away from the limit' })
  })
  it('keeps the out reading and the new one after it', () => {
    const bush = record.readings.filter(one => one.title === 'Throttle bush bore')
    expect(bush.map(one => [one.moment, one.verdict])).toEqual([
      ['at inspection', 'Out'],
      ['at build', 'Holds'],
    ])
    expect(bush[0]!.consequence).toMatch(/clear water/)
  })
  it('shows the working of every reading', () => {
    for (const one of record.readings) expect(one.working.length, one.title).toBeGreaterThan(0)
    expect(record.readings.find(one => one.title === 'End float')!.working[0]!.sum).toMatch(/\|0\.00 − /)
  })
  it('says of each part where it went', () => {
    expect(record.parts.find(one => one.name === 'Throttle bush')).toMatchObject({
      decision: 'renew',
      wentBack: 'new, from stock',
      who: 'R. Okell',
    })
    expect(record.parts.find(one => one.name === 'Tab washer')).toMatchObject({ decision: 'always new' })
    expect(record.parts.find(one => one.name === 'Coupling hub')).toMatchObject({
      decision: 'reuse',
      wentBack: 'same',
      kept: expect.stringMatching(/^tag /),
    })
    expect(record.parts.every(one => one.wentBack !== 'still off')).toBe(true)
  })
  it('says of each mark where it was, and that it was met', () => {
    expect(record.marks).toHaveLength(7)
    expect(record.mates.every(one => one.met === 'met')).toBe(true)
    expect(record.marks[0]!.made).toBe('paint line at 12:00 seen from the drive end')
    expect(record.marks.find(one => one.title.startsWith('Seal line, lower'))!.made).toBe(
      'scribed line, 42.00 mm from the chamber face',
    )
  })
  it('has every joint with its torques by bolt', () => {
    expect(record.joints.map(one => one.verdict)).toEqual(['Holds', 'Holds', 'Holds', 'Holds', 'Holds'])
    expect(record.joints.find(one => one.title.startsWith('Gland plate'))!.torques).toBe(
      '1: 42.0, 2: 42.0, 3: 42.0, 4: 42.0, 5: 42.0, 6: 42.0',
    )
  })
  it('keeps corrections with their reason, and notes that still count', () => {
    expect(record.corrections).toEqual([
      expect.objectContaining({
        what: 'Note: Juice gritty at the drain',
        first: expect.objectContaining({ who: 'R. Okell' }),
        now: 'taken back',
        why: 'Wrong machine',
      }),
    ])
    expect(record.notes.map(one => one.text)).toEqual(['Clear water pressure low'])
    expect(record.looks.find(one => one.found[0]!.includes('track wider'))).toMatchObject({
      part: { text: 'Rotating face' },
      found: ['track wider than the face (worn), at 2:30 seen from the drive end'],
      arcs: [[75, 75]],
    })
  })
  it('has words for every kind of entry', () => {
    const kinds = new Map(worker.folded.entries.map(one => [one.kind, one]))
    for (const one of kinds.values()) expect(entryWords(plan, one)).not.toMatch(/undefined|newer version/)
    expect(entryWords(plan, { kind: 'gauge.linked' } as unknown as AnyEntry)).toBe('An act of a newer version')
    expect(entryWords(plan, undefined)).toBe('an entry')
  })
  it('names somebody who is not on the list any more', () => {
    expect(recordOf(plan, worker.folded.entries, new Map()).signed!.who).toBe('somebody no longer here')
  })
  it('is a record from the first entry on', () => {
    const begun = recordOf(plan, worker.folded.entries.slice(0, 1), names)
    expect(begun).toMatchObject({ signed: null, readings: [], parts: [], steps: [] })
  })
})

describe('what is shown', () => {
  const check = (id: string) => plan.checks.get(id)!
  it.each([
    ['float', '0.05 to 0.30 mm'],
    ['lift-de', 'maximum 0.12 mm'],
    ['test-pressure', '5.7 to 6.5 bar'],
    ['warm-de', 'maximum 75 °C'],
  ])('limits of %s', (id, words) => expect(showLimits(check(id))).toBe(words))
  it('values, with their spread where there is one', () => {
    expect(showValue(check('float'), { value: 0.2, span: null })).toBe('0.20 mm')
    expect(showValue(check('journal-de'), { value: 60.01, span: [60.008, 60.012] })).toBe(
      '60.010 (60.008 to 60.012) mm',
    )
    expect(showValue(check('test-pressure'), { value: 0.6, span: null })).toBe('6.0 bar')
    expect(showValue(check('float'), { value: 0.254, span: null }, 'inch')).toBe('0.010 in')
    expect(showValue(check('test-pressure'), { value: 0.6, span: null }, 'inch')).toBe('87 psi')
    expect(showLimits(check('journal-de'), 'inch')).toBe('2.3623 to 2.3630 in')
    expect(showValue(check('float'), { value: null, span: null })).toBe('not measured')
  })
})

describe('projections', () => {
  const projection = projectJob(plan, overhaul().folded.state)
  it('hold every complete reading once, as a whole', () => {
    const keys = projection.readings.flatMap(one => (one.cell ? [] : [`${one.checkId} ${one.moment}`]))
    expect(new Set(keys).size).toBe(keys.length)
    expect(keys).toEqual(
      expect.arrayContaining(['float asFound', 'float asLeft', 'bush-clearance inspect', 'bush-clearance build']),
    )
    expect(keys).not.toContain('sleeve-journal build')
  })
  it('hold what sits in each place and what was taken from stock', () => {
    expect(projection.fitted.find(one => one.partRef === 'throttle-bush')).toMatchObject({ asNew: true })
    expect(projection.fitted.find(one => one.partRef === 'hub')).toMatchObject({ asNew: false })
    expect(projection.movements.find(one => one.partRef === 'flush-washers')).toMatchObject({
      quantity: 2,
      takenFrom: 'seal-kit',
    })
    expect(projection.movements).toHaveLength(projection.fitted.filter(one => one.asNew).length)
  })
  it('date a clearance by the newest reading behind it', () => {
    const at = (id: string, moment: string) =>
      projection.readings.find(one => one.checkId === id && one.moment === moment)!.takenAt
    expect(at('bush-clearance', 'build')).toBe(at('bush-bore', 'build'))
  })
})

describe('the worst check', () => {
  const one = (checkId: string, verdict: 'Holds' | 'Thin' | 'Out', share: number | null, takenAt: string) => ({
    checkId,
    cell: '',
    verdict,
    share,
    stands: true,
    takenAt,
  })
  it('is the one that has used most, by its newest reading', () => {
    const three = [one('a', 'Holds', 0.3, '1'), one('b', 'Thin', 0.9, '1'), one('b', 'Holds', 0.1, '2')]
    expect(standingReadings(three, each => each.takenAt)[0]!.checkId).toBe('a')
    expect(standingReadings([one('a', 'Thin', 0.99, '1'), one('b', 'Out', null, '1')], () => 1)[0]!.checkId).toBe('b')
    expect(standingReadings([], () => 1)).toEqual([])
  })
  it('is nothing that is read only as a machine is found, once it is put together again', () => {
    const at = (...moments: Moment[]) => ({ at: moments.map(moment => ({ moment, step: 'read' })) })
    expect(isOnlyFound(at('asFound'))).toBe(true)
    expect(isOnlyFound(at('asFound', 'build'))).toBe(false)
    expect(isOnlyFound(at('inspect'))).toBe(false)
  })
  it('is never one of parts that are gone: a later job that read it and renewed them speaks for it', () => {
    const of = (job: string, cell: string, stands: boolean, takenAt: string, share = 0.5) => ({
      ...one('eye', share > 1 ? 'Out' : 'Holds', share, takenAt),
      ...{ job, cell, stands },
    })
    const standing = (...all: ReturnType<typeof of>[]) =>
      standingReadings(all, each => each.job).map(each => [each.job, each.cell, each.share])
    expect(standing(of('1', '', true, '1'), of('2', '', true, '2', 0.7))).toEqual([['2', '', 0.7]])
    expect(standing(of('1', '', true, '1', 0.9), of('2', '', false, '2', 1.4))).toEqual([])
    // Places of the later job only, and only those that are still in there.
    const places = [of('2', 'a', true, '2', 0.6), of('2', 'b', true, '2', 0.8), of('2', 'c', false, '2', 1.4)]
    expect(standing(of('1', 'd', true, '1', 0.95), of('2', '', false, '2', 1.4), ...places)).toEqual([['2', 'b', 0.8]])
    // A job that has read some places and not all of them does not speak yet.
    expect(standing(of('1', '', true, '1', 0.9), of('2', 'a', true, '2'))).toEqual([['1', '', 0.9]])
  })
})

describe('a long record', () => {
  const row = (letters: number) => [{ text: 'x'.repeat(letters) }]
  const columns = [{ head: 'Note', width: 1 }]
  it('is one part while it is short', () => {
    const tables = recordTables(recordOf(plan, technician().folded.entries, new Map()))
    expect(recordParts(tables)).toEqual([tables])
  })
  it('is cut into parts that hold every row once, in order; what runs on says so', () =>
    fc.assert(
      fc.property(
        fc.array(fc.array(fc.integer({ min: 0, max: 3000 }), { minLength: 1, maxLength: 12 }), { maxLength: 6 }),
        sizes => {
          const tables = sizes.map((rows, i) => ({ title: `T${i}`, columns, rows: rows.map(row) }))
          const parts = recordParts(tables, 4000)
          const again = new Map<string, unknown[]>()
          for (const { title, rows } of parts.flat()) {
            const name = title.replace(', continued', '')
            expect(again.has(name)).toBe(title !== name)
            again.set(name, [...(again.get(name) ?? []), ...rows])
          }
          expect([...again]).toEqual(tables.map(({ title, rows }) => [title, rows]))
          for (const part of parts.slice(0, -1)) expect(part.length).toBeGreaterThan(0)
        },
      ),
    ))
})
