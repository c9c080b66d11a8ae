import fc from 'fast-check'
import { beforeEach, describe, expect, it } from 'vitest'
import { SUMS_BY_NAME } from '../../sums/index.ts'
import { sourceOf } from '../../../tests/shelf.ts'
import { examineSheet } from './index.ts'

/** A value as it might come from anywhere. */
type Anything = any // eslint-disable-line @typescript-eslint/no-explicit-any

let pump: Anything
beforeEach(() => {
  pump = sourceOf<Anything>('library/m14-axially-split-pump.yaml')
})
const faults = (source: unknown) => examineSheet(source, SUMS_BY_NAME)
const itemOf = (list: string, id: string) => pump[list].find((one: Anything) => one.id === id)

describe('a sheet as it is written', () => {
  it('is sound as it is', () => expect(faults(pump)).toEqual([]))
  it.each<[string, (sheet: Anything) => void, string]>([
    ['no title', sheet => delete sheet.title, 'the sheet has no “title”'],
    ['an empty title', sheet => (sheet.title = ''), 'the sheet title is empty'],
    [
      'a word that means nothing',
      sheet => (sheet.stepps = []),
      'the sheet has “stepps”, which means nothing there: is it “steps”?',
    ],
    [
      'no list where one is wanted',
      sheet => (sheet.steps = 'none'),
      'the sheet steps is “none”, and wants to be a list',
    ],
    [
      'a version that is no number',
      sheet => (sheet.version = 'two'),
      'the sheet version is “two”, and wants to be a whole number',
    ],
    [
      'a misspelt word of a step',
      () => (itemOf('steps', 'drain').titel = 'x'),
      'step drain has “titel”, which means nothing there: is it “title”?',
    ],
    ['a step with no title', () => delete itemOf('steps', 'drain').title, 'step drain has no “title”'],
    [
      'a number for a text',
      () => (itemOf('steps', 'drain').title = 12),
      'step drain title is 12, and wants to be a text',
    ],
    [
      'a text for a number',
      () => (itemOf('checks', 'float').limits.max = 'a little'),
      'check float limits max is “a little”, and wants to be a number',
    ],
    [
      'a blank',
      () => (itemOf('checks', 'float').limits = null),
      'check float limits is left blank, and wants to be an item of its own',
    ],
    [
      'an unknown kind of part',
      () => (itemOf('parts', 'guard').kind = 'housng'),
      'part guard kind is “housng”, which is none: is it “housing”?',
    ],
    [
      'an unknown unit',
      () => (itemOf('checks', 'float').unit = 'furlong'),
      `check float unit is “furlong”, which is none of the `,
    ],
    [
      'an unknown way of measuring',
      () => (itemOf('checks', 'float').kind = 'endfloat'),
      'check float is of kind “endfloat”, which is no way of measuring: is it “endFloat”?',
    ],
    [
      'a clearance between nothing',
      () => delete pump.checks.find((one: Anything) => one.kind === 'clearance').between,
      'does not say between which checks it lies',
    ],
    [
      'a mate that stops nothing',
      () => delete itemOf('mates', 'hub-index').before,
      'mate hub-index stops nothing at hub-on when it is not met: say what it must stop, by `before`',
    ],
    [
      'limits turned round',
      () => (itemOf('checks', 'float').limits = { min: 3, max: 1 }),
      'check float has limits that are turned round',
    ],
    [
      'a list that is none',
      () => (itemOf('steps', 'drain').each = 'ends'),
      'step drain is written for each of ends, which is no list',
    ],
    [
      'a list by a name that everything has',
      () => (itemOf('steps', 'drain').each = 'constructor'),
      'step drain is written for each of constructor, which is no list',
    ],
    [
      'steps in turn that name one of their list twice',
      () => {
        pump.lists = { end: [{ id: 'de' }, { id: 'nde' }] }
        Object.assign(itemOf('steps', 'drain'), { each: 'end', inTurn: ['de', 'de'] })
      },
      'step drain is done in turn: name each of de, nde once, in their order',
    ],
    [
      'steps in turn of no list',
      () => (itemOf('steps', 'drain').inTurn = ['de']),
      'step drain is done in turn, and is not written for each of one list',
    ],
    [
      'too many places',
      () => (itemOf('parts', 'guard').places = { count: 1e9, name: 'place {n}' }),
      'part guard has 1000000000 places: 1 to 200 can be counted',
    ],
    [
      'a choice that no axis has',
      () => (itemOf('steps', 'drain').when = { flush: 'watr' }),
      'step drain hangs on flush being “watr”: is it “water”?',
    ],
    [
      'an axis that is none',
      () => (itemOf('steps', 'drain').when = { flsh: 'water' }),
      'step drain hangs on flsh, which is no axis: is it “flush”?',
    ],
    [
      'a value for a choice there is not',
      () => (itemOf('steps', 'drain').title = { by: 'flush', of: { water: 'x', oil: 'y' } }),
      'step drain hangs on flush being “oil”, which is none of: water, none',
    ],
    [
      'all of what is no list',
      () => (itemOf('steps', 'drain').removes = ['guard@{*}']),
      'step drain removes names all of guard@{*}: that stands in a list, for what was written out under it',
    ],
    [
      'all of many where one is wanted',
      () => (itemOf('mates', 'hub-index').a = 'bearing@{*}'),
      'mate hub-index a names all of bearing@{*}: that stands in a list, for what was written out under it',
    ],
  ])('%s is named with its place', (_, change, words) => {
    change(pump)
    expect(faults(pump).join('\n')).toContain(words)
  })
  it('a circle in what came is a fault', () => {
    pump.steps[0].cautions = [pump.steps[0]]
    expect(faults(pump)[0]).toMatch(/deep, or round in a circle/)
  })
  it('100 MB are refused before they are looked at', () => {
    pump.notice = 'x'.repeat(100_000_000)
    expect(faults(pump)).toEqual(['notice makes the sheet longer than 1,000,000 letters'])
  })
  it('so is what grows when it is written out', () => {
    pump.lists = { ...pump.lists, many: Array.from({ length: 900 }, (_, i) => ({ id: `n${i}` })) }
    pump.steps.push({ each: ['many', 'many', 'many'], id: 'x-{many}' })
    expect(faults(pump)[0]).toMatch(/written out .* more than 60,000 values/)
    pump.steps.pop()
    itemOf('parts', 'guard').places = { each: ['many', 'many', 'many'], name: 'place {many}' }
    expect(faults(pump)[0]).toMatch(/written out .* more than 60,000 values/)
  })
  it('and axes that hang together in more ways than can be looked at', () => {
    for (let i = 0; i < 9; i++) {
      pump.axes.push({ id: `a${i}`, title: 'Size', choices: ['s', 'm', 'l'].map(id => ({ id, title: id })) })
      itemOf('steps', 'drain').when = { ...itemOf('steps', 'drain').when, [`a${i}`]: 's' }
    }
    expect(faults(pump)[0]).toMatch(/hang together in 39,368 ways, and 250 are the most/)
  })
  it.each([undefined, null, 7, 'a sheet', [], {}, () => 1])('%s is no sheet, and that is said', what =>
    expect(faults(what).length).toBeGreaterThan(0),
  )
})

