import { steadiness } from '../../proving/index.ts'
import type { UnitName } from '../../quantity/index.ts'
import { type Held, holdAgainst, leftOpen } from '../../verdict.ts'
import { answering, defineSum, line, say, type Figure } from '../define.ts'
import { choice, fallback, limitOf, maker, number, only, optional, rows } from '../fields.ts'
import { hold } from '../limits.ts'

/** What is logged on a run, the unit it reads in, and the unit of its rate where there is one. */
const LOGGED = {
  'bearing temperature, °C': { unit: '°C', rise: 'K', rate: 'K/h' },
  'vibration, mm/s': { unit: 'mm/s' },
  'current, A': { unit: 'A' },
  'pressure, MPa': { unit: 'MPa' },
} as const satisfies Record<string, { unit: UnitName; rise?: UnitName; rate?: UnitName }>
type Logged = keyof typeof LOGGED
const LOGGED_NAMES = Object.keys(LOGGED) as [Logged, ...Logged[]]
const TEMPERATURE = LOGGED_NAMES[0]

export const runRecordSum = defineSum({
  name: 'run-record',
  craft: 'proving',
  title: 'Run record',
  about: 'Is a run steady: slope over the last window, and rise over the air around.',
  source: 'least squares over the last window; 1 K/h is the ordinary rate',
  fields: {
    reads: fallback(choice('It reads', LOGGED_NAMES), TEMPERATURE),
    turning: optional(choice('Turning', ['clockwise', 'anticlockwise'], 'as seen from the drive end')),
    samples: rows(
      'Readings',
      { minute: number('Minute', '1', [0, 100000]), value: number('Reads', '1', [-1000, 100000]) },
      [2, 500],
    ),
    windowMin: fallback(number('Window, minutes', '1', [1, 1440]), 30),
    maxSlopePerHour: fallback(number('Steady under, an hour', '1', [0.001, 1000]), 1),
    ambient: only(number('Air around', '°C', [-50, 80]), 'reads', TEMPERATURE),
    maxRise: limitOf(only(number('Maximum rise', 'K', [0, 500]), 'reads', TEMPERATURE), 'ambient'),
    max: maker('max', number('Maker’s maximum', '1', [-1000, 100000])),
  },
  example: {
    reads: TEMPERATURE,
    turning: 'clockwise',
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
  work: ({ reads, turning, samples, windowMin, maxSlopePerHour, ambient, maxRise, max }) =>
    answering(steadiness(samples, windowMin), ({ slopePerHour, last, greatest, count }) => {
      const logged: { unit: UnitName; rise?: UnitName; rate?: UnitName } = LOGGED[reads]
      const rateHeld = (rate: number) =>
        holdAgainst(Math.abs(rate), { max: maxSlopePerHour, warningShare: 0 }, 'rate typed here')
      const slope: Figure = {
        key: 'slopePerHour',
        what: logged.rate ? 'Slope' : `Slope, ${logged.unit} an hour`,
        value: slopePerHour,
        unit: logged.rate,
        decimals: 2,
        held:
          slopePerHour === null
            ? {
                ...holdAgainst(Number.NaN, {}, `the window of ${say(windowMin)} minutes is not full`),
                limits: { max: maxSlopePerHour },
              }
            : Math.abs(slopePerHour) > maxSlopePerHour + 1e-9
              ? leftOpen(rateHeld(slopePerHour), 'not steady yet: run on before it is judged')
              : rateHeld(slopePerHour),
      }
      const isSteady = slope.held!.verdict !== 'Open'
      /** What is past its limit already is Out; what is not may still come to it. */
      const onceSteady = (held: Held) => (isSteady || held.verdict === 'Out' ? held : leftOpen(held, 'not steady yet'))
      const rise: Figure[] =
        ambient === undefined || reads !== TEMPERATURE
          ? []
          : [
              {
                key: 'rise',
                what: 'Rise over the air around',
                value: last - ambient,
                unit: logged.rise,
                decimals: 1,
                held: onceSteady(
                  hold(
                    last - ambient,
                    { max: maxRise },
                    { high: 'the bearing runs hot: too much grease, too tight, or out of line' },
                  ),
                ),
              },
            ]
      return {
        figures: [
          slope,
          ...rise,
          {
            key: 'greatest',
            what: 'Maximum',
            value: greatest,
            unit: logged.unit,
            decimals: 1,
            ...(max === undefined
              ? {}
              : { held: onceSteady(hold(greatest, { max }, { high: 'stop the run and find the cause' })) }),
          },
          { key: 'last', what: 'Last', value: last, unit: logged.unit, decimals: 1 },
          { key: 'steady', what: 'Steady', value: isSteady },
        ],
        working: [
          line(
            'Slope',
            'Σ(t − t̄)(y − ȳ)/Σ(t − t̄)²',
            `${count} readings of the last ${say(windowMin)} min`,
            slopePerHour === null
              ? 'window not full'
              : `${say(slopePerHour, 2)} ${logged.rate ?? `${logged.unit} an hour`}`,
          ),
        ],
        notes: turning ? [`Run ${turning}, as seen from the drive end.`] : [],
      }
    }),
})
