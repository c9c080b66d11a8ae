import type { Variants } from '../../core/sheet/index.ts'
import type { Read } from '../sheets.ts'

/** A scraped-surface exchanger in good order, read by somebody who has not seen its sheet. */
export const M8 = ({ size }: Variants): Read => ({
  'current': size === 's100' ? 13 : 8.5,
  'product': 'thin and even',
  'leak': 'dry',
  'pin-tops': 'dull',
  'splines': 'a little play',
  'glide': 'glides all the way',
  'nut-thread': 'all the way',
  'runout': 0.12,
  'pins-seen': 'all there, round, half a turn apart',
  'pins-2-*': 3.2,
  'pins-*': 2.4,
  'springs-primary': 11.9,
  'springs-secondary': 14.8,
  'balance': 900,
  'warm': 34,
  'air': 20,
  'product-pressure': 0.3,
  'threads': 'all the way',
  'try-start': 'nothing moves',
  'faces-*': 'even dull ring',
  'tube-wall': 'even and bright',
  'land-*': 0.3,
  'width-*': size === 's100' ? 62 : 50,
  'edge-*': 'straight edge, round slots',
  'knock-*': 'a knock both ways',
  'push-*': 'goes in, comes back',
  'blades-hang': 'falls back by itself',
  'turned': 'an even soft drag',
})
