export type Hand = 'right' | 'left'
export type Sense = 'clockwise' | 'anticlockwise'

const other = (sense: Sense): Sense => (sense === 'clockwise' ? 'anticlockwise' : 'clockwise')

/**
 * Which way to turn as one stands: a right-hand nut tightens clockwise as seen from the nut, a left-hand one the other way;
 * seen from behind it, everything changes over.
 */
export function turnFor(hand: Hand, act: 'tighten' | 'slacken', seenFrom: 'the nut or head' | 'behind it'): Sense {
  const fromNut: Sense = (hand === 'right') === (act === 'tighten') ? 'clockwise' : 'anticlockwise'
  return seenFrom === 'the nut or head' ? fromNut : other(fromNut)
}
