import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { must, refused } from '../../tests/must.ts'
import { SUMS, sumNamed } from '../../core/sums/index.ts'
import { choice, clocked, fallback, flag, list, number, optional, rows, text, whole } from '../../core/sums/fields.ts'
import {
  carryOver,
  fromQuery,
  neat,
  readField,
  readFields,
  readNumber,
  shownUnit,
  toQuery,
  writeFields,
  writeNumber,
  type Texts,
} from './sumTexts.ts'

const JOURNAL = number('Journal', 'mm', [1, 500])
const GAP = number('Gap', 'µm', [-500, 500])

describe('a place as on a clock', () => {
  const HOUR = clocked(number('Hour', '1', [0, 12]), 'hours')
  const PLACE = clocked(number('At', '°', [-360, 360]), 'degrees')
  it.each([
    [HOUR, '2:30', 2.5],
    [HOUR, '12:00', 0],
    [HOUR, '2.5', 2.5],
    [PLACE, '3:00', 90],
    [PLACE, '11:45', 352.5],
    [PLACE, '90', 90],
  ])('%j: “%s”', (field, typed, wanted) => expect(must(readNumber(typed, field, 'mm'))).toBe(wanted))
  it.each(['13:00', '2:75', '2:', ':30'])('“%s” is no place on it', typed =>
    refused(readNumber(typed, PLACE, 'mm'), /not a clock place/),
  )
  it('a field that takes none refuses it', () => refused(readNumber('2:30', JOURNAL, 'mm')))
})

describe('a figure as it is typed', () => {
  it.each([
    ['60.012', 'mm', 60.012],
    ['60,012', 'mm', 60.012],
    ['2 3/8 in', 'mm', 60.325],
    ['2.3627', 'inch', 60.01258],
    ['60 mm', 'inch', 60],
    ['2 3/8', 'inch', 60.325],
  ] as const)('%s on a screen in %s', (typed, lengths, mm) =>
    expect(must(readNumber(typed, JOURNAL, lengths))).toBeCloseTo(mm, 9),
  )
  it.each([
    ['1', 'inch', 25.4],
    ['1', 'mm', 1],
    ['0.02 mm', 'mm', 20],
    ['-2', 'inch', -50.8],
  ] as const)('%s in a field of micrometres, screen in %s', (typed, lengths, um) =>
    expect(must(readNumber(typed, GAP, lengths))).toBeCloseTo(um, 9),
  )
  it.each([
    ['0.06', /expected is 1 to 500 mm/],
    ['6000', /expected is/],
    ['60 Nm', /unit of torque/],
    ['1.234,5', /both a point and a comma/],
    ['about 60', /not a figure/],
  ])('%s is refused in words', (typed, why) => refused(readNumber(typed, JOURNAL, 'mm'), why))
  it('names the span in the unit that was typed', () =>
    refused(readNumber('600 in', JOURNAL, 'inch'), /0.03937008 to 19.68504 in/))
  it.each([
    ['mm', 'in'],
    ['µm', 'thou'],
    ['°C', '°F'],
    ['N·m', 'lbf·ft'],
    ['MPa', 'psi'],
    ['°', '°'],
    ['1', '1'],
  ] as const)('a field of %s is one of %s on a screen of inches', (unit, shown) => {
    expect(shownUnit(unit, 'inch')).toBe(shown)
    expect(shownUnit(unit, 'mm')).toBe(unit)
  })
  it('a bare torque on a screen of inches is in foot-pounds', () =>
    expect(must(readNumber('100', number('Torque', 'N·m', [0.01, 1000]), 'inch'))).toBeCloseTo(135.58, 2))
  it('goes over to inches and back without losing a hair', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1000, max: 500_000 }), um => {
        expect(must(readNumber(writeNumber(um / 1000, 'mm', 'inch'), JOURNAL, 'inch'))).toBeCloseTo(um / 1000, 5)
      }),
    )
  })
})

