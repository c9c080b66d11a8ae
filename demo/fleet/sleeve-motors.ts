import type { DemoMachine } from '../thornmere.ts'

/** The motors of the carbonation gas fans: two sisters in sleeve bearings, one of them on a converter. */
export const SLEEVE_MOTORS: DemoMachine[] = [
  {
    tag: 'E-431',
    name: 'Gas fan motor 1',
    area: 'juice',
    line: 'carbonation',
    sheet: 'm6-sleeve-bearing-motor',
    variants: { rings: 'one', nde: 'plain', coupling: 'float' },
    hoursRun: 52300,
    hoursPerWeek: 130,
    overhauls: [
      {
        hours: 21800,
        on: '2021-05-10',
        complaint: 'Planned',
        wear: { general: 0.3 },
      },
      {
        hours: 47600,
        on: '2025-05-19',
        complaint: 'Its drive end runs hot since the restart',
        signs: ['hot'],
        wear: {
          general: 0.45,
          renewed: ['bush@de', 'ring@de'],
          figures: {
            'warm drive end': 92,
            'rings-found': 'one of them stands',
            'lining bush@de': 'wiped 2 from 4:00 to 8:00',
            'ring-round-de inspect': 1.6,
          },
        },
        cause: 'The oil ring had been bent as the bush was drawn at the last overhaul, and had stopped',
      },
    ],
  },
  {
    tag: 'E-432',
    name: 'Gas fan motor 2',
    area: 'juice',
    line: 'carbonation',
    sheet: 'm6-sleeve-bearing-motor',
    variants: { rings: 'one', nde: 'insulated', coupling: 'float' },
    hoursRun: 44100,
    hoursPerWeek: 130,
    overhauls: [
      {
        hours: 18900,
        on: '2022-05-16',
        complaint: 'Shakes; the converter was fitted the year before',
        signs: ['shakes'],
        wear: {
          general: 0.4,
          renewed: ['bush@nde'],
          figures: { 'lining bush@nde': 'frost 2 from 4:00 to 8:00', 'shake asFound non-drive end': 4.9 },
        },
        cause: 'One screw of the insulated bell had no sleeve: current went through the bearing',
      },
      {
        hours: 44100,
        on: '2026-11-30',
        complaint: 'Hunts to and fro at half load',
        signs: ['hunts'],
        wear: { general: 0.5, figures: { 'line-found': 2.4 } },
        until: 'even',
        waitsSince: '2 h',
      },
    ],
  },
]