describe('sums of a sheet', () => {
  const check = (sum: object) => {
    pump.checks.push({
      ...{ id: 'tilt', title: 'Gaps round the coupling', kind: 'sum', of: ['hub-motor'], unit: 'mm', decimals: 2 },
      ...{ source: 'maker', instrument: 'feelers', at: [{ moment: 'inspect', step: 'found-coupling' }], sum },
    })
    return faults(pump).filter(one => one.startsWith('check tilt'))
  }
  it('a limit of the sum’s example limits nothing', () => {
    const { name, trend } = { name: 'coupling-gap', trend: 'meanMm' }
    expect(check({ name, trend }).join('\n')).toContain('has no limits and does not say why')
  })
  it('rows that are counted, a sum that is none and fields that are none are named', () => {
    const counted = (rows: object) => check({ name: 'coupling-gap', trend: 'meanMm', rows: { gapsMm: rows } }).join()
    expect(counted({ count: 4, name: 'place {n}' })).not.toMatch(/gapsMm|place/)
    expect(counted({ count: 4, name: 'place' })).toMatch(/has the place “place” twice/)
    expect(counted({ count: 0, name: 'place {n}' })).toMatch(/has 0 places: 1 to 200 can be counted/)
    expect(counted({ count: 4 })).toMatch(/does not say how its counted places are called/)
    expect(counted({ each: 'nowhere', name: 'x' })).toMatch(/places for each of nowhere, which is no list/)
  })
})

/** Every place in a value, by its path. */
function placesIn(value: Anything, path: (string | number)[] = []): (string | number)[][] {
  if (typeof value !== 'object' || value === null) return [path]
  const within = Object.entries(value).flatMap(([key, one]) =>
    placesIn(one, [...path, Array.isArray(value) ? Number(key) : key]),
  )
  return path.length ? [path, ...within] : within
}
/** What somebody, or something, might put anywhere. */
const ODD: unknown[] = [
  ...[undefined, null, '', 'x', '{*}', 'cap@{*}', '{end}', '{constructor.name}', '__proto__', 'constructor'],
  ...[0, -1, 1e9, Number.NaN, Number.POSITIVE_INFINITY, true, [], [[]], {}, { by: 'flush', of: {} }],
  ...[{ by: 'flush', of: { water: 1, none: 'x' } }, { count: 3, name: 'n {n}' }, { each: 'end' }, ['x'], [null], [7]],
]
const changeAt = (sheet: Anything, path: (string | number)[], value: unknown) => {
  const at = path.slice(0, -1).reduce((one, key) => one?.[key], sheet)
  if (typeof at !== 'object' || at === null) return
  if (value === undefined && !Array.isArray(at)) Reflect.deleteProperty(at, path.at(-1)!)
  else at[path.at(-1)!] = value
}

it('a place that is called like all of them is a fault, and is not written out for ever', () => {
  const sheet = sourceOf<Anything>('tests/sheets/four-bearing-fit-up.yaml')
  changeAt(sheet, ['lists', 'brg', 1, 'id'], '{*}')
  expect(faults(sheet)).not.toEqual([])
})

describe.each([
  'library/m14-axially-split-pump.yaml',
  'tests/sheets/four-bearing-fit-up.yaml',
  'tests/sheets/dosing-pump.yaml',
  'tests/sheets/armature-oven.yaml',
])('whatever is put anywhere in %s', path => {
  const whole = sourceOf<Anything>(path)
  const places = placesIn(whole)
  it('is answered with sentences, never with an exception', () =>
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom(...places), fc.constantFrom(...ODD)), { minLength: 1, maxLength: 3 }),
        changes => {
          const sheet = structuredClone(whole)
          for (const [at, value] of changes) changeAt(sheet, at, value)
          for (const words of faults(sheet)) expect(words).toMatch(/^[^\n]{5,300}$/)
        },
      ),
      { numRuns: 250, examples: [[[[['steps', 8, 'needs'], { by: 'flush', of: {} }]]]] },
    ))
})
