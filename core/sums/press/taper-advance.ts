import { taperAdvanceMm } from '../../fits/index.ts'
import { holdAgainst } from '../../verdict.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { limitOf, number, optional } from '../fields.ts'
import { hold } from '../limits.ts'

export const taperAdvanceSum = defineSum({
  name: 'taper-advance',
  craft: 'press',
  title: 'Hub on a taper',
  about: 'How far a tapered hub advances for the interference wanted.',
  source: 'advance = δ·x on a taper of 1 in x',
  fields: {
    interferenceMm: number('Interference wanted', 'mm', [0.0001, 1]),
    oneIn: number('Taper 1 in', '1', [4, 100]),
    advancedMm: optional(number('Advanced so far', 'mm', [0, 100])),
    contactPercent: optional(number('Contact by blue', '%', [0, 100])),
    minContactPercent: limitOf(number('Minimum contact', '%', [0, 100]), 'contactPercent'),
  },
  example: { interferenceMm: 0.06, oneIn: 16, advancedMm: 0.9, contactPercent: 80, minContactPercent: 70 },
  work: ({ interferenceMm, oneIn, advancedMm, contactPercent, minContactPercent }) =>
    answering(taperAdvanceMm(interferenceMm, oneIn), advance => ({
      figures: [
        ...(advancedMm === undefined
          ? []
          : [
              {
                key: 'advancedMm',
                what: 'Advanced',
                value: advancedMm,
                unit: 'mm',
                decimals: 2,
                held: holdAgainst(
                  advancedMm,
                  { min: 0.9 * advance, max: 1.1 * advance },
                  'a tenth either side of the advance wanted',
                  { low: 'too little grip: it may turn on the key', high: 'the hub may split' },
                ),
              },
            ]),
        ...(contactPercent === undefined
          ? []
          : [
              {
                key: 'contactPercent',
                what: 'Contact',
                value: contactPercent,
                unit: '%',
                decimals: 0,
                held: hold(
                  contactPercent,
                  { min: minContactPercent, best: minContactPercent === undefined ? undefined : 100 },
                  { low: 'it grips at one end only: lap it before it is fitted' },
                ),
              },
            ]),
        { key: 'advanceMm', what: 'Advance from firm contact', value: advance, unit: 'mm', decimals: 2 },
      ],
      working: [line('Advance', 'δ·x', `${say(interferenceMm, 4)}·${say(oneIn)}`, `${say(advance, 3)} mm`)],
      notes: [
        'Blue it before fitting. No lubricant on a taper unless the maker says so. For removal keep the nut on a few threads: a taper lets go at once.',
      ],
    })),
})
