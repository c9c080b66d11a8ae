import { CLEARANCE_GROUPS, groupClearance } from '../../rollers/index.ts'
import { accept } from '../../result.ts'
import { defineSum, fig, line, say } from '../define.ts'
import { choice, limitOf, number, optional } from '../fields.ts'
import { hold, makerMax, makerMin } from '../limits.ts'
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
    minUm: limitOf(makerMin('µm', [0, 2000]), 'measuredUm'),
    maxUm: limitOf(makerMax('µm', [0, 2000]), 'measuredUm'),
  },
  example: { kind: 'deep groove ball', boreMm: 60, group: 'C3', measuredUm: 34 },
  work: ({ kind, boreMm, group, measuredUm, minUm, maxUm }) => {
    const limits = { min: minUm, max: maxUm }
    const isMakers = minUm !== undefined || maxUm !== undefined
    const table = groupClearance(kind, boreMm, group)
    // Larger than the tables kept here, the maker's own limits serve; without them the table's refusal asks for them.
    if (!table.ok && !isMakers) return table
    const general = table.ok && {
      limits: { min: table.value.leastUm, max: table.value.greatestUm, warningShare: 0 },
      source: `group ${group}, ISO 5753-1`,
    }
    return accept({
      figures: [
        ...(measuredUm === undefined
          ? []
          : [
              fig(
                'measuredUm',
                'Measured',
                measuredUm,
                'µm',
                0,
                hold(
                  measuredUm,
                  isMakers ? { ...limits, warningShare: 0 } : {},
                  {
                    low: 'less clearance than its group: another bearing, or already strained',
                    high: 'more clearance than its group: another bearing, or worn',
                  },
                  general || undefined,
                ),
              ),
            ]),
        ...(table.ok
          ? [
              fig('leastUm', 'Group, minimum', table.value.leastUm, 'µm', 0),
              fig('greatestUm', 'Group, maximum', table.value.greatestUm, 'µm', 0),
            ]
          : []),
      ],
      working: [
        line(
          'Group',
          table.ok ? 'ISO 5753-1' : 'the maker’s',
          `${kind}, ${say(boreMm)} mm, ${group}`,
          table.ok
            ? `${table.value.leastUm} to ${table.value.greatestUm} µm`
            : `${minUm === undefined ? '' : `at least ${say(minUm, 0)} `}${maxUm === undefined ? '' : `at most ${say(maxUm, 0)} `}µm`,
        ),
      ],
      notes: [
        kind === 'deep groove ball' || boreMm < FEELER_FROM_MM
          ? 'By dial, the ring pushed up and down: a feeler rolls a ball away, and does not go into a small bearing.'
          : 'By feeler over the unloaded roller, not rolled through; several rollers round.',
        ...(isMakers && table.ok
          ? [
              `The maker’s limits go before the group’s ${table.value.leastUm} to ${table.value.greatestUm} µm; both are said.`,
            ]
          : []),
      ],
    })
  },
})
