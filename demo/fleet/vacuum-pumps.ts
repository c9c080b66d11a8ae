import type { DemoMachine } from '../thornmere.ts'

/** The vacuum pumps of the drum filters, sisters: one is apart down to its bearings. */
export const VACUUM_PUMPS: DemoMachine[] = [
  {
    tag: 'V-351',
    name: 'Filter vacuum pump 1',
    area: 'juice',
    line: 'filters',
    sheet: 'm11-vacuum-gear-pump',
    variants: { size: 's16', seal: 'lip', mount: 'feet', idler: 'steel', school: 'wrench' },
    hoursRun: 23900,
    hoursPerWeek: 120,
    overhauls: [
      {
        hours: 8100,
        on: '2022-04-04',
        complaint: 'Planned',
        wear: { general: 0.3 },
      },
      {
        hours: 16800,
        on: '2024-09-09',
        complaint: 'Draws air when it stands',
        signs: ['air-in'],
        wear: {
          general: 0.4,
          renewed: ['seal-head', 'seat'],
          figures: {
            'rise asFound At the end, absolute': 6.1,
            'set-found': 2.02,
            'faces seal-head': 'chip 2 at 2:30',
          },
        },
        cause: 'The pack had been two gaskets where three belong: its seal was hardly pressed',
      },
    ],
  },
  {
    tag: 'V-352',
    name: 'Filter vacuum pump 2',
    area: 'juice',
    line: 'filters',
    sheet: 'm11-vacuum-gear-pump',
    variants: { size: 's16', seal: 'ring', mount: 'feet', idler: 'plastic', school: 'wrench' },
    hoursRun: 25200,
    hoursPerWeek: 120,
    overhauls: [
      {
        hours: 9300,
        on: '2022-08-15',
        complaint: 'Planned',
        wear: { general: 0.35 },
      },
      {
        hours: 25200,
        on: '2026-11-27',
        complaint: 'Pulls no vacuum since the filter cloth tore',
        signs: ['no-vacuum'],
        wear: {
          general: 0.5,
          renewed: ['plate@rd', 'plate@ri'],
          figures: {
            'vacuum asFound': 0.0118,
            'float asFound': 0.19,
            'plates-* inspect rear': 4.951,
            'plates plate@rd': 'arcs 3',
            'plates plate@ri': 'arcs 3',
          },
        },
        until: 'gaps',
      },
    ],
  },
]
