import { commutator } from '../../proving/index.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { limitOf, list, number, optional } from '../fields.ts'
import { hold } from '../limits.ts'
import { AUTHORISED } from './shared.ts'

export const commutatorSum = defineSum({
  name: 'commutator',
  craft: 'proving',
  title: 'Commutator',
  about: 'Profile, bar-to-bar step, undercut, brush pressure and resistance spread.',
  source: 'the sheet’s limits; pressure = force over area',
  fields: {
    barsUm: list('Bars round the turn', 'µm', [-5000, 5000], [4, 400]),
    undercutsMm: optional(list('Undercut of the mica', 'mm', [0, 10], [1, 400])),
    springN: limitOf(number('Brush spring', 'N', [0.1, 200]), 'brushAreaMm2'),
    brushAreaMm2: limitOf(number('Brush area, mm²', '1', [1, 10000]), 'springN'),
    resistancesMOhm: optional(list('Bar to bar, mΩ', '1', [0.0001, 100000], [2, 400])),
    maxProfileUm: optional(number('Maximum profile', 'µm', [0, 5000])),
    maxStepUm: optional(number('Maximum step', 'µm', [0, 1000])),
    minUndercutMm: limitOf(number('Minimum undercut', 'mm', [0, 10]), 'undercutsMm'),
    minKPa: limitOf(number('Brush, minimum kPa', '1', [0, 200]), 'springN', 'brushAreaMm2'),
    maxKPa: limitOf(number('Brush, maximum kPa', '1', [0, 200]), 'springN', 'brushAreaMm2'),
    maxSpreadPercent: limitOf(number('Maximum spread', '%', [0, 100]), 'resistancesMOhm'),
  },
  example: {
    barsUm: [0, 3, 6, 8, 7, 4, 1, -2, -4, -5, -4, -2],
    undercutsMm: [1.1, 1, 0.9, 1.1],
    springN: 12,
    brushAreaMm2: 640,
    resistancesMOhm: [8.1, 8.2, 8, 8.1, 8.3],
    maxProfileUm: 25,
    maxStepUm: 5,
    minUndercutMm: 0.8,
    minKPa: 15,
    maxKPa: 22,
    maxSpreadPercent: 5,
  },
  work: given =>
    answering(commutator(given.barsUm, given), read => {
      const kPa = read.brushMPa === null ? null : read.brushMPa * 1000
      return {
        figures: [
          {
            key: 'profileUm',
            what: 'Profile',
            value: read.profileUm,
            unit: 'µm',
            decimals: 0,
            held: hold(read.profileUm, { max: given.maxProfileUm }, { high: 'brushes bounce and spark: skim it' }),
          },
          {
            key: 'stepUm',
            what: `Maximum step, after bar ${read.stepAt}`,
            value: read.stepUm,
            unit: 'µm',
            decimals: 0,
            held: hold(read.stepUm, { max: given.maxStepUm }, { high: 'a bar stands up: brushes chip' }),
          },
          ...(read.undercutLeastMm === null
            ? []
            : [
                {
                  key: 'undercutLeastMm',
                  what: 'Minimum undercut',
                  value: read.undercutLeastMm,
                  unit: 'mm',
                  decimals: 2,
                  held: hold(
                    read.undercutLeastMm,
                    { min: given.minUndercutMm },
                    { low: 'mica reaches the brush: undercut again' },
                  ),
                },
              ]),
          ...(kPa === null
            ? []
            : [
                {
                  key: 'brushKPa',
                  what: 'Brush pressure, kPa',
                  value: kPa,
                  decimals: 1,
                  held: hold(
                    kPa,
                    { min: given.minKPa, max: given.maxKPa },
                    { low: 'the brush floats and burns', high: 'brush and copper wear fast' },
                  ),
                },
              ]),
          ...(read.resistanceSpreadShare === null
            ? []
            : [
                {
                  key: 'resistanceSpreadPercent',
                  what: 'Bar-to-bar spread',
                  value: read.resistanceSpreadShare * 100,
                  unit: '%',
                  decimals: 1,
                  held: hold(
                    read.resistanceSpreadShare * 100,
                    { max: given.maxSpreadPercent },
                    { high: 'a riser or coil is open or shorted' },
                  ),
                },
              ]),
        ],
        working: [
          line(
            'Profile',
            'maximum − minimum',
            `${say(Math.max(...given.barsUm))} − ${say(Math.min(...given.barsUm))}`,
            `${say(read.profileUm)} µm`,
          ),
          ...(kPa === null
            ? []
            : [line('Brush', 'F/A', `${say(given.springN!)}/${say(given.brushAreaMm2!)}·1000`, `${say(kPa, 1)} kPa`)]),
        ],
        notes: [AUTHORISED],
      }
    }),
})
