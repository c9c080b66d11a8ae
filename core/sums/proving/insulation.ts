import { insulation } from '../../proving/index.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { fallback, limitOf, maker, number, optional } from '../fields.ts'
import { hold } from '../limits.ts'
import { AUTHORISED } from './shared.ts'

const OHM = [0.000001, 10000000] as const

export const insulationSum = defineSum({
  name: 'insulation',
  craft: 'proving',
  title: 'Insulation resistance',
  about: 'Resistance brought to 40 °C, and the polarisation index.',
  source: 'IEEE 43; halving every 10 K for old thermoplastic insulation',
  fields: {
    oneMinuteMOhm: number('After one minute', 'MΩ', OHM),
    tenMinutesMOhm: optional(number('After ten minutes', 'MΩ', OHM)),
    windingC: number('Winding at', '°C', [-10, 150]),
    halvingK: fallback(number('Halves every', 'K', [5, 60]), 10),
    minMOhm: maker('min', number('Minimum at 40 °C', 'MΩ', OHM)),
    minIndex: limitOf(number('Minimum index', '1', [1, 10]), 'tenMinutesMOhm'),
  },
  example: { oneMinuteMOhm: 420, tenMinutesMOhm: 1150, windingC: 24, halvingK: 10, minMOhm: 100, minIndex: 2 },
  work: ({ oneMinuteMOhm, tenMinutesMOhm, windingC, halvingK, minMOhm, minIndex }) =>
    answering(
      insulation(oneMinuteMOhm, windingC, tenMinutesMOhm, halvingK),
      ({ at40MOhm, polarisationIndex, indexMeans }) => ({
        figures: [
          {
            key: 'at40MOhm',
            what: 'At 40 °C',
            value: at40MOhm,
            unit: 'MΩ',
            decimals: 1,
            held: hold(at40MOhm, { min: minMOhm }, { low: 'damp or dirty: dry and clean it before any voltage' }),
          },
          {
            key: 'polarisationIndex',
            what: 'Polarisation index',
            value: polarisationIndex,
            decimals: 2,
            ...(polarisationIndex !== null && minIndex !== undefined && indexMeans
              ? {
                  held: hold(polarisationIndex, { min: minIndex }, { low: 'it does not take a charge: damp or aged' }),
                }
              : {}),
          },
        ],
        working: [
          line(
            'At 40 °C',
            `R·0.5^((40 − T)/${say(halvingK)})`,
            `${say(oneMinuteMOhm, 1)}·0.5^((40 − ${say(windingC, 1)})/${say(halvingK)})`,
            `${say(at40MOhm, 1)} MΩ`,
          ),
          ...(tenMinutesMOhm === undefined
            ? []
            : [
                line(
                  'Index',
                  'R₁₀/R₁',
                  `${say(tenMinutesMOhm, 1)}/${say(oneMinuteMOhm, 1)}`,
                  say(polarisationIndex!, 2),
                ),
              ]),
        ],
        notes: [...(indexMeans ? [] : ['Above 5 GΩ at one minute the index means nothing.']), AUTHORISED],
      }),
    ),
})
