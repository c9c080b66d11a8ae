import type { Read } from '../sheets.ts'

/** A dual seal that ran its time, came off whole and is renewed, read by somebody who has not seen its sheet. */
export const M20: Read = {
  'received': 'barrier liquid only',
  'clips-found': 'all on and tight',
  'set-found': 2.02,
  'tips': 'all bitten alike',
  'ring-out': 'springy and round',
  'ring-in': 'springy and round',
  'section-out': 5.29,
  'section-in': 5.31,
  'slide-out': 'springy and round',
  'slide-in': 'springy and round',
  'slots-out': 'the driven side',
  'slots-in': 'the driven side',
  'springs-out': 18.6,
  'springs-in': 20.7,
  'retainer-seen': 'flat',
  'flat-out': 0.0004,
  'flat-in': 0.0005,
  'travel-out': 3.7,
  'travel-in': 3.9,
  'turned': 'an even drag',
  'tips-clear': 'nothing',
  'set-gap': 2.01,
  'held-out': 0.002,
  'held-in': 0.001,
}
