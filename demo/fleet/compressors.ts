import type { DemoMachine } from '../thornmere.ts'

/** Compressors of the cold-water sets, sisters. */
export const COMPRESSORS: DemoMachine[] = [
  {
    tag: 'K-541',
    name: 'Cold-water compressor 1',
    area: 'sugar',
    line: 'cold water',
    sheet: 'm5-reciprocating-compressor',
    variants: { 'oiling': 'pump', 'right-head': 'unloader', 'oil': 'ester', 'start': 'part' },
    hoursRun: 31400,
    hoursPerWeek: 74,
    fitter: 'T. Brisco',
    overhauls: [
      {
        hours: 16900,
        on: '2023-04-17',
        complaint: 'Left head hotter than the right',
        signs: ['hot'],
        wear: {
          general: 0.3,
          figures: { 'head-warm left head': 121, 'reeds plate@left': 'coke 2, discharge reed of the first bore' },
        },
        cause:
          'A discharge reed of the left plate had leaked and coked; nobody had looked at it at the last oil change',
      },
      {
        hours: 27600,
        on: '2025-10-27',
        complaint: 'Knocks as it starts, and the paper of the oil filter glitters',
        signs: ['knocks'],
        wear: {
          general: 0.4,
          checks: { 'end-play': 0.95 },
          figures: {
            'catch': 'bronze or bright metal',
            'level': 'foam, no line to be seen',
            'oil-found': 'thin and full of gas',
          },
        },
        cause: 'The heater had been dead all summer: it had started full of liquid, and washed its bushes',
      },
    ],
  },
  {
    tag: 'K-542',
    name: 'Cold-water compressor 2',
    area: 'sugar',
    line: 'cold water',
    sheet: 'm5-reciprocating-compressor',
    variants: { 'oiling': 'pump', 'right-head': 'plain', 'oil': 'ester', 'start': 'part' },
    hoursRun: 28800,
    hoursPerWeek: 71,
    fitter: 'T. Brisco',
    overhauls: [
      { hours: 17300, on: '2023-05-15', complaint: 'Planned', wear: { general: 0.35, checks: { 'reed-lift': 0.6 } } },
      {
        hours: 28800,
        on: '2026-11-26',
        complaint: 'No longer pulls the cold down',
        signs: ['weak'],
        wear: {
          general: 0.45,
          checks: { 'plate-flat': 0.85 },
          figures: { 'head-warm right head': 112, 'reeds plate@right': 'cut 1, seats' },
        },
        until: 'nitrogen-read',
        waitsSince: '5 h',
      },
    ],
  },
]
