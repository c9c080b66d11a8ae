import { holdAgainst } from '../../verdict.ts'
import { CLEARANCE_GROUPS, groupClearance } from '../../rollers/index.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { choice, number, optional } from '../fields.ts'
import { BORE } from './shared.ts'

const TABLES = ['deep groove ball', 'cylindrical roller', 'spherical roller', 'spherical roller, tapered bore'] as const

/** Under this bore there is no room for a feeler between roller and ring. */
const FEELER_FROM_MM = 60

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
    measuredUm: optional(
      number('Measured', 'µm', [0, 1000], 'by feeler over a roller; ball and small bearings by dial'),
    ),
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
      notes:
        kind === 'deep groove ball' || boreMm < FEELER_FROM_MM
          ? ['By dial, the ring pushed up and down: a feeler rolls a ball away, and does not go into a small bearing.']
          : ['By feeler over the unloaded roller, not rolled through; several rollers round.'],
      working: [line('Group', 'ISO 5753-1', `${kind}, ${say(boreMm)} mm, ${group}`, `${leastUm} to ${greatestUm} µm`)],
    })),
})
