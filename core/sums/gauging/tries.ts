import { leftOpen } from '../../verdict.ts'
import { reduceTries } from '../../gauging/index.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { list } from '../fields.ts'
import { hold, makerMax, makerMin } from '../limits.ts'
import { DISAGREE, MM } from './shared.ts'

export const triesSum = defineSum({
  name: 'tries',
  craft: 'gauging',
  title: 'Tries of one reading',
  about: 'Mean and range of several tries; says when to measure again and which stands furthest off.',
  source: 'workshop practice: range over a quarter of the tolerance',
  fields: { triesMm: list('Tries', 'mm', MM, [1, 20]), minMm: makerMin('mm', MM), maxMm: makerMax('mm', MM) },
  example: { triesMm: [59.984, 59.983, 59.983], minMm: 59.98, maxMm: 60 },
  work: ({ triesMm, minMm, maxMm }) => {
    const tolerance = minMm !== undefined && maxMm !== undefined ? maxMm - minMm : undefined
    return answering(reduceTries(triesMm, { tolerance }), ({ mean, range, count, measureAgain, furthest }) => ({
      figures: [
        {
          key: 'meanMm',
          what: 'Mean',
          value: mean,
          unit: 'mm',
          decimals: 4,
          held: measureAgain
            ? leftOpen(hold(mean, { min: minMm, max: maxMm }), DISAGREE)
            : hold(mean, { min: minMm, max: maxMm }),
        },
        { key: 'rangeMm', what: 'Range', value: range, unit: 'mm', decimals: 4 },
        { key: 'measureAgain', what: 'Measure again', value: measureAgain },
        { key: 'furthest', what: 'Furthest off is try', value: furthest === null ? null : furthest + 1 },
      ],
      working: [
        line(
          'Mean',
          '(x₁ + … + xₙ)/n',
          `(${triesMm.map(one => say(one, 4)).join(' + ')})/${count}`,
          `${say(mean, 4)} mm`,
        ),
        line(
          'Range',
          'maximum − minimum',
          `${say(Math.max(...triesMm), 4)} − ${say(Math.min(...triesMm), 4)}`,
          `${say(range, 4)} mm`,
        ),
      ],
      notes: measureAgain
        ? [
            `The tries spread over more than a quarter of the tolerance${furthest === null ? '' : `; try ${furthest + 1} stands furthest off`}. Measure again; none is dropped.`,
          ]
        : [],
      reading: { row: 'figure', tries: triesMm.map(one => [one]) },
    }))
  },
})
