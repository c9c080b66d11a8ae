import type { Variants } from '../../core/sheet/index.ts'
import type { Read } from '../sheets.ts'

/** The smallest has the light chain, and is the one where none is named. */
const isLight = (size = 'one') => size === 'one'

/** A lever hoist in good order, opened after its year, read by somebody who has not seen its sheet. */
export const M2 = ({ size }: Variants): Read => ({
  'throat': size === 'two-half' ? 34.3 : size === 'five' ? 45.2 : 28.2,
  'twist': 1,
  'seat': 0.03,
  'swivel': 'turns, and shuts by itself',
  'pitch': isLight(size) ? 90.2 : 135.3,
  'link-seat': isLight(size) ? 5.9 : 8.8,
  'links': 'bright and free, all',
  'clicks': 'two clear clicks, both ways',
  'light-load': 'it stands',
  'neutral': 'freely, end to end',
  'cloth-found': 'brown dust, dry',
  'disc-outer': 2.9,
  'disc-inner': 2.86,
  'tips': 0.2,
  'pawl-free': 'falls in by itself',
  'springs-short': 0.4,
  'cloth': 'nothing',
  'travel': 0.8,
  'pinion-runout': 0.02,
  'sheave-play': 0.06,
  'dye': 'no line',
  'pocket-worn': 0.2,
  'one-turn': 'evenly all round',
  'empty-tried': 'clicks, runs end to end, bites again',
  'creep': 0.4,
  'loaded': size === 'two-half' ? 3120 : size === 'five' ? 6250 : 1250,
  'held-load': 'held at every stop',
  'slips-at': 1.44,
  'held-tenth': 'it stands',
  'cut-through': 'cut through',
})
