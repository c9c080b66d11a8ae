import { flatnessUm, LAMP_NAMES, LAMPS } from '../../seals/index.ts'
import { answering, defineSum, fig, line, say } from '../define.ts'
import { choice, fallback, maker, number, optional } from '../fields.ts'
import { hold, RULE_OF_THUMB } from '../limits.ts'

const SHAPES = ['bows one way', 'rings or ovals', 'saddle or broken'] as const

export const faceFlatnessSum = defineSum({
  name: 'face-flatness',
  craft: 'seals',
  title: 'Flatness by light bands',
  about: 'Bands under an optical flat as micrometres, against what the seal wants, and what their shape says.',
  source: 'half a wavelength a band; two to three helium bands is the ordinary wish for a lapped face',
  fields: {
    bands: number('Bands', '1', [0, 100], 'that a straight line across the middle meets'),
    lamp: fallback(choice('Lamp', LAMP_NAMES), 'helium'),
    shape: optional(choice('They', SHAPES)),
    maxBands: maker('max', number('Maker’s maximum, bands', '1', [0.1, 100])),
  },
  example: { bands: 2, lamp: 'helium', shape: 'bows one way', maxBands: 3 },
  work: ({ bands, lamp, shape, maxBands }) =>
    answering(flatnessUm(bands, lamp), um => ({
      figures: [
        fig(
          'flatnessUm',
          'Flat within',
          um,
          'µm',
          2,
          hold(
            um,
            { max: maxBands === undefined ? undefined : (maxBands * LAMPS[lamp]) / 2 },
            { high: 'the faces part by more than the film: it leaks; lap it again' },
            { limits: { max: (3 * LAMPS.helium) / 2 }, source: `three helium bands, ${RULE_OF_THUMB}` },
          ),
        ),
        ...(shape === undefined
          ? []
          : [
              fig(
                'says',
                'The face is',
                shape === 'bows one way'
                  ? 'high or low in the middle: turn the lap’s ring inward or outward'
                  : shape === 'rings or ovals'
                    ? 'domed or dished: the lap is worn the same way'
                    : 'strained or damaged: look how it is held, and at its ring',
              ),
            ]),
      ],
      working: [line('Flatness', 'bands·λ/2', `${say(bands)}·${say(LAMPS[lamp], 4)}/2`, `${say(um)} µm`)],
      notes: ['Face and flat clean and at one temperature; the flat is laid on, never rubbed.'],
      reading: { row: 'figure', tries: [[um / 1000]] },
    })),
})
