import { HAND_TURN_WORDS, HAND_TURNS } from '../../proving/index.ts'
import { accept } from '../../result.ts'
import { defineSum, line } from '../define.ts'
import { choice, clocked, number, optional } from '../fields.ts'

export const handTurnSum = defineSum({
  name: 'hand-turn',
  craft: 'proving',
  title: 'Hand turn',
  about: 'What the hand feels when it turns the shaft, with the place on the dial.',
  source: 'graded words of the trade',
  fields: {
    felt: choice('It is', HAND_TURN_WORDS),
    atDeg: optional(
      clocked(number('At, clockwise from top', '°', [0, 360], 'degrees, or a clock place: 4:30'), 'degrees'),
    ),
  },
  example: { felt: 'tight spot', atDeg: 135 },
  work: ({ felt, atDeg }) => {
    const { verdict, means } = HAND_TURNS[felt]
    return accept({
      figures: [
        {
          key: 'felt',
          what: 'It is',
          value: felt,
          held: {
            verdict,
            share: null,
            side: verdict === 'Out' ? 'high' : null,
            limits: { max: 0 },
            source: 'it should turn free',
            consequence: verdict === 'Holds' ? null : means,
          },
        },
        { key: 'atDeg', what: 'At', value: atDeg ?? null, unit: '°', decimals: 0 },
      ],
      working: [line('Felt', 'what it means', felt, means)],
    })
  },
})
