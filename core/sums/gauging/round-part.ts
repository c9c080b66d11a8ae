import { type Consequences, leftOpen } from '../../verdict.ts'
import { reduceRoundPart } from '../../gauging/index.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { choice, number, optional, rows, text } from '../fields.ts'
import { hold, makerMax, makerMin } from '../limits.ts'
import { SIZE } from './shared.ts'

/** What a size out of its limits means: it depends on which part it is. */
const SIZE_SAYS: Record<'journal' | 'bore' | 'part', Consequences> = {
  journal: {
    low: 'the journal is worn or ground under: its fit is slack',
    high: 'the journal is over size: it does not enter, or it is gripped',
  },
  bore: {
    low: 'the bore is under size: it grips what should turn or slide in it',
    high: 'the bore is worn or cut over: its fit is slack',
  },
  part: { low: 'under its minimum size', high: 'over its maximum size' },
}

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
    part: optional(choice('It is a', ['journal', 'bore'])),
    minMm: makerMin('mm', SIZE),
    maxMm: makerMax('mm', SIZE),
    maxOutOfRoundUm: optional(number('Maximum out of round', 'µm', [0, 5000])),
    maxTaperUm: optional(number('Maximum taper', 'µm', [0, 5000])),
  },
  example: {
    readings: [
      ['drive end', 'A', 59.985],
      ['drive end', 'B', 59.989],
      ['middle', 'A', 59.983],
      ['middle', 'B', 59.986],
      ['non-drive end', 'A', 59.991],
      ['non-drive end', 'B', 59.993],
    ].map(([station, plane, mm]) => ({ station: station as string, plane: plane as string, mm: mm as number })),
    part: 'journal',
    minMm: 59.98,
    maxMm: 60,
    maxOutOfRoundUm: 8,
    maxTaperUm: 10,
  },
  work: ({ readings, part: what, minMm, maxMm, maxOutOfRoundUm, maxTaperUm }) =>
    answering(reduceRoundPart(readings), part => {
      const limits = { min: minMm, max: maxMm }
      const says = SIZE_SAYS[what ?? 'part']
      const [least, greatest] = [hold(part.leastMm, limits, says), hold(part.greatestMm, limits, says)]
      const um = (key: string, what: string, value: number | null) => ({ key, what, value, unit: 'µm', decimals: 1 })
      /** A shape held against its limit; where too few places were read it stays Open. */
      const shape = (value: number | null, max: number | undefined, high: string, wants: string) =>
        max === undefined
          ? {}
          : value === null
            ? { held: leftOpen(hold(Number.NaN, { max }), wants) }
            : { held: hold(Math.abs(value), { max }, { high }) }
      return {
        figures: [
          { key: 'leastMm', what: 'Minimum reading', value: part.leastMm, unit: 'mm', decimals: 3, held: least },
          {
            key: 'greatestMm',
            what: 'Maximum reading',
            value: part.greatestMm,
            unit: 'mm',
            decimals: 3,
            held: greatest,
          },
          { key: 'meanMm', what: 'Mean', value: part.meanMm, unit: 'mm', decimals: 4 },
          {
            ...um('outOfRoundUm', 'Out of round, worst', part.outOfRoundUm),
            ...shape(
              part.outOfRoundUm,
              maxOutOfRoundUm,
              'it bears on its high places: the film breaks there',
              'one plane says nothing of it',
            ),
          },
          {
            ...um('taperUm', 'Taper, first − last', part.taperUm),
            ...shape(part.taperUm, maxTaperUm, 'one end carries alone and wipes', 'one station says nothing of it'),
          },
          um('barrelUm', 'Barrel (+) or waist (−)', part.barrelUm),
        ],
        working: part.stations.map(one =>
          line(
            `${one.station || 'Station'}`,
            'mean; maximum − minimum',
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
