import { describe, expect, it } from 'vitest'
import { Asking } from '../../tests/asking.ts'
import { sheetNamed, worker } from '../../tests/sheets.ts'
import { coupledVariants, planFor } from '../sheet/index.ts'
import { examineSheet } from '../sheet/examination/index.ts'
import { SUMS_BY_NAME } from '../sums/index.ts'
import { recordOf, recordTables, viewJob } from './index.ts'
import { seenOn } from '../../tests/seen.ts'

/** What is unlike anything else in each family of machines, as small sheets: the language can say it, and nothing false is said of who does it right. */
const FAMILIES = [
  'torsional-coupling',
  'lever-hoist',
  'dosing-pump',
  'reciprocating-compressor',
  'gas-let-down',
  'sleeve-bearing-motor',
  'vertical-bowl-pump',
  'dc-motor',
  'armature-oven',
  'vacuum-gear-pump',
  'turbo-blower',
  'agitator-seal',
  'sanitary-pump',
  'cartridge-seal-pump',
  'decanter',
  'linear-conveyor',
  'rotary-vane-pump',
  'dual-seal',
]

describe.each(FAMILIES)('%s', name => {
  const sheet = sheetNamed(name)
  it('is sound', () => expect(examineSheet(sheet, SUMS_BY_NAME)).toEqual([]))
  it.each(coupledVariants(sheet).map(variants => [JSON.stringify(variants), variants] as const))(
    'goes from make-safe to a record with nothing owed: %s',
    (_, variants) => {
      const one = worker(sheet, {}, variants)
      one.workUntil()
      expect(viewJob(one.plan, one.folded.state).owed.map(owed => owed.what)).toEqual([])
      one.act('job.signed', { cured: 'yes' }, 'lead')
      expect(one.folded.state.flags).toEqual([])
      expect(recordTables(recordOf(one.plan, one.folded.entries, new Map())).length).toBeGreaterThan(2)
    },
  )
})

/** What goes wrong on each of them, and what is said of it. */
const WRONG: [name: string, step: string, mate: string, say: string, stops: RegExp][] = [
  ['torsional-coupling', 'sleeve-on', 'vanes', 'thick against thick', /crushed/],
  ['lever-hoist', 'gears-on', 'gears', 'one each way', /binds once a turn/],
  ['sleeve-bearing-motor', 'bell-on-de', 'slot-de', 'down', /no way to the shaft/],
  ['vacuum-gear-pump', 'gears-in', 'grooves', 'both outward', /no way out/],
  ['agitator-seal', 'seat-in', 'keyway', 'it turns on', /turns with the shaft/],
  ['sanitary-pump', 'impeller-on', 'locked', 'it unscrews', /mills the cover/],
  ['cartridge-seal-pump', 'unit-build', 'lip-way', 'toward the bearing', /through to the bearing/],
  ['linear-conveyor', 'shut', 'stem', 'up', /stands still/],
  ['rotary-vane-pump', 'rotor-in', 'slots', 'none is seen', /do not lift/],
  ['turbo-blower', 'shaft-in', 'gap-hot', 'down, seen from the hot side', /runs out/],
  ['dc-motor', 'rocker-in', 'neutral', 'beside it', /sparks/],
  ['reciprocating-compressor', 'head-on-c1', 'front-c1', 'toward the motor', /knocks/],
]
describe('done wrong', () => {
  it.each(WRONG)('%s at %s: %s, %s', (name, at, mate, say, means) => {
    const sheet = sheetNamed(name)
    const one = worker(sheet, {}, coupledVariants(sheet)[0], Asking)
    one.workUntil(at)
    const step = planFor(sheet, one.opened.variants, SUMS_BY_NAME).steps.get(at)!
    // It is refused with its own step, or at the next that would build on it.
    expect(() => {
      one.doStep(step, { mates: { ...one.said(step).mates, [mate]: { say } } })
      one.workUntil()
    }).toThrow(/is refused/)
    const wrong = viewJob(one.plan, one.folded.state).owed.filter(owed => owed.kind === 'wrong way')
    expect(wrong.map(owed => owed.why).join(' ')).toMatch(means)
  })
})

describe('where parts sat, for reading by', () => {
  const sheet = sheetNamed('dual-seal')
  it('is marked before they are lifted, and not asked when they are back', () => {
    const one = worker(sheet, {}, {}, Asking)
    one.workUntil('mark')
    expect(viewJob(one.plan, one.folded.state).owed.map(owed => owed.what)).toContain(
      'Make the mark: Inboard face to the vent',
    )
    one.workUntil()
    expect(one.folded.state.mates.has('seat-index')).toBe(false)
    expect(one.folded.state.mates.has('index')).toBe(true)
    expect(() => one.act('mate.answered', { mate: 'seat-index', deg: 0 })).toThrow(/is refused/)
  })
  it('what is found is told by the hour, or from hour to hour', () => {
    const one = worker(sheet, {}, {}, Asking)
    one.workUntil('decide')
    const at = (where: object) => seenOn('face@in', 'Worn through', { ...where, seenFrom: 'atmosphere' })
    one.act('part.looked', at({ deg: 75 }))
    one.act('part.looked', at({ deg: 75, toDeg: 150 }))
    expect(() => one.act('part.looked', at({ toDeg: 150 }))).toThrow(/begins/)
    const text = JSON.stringify(recordTables(recordOf(one.plan, one.folded.entries, new Map())))
    expect(text).toContain('at 2:30 seen from the atmosphere')
    expect(text).toContain('from 2:30 round to 5:00 seen from the atmosphere')
  })
})
