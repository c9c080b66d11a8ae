import Papa from 'papaparse'
import { describe, expect, it } from 'vitest'
import { VERDICT_WORDS } from '../../core/verdict.ts'
import { must } from '../../tests/must.ts'
import { runSum, SUMS, sumNamed } from '../../core/sums/index.ts'
import { sumAsCsv, sumAsText } from './sumCopy.ts'
import { limitWords, showFigureOf } from './figures.ts'

describe('a figure on the screen', () => {
  it.each([
    [{ value: 59.9833, unit: 'mm', decimals: 3 }, 'mm', '59.983', 'mm'],
    [{ value: 25.4, unit: 'mm', decimals: 3 }, 'inch', '1.0000', 'in'],
    [{ value: 25.4, unit: 'µm', decimals: 0 }, 'inch', '1.00', 'thou'],
    [{ value: 116789.4, unit: 'N', decimals: 0 }, 'mm', '116\u00a0789', 'N'],
    [{ value: 0.1854, as: 'percent' as const }, 'mm', '18.5', '%'],
    [{ value: 4 }, 'mm', '4', ''],
    [{ value: 0.125 }, 'mm', '0.125', ''],
    [{ value: true }, 'mm', 'yes', ''],
    [{ value: false }, 'mm', 'no', ''],
    [{ value: null }, 'mm', '–', ''],
    [{ value: 'clearance' }, 'mm', 'clearance', ''],
    [{ value: -0.0001, unit: 'mm', decimals: 3 }, 'mm', '0.000', 'mm'],
  ] as const)('%j in %s', (figure, lengths, shown, unit) =>
    expect(showFigureOf(figure, lengths)).toEqual({ figure: shown, unit }),
  )
  it('names its limits in the unit that is shown', () => {
    const held = (limits: { min?: number; max?: number }) => ({
      verdict: 'Holds' as const,
      share: 0,
      side: null,
      limits,
      source: 'x',
      consequence: null,
    })
    expect(limitWords(held({ min: 1, max: 2 }), { value: 1, unit: 'mm', decimals: 2 }, 'mm')).toBe('1.00 to 2.00 mm')
    expect(limitWords(held({ max: 0.254 }), { value: 1, unit: 'mm', decimals: 2 }, 'inch')).toBe('maximum 0.010 in')
    expect(limitWords(held({ min: 0.15 }), { value: 0.2, as: 'percent' }, 'mm')).toBe('minimum 15.0 %')
    expect(limitWords(held({ max: 1 }), { value: 'words' }, 'mm')).toBe('')
  })
})

describe.each(SUMS.map(sum => ({ name: sum.name, sum })))('$name, taken away', ({ sum }) => {
  const input = typeof sum.example.samples === 'number' ? { ...sum.example, samples: 2000 } : sum.example
  const answer = must(runSum(sum, input))
  it('as text has the question, the answer with its verdict, the working and the address', () => {
    const text = sumAsText(sum, input, answer, 'http://site/gauge-room')
    expect(text.split('\n')[0]).toContain(sum.title)
    expect(text).toMatch(/\nhttp:\/\/site\/gauge-room$/)
    expect(text).not.toMatch(/undefined|NaN|\[object|null/)
    for (const { held } of answer.figures) if (held) expect(text).toContain(VERDICT_WORDS[held.verdict])
    for (const line of answer.working) expect(text).toContain(line.gives)
  })
  it('as CSV is a table of one shape that reads back', () => {
    const { data, errors } = Papa.parse<Record<string, string>>(sumAsCsv(sum, input, answer), { header: true })
    expect(errors).toEqual([])
    expect(data.filter(row => row.part === 'got').map(row => row.key)).toEqual(answer.figures.map(one => one.key))
    const number = answer.figures.find(one => typeof one.value === 'number' && one.value > 0)
    if (number) expect(Number(data.find(row => row.part === 'got' && row.key === number.key)!.value)).toBe(number.value)
  })
})

it('a cell that a spreadsheet would run is made harmless', () => {
  const sum = sumNamed('places')!
  const input = { placed: [{ part: '=cmd()', cameFrom: '=1+1', wentTo: '1' }] }
  const csv = sumAsCsv(sum, input, must(runSum(sum, input)))
  expect(csv).toContain("'=cmd()")
})
