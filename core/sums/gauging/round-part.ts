import { reduceRoundPart } from '../../gauging/index.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { number, rows, text } from '../fields.ts'
import { hold, makerMax, makerMin } from '../limits.ts'
import { SIZE } from './shared.ts'

export const roundPartSum = defineSum({
  name: 'round-part',
  craft: 'gauging',
  title: 'Journal or bore',
  about: 'Stations along, planes round: mean, out of round, taper, barrel; the worst single reading is judged.',
  source: 'workshop practice; two-point readings miss odd lobes (ISO 4291)',
  fields: {
    readings: rows(
      'Readings',
      { station: text('Station', 20), plane: text('Plane', 10), mm: number('Reads', 'mm', SIZE) },
      [1, 20],
    ),
    minMm: makerMin('mm', SIZE),
    maxMm: makerMax('mm', SIZE),
  },
  example: {
    readings: [
      ['drive end', 'A', 59.985],
      ['drive end', 'B', 59.989],
      ['middle', 'A', 59.983],
      ['middle', 'B', 59.986],
      ['outer end', 'A', 59.991],
      ['outer end', 'B', 59.993],
    ].map(([station, plane, mm]) => ({ station: station as string, plane: plane as string, mm: mm as number })),
    minMm: 59.98,
    maxMm: 60,
  },
  work: ({ readings, minMm, maxMm }) =>
    answering(reduceRoundPart(readings), part => {
      const limits = { min: minMm, max: maxMm }
      const [least, greatest] = [
        hold(part.leastMm, limits, { low: 'the journal is worn under' }),
        hold(part.greatestMm, limits, { high: 'the size is over' }),
      ]
      const um = (key: string, what: string, value: number | null) => ({ key, what, value, unit: 'µm', decimals: 1 })
      return {
        figures: [
          { key: 'leastMm', what: 'Least reading', value: part.leastMm, unit: 'mm', decimals: 3, held: least },
          {
            key: 'greatestMm',
            what: 'Greatest reading',
            value: part.greatestMm,
            unit: 'mm',
            decimals: 3,
            held: greatest,
          },
          { key: 'meanMm', what: 'Mean', value: part.meanMm, unit: 'mm', decimals: 4 },
          um('outOfRoundUm', 'Out of round, worst', part.outOfRoundUm),
          um('taperUm', 'Taper, first − last', part.taperUm),
          um('barrelUm', 'Barrel (+) or waist (−)', part.barrelUm),
        ],
        working: part.stations.map(one =>
          line(
            `${one.station || 'Station'}`,
            'mean; greatest − least',
            `mean ${say(one.meanMm, 4)}`,
            one.outOfRoundUm === null
              ? 'one plane: out of round is open'
              : `${say(one.outOfRoundUm, 1)} µm out of round`,
          ),
        ),
        notes: [
          'Two-point readings miss odd lobes: three planes or a vee block find them.',
          ...(part.outOfRoundUm === null ? ['One plane only: out of round is open.'] : []),
        ],
        more: { stations: part.stations },
      }
    }),
})
