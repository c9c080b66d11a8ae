import { gasketFeelerMm, SEAL_SIDES, sealSetting } from '../../seals/index.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { choice, fallback, limitOf, number, whole } from '../fields.ts'
import { hold, makerMax, makerMin } from '../limits.ts'
import { MM } from './shared.ts'

const SMALL = [-50, 200] as const

export const sealSettingSum = defineSum({
  name: 'seal-setting',
  craft: 'seals',
  title: 'Setting a rotary face',
  about: 'Where the mark goes on a shaft without a shoulder, and what compression it makes.',
  source: 'one-dimensional stack from the chamber face',
  fields: {
    sits: choice('The rotary face sits', SEAL_SIDES),
    makerMm: number('Maker’s distance', 'mm', SMALL, 'from the seal-chamber face'),
    gasketMm: fallback(number('Gasket, pressed', 'mm', [0, 20]), 0),
    glandMm: fallback(number('Gland stands in by', 'mm', [-50, 50]), 0),
    freeLengthMm: number('Free length', 'mm', MM),
    workingLengthMm: number('Working length', 'mm', MM),
    minMm: makerMin('mm', [0, 100]),
    maxMm: makerMax('mm', [0, 100]),
    gaskets: limitOf(whole('Gaskets as a feeler', [1, 20]), 'gasketEachMm'),
    gasketEachMm: limitOf(number('Each gasket', 'mm', [0.01, 10]), 'gaskets'),
  },
  example: {
    sits: 'outside the gland plate',
    makerMm: 42,
    gasketMm: 0.8,
    glandMm: 0.3,
    freeLengthMm: 31.5,
    workingLengthMm: 28.1,
    minMm: 3,
    maxMm: 4,
    gaskets: 4,
    gasketEachMm: 0.8,
  },
  work: ({ minMm, maxMm, gaskets, gasketEachMm, ...given }) => {
    const feeler = gaskets !== undefined && gasketEachMm !== undefined ? gasketFeelerMm(gaskets, gasketEachMm) : null
    const isOutside = given.sits === 'outside the gland plate'
    return answering(sealSetting(given), ({ markMm, compressionMm }) => ({
      figures: [
        { key: 'markMm', what: 'Scribe the mark at', value: markMm, unit: 'mm', decimals: 2 },
        {
          key: 'compressionMm',
          what: 'Compression',
          value: compressionMm,
          unit: 'mm',
          decimals: 2,
          held: hold(
            compressionMm,
            { min: minMm, max: maxMm },
            { low: 'the faces part when the shaft moves: it leaks', high: 'the faces run hot and wear' },
          ),
        },
        ...(feeler?.ok
          ? [
              {
                key: 'feelerMm',
                what: `${gaskets} gaskets as a feeler`,
                value: feeler.value,
                unit: 'mm',
                decimals: 2,
                held: hold(feeler.value, { min: minMm, max: maxMm }),
              },
            ]
          : []),
      ],
      working: [
        line(
          'Mark',
          isOutside ? 'maker’s distance + gasket − gland' : 'maker’s distance − gasket + gland',
          isOutside
            ? `${say(given.makerMm)} + ${say(given.gasketMm)} − ${say(given.glandMm)}`
            : `${say(given.makerMm)} − ${say(given.gasketMm)} + ${say(given.glandMm)}`,
          `${say(markMm)} mm`,
        ),
        line(
          'Compression',
          'free − working',
          `${say(given.freeLengthMm)} − ${say(given.workingLengthMm)}`,
          `${say(compressionMm)} mm`,
        ),
        ...(feeler?.ok ? [line('Feeler', 'n·t', `${gaskets}·${say(gasketEachMm!)}`, `${say(feeler.value)} mm`)] : []),
      ],
      reading: { row: 'figure', tries: [[markMm]] },
    }))
  },
})
