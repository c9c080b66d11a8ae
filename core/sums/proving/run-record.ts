import { steadiness } from '../../proving/index.ts'
import { holdAgainst } from '../../verdict.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { fallback, number, optional, rows } from '../fields.ts'
import { hold } from '../limits.ts'

export const runRecordSum = defineSum({
  name: 'run-record',
  craft: 'proving',
  title: 'Run record',
  about: 'Is a run steady: slope over the last window, and rise over the air around.',
  source: 'least squares over the last window; 1 K/h is the ordinary rate',
  fields: {
    samples: rows(
      'Readings',
      { minute: number('Minute', '1', [0, 100000]), value: number('Reads', '1', [-1000, 100000]) },
      [2, 500],
    ),
    windowMin: fallback(number('Window, minutes', '1', [1, 1440]), 30),
    maxSlopePerHour: fallback(number('Steady under, an hour', '1', [0.001, 1000]), 1),
    ambient: optional(number('Air around', '1', [-50, 80])),
    maxRise: optional(number('Greatest rise', '1', [0, 500])),
  },
  example: {
    samples: [
      [0, 22],
      [10, 34],
      [20, 41.5],
      [30, 46],
      [40, 48.8],
      [50, 50.4],
      [60, 51.2],
      [70, 51.6],
      [80, 51.8],
      [90, 51.9],
      [100, 52],
    ].map(([minute, value]) => ({ minute: minute!, value: value! })),
    windowMin: 30,
    maxSlopePerHour: 1,
    ambient: 21,
    maxRise: 40,
  },
  work: ({ samples, windowMin, maxSlopePerHour, ambient, maxRise }) =>
    answering(steadiness(samples, windowMin), ({ slopePerHour, last, greatest, count }) => ({
      figures: [
        {
          key: 'slopePerHour',
          what: 'Slope, an hour',
          value: slopePerHour,
          decimals: 2,
          held:
            slopePerHour === null
              ? {
                  ...holdAgainst(Number.NaN, {}, `the window of ${say(windowMin)} minutes is not full`),
                  limits: { max: maxSlopePerHour },
                }
              : holdAgainst(Math.abs(slopePerHour), { max: maxSlopePerHour }, 'rate typed here', {
                  high: 'not steady yet: run on before it is judged',
                }),
        },
        ...(ambient === undefined
          ? []
          : [
              {
                key: 'rise',
                what: 'Rise over the air around',
                value: last - ambient,
                decimals: 1,
                held: hold(
                  last - ambient,
                  { max: maxRise },
                  { high: 'the bearing runs hot: too much grease, too tight, or out of line' },
                ),
              },
            ]),
        { key: 'last', what: 'Last', value: last, decimals: 1 },
        { key: 'greatest', what: 'Greatest', value: greatest, decimals: 1 },
        { key: 'steady', what: 'Steady', value: slopePerHour !== null && Math.abs(slopePerHour) <= maxSlopePerHour },
      ],
      working: [
        line(
          'Slope',
          'Σ(t − t̄)(y − ȳ)/Σ(t − t̄)²',
          `${count} readings of the last ${say(windowMin)} min`,
          slopePerHour === null ? 'window not full' : `${say(slopePerHour, 2)} an hour`,
        ),
      ],
    })),
})
