import { describe, expect, it } from 'vitest'
import { isCommonPin, pinFault } from './pins.ts'

describe('a PIN that many choose', () => {
  it.each([
    ...['000000', '111111', '123456', '654321', '890123', '121212', '123123', '112233', '332211', '123321'],
    ...['1987', '2024', '311287', '31121987', '147258', '258025', '159357', '0000', '1234', '4321', '1212', '2580'],
  ])('%s is one', pin => expect(isCommonPin(pin)).toBe(true))
  it.each(['739104', '402918', '7735', '6059', '882917', '94026173'])('%s is none', pin =>
    expect(isCommonPin(pin)).toBe(false),
  )
  it('leaves nearly all that can be given', () => {
    const common = Array.from({ length: 1_000_000 }, (_, i) => String(i).padStart(6, '0')).filter(isCommonPin).length
    expect(common).toBeLessThan(50_000)
  })
})

it.each([
  ['12345', 6, 'length'],
  ['7391047', 8, 'length'],
  ['73a104', 6, 'figures'],
  ['123456', 6, 'common'],
  ['739104', 6, null],
  ['73910482', 6, null],
])('%s, of %s figures: %s', (pin, length, why) =>
  expect(pinFault(pin, length)?.code ?? null).toBe(why && `ownPin.${why}`),
)
it('the one that they have is another’s to know by now', () =>
  expect(pinFault('739104', 6, '739104')?.code).toBe('ownPin.same'))
