import { refusalsAbout, type Refusal } from '../core/refusal.ts'

/** PINs that many people choose, by the pattern they follow; each is among the first that somebody would try. */
const COMMON: ((pin: string) => boolean)[] = [
  // One figure throughout, or two by turns, or a block again and again.
  pin => /^(.{1,4}?)\1+$/.test(pin),
  // Up or down, by one.
  pin => isRun(pin, 1) || isRun(pin, -1),
  // Figures by twos: 112233.
  pin => pin.length % 2 === 0 && /^(?:(\d)\1)+$/.test(pin) && isEven(pin),
  // The same forward and back: 123321.
  pin => pin.length > 4 && pin === [...pin].reverse().join(''),
  // A year, alone or behind a day: 1987, 311287, 31121987.
  pin => /^(19|20)\d\d$/.test(pin) || /^(0[1-9]|[12]\d|3[01])(0[1-9]|1[0-2])(19|20)?\d\d$/.test(pin),
  // Columns and corners of the keypad.
  pin => KEYPAD.some(path => path.includes(pin)),
]
const KEYPAD = [
  '14714714',
  '25825825',
  '36936936',
  '147258369',
  '147852369',
  '159357',
  '1593572',
  '25802580',
  '123654789',
]

const isRun = (pin: string, by: 1 | -1) =>
  [...pin].every((figure, i) => i === 0 || (Number(pin[i - 1]) + by + 10) % 10 === Number(figure))

const isEven = (pin: string) => {
  const half = [...pin].filter((_, i) => i % 2 === 0).join('')
  return isRun(half, 1) || isRun(half, -1)
}

export const isCommonPin = (pin: string): boolean => COMMON.some(is => is(pin))

const refusals = refusalsAbout('ownPin', {
  same: () => 'That is the PIN you have. Choose another.',
  figures: () => 'A PIN has figures only.',
  length: ({ least }: { least: number }) => `Give ${least === MOST ? MOST : `${least} to ${MOST}`} figures.`,
  common: () => 'That is one of the first that anybody would try. Choose one without a pattern or a date.',
})
const MOST = 8

/** Why a PIN is not taken as somebody's own; null when it is. `now` is the one they have, where that is known. */
export function pinFault(pin: string, length: number, now?: string): Refusal | null {
  if (pin === now) return refusals.same()
  if (!/^\d+$/.test(pin)) return refusals.figures()
  if (pin.length < length || pin.length > MOST) return refusals.length({ least: length })
  return isCommonPin(pin) ? refusals.common() : null
}
