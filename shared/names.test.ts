import { expect, it } from 'vitest'
import { tidyName } from './names.ts'

it.each([
  ['R. Okell', 'R. Okell'],
  ['  R.\t Okell ', 'R. Okell'],
  ['Łukasz Żak', 'Łukasz Żak'],
  ['Ange\u0301lique', 'Angélique'],
  ['山田 太郎', '山田 太郎'],
  ['R. Ok\u202eell', null],
  ['R. Ok\u200bell', null],
  ['R. Okell\u0000', null],
  ['R.\u2066Okell', null],
  ['\u3164', null],
  ['…', null],
  ['   ', null],
])('%j is kept as %j', (typed, kept) => expect(tidyName(typed)).toBe(kept))
