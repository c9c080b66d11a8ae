import { accept } from '../../result.ts'
import { defineSum, line, say } from '../define.ts'
import { list, number } from '../fields.ts'
import { hold, makerMax, makerMin } from '../limits.ts'
import { GAP, SAYS } from './shared.ts'

/** A gap with what really went into it, whatever was chosen before. */
export const shimsInSum = defineSum({
  name: 'shims-in',
  craft: 'stacks',
  title: 'Gap with the shims that went in',
  about: 'What is left of a gap once every shim that was put in has been measured and taken off it.',
  source: 'a gap less what fills it',
  fields: {
    openMm: number('Gap with no shim', 'mm', [0.001, 200]),
    shimsMm: list('Shims that went in', 'mm', [0.001, 50], [1, 20]),
    minMm: makerMin('mm', GAP),
    maxMm: makerMax('mm', GAP),
  },
  example: { openMm: 1.34, shimsMm: [1, 0.1], minMm: 0.2, maxMm: 0.3 },
  work: ({ openMm, shimsMm, minMm, maxMm }) => {
    const packMm = shimsMm.reduce((sum, one) => sum + one, 0)
    const gapMm = openMm - packMm
    return accept({
      figures: [
        {
          ...{ key: 'gapMm', what: 'Gap that is left', value: gapMm, unit: 'mm', decimals: 3 },
          held: hold(gapMm, { min: minMm, max: maxMm }, SAYS),
        },
        { key: 'packMm', what: 'Pack that went in', value: packMm, unit: 'mm', decimals: 3 },
        { key: 'pieces', what: 'Pieces', value: shimsMm.length, decimals: 0 },
      ],
      working: [
        line(
          'Gap',
          'gap − shims',
          `${say(openMm)} − (${shimsMm.map(one => say(one)).join(' + ')})`,
          `${say(gapMm)} mm`,
        ),
      ],
    })
  },
})
