import { describe, expect, it } from 'vitest'
import { sayWhy } from './sayWhy.ts'
import { asSentence, counted, siteDay, thousands, weeksWords } from './words.ts'

describe('words', () => {
  it.each([
    [0, 'due now'],
    [-3, 'due now'],
    [1, 'in 1 week'],
    [20, 'in 20 weeks'],
  ])('%s weeks', (weeks, text) => expect(weeksWords(weeks)).toBe(text))
  it.each([
    [0, '0 bags'],
    [1, '1 bag'],
    [2, '2 bags'],
  ])('%s bags', (n, text) => expect(counted(n, 'bag')).toBe(text))
  it.each([
    ['the ring creeps', 'The ring creeps.'],
    ['The ring creeps.', 'The ring creeps.'],
    ['', ''],
  ])('“%s” as a sentence', (words, text) => expect(asSentence(words)).toBe(text))
  it('sets thousands apart without a mark that could be a decimal', () => {
    expect(thousands(999).replace(/\s/g, '_')).toBe('999')
    expect(thousands(11240).replace(/\s/g, '_')).toBe('11_240')
    expect(thousands(1234567)).not.toMatch(/[.,]/)
  })
  it('writes days so that nobody mixes day and month', () => expect(siteDay('2026-02-03T12:00:00Z')).toBe('3 Feb 2026'))
})

describe('why a request was refused', () => {
  it("is the server's own sentence", () =>
    expect(sayWhy({ statusCode: 422, data: { data: { why: 'Decide first.' } } })).toBe('Decide first.'))
  it('is plain when the server gave none', () => expect(sayWhy({ statusCode: 500 })).toMatch(/refused it \(500\)/))
  it('says that nothing typed is lost when there is no network', () =>
    expect(sayWhy(new Error('fetch failed'))).toMatch(/is kept/))
})
