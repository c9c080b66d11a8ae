import { classOfMeasured, limitsOfClass, LETTERS } from '../../fits/index.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { choice, number } from '../fields.ts'
import { NOMINAL, SIZE } from './shared.ts'

export const classOfMeasuredSum = defineSum({
  name: 'class-of-measured',
  craft: 'fits',
  title: 'Which class is it',
  about: 'The finest grade of a letter that a measured part really lies in.',
  source: 'ISO 286-1:2010',
  fields: {
    nominalMm: NOMINAL,
    side: choice('It is a', ['hole', 'shaft']),
    letter: choice('Letter', LETTERS),
    leastMm: number('Minimum reading', 'mm', SIZE),
    greatestMm: number('Maximum reading', 'mm', SIZE),
  },
  example: { nominalMm: 60, side: 'shaft', letter: 'k', leastMm: 60.004, greatestMm: 60.019 },
  work: ({ nominalMm, side, letter, leastMm, greatestMm }) =>
    answering(classOfMeasured(nominalMm, side, letter, { leastMm, greatestMm }), found => {
      const limits = limitsOfClass(nominalMm, found)
      const { lowerUm, upperUm } = limits.ok ? limits.value : { lowerUm: 0, upperUm: 0 }
      return {
        figures: [
          { key: 'class', what: 'It is in', value: found },
          { key: 'upperUm', what: 'Upper limit', value: upperUm, unit: 'µm', decimals: 1 },
          { key: 'lowerUm', what: 'Lower limit', value: lowerUm, unit: 'µm', decimals: 1 },
        ],
        working: [
          line(
            'From nominal',
            'reading − nominal',
            `${say(leastMm)} and ${say(greatestMm)} − ${say(nominalMm)}`,
            `${say((leastMm - nominalMm) * 1000, 1)} to ${say((greatestMm - nominalMm) * 1000, 1)} µm`,
          ),
        ],
      }
    }),
})
