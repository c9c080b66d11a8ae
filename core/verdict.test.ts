import { describe, expect, it } from 'vitest'
import { judge, worstVerdict } from './verdict.ts'

describe('judge', () => {
  const journal = { min: 59.98, max: 60, best: 60 }
  it.each([
    [60, 'Holds', 0],
    [59.984, 'Holds', 0.8],
    [59.983, 'Thin', 0.85],
    [59.98, 'Thin', 1],
  ])('%s', (value, verdict, share) => {
    const got = judge(value, journal)
    expect(got.verdict).toBe(verdict)
    expect(got.share).toBeCloseTo(share, 6)
  })
  it('is out on either side', () => {
    expect(judge(59.979, journal)).toMatchObject({ verdict: 'Out', side: 'low' })
    expect(judge(60.001, journal)).toMatchObject({ verdict: 'Out', side: 'high' })
  })
  it('is open without limits or without a number', () => {
    expect(judge(1, {}).verdict).toBe('Open')
    expect(judge(Number.NaN, journal).verdict).toBe('Open')
  })
  it('gives no share for a lone minimum', () => {
    expect(judge(5, { min: 3 })).toMatchObject({ verdict: 'Holds', share: null })
    expect(judge(2, { min: 3 }).verdict).toBe('Out')
  })
  it("takes the sheet's warning share", () => {
    expect(judge(0.85, { max: 1, warningShare: 0.1 }).verdict).toBe('Holds')
    expect(judge(0.85, { max: 1 }).verdict).toBe('Thin')
  })
})

it('open is worse than thin, out is worst', () => {
  expect(worstVerdict(['Holds', 'Thin', 'Open'])).toBe('Open')
  expect(worstVerdict(['Open', 'Out'])).toBe('Out')
  expect(worstVerdict([])).toBe('Open')
})
