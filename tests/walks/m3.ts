import type { Variants } from '../../core/sheet/index.ts'
import type { Read } from '../sheets.ts'

/** A cycloidal reducer in good order, read by somebody who has not seen its sheet. */
export const M3 = ({ size }: Variants): Read => ({
  'oil-seen': 'clean and smooth',
  'lost-motion': 0.18,
  'float-slow': 0.14,
  'ring-turn': 'all turn freely',
  'slow-turn': 'all turn freely',
  'disc-bore': size === 'large' ? 78.012 : 50.01,
  'cam-size': size === 'large' ? 77.978 : 49.982,
  'ring-pin-size': size === 'large' ? 11.997 : 7.999,
  'old-lips': 'soft, a narrow even track',
  'collar-track': 0.04,
  'slow-bearings': 'quiet and smooth',
  'fast-bearings': 'quiet and smooth',
  'stand-out': 2.55,
  'greased': 'grease in every gap, squeezed out at the lobes',
  'closes': 0.04,
  'turned': 'light and even',
  'warm': 48,
  'shake': 1.4,
  'air': 20,
  'current': size === 'large' ? 23 : 6.2,
  'threads': 'all the way',
  'try-start': 'nothing moves',
  'leaks': 'dry',
})