describe('one field', () => {
  it('that is empty is empty, not nought', () => {
    expect(readField(JOURNAL, '', 'mm')).toEqual({ state: 'empty' })
    expect(readField(JOURNAL, undefined, 'mm')).toEqual({ state: 'empty' })
    expect(readField(list('Tries', 'mm', [0, 9], [1, 5]), [], 'mm')).toEqual({ state: 'empty' })
    expect(readField(text('Class', 6), '', 'mm')).toEqual({ state: 'empty' })
  })
  it('that is a flag is never empty', () =>
    expect(readField(flag('Sealed'), undefined, 'mm')).toEqual({ state: 'value', value: false }))
  it('that counts takes whole numbers only', () => {
    expect(readField(whole('Bolts', [2, 200]), '12', 'mm')).toEqual({ state: 'value', value: 12 })
    expect(readField(whole('Bolts', [2, 200]), '12.5', 'mm')).toMatchObject({
      state: 'wrong',
      why: expect.stringMatching(/whole number/),
    })
  })
  it('that is a list says how many are wanted, and which is wrong', () => {
    const strips = list('Widths', 'mm', [0, 9], [3, 3])
    expect(readField(strips, ['0.5', '0.6'], 'mm')).toMatchObject({ state: 'wrong', why: 'Widths: 3 wanted, 2 given.' })
    expect(readField(strips, ['0.5', '0.6', '60'], 'mm')).toMatchObject({
      state: 'wrong',
      why: expect.stringMatching(/expected is/),
    })
    expect(readField(strips, ['0.5', '0,6', '.7'], 'mm')).toEqual({ state: 'value', value: [0.5, 0.6, 0.7] })
  })
  it('that is a table is read row by row', () => {
    const ends = rows('Ends', { wireMm: JOURNAL, note: optional(text('Note', 9)) }, [1, 4])
    expect(
      readField(
        ends,
        [
          { wireMm: '2', note: '' },
          { wireMm: '3', note: 'x' },
        ],
        'mm',
      ),
    ).toEqual({ state: 'value', value: [{ wireMm: 2 }, { wireMm: 3, note: 'x' }] })
    expect(readField(ends, [{ wireMm: '' }], 'mm')).toMatchObject({ state: 'wrong', why: 'Still wanted: journal.' })
  })
})

describe('all fields together', () => {
  const fields = { boreMm: JOURNAL, load: fallback(choice('Load', ['light', 'heavy']), 'light'), minUm: optional(GAP) }
  it('say what is still wanted', () =>
    refused(readFields(fields, { boreMm: '', load: '', minUm: '' }, 'mm'), /Still wanted: journal/))
  it('take the usual value where none is given, and leave out what may be left out', () =>
    expect(must(readFields(fields, { boreMm: '60', load: '', minUm: '' }, 'mm'))).toEqual({
      boreMm: 60,
      load: 'light',
    }))
  it('stop at what is wrong even where it may be left out', () =>
    refused(readFields(fields, { boreMm: '60', load: '', minUm: 'x' }, 'mm'), /not a figure/))
})

describe.each(SUMS.map(sum => ({ name: sum.name, sum })))('$name', ({ sum }) => {
  it('reads its own example back from the fields', () =>
    expect(must(readFields(sum.fields, writeFields(sum.fields, sum.example, 'mm'), 'mm'))).toMatchObject(sum.example))
  it('reads it back from fields in inches, as near as nine figures go', () => {
    const back = must(readFields(sum.fields, writeFields(sum.fields, sum.example, 'inch'), 'inch'))
    for (const [key, value] of Object.entries(sum.example))
      if (typeof value === 'number')
        expect(Math.abs(Number(back[key]) - value)).toBeLessThanOrEqual(1e-6 * Math.max(1, Math.abs(value)))
  })
  it('comes through an address unchanged', () => {
    const query = Object.fromEntries(new URLSearchParams(new URLSearchParams(toQuery(sum.example)).toString()))
    expect(must(readFields(sum.fields, fromQuery(sum.fields, query, 'mm'), 'mm'))).toMatchObject(sum.example)
  })
})

describe('a broken address', () => {
  const { fields } = sumNamed('stack')!
  it.each([
    ['links', '{broken'],
    ['links', '7'],
    ['links', 'null'],
    ['links', '[1,null,"x"]'],
    ['minMm', 'heavy'],
    ['minMm', 'Infinity'],
    ['minMm', '1e999'],
    ['minMm', ''],
  ])('%s=%s is left empty, not believed', (key, value) => {
    const texts = fromQuery(fields, { [key]: value }, 'mm')
    expect(texts[key]).toEqual(key === 'links' ? [] : '')
  })
  it('keeps a list no longer than its field', () =>
    expect(
      fromQuery(sumNamed('tries')!.fields, { triesMm: JSON.stringify(new Array(500).fill(1)) }, 'mm').triesMm,
    ).toHaveLength(20))
  it('leaves out a choice that there is not', () => {
    const { fields: bearing } = sumNamed('bearing-fit')!
    expect(fromQuery(bearing, { load: 'crushing', elements: 'ball' }, 'mm')).toMatchObject({
      load: '',
      elements: 'ball',
    })
  })
  it('never makes an input that was not read through its fields', () => {
    fc.assert(
      fc.property(
        fc.dictionary(fc.constantFrom('links', 'minMm', 'maxMm', 'nonsense'), fc.string({ maxLength: 30 })),
        query => {
          const read = readFields(fields, fromQuery(fields, query, 'mm'), 'mm')
          if (!read.ok) expect(read.why.length).toBeGreaterThan(5)
        },
      ),
    )
  })
})

