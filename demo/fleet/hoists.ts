import type { DemoMachine } from '../thornmere.ts'

/** The lever hoists of the fitting shop and the sugar end. */
export const HOISTS: DemoMachine[] = [
  {
    tag: 'L-21',
    name: 'Lever hoist 2.5 t',
    area: 'sugar',
    line: 'fitting shop',
    sheet: 'm2-lever-hoist',
    variants: { size: 'two-half', guard: 'changeover' },
    hoursRun: 410,
    hoursPerWeek: 3,
    overhauls: [
      {
        hours: 190,
        on: '2024-01-15',
        complaint: 'Yearly examination',
        wear: { general: 0.2, figures: { throat: 34.2, loaded: 3120 } },
      },
      {
        hours: 310,
        on: '2025-06-02',
        complaint: 'The load creeps down overnight',
        signs: ['creeps'],
        wear: {
          general: 0.4,
          renewed: ['disc@outer', 'disc@inner'],
          figures: {
            'throat': 34.4,
            'loaded': 3120,
            'light-load': 'it runs down, slowly',
            'cloth-found': 'a grey or yellow smear',
            'discs disc@outer': 'black 2',
            'discs disc@inner': 'black 1',
          },
        },
        cause: 'Somebody had greased its brake to free it',
      },
    ],
  },
  {
    tag: 'L-22',
    name: 'Lever hoist 5 t',
    area: 'beet',
    line: 'pump hall',
    sheet: 'm2-lever-hoist',
    variants: { size: 'five', guard: 'limiter' },
    hoursRun: 620,
    hoursPerWeek: 4,
    overhauls: [
      {
        hours: 280,
        on: '2024-02-12',
        complaint: 'Yearly examination',
        wear: { general: 0.3 },
      },
      {
        hours: 450,
        on: '2025-02-17',
        complaint: 'Yearly examination',
        wear: { general: 0.45 },
      },
      {
        hours: 620,
        on: '2026-11-25',
        complaint: 'The chain jumps with a crack',
        signs: ['jumps'],
        wear: {
          general: 0.5,
          renewed: ['chain'],
          figures: { 'pitch asFound place 3': 137.9, 'pitch asFound place 4': 137.4 },
        },
        until: 'side-gears-on',
      },
    ],
  },
]
