import { describe, expect, it } from 'vitest'
import { refusalsAbout, sentenceOf, together } from './refusal.ts'

const no = refusalsAbout('kettle', {
  cold: () => 'The kettle is cold. Put it on first.',
  short: ({ has, wants }: { has: number; wants: number }) => `There is ${has} l in it, and ${wants} l is wanted`,
  early: {
    lead: ({ step }: { step: string }) => `“${step}” cannot be done yet.`,
    say: ({ what }: { step: string; what: string }) => what,
  },
})

describe('a refusal', () => {
  it('is a code with what fills its sentence', () => {
    expect(no.cold()).toEqual({ code: 'kettle.cold', values: {} })
    expect(no.short({ has: 1, wants: 2 })).toEqual({ code: 'kettle.short', values: { has: 1, wants: 2 } })
  })
  it('becomes a sentence, closed by a full stop where it has none', () => {
    expect(sentenceOf(no.cold())).toBe('The kettle is cold. Put it on first.')
    expect(sentenceOf(no.short({ has: 1, wants: 2 }))).toBe('There is 1 l in it, and 2 l is wanted.')
  })
  it('says once what several begin with, and no more than four', () => {
    const first = ['First: fill', 'First: boil', 'First: wait', 'First: taste', 'First: wash']
    const all = together(first.map(what => no.early({ step: 'Pour', what })))!
    expect(sentenceOf(all)).toBe('“Pour” cannot be done yet. First: fill. First: boil. First: wait. First: taste.')
    expect(sentenceOf(together([no.early({ step: 'Pour', what: 'First: fill' }), no.cold()])!)).toBe(
      '“Pour” cannot be done yet. First: fill. The kettle is cold. Put it on first.',
    )
    expect(together([])).toBeNull()
  })
  it('of a code that is not known here is still a sentence', () =>
    expect(sentenceOf({ code: 'kettle.whistles', values: {} })).toContain('kettle.whistles'))
  it('is written once', () =>
    expect(() => refusalsAbout('kettle', { cold: () => 'Again.' })).toThrow('kettle.cold is written twice'))
})
