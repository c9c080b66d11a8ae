import { tensionerPullN } from '../../joints/index.ts'
import { answering, defineSum, fig, line, say } from '../define.ts'
import { number, optional } from '../fields.ts'
import { hold } from '../limits.ts'
import { LOAD } from './shared.ts'

export const tensionerSum = defineSum({
  name: 'tensioner',
  craft: 'joints',
  title: 'Tensioner',
  about: 'What a hydraulic tensioner must pull, and at which pressure, so that the load is left when it lets go.',
  source: 'load loss 1.01 + d/L, a general rule; the tool maker’s figure goes before it',
  fields: {
    loadN: number('Load to be left', 'N', LOAD),
    diameterMm: number('Thread', 'mm', [5, 200]),
    gripMm: number('Grip of the stud', 'mm', [5, 5000], 'from nut face to nut face'),
    areaMm2: number('Tool’s area, mm²', '1', [10, 1000000]),
    maxMPa: optional(number('Tool’s maximum pressure', 'MPa', [1, 400])),
  },
  example: { loadN: 260000, diameterMm: 36, gripMm: 180, areaMm2: 3250, maxMPa: 150 },
  work: ({ loadN, diameterMm, gripMm, areaMm2, maxMPa }) =>
    answering(tensionerPullN(loadN, diameterMm, gripMm), ({ pullN, factor }) => ({
      figures: [
        fig(
          'pressureMPa',
          'Pump to',
          pullN / areaMm2,
          'MPa',
          1,
          hold(pullN / areaMm2, { max: maxMPa }, { high: 'over the tool: take a larger one' }),
        ),
        fig('pullN', 'It pulls', pullN, 'N', 0),
        fig('factor', 'Times the load', factor, undefined, 3),
      ],
      working: [
        line('Times', '1.01 + d/L', `1.01 + ${say(diameterMm)}/${say(gripMm)}`, say(factor)),
        line(
          'Pressure',
          'load·times/area',
          `${say(loadN, 0)}·${say(factor)}/${say(areaMm2, 0)}`,
          `${say(pullN / areaMm2, 1)} MPa`,
        ),
      ],
      notes: [
        'Never in line with the stud under pressure. A second pull at the same pressure evens what the first lost.',
      ],
      reading: { row: 'figure', tries: [[pullN / areaMm2]] },
    })),
})
