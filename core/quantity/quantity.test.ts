import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import vectors from '../../tests/vectors/quantities.json'
import {
  BASE_UNIT,
  displayLength,
  formatInchFraction,
  formatQuantity,
  fromBase,
  KINDS,
  parseQuantity,
  UNITS,
  type Field,
  type Kind,
  type UnitName,
} from './index.ts'

const value = (text: string, field: Field) => {
  const read = parseQuantity(text, field)
  return read.ok ? read.value.value : read.why
}
const length: Field = { kind: 'length' }
const journal: Field = { kind: 'length', span: [50, 70], label: 'a 60 mm journal' }

describe('worked cases', () => {
  it.each(vectors.cases)('$input.text as $input.kind', ({ input, expect: wanted }) => {
    const read = parseQuantity(input.text, { kind: input.kind as Kind })
    if ('refused' in wanted) expect(read.ok).toBe(false)
    else expect(read.ok && Math.abs(read.value.value - wanted.value!) <= 1e-9 * Math.abs(wanted.value!)).toBe(true)
  })
})

describe('what people write', () => {
  it.each([
    ['59.983', length, 59.983],
    ['1e-3 in', length, 0.0254],
    ['1.5E3', length, 1500],
    ['−0.02', length, -0.02],
    ['+0,5', length, 0.5],
    ['1-3/8 in', length, 34.925],
    ['3⁄16″', length, 4.7625],
    ['0,250', length, 0.25],
    ['.5', length, 0.5],
    ['180 ft·lb', { kind: 'torque' }, 180 * 4.4482216152605 * 0.3048],
    ['30 lbf in', { kind: 'torque' }, 30 * 4.4482216152605 * 0.0254],
    ['36 °F', { kind: 'temperatureDifference' }, 20],
    ['-40 °F', { kind: 'temperature' }, -40],
    ['2 barg', { kind: 'pressure', reference: 'gauge' }, 0.2],
    ['0.7', { kind: 'pressure', reference: 'absolute' }, 0.7],
    ['25', { kind: 'length', unit: 'µm' }, 0.025],
    ['180 kg', { kind: 'mass' }, 180],
  ] as [string, Field, number][])('%s', (text, field, wanted) => expect(value(text, field)).toBeCloseTo(wanted, 9))

  it.each([
    ['6 bar', { kind: 'pressure', reference: 'gauge' }, 'Gauge or absolute'],
    ['6 bara', { kind: 'pressure', reference: 'gauge' }, 'absolute pressure'],
    ['0.7 MPa', { kind: 'pressure', reference: 'absolute' }, 'leave the unit out'],
    ['2 ton', { kind: 'mass' }, '2000 lb'],
    ['1,250', length, 'decimal or thousands'],
    ['60 mil', journal, 'thousandth of an inch'],
    ['5 furlongs', length, 'not a unit'],
    ['12 mm in', length, 'two units'],
    ['1.2.3', length, 'more than one'],
    ['   ', length, 'Nothing typed'],
    ['9'.repeat(60), length, 'too long'],
    ['1/0', length, 'nothing'],
    ['NaN', length, 'not a figure'],
    ['1e3.5', length, 'not a unit'],
  ] as [string, Field, string][])('refuses %s', (text, field, wanted) => expect(value(text, field)).toContain(wanted))

  it('lets the span settle a comma that could be either', () => {
    expect(value('59,983', journal)).toBeCloseTo(59.983, 9)
    expect(value('59,983', length)).toContain('thousands')
  })

  it.each([
    ['0.06', 'decimal mark'],
    ['6000', 'decimal mark'],
    ['2.36', 'inches'],
    ['70.001', 'expected is 50 to 70 mm'],
  ])('challenges a 60 mm journal typed as %s', (text, hint) => {
    expect(value(text, journal)).toContain('cannot be a reading of a 60 mm journal')
    expect(value(text, journal)).toContain(hint)
  })

  it('takes both edges of the span', () => {
    expect(value('50', journal)).toBe(50)
    expect(value('70', journal)).toBe(70)
  })
})

describe('laws', () => {
  const units = (Object.keys(UNITS) as UnitName[]).filter(unit => unit !== 'pcs')

  it('parse after format is identity, in every unit', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...units),
        fc.integer({ min: -9_999_999, max: 9_999_999 }),
        fc.integer({ min: 0, max: 6 }),
        (unit, figure, decimals) => {
          const text = `${(figure / 10 ** decimals).toFixed(decimals)} ${unit}`
          const reference =
            'reference' in UNITS[unit] ? (UNITS[unit] as { reference: 'gauge' | 'absolute' }).reference : undefined
          const read = parseQuantity(text, { kind: UNITS[unit].kind, reference })
          expect(read.ok).toBe(true)
          if (read.ok)
            expect(Number(formatQuantity(read.value.value, unit, decimals).split(' ')[0])).toBe(
              figure === 0 ? 0 : figure / 10 ** decimals,
            )
        },
      ),
    )
  })

  it('never throws and never gives a number that is not one', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary' }), fc.constantFrom(...KINDS), (text, kind) => {
        const read = parseQuantity(text, { kind })
        if (read.ok) expect(Number.isFinite(read.value.value)).toBe(true)
        else expect(read.why.length).toBeGreaterThan(10)
      }),
    )
  })

  it('every kind has its base unit', () => {
    for (const kind of KINDS) expect(fromBase(1, BASE_UNIT[kind])).toBe(1)
  })
})

describe('display', () => {
  it.each([
    [34.925, '1 3/8 in'],
    [4.7625, '3/16 in'],
    [25.4, '1 in'],
    [0, '0 in'],
    [-12.7, '-1/2 in'],
    [25.39, '1 in'],
  ])('%s mm as a fraction', (mm, text) => expect(formatInchFraction(mm)).toBe(text))
  it('shows lengths in the chosen system', () => {
    expect(displayLength(59.983, 'mm')).toEqual({ figure: '59.983', unit: 'mm' })
    expect(displayLength(59.983, 'inch')).toEqual({ figure: '2.3615', unit: 'in' })
    expect(displayLength(0.1016, 'inch', 3, 'thou')).toEqual({ figure: '4.00', unit: 'thou' })
    expect(displayLength(4.7625, 'inch', 3, 'fraction')).toEqual({ figure: '3/16', unit: 'in' })
    expect(formatQuantity(-0.0001, 'mm', 3)).toBe('0.000 mm')
  })
})
