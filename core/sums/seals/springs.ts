import { compareSprings } from '../../seals/index.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { list, maker, number, optional } from '../fields.ts'
import { hold } from '../limits.ts'
import { MM } from './shared.ts'

export const springsSum = defineSum({
  name: 'springs',
  craft: 'seals',
  title: 'Springs of a set',
  about: 'Free length of each against a new one and against each other; the odd one is named by its place.',
  source: 'workshop practice',
  fields: {
    freeMm: list('Free lengths, by place', 'mm', MM, [2, 40]),
    newMm: number('A new one', 'mm', MM),
    maxLossMm: maker('max', number('Maximum loss', 'mm', [0, 50])),
    maxRangeMm: optional(number('Maximum difference', 'mm', [0, 50])),
  },
  example: { freeMm: [25.1, 25.0, 25.1, 24.2, 25.0, 25.1], newMm: 25.4, maxLossMm: 1.5, maxRangeMm: 0.5 },
  work: ({ freeMm, newMm, maxLossMm, maxRangeMm }) =>
    answering(compareSprings(freeMm, newMm), ({ meanMm, rangeMm, odd, lossMm }) => {
      const worst = Math.max(...lossMm)
      return {
        figures: [
          {
            key: 'rangeMm',
            what: 'Longest less shortest',
            value: rangeMm,
            unit: 'mm',
            decimals: 2,
            held: hold(rangeMm, { max: maxRangeMm }, { high: 'the face is pressed unevenly: renew the set' }),
          },
          {
            key: 'lossMm',
            what: 'Most set against new',
            value: worst,
            unit: 'mm',
            decimals: 2,
            held: hold(worst, { max: maxLossMm }, { high: 'it has lost its force: the faces open' }),
          },
          { key: 'odd', what: 'Odd one out, place', value: odd, decimals: 0 },
          { key: 'meanMm', what: 'Mean', value: meanMm, unit: 'mm', decimals: 2 },
        ],
        working: [
          line(
            'Difference',
            'longest − shortest',
            `${say(Math.max(...freeMm))} − ${say(Math.min(...freeMm))}`,
            `${say(rangeMm)} mm`,
          ),
          line('Set', 'new − shortest', `${say(newMm)} − ${say(Math.min(...freeMm))}`, `${say(worst)} mm`),
        ],
        more: { lossesMm: lossMm },
      }
    }),
})
