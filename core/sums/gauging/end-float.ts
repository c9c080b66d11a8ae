import { leftOpen } from '../../verdict.ts'
import { endFloat, reduceTries } from '../../gauging/index.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { number, rows } from '../fields.ts'
import { hold, makerMax, makerMin } from '../limits.ts'
import { DISAGREE } from './shared.ts'

export const endFloatSum = defineSum({
  name: 'end-float',
  craft: 'gauging',
  title: 'End float',
  about: 'Pushed fully one way, then the other; the difference of the two dial readings.',
  source: 'workshop practice',
  fields: {
    pairs: rows(
      'Pushes',
      { oneWayMm: number('One way', 'mm', [-100, 100]), otherWayMm: number('Other way', 'mm', [-100, 100]) },
      [1, 5],
    ),
    minMm: makerMin('mm', [0, 100]),
    maxMm: makerMax('mm', [0, 100]),
  },
  example: {
    pairs: [
      { oneWayMm: 0, otherWayMm: 0.21 },
      { oneWayMm: 0, otherWayMm: 0.22 },
      { oneWayMm: 0.01, otherWayMm: 0.22 },
    ],
    minMm: 0.1,
    maxMm: 0.25,
  },
  work: ({ pairs, minMm, maxMm }) => {
    const floats = pairs.map(one => endFloat(one.oneWayMm, one.otherWayMm))
    const limits = { min: minMm, max: maxMm }
    const tolerance = minMm !== undefined && maxMm !== undefined ? maxMm - minMm : undefined
    return answering(reduceTries(floats, { tolerance }), ({ mean, range, measureAgain }) => {
      const held = hold(mean, limits, {
        low: 'the thrust bearing runs hot: no room for oil and growth',
        high: 'the rotor wanders; its rings and faces may touch',
      })
      return {
        figures: [
          {
            key: 'floatMm',
            what: 'End float',
            value: mean,
            unit: 'mm',
            decimals: 3,
            held: measureAgain ? leftOpen(held, DISAGREE) : held,
          },
          { key: 'rangeMm', what: 'Range of the pushes', value: range, unit: 'mm', decimals: 3 },
        ],
        working: pairs.map((one, i) =>
          line(`Push ${i + 1}`, '|a − b|', `|${say(one.oneWayMm)} − ${say(one.otherWayMm)}|`, `${say(floats[i]!)} mm`),
        ),
        reading: { row: 'pair', tries: pairs.map(one => [one.oneWayMm, one.otherWayMm]) },
      }
    })
  },
})
