import { marksMeet } from '../../marks/index.ts'
import { accept } from '../../result.ts'
import { holdAgainst } from '../../verdict.ts'
import { defineSum, line, say } from '../define.ts'
import { clocked, fallback, number, whole } from '../fields.ts'
import { ANGLE } from './shared.ts'

export const markMeetsSum = defineSum({
  name: 'mark-meets',
  craft: 'marks',
  title: 'Do the marks meet',
  about: 'Where a mark stands now against where its rule wants it.',
  source: 'a part of symmetry n may stand in steps of 360/n',
  fields: {
    standsDeg: clocked(number('Stands at', '°', ANGLE, 'degrees, or a clock place: 2:30'), 'degrees'),
    deg: clocked(number('Wanted at', '°', ANGLE), 'degrees'),
    toleranceDeg: fallback(number('±', '°', [0, 90]), 2),
    symmetry: fallback(whole('Symmetry', [1, 360]), 1),
  },
  example: { standsDeg: 182, deg: 0, toleranceDeg: 3, symmetry: 2 },
  work: ({ standsDeg, ...rule }) => {
    const { missDeg } = marksMeet(standsDeg, rule)
    return accept({
      figures: [
        {
          key: 'missDeg',
          what: 'Misses by',
          value: missDeg,
          unit: '°',
          decimals: 1,
          held: holdAgainst(missDeg, { max: rule.toleranceDeg, warningShare: 0 }, 'tolerance typed here', {
            high: 'the parts do not stand as they did: holes, keys or balance no longer meet',
          }),
        },
      ],
      working: [
        line(
          'Miss',
          '|stands − wanted| in steps of 360/n',
          `|${say(standsDeg, 1)} − ${say(rule.deg, 1)}| in steps of ${say(360 / rule.symmetry, 1)}°`,
          `${say(missDeg, 1)}°`,
        ),
      ],
    })
  },
})
