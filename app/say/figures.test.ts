import { describe, expect, it } from 'vitest'
import { givesShown, limitWords, shownValue, showFigureOf } from './figures.ts'

describe('a figure on a screen of inches', () => {
  it.each([
    [{ value: 25.4, unit: 'mm', decimals: 3 }, '1.0000 in'],
    [{ value: 25.4, unit: 'µm', decimals: 0 }, '1.00 thou'],
    [{ value: 150, unit: 'N·m', decimals: 1 }, '110.6 lbf·ft'],
    [{ value: 20, unit: '°C', decimals: 0 }, '68 °F'],
    [{ value: 300, unit: 'MPa', decimals: 0 }, '43\u00a0511 psi'],
    [{ value: 8, unit: 'kN', decimals: 2 }, '1\u00a0798 lbf'],
    [{ value: 60, unit: '°', decimals: 0 }, '60 °'],
    [{ value: 2, unit: 'mm', decimals: 1, as: 'written' as const }, '2.0 mm'],
  ])('%j is %s', (figure, wanted) => {
    const { figure: text, unit } = showFigureOf(figure, 'inch')
    expect(`${text} ${unit}`).toBe(wanted)
  })
  it('its limits follow, and its place on a scale', () => {
    const held = {
      verdict: 'Holds',
      share: 0,
      side: null,
      limits: { max: 100 },
      source: 'x',
      consequence: null,
    } as const
    expect(limitWords(held, { value: 20, unit: '°C', decimals: 0 }, 'inch')).toBe('maximum 212 °F')
    expect(shownValue(100, '°C', 'inch')).toBeCloseTo(212, 9)
    expect(shownValue(100, '°C', 'mm')).toBe(100)
    expect(shownValue(25.4, 'µm', 'inch')).toBeCloseTo(1, 9)
  })
})

describe('what a line of a working gives', () => {
  it.each([
    ['25.4 µm', '1.00 thou'],
    ['185.4 N·m', '136.7 lbf·ft'],
    ['-0.254 mm', '-0.0100 in'],
  ])('%s is %s', (gives, wanted) => expect(givesShown(gives, 'inch')).toBe(wanted))
  it.each(['68 and 85 %', 'grips', '12 bolts', '30 °', '156.7 mm²'])('%s stays', gives =>
    expect(givesShown(gives, 'inch')).toBeNull(),
  )
  it('on a screen of millimetres all stays', () => expect(givesShown('25.4 µm', 'mm')).toBeNull())
})
