import { accept } from '../../result.ts'
import { holdAgainst } from '../../verdict.ts'
import { defineSum, line, say } from '../define.ts'
import { number } from '../fields.ts'

export const drivePinSum = defineSum({
  name: 'drive-pin',
  craft: 'seals',
  title: 'Drive pin or key',
  about: 'Height above the surface: too high jams the ring, too low lets it spin.',
  source: 'the sheet’s limits',
  fields: {
    heightMm: number('Stands up by', 'mm', [-20, 50]),
    minMm: number('Minimum', 'mm', [-20, 50]),
    maxMm: number('Maximum', 'mm', [-20, 50]),
  },
  example: { heightMm: 2.6, minMm: 2.2, maxMm: 2.7 },
  work: ({ heightMm, minMm, maxMm }) =>
    accept({
      figures: [
        {
          key: 'heightMm',
          what: 'Height',
          value: heightMm,
          unit: 'mm',
          decimals: 2,
          held: holdAgainst(
            heightMm,
            { min: Math.min(minMm, maxMm), max: Math.max(minMm, maxMm) },
            'limits typed here',
            {
              low: 'too low: the ring can slip over it and spin',
              high: 'too high: it jams the ring, which then cannot follow its mate',
            },
          ),
        },
      ],
      working: [
        line(
          'Room',
          'maximum − height; height − minimum',
          `${say(maxMm)} − ${say(heightMm)}; ${say(heightMm)} − ${say(minMm)}`,
          `${say(maxMm - heightMm)} and ${say(heightMm - minMm)} mm`,
        ),
      ],
      reading: { row: 'figure', tries: [[heightMm]] },
    }),
})
