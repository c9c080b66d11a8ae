import type { Read } from '../sheets.ts'

/** Blue over the bottom third, the horns bare: so it lies with its running clearance. */
const WELL = Array.from({ length: 4 }, () => [0, 1, 1, 1, 1, 0])
  .flat()
  .join(';')

/** A gear unit in good order, read by somebody who has not seen its sheet. */
export const M10: Read = {
  'oil': 'clear',
  'float-slow': 0.34,
  'float-fast': 0.3,
  'backlash *': 0.36,
  'contact-teeth Along the tooth': 82,
  'contact-teeth Up the working height': 60,
  'contact-teeth The blue lies': 'even, in the middle',
  'hub-gap-*': 4,
  'catch': 'nothing, or a little sludge',
  'lining-*': 'even dull track',
  'journal-f*': 79.98,
  'journal-s*': 119.972,
  'bore-f*': 80.115,
  'bore-s*': 120.155,
  'runout-*': 0.01,
  'teeth': 'even polish',
  'seats': 'even grey',
  'nozzles': 'a flat fan',
  'pump-end': 0.05,
  'pump-side': 0.07,
  'cooler-drop': 0,
  'pin-height': 6,
  'blue-*': WELL,
  // A strip of 0.4 mm pressed to 0.92 mm is a gap of 0.137 mm; one of 0.6 pressed to 1.5, 0.188.
  'strips-f*': 0.92,
  'strips-s*': 1.5,
  'skew-f*': 0.45,
  'skew-s*': 0.55,
  'pinch-* wire, flattened': 0.38,
  'pinch-* shim*': 0.4,
  'turn-open': 'alike all round',
  'turn-shut': 'as it did before',
  'pressure': 0.18,
  'warm-* Air around': 20,
  'warm-* At start, °C': 22,
  'warm-* After 30 minutes, °C': 44,
  'warm-* After 60 minutes, °C': 54,
  'warm-* After 75 minutes, °C': 54.5,
  'warm-* After 90 minutes, °C': 55,
  'shake': 1.6,
  'hot-*': 48,
  'air': 21,
  'current': 158,
  'alignment-*': 0,
  'baffle-gap': 0.4,
  'threads': 'all the way',
  'try-start': 'nothing moves',
  'lid-again': 'new gasket, screws drawn up crosswise',
  'leaks': 'dry',
}
