import type { DemoMachine } from '../thornmere.ts'

/** Direct-current motors of the presses, sisters. */
export const MOTORS: DemoMachine[] = [
  {
    tag: 'D-117',
    name: 'Motor of pulp press 1',
    area: 'beet',
    line: 'presses',
    sheet: 'm9-dc-motor',
    variants: { hub: 'injected', air: 'blower', turning: 'both', tacho: 'belt' },
    hoursRun: 33100,
    hoursPerWeek: 118,
    overhauls: [
      {
        hours: 12400,
        on: '2022-06-13',
        complaint: 'Planned',
        wear: { general: 0.3, checks: { profile: 0.6 } },
      },
      {
        hours: 26800,
        on: '2025-05-12',
        complaint: 'Sparks at two arms when the press reverses',
        signs: ['sparks'],
        wear: {
          general: 0.35,
          checks: { profile: 0.95 },
          figures: {
            'skin': 'bars burnt at one edge',
            'rocker-found': 'beside its mark, but tight',
            'pigtails': 'one or two blue',
            'undercut-found': 0.4,
          },
        },
        cause: 'The rocker had been clamped by its old line after the last skim, and neutral was not tried',
      },
    ],
  },
  {
    tag: 'D-118',
    name: 'Motor of pulp press 2',
    area: 'beet',
    line: 'presses',
    sheet: 'm9-dc-motor',
    variants: { hub: 'injected', air: 'blower', turning: 'both', tacho: 'belt' },
    hoursRun: 29600,
    hoursPerWeek: 112,
    overhauls: [
      {
        hours: 14100,
        on: '2023-05-22',
        complaint: 'Insulation has fallen over the campaign',
        signs: ['low-ohms'],
        wear: {
          general: 0.4,
          figures: { 'damp-found armature': 3.1e6, 'damp-found fields': 8.4e6, 'skin': 'streaked' },
        },
        cause: 'The filter of the blower had been left out; carbon dust lay on every end turn',
      },
      {
        hours: 29600,
        on: '2026-11-28',
        complaint: 'Every few bars dark, and it hums',
        signs: ['sparks', 'hums'],
        wear: {
          general: 0.45,
          checks: { profile: 1.1 },
          figures: { 'skin': 'every so many bars dark', 'undercut-found': 0.6 },
        },
        until: 'oven',
        waitsSince: '9 h',
      },
    ],
  },
]
