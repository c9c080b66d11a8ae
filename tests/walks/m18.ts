import type { Variants } from '../../core/sheet/index.ts'
import type { Read } from '../sheets.ts'

/** A pneumatic conveyor in good order, opened after its hours, read by somebody who has not seen its sheet. */
export const M18 = ({ size }: Variants): Read => {
  const [bore, piston, rail] = size === 'large' ? [32.012, 31.951, 15.991] : [20.009, 19.953, 9.991]
  return {
    'start': 0.05,
    'stroke': size === 'large' ? 32 : 24,
    'rate': size === 'large' ? 126 : 163,
    'vented': 'it slides, nothing follows',
    'play': 0.07,
    'adjuster': size === 'large' ? 6.5 : 4,
    'silencers-found': 'grey and dry',
    'bore-*': bore!,
    'size-*': piston!,
    'rail-size': rail!,
    'rail-bend': 0.02,
    'ring-section': size === 'large' ? 3.53 : 2.62,
    'foot-shut': 'nowhere',
    'bearing-bore': size === 'large' ? 16.07 : 10.05,
    'bearing-deep': 0.1,
    'shavings': 'nothing',
    'seat-square': 2.5,
    'lift': size === 'large' ? 2.2 : 1.6,
    'falls': 'it falls by its own weight',
    'slides': 'light, all the way',
    'set-on': 'filter and regulator, at nought',
    'both-ways': 'both ways, without a pause',
    'tight At the start, absolute': 0.401,
    'tight Gas at the start': 18.6,
    'tight At the end, absolute': 0.399,
    'tight Gas at the end': 18.5,
    'drops': 205,
    'base-again': 'none moved',
  }
}
