import { holdAgainst } from '../../verdict.ts'
import { OTHER_MACHINES, SUPPORTS, VIBRATION_GROUPS, vibrationZone } from '../../proving/index.ts'
import { answering, defineSum, line } from '../define.ts'
import { choice, number, optional } from '../fields.ts'
import { ZONE_SAYS } from './shared.ts'

export const vibrationSum = defineSum({
  name: 'vibration',
  craft: 'proving',
  title: 'Vibration zone',
  about: 'Velocity r.m.s. on a bearing housing, by group and support.',
  source: 'ISO 20816-3; not for reciprocating machines, gear units, sets of 15 kW or less or pumps',
  fields: {
    mmPerS: number('Velocity r.m.s.', 'mm/s', [0, 200]),
    group: choice('Machine', VIBRATION_GROUPS),
    support: choice('Support', SUPPORTS),
    other: optional(choice('It is a', OTHER_MACHINES)),
  },
  example: { mmPerS: 2.1, group: 'medium: over 15 up to 300 kW, or shaft height 160 to 315 mm', support: 'rigid' },
  work: ({ mmPerS, group, support, other }) =>
    answering(vibrationZone(mmPerS, group, support, other), ({ zone, limits }) => ({
      figures: [
        {
          key: 'mmPerS',
          what: 'Velocity',
          value: mmPerS,
          unit: 'mm/s',
          decimals: 2,
          held: {
            ...holdAgainst(
              mmPerS,
              { max: limits[1], warningShare: 1 - limits[0] / limits[1] },
              'ISO 20816-3, zone B ends',
            ),
            consequence: zone === 'A' ? null : ZONE_SAYS[zone],
          },
        },
        { key: 'zone', what: 'Zone', value: zone },
      ],
      working: [line('Zones', 'A/B, B/C, C/D', `${group.split(':')[0]}, ${support}`, `${limits.join(', ')} mm/s`)],
    })),
})
