import { brushPressures } from '../../drives/index.ts'
import { answering, defineSum, fig, line, say } from '../define.ts'
import { fallback, list, number } from '../fields.ts'
import { hold, makerMax, makerMin, RULE_OF_THUMB } from '../limits.ts'
import { holdAgainst } from '../../verdict.ts'

const KPA = [0.1, 500] as const
const SIZE = [1, 200] as const
const SAYS = {
  low: 'the brush floats: it sparks and burns the bars',
  high: 'brush and bars wear fast and run hot',
}

/** Pressure of the brushes of one arm or ring, brush by brush. */
export const brushPressureSum = defineSum({
  name: 'brush-pressure',
  craft: 'drives',
  title: 'Brush pressure',
  about:
    'Pressure of carbon brushes from the force of each spring, and how alike they are: one that presses less carries less.',
  source: 'force over the face of the brush: p = F/(t·a)',
  fields: {
    forcesN: list('Force of each spring', 'N', [0.01, 500], [1, 60]),
    acrossMm: number('Brush, in the way of turning', 'mm', SIZE),
    alongMm: number('Brush, along the shaft', 'mm', SIZE),
    minKPa: makerMin('kPa', KPA),
    maxKPa: makerMax('kPa', KPA),
    maxSpreadPercent: fallback(number('Most apart, of the mean', '%', [0.1, 100]), 10),
  },
  example: { forcesN: [12.4, 12.9, 12.1], acrossMm: 20, alongMm: 32, minKPa: 17, maxKPa: 22, maxSpreadPercent: 10 },
  work: ({ forcesN, acrossMm, alongMm, minKPa, maxKPa, maxSpreadPercent }) =>
    answering(brushPressures(forcesN, acrossMm, alongMm), found => ({
      figures: [
        fig(
          'leastKPa',
          'Least pressure',
          found.leastKPa,
          'kPa',
          1,
          hold(found.leastKPa, { min: minKPa, max: maxKPa }, SAYS),
        ),
        fig(
          'greatestKPa',
          'Greatest pressure',
          found.greatestKPa,
          'kPa',
          1,
          hold(found.greatestKPa, { min: minKPa, max: maxKPa }, SAYS),
        ),
        fig('meanKPa', 'Mean', found.meanKPa, 'kPa', 1),
        ...(forcesN.length > 1
          ? [
              fig(
                'spreadPercent',
                'Apart, of the mean',
                found.spreadPercent,
                '%',
                1,
                holdAgainst(found.spreadPercent, { max: maxSpreadPercent }, RULE_OF_THUMB, {
                  high: 'the brushes do not share the current: one that presses more carries all of it and burns',
                }),
              ),
              fig('oddBrush', 'Farthest from the others, brush', found.odd, undefined, 0),
            ]
          : []),
      ],
      working: [
        line(
          'Pressure',
          'F/(t·a)',
          `${forcesN.map(one => say(one)).join(', ')} N / (${say(acrossMm)} · ${say(alongMm)}) mm²`,
          `${found.eachKPa.map(one => say(one, 1)).join(', ')} kPa`,
        ),
      ],
      notes: [
        'Each spring is read where its brush stands new and where it is worn down: a tired one gives way at the end.',
      ],
    })),
})
