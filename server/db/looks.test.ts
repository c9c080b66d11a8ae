import { describe, expect, it } from 'vitest'
import { lookOf } from './looks.ts'

describe('a name that the eye takes for another', () => {
  it.each([
    ['r. okell', 'R. Okell'],
    ['R Okell', 'R. Okell'],
    ['R.  Okell', 'R. Okell'],
    ['R. Оkell', 'R. Okell'],
    ['R. 0kell', 'R. Okell'],
    ['R. Okell', 'R. OkeII'],
    ['R. Оке11', 'R. Okell'],
    ['R. Okéll', 'R. Okell'],
    ['Ｒ. Okell', 'R. Okell'],
    ['I. Vahl', 'l. VahI'],
    ['ı. Vahl', 'I. Vahl'],
    ['Ρ. Moorcott', 'P. Moorcott'],
  ])('%s looks like %s', (one, other) => expect(lookOf(one)).toBe(lookOf(other)))
  it.each([
    ['R. Okell', 'T. Okell'],
    ['Z. Novák', 'Z. Nowak'],
    ['山田', '田山'],
  ])('%s does not look like %s', (one, other) => expect(lookOf(one)).not.toBe(lookOf(other)))
  it('of no letters known here is itself', () => expect(lookOf('山田')).not.toBe(''))
})
