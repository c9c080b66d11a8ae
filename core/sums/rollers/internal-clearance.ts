import { holdAgainst } from '../../verdict.ts'
import { CLEARANCE_GROUPS, groupClearance } from '../../rollers/index.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { choice, number, optional } from '../fields.ts'
import { BORE } from './shared.ts'

const TABLES = ['deep groove ball', 'cylindrical roller', 'spherical roller', 'spherical roller, tapered bore'] as const

export const internalClearanceSum = defineSum({
  name: 'internal-clearance',
  craft: 'rollers',
  title: 'Clearance group',
  about: 'Radial internal clearance of an unmounted bearing by its group, and the one measured by feeler against it.',
  source: 'ISO 5753-1:2009',
  fields: {
    kind: choice('Kind', TABLES),
    boreMm: BORE,
    group: choice('Group', CLEARANCE_GROUPS),
    measuredUm: optional(number('Measured by feeler', 'µm', [0, 1000])),
  },
  example: { kind: 'deep groove ball', boreMm: 60, group: 'C3', measuredUm: 34 },
  work: ({ kind, boreMm, group, measuredUm }) =>
    answering(groupClearance(kind, boreMm, group), ({ leastUm, greatestUm }) => ({
      figures: [
        ...(measuredUm === undefined
          ? []
          : [
              {
                key: 'measuredUm',
                what: 'Measured',
                value: measuredUm,
                unit: 'µm',
                decimals: 0,
                held: holdAgainst(
                  measuredUm,
                  { min: leastUm, max: greatestUm, warningShare: 0 },
                  `group ${group}, ISO 5753-1`,
                  {
                    low: 'less clearance than its group: another bearing, or already strained',
                    high: 'more clearance than its group: another bearing, or worn',
                  },
                ),
              },
            ]),
        { key: 'leastUm', what: 'Group, least', value: leastUm, unit: 'µm', decimals: 0 },
        { key: 'greatestUm', what: 'Group, greatest', value: greatestUm, unit: 'µm', decimals: 0 },
      ],
      working: [line('Group', 'ISO 5753-1', `${kind}, ${say(boreMm)} mm, ${group}`, `${leastUm} to ${greatestUm} µm`)],
    })),
})
