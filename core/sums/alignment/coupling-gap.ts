import { spacerGap } from '../../alignment/index.ts'
import { answering, defineSum, fig, line, say } from '../define.ts'
import { fallback, list, maker, number, optional } from '../fields.ts'
import { hold } from '../limits.ts'
import { LENGTH } from './shared.ts'

export const couplingGapSum = defineSum({
  name: 'coupling-gap',
  craft: 'alignment',
  title: 'Gap and spacer',
  about:
    'Gap between the hubs against the spacer and what the shafts grow: is the coupling drawn or pressed, cold and warm.',
  source: 'one-dimensional chain; mean of the places round the hubs',
  fields: {
    gapsMm: list('Gap between hubs, round', 'mm', LENGTH, [1, 8], 'shafts pushed where they run'),
    spacerMm: number('Spacer', 'mm', LENGTH),
    packsMm: fallback(number('Packs and gaskets, all', 'mm', [0, 200]), 0),
    growthMm: fallback(number('Shafts grow toward each other', 'mm', [-20, 20]), 0),
    maxStretchMm: optional(number('Coupling may be drawn or pressed', 'mm', [0, 20])),
    maxSpreadMm: maker('max', number('Maximum difference round', 'mm', [0, 20])),
  },
  example: {
    gapsMm: [140.32, 140.36, 140.41, 140.37],
    spacerMm: 140,
    packsMm: 0,
    growthMm: 0.4,
    maxStretchMm: 0.5,
    maxSpreadMm: 0.15,
  },
  work: ({ gapsMm, spacerMm, packsMm, growthMm, maxStretchMm, maxSpreadMm }) =>
    answering(spacerGap(gapsMm, spacerMm, packsMm, growthMm), made => {
      const stretch = (value: number) =>
        hold(value, maxStretchMm === undefined ? {} : { min: -maxStretchMm, max: maxStretchMm, best: 0 }, {
          low: 'pressed together: it pushes both thrust bearings, and membranes bow',
          high: 'drawn apart: it pulls both thrust bearings, and membranes crack',
        })
      return {
        figures: [
          fig(
            'warmStretchMm',
            'Drawn (+) or pressed (−), warm',
            made.warmStretchMm,
            'mm',
            3,
            stretch(made.warmStretchMm),
          ),
          fig(
            'coldStretchMm',
            'Drawn (+) or pressed (−), cold',
            made.coldStretchMm,
            'mm',
            3,
            stretch(made.coldStretchMm),
          ),
          fig(
            'spreadMm',
            'Difference round',
            made.spreadMm,
            'mm',
            3,
            maxSpreadMm === undefined
              ? undefined
              : hold(made.spreadMm, { max: maxSpreadMm }, { high: 'the hubs stand at an angle: align first' }),
          ),
          fig('wantedMm', 'Gap wanted, cold', made.wantedMm, 'mm', 3),
          fig('meanMm', 'Gap, mean', made.meanMm, 'mm', 3),
        ],
        working: [
          line(
            'Wanted',
            'spacer + packs + growth',
            `${say(spacerMm)} + ${say(packsMm)} + ${say(growthMm)}`,
            `${say(made.wantedMm)} mm`,
          ),
          line(
            'Cold',
            'mean gap − spacer − packs',
            `${say(made.meanMm)} − ${say(spacerMm)} − ${say(packsMm)}`,
            `${say(made.coldStretchMm)} mm`,
          ),
          line(
            'Warm',
            'cold − growth',
            `${say(made.coldStretchMm)} − ${say(growthMm)}`,
            `${say(made.warmStretchMm)} mm`,
          ),
        ],
        reading: { row: 'figure', tries: [[made.meanMm]] },
      }
    }),
})
