import type { DemoMachine } from '../thornmere.ts'

/** The conveyors that carry the scrap of the packing line off: sisters, one open on the bench. */
export const CONVEYORS: DemoMachine[] = [
  {
    tag: 'H-711',
    name: 'Packing scrap conveyor 1',
    area: 'sugar',
    line: 'packing',
    sheet: 'm18-linear-conveyor',
    variants: { size: 'small', tray: 'single', air: 'own' },
    hoursRun: 9100,
    hoursPerWeek: 80,
    overhauls: [
      {
        hours: 4300,
        on: '2025-05-26',
        complaint: 'Hammers since the fitter before',
        signs: ['hammers'],
        wear: { general: 0.35, figures: { 'adjuster asFound': 1.4, 'valve valve': 'ringed 1' } },
        cause: 'Its adjuster had been left where it fell: it stood out by 1.4 mm',
      },
    ],
  },
  {
    tag: 'H-712',
    name: 'Packing scrap conveyor 2',
    area: 'sugar',
    line: 'packing',
    sheet: 'm18-linear-conveyor',
    variants: { size: 'small', tray: 'single', air: 'own' },
    hoursRun: 9400,
    hoursPerWeek: 80,
    overhauls: [
      {
        hours: 4600,
        on: '2025-06-02',
        complaint: 'Planned',
        wear: { general: 0.3 },
      },
      {
        hours: 9400,
        on: '2026-12-01',
        complaint: 'Slow, and slower every week',
        signs: ['slow'],
        wear: {
          general: 0.45,
          figures: { 'rate asFound': 131, 'silencers-found': 'black and wet', 'bores body': 'scores 1' },
        },
        until: 'pistons-tried',
      },
    ],
  },
]
