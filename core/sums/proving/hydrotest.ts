import { hydrotestPressure, TEST_CODES, TEST_FACTORS } from '../../proving/index.ts'
import { answering, defineSum, fig, line, say } from '../define.ts'
import { choice, fallback, limitOf, number, optional } from '../fields.ts'
import { hold } from '../limits.ts'

const PRESSURE = [0, 200] as const

export const hydrotestSum = defineSum({
  name: 'hydrotest',
  craft: 'proving',
  title: 'Pressure test with liquid',
  about: 'What a casing is tested at, how long it is held, and how the test that was run stands.',
  source: 'factors of ISO 13709, ASME VIII-1 and EN 13445; gauge from 1.5 to 4 times the test pressure',
  fields: {
    designMPa: number('Design pressure', 'MPa', [0.01, 100]),
    code: choice('Made to', TEST_CODES),
    stressRatio: fallback(number('Allowed stress, cold over hot', '1', [1, 5]), 1),
    heldMPa: optional(number('Minimum pressure while held', 'MPa', PRESSURE)),
    peakMPa: optional(number('Maximum pressure', 'MPa', PRESSURE)),
    maxMPa: limitOf(number('Never over', 'MPa', PRESSURE), 'peakMPa'),
    minutes: optional(number('Held for, minutes', '1', [0, 10000])),
    minMinutes: limitOf(number('Minimum hold, minutes', '1', [0, 10000]), 'minutes'),
    gaugeMPa: optional(number('Gauge reads up to', 'MPa', [0, 400])),
  },
  example: {
    designMPa: 1.6,
    code: 'pump casing, 1.5 (ISO 13709)',
    stressRatio: 1,
    heldMPa: 2.41,
    peakMPa: 2.46,
    maxMPa: 2.6,
    minutes: 35,
    minMinutes: 30,
    gaugeMPa: 6,
  },
  work: ({ designMPa, code, stressRatio, heldMPa, peakMPa, maxMPa, minutes, minMinutes, gaugeMPa }) =>
    answering(hydrotestPressure(designMPa, TEST_FACTORS[code], stressRatio), made => ({
      figures: [
        ...(heldMPa === undefined
          ? []
          : [
              fig(
                'heldMPa',
                'Minimum while held',
                heldMPa,
                'MPa',
                3,
                hold(
                  heldMPa,
                  {},
                  { low: 'it was not tested at its pressure: pump it up and hold it again' },
                  { limits: { min: made.testMPa }, source: code },
                ),
              ),
            ]),
        ...(peakMPa === undefined
          ? []
          : [
              fig(
                'peakMPa',
                'Maximum',
                peakMPa,
                'MPa',
                3,
                hold(peakMPa, { max: maxMPa }, { high: 'the casing may have stretched: measure it before it is used' }),
              ),
            ]),
        ...(minutes === undefined
          ? []
          : [
              fig(
                'minutes',
                'Held for, minutes',
                minutes,
                undefined,
                0,
                hold(minutes, { min: minMinutes }, { low: 'too short: a seep needs its time to show' }),
              ),
            ]),
        ...(gaugeMPa === undefined
          ? []
          : [
              fig(
                'gaugeMPa',
                'Gauge reads up to',
                gaugeMPa,
                'MPa',
                2,
                hold(
                  gaugeMPa,
                  {},
                  {
                    low: 'the gauge ends too near the test: it may be strained',
                    high: 'the gauge is too coarse for this pressure',
                  },
                  {
                    limits: { min: made.gaugeLeastMPa, max: made.gaugeMostMPa, warningShare: 0 },
                    source: '1.5 to 4 times the test pressure',
                  },
                ),
              ),
            ]),
        fig('testMPa', 'Test at', made.testMPa, 'MPa', 3),
      ],
      working: [
        line(
          'Test',
          'factor·design·cold/hot',
          `${say(TEST_FACTORS[code])}·${say(designMPa)}·${say(stressRatio)}`,
          `${say(made.testMPa)} MPa`,
        ),
      ],
      notes: [
        'Filled and bled of air: air under pressure is a bomb. Planned by a competent person, nobody in front of plugs and covers while the pressure rises.',
      ],
      reading: { row: 'figure', tries: [[heldMPa ?? made.testMPa]] },
    })),
})
