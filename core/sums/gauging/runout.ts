import { reduceRunout } from '../../gauging/index.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { list } from '../fields.ts'
import { hold, makerMax } from '../limits.ts'
import { DIAL_UM } from './shared.ts'

export const runoutSum = defineSum({
  name: 'runout',
  craft: 'gauging',
  title: 'Run-out sweep',
  about: 'A dial read round one turn: run-out, eccentricity, where the high spot is, and what is form.',
  source: 'first harmonic by discrete Fourier sum; ISO 1101 for total run-out',
  fields: {
    readingsUm: list(
      'Readings round one turn',
      'µm',
      DIAL_UM,
      [1, 72],
      'equally spaced, the dial still; eight or more',
    ),
    maxUm: makerMax('µm', [0, 10000]),
  },
  example: { readingsUm: [2, 21, 34, 30, 9, -12, -24, -19], maxUm: 60 },
  work: ({ readingsUm, maxUm }) =>
    answering(
      reduceRunout(readingsUm),
      ({ tirUm, eccentricityUm, cosineUm, sineUm, highSpotDeg, formErrorUm, coarse }) => ({
        figures: [
          {
            key: 'tirUm',
            what: 'Run-out, total',
            value: tirUm,
            unit: 'µm',
            decimals: 1,
            held: hold(
              tirUm,
              { max: maxUm },
              {
                high:
                  formErrorUm > tirUm / 2
                    ? 'the surface is worn or oval: read the journal again before calling it bent'
                    : 'the shaft is bent or its centres are off: seals leak and bearings run hot',
              },
            ),
          },
          { key: 'eccentricityUm', what: 'Eccentricity (bend)', value: eccentricityUm, unit: 'µm', decimals: 1 },
          {
            key: 'highSpotDeg',
            what: 'Turn on until the high spot is under the dial',
            value: highSpotDeg,
            unit: '°',
            decimals: 0,
          },
          { key: 'formErrorUm', what: 'Form, bend taken off', value: formErrorUm, unit: 'µm', decimals: 1 },
        ],
        working: [
          line(
            'Run-out',
            'maximum − minimum',
            `${say(Math.max(...readingsUm), 1)} − ${say(Math.min(...readingsUm), 1)}`,
            `${say(tirUm, 1)} µm`,
          ),
          line(
            'First harmonic',
            'e = √(a² + b²)',
            `√((${say(cosineUm, 1)})² + (${say(sineUm, 1)})²), n = ${readingsUm.length}`,
            `${say(eccentricityUm, 1)} µm`,
          ),
          line(
            'High spot, further on',
            'atan2(b, a)',
            `atan2(${say(sineUm, 1)}, ${say(cosineUm, 1)})`,
            `${say(highSpotDeg, 0)}°`,
          ),
          line(
            'Form',
            'what is left when mean and first harmonic are off',
            'maximum − minimum of the rest',
            `${say(formErrorUm, 1)} µm`,
          ),
        ],
        notes: [
          `On the shaft itself the high spot lies ${say(highSpotDeg, 0)}° from the first mark against the turning direction.`,
          ...(coarse ? ['Fewer than eight readings can miss 30 % and take three lobes for a bend.'] : []),
        ],
        reading: { row: 'sweep', tries: [readingsUm.map(um => um / 1000)] },
      }),
    ),
})