describe('going over to inches', () => {
  const { fields } = sumNamed('stack')!
  const half: Texts = {
    links: [
      { name: 'spacer', sign: 'opens', nominalMm: '25.4', plusMm: '', minusMm: '0.0254', distribution: 'normal' },
      { name: '', sign: 'closes', nominalMm: 'about 3', plusMm: '', minusMm: '', distribution: 'even' },
    ],
    minMm: '',
    maxMm: '60 Nm',
  }
  it('keeps the size of what can be read in a half-filled page, and the words of the rest', () => {
    expect(carryOver(fields, half, 'mm', 'inch')).toEqual({
      links: [
        { name: 'spacer', sign: 'opens', nominalMm: '1', plusMm: '', minusMm: '0.001', distribution: 'normal' },
        { name: '', sign: 'closes', nominalMm: 'about 3', plusMm: '', minusMm: '', distribution: 'even' },
      ],
      minMm: '',
      maxMm: '60 Nm',
    })
  })
  it('and back is where it was', () =>
    expect(carryOver(fields, carryOver(fields, half, 'mm', 'inch'), 'inch', 'mm')).toEqual(half))
  it('carries each figure of a list by itself', () => {
    expect(carryOver(sumNamed('tries')!.fields, { triesMm: ['25.4', 'x', '50.8'] }, 'mm', 'inch')).toEqual({
      triesMm: ['1', 'x', '2'],
    })
  })
  it('carries every unit of the other world, and leaves what has none', () => {
    expect(
      carryOver(
        sumNamed('mounting-temperature')!.fields,
        { ambientC: '20', interferenceUm: '25.4', greasedOrSealed: true },
        'mm',
        'inch',
      ),
    ).toEqual({ ambientC: '68', interferenceUm: '1', greasedOrSealed: true })
  })
})

describe('millimetres and inches, any number of times', () => {
  /** An input through the fields of the page, switched so often. */
  function switched(fields: (typeof SUMS)[number]['fields'], input: Record<string, unknown>, times: number) {
    let texts = writeFields(fields, input, 'mm')
    let lengths: 'mm' | 'inch' = 'mm'
    for (let i = 0; i < times; i++) {
      const to: 'mm' | 'inch' = lengths === 'mm' ? 'inch' : 'mm'
      texts = carryOver(fields, texts, lengths, to)
      lengths = to
    }
    return readFields(fields, texts, lengths)
  }
  it.each(SUMS.map(sum => [sum.name, sum] as const))('%s: no figure changes', (_, sum) => {
    const asRead = must(readFields(sum.fields, writeFields(sum.fields, sum.example, 'mm'), 'mm'))
    for (const times of [1, 2, 5]) expect(must(switched(sum.fields, sum.example, times))).toEqual(asRead)
  })
  it('any size is the same size in inches', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1000, max: 500_000 }), fc.integer({ min: 1, max: 6 }), (um, times) => {
        expect(must(switched({ d: JOURNAL }, { d: um / 1000 }, times))).toEqual({ d: um / 1000 })
      }),
    )
  })
  it('50 H7 stays 50 H7: 25 µm wide, not 30', () => {
    const { fields, example } = sumNamed('limits-and-fits')!
    expect(must(switched(fields, { ...example, nominalMm: 50 }, 1))).toMatchObject({ nominalMm: 50 })
  })
  it.each([
    ['1.96850393700787', '1.9685'],
    ['-0.00787401574803', '-0.00787402'],
    ['59.983', '59.983'],
    ['1.968504', '1.968504'],
    ['1 3/8"', '1 3/8"'],
    ['', ''],
  ])('%s is shown as %s', (text, shown) => expect(neat(text)).toBe(shown))
})
