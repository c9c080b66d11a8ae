import { capPinch } from '../../sleeves/index.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { number, rows } from '../fields.ts'
import { hold, makerMax, makerMin, worseOf } from '../limits.ts'

const PINCH = {
  low: 'the shell can move in its cap and frets',
  high: 'the cap closes the bore: clearance is lost at the joint',
}

export const pinchSum = defineSum({
  name: 'pinch',
  craft: 'sleeves',
  title: 'Cap pinch',
  about: 'Lead wire on the bearing’s back, equal shims on the joint: does the cap grip the shell, and how much.',
  source: 'shim less flattened wire; workshop practice',
  fields: {
    ends: rows(
      'Ends',
      {
        wireMm: number('Wire, flattened', 'mm', [0.01, 10]),
        shimLeftMm: number('Shim, left', 'mm', [0.01, 10]),
        shimRightMm: number('Shim, right', 'mm', [0.01, 10]),
      },
      [1, 4],
    ),
    freshWireMm: number('Wire when fresh', 'mm', [0.01, 20]),
    minMm: makerMin('mm', [-2, 2]),
    maxMm: makerMax('mm', [-2, 2]),
  },
  example: {
    ends: [
      { wireMm: 0.38, shimLeftMm: 0.4, shimRightMm: 0.4 },
      { wireMm: 0.37, shimLeftMm: 0.4, shimRightMm: 0.4 },
    ],
    freshWireMm: 0.6,
    minMm: 0.01,
    maxMm: 0.05,
  },
  work: ({ ends, freshWireMm, minMm, maxMm }) =>
    answering(capPinch(ends, freshWireMm), ({ endsMm, meanMm, leastMm, greatestMm, says }) => ({
      figures: [
        {
          key: 'leastMm',
          what: 'Pinch, loosest end',
          value: leastMm,
          unit: 'mm',
          decimals: 3,
          held: hold(leastMm, { min: minMm, max: maxMm }, PINCH),
        },
        {
          key: 'greatestMm',
          what: 'Pinch, tightest end',
          value: greatestMm,
          unit: 'mm',
          decimals: 3,
          held: hold(greatestMm, { min: minMm, max: maxMm }, PINCH),
        },
        { key: 'meanMm', what: 'Pinch, mean', value: meanMm, unit: 'mm', decimals: 3 },
        {
          key: 'says',
          what: 'The cap',
          value:
            says === 'grips'
              ? 'grips the shell'
              : says === 'loose'
                ? 'leaves the shell loose'
                : 'has no gap and no grip',
        },
        ...endsMm.map((mm, i) => ({
          key: `end${i + 1}Mm`,
          what: `Pinch, end ${i + 1}`,
          value: mm,
          unit: 'mm',
          decimals: 3,
        })),
      ],
      working: ends.map((end, i) =>
        line(
          `End ${i + 1}`,
          'mean shim − wire',
          `(${say(end.shimLeftMm)} + ${say(end.shimRightMm)})/2 − ${say(end.wireMm)}`,
          `${say(endsMm[i]!)} mm`,
        ),
      ),
      schools: [
        {
          name: 'Slight grip',
          gives: 'a few hundredths',
          why: 'the shell cannot turn or fret; too much closes the bore',
        },
        {
          name: 'None',
          gives: 'metal to metal, zero',
          why: 'spherical-seated and floating shells must find their own line',
        },
      ],
      notes: ['Little pinch is corrected on the cap, not on the shell.'],
      more: { endsMm },
      reading: { row: 'figure', tries: [[worseOf(leastMm, greatestMm, { min: minMm, max: maxMm })]] },
    })),
})
