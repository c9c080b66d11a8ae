import type { DemoMachine } from '../thornmere.ts'

/** The thin-juice pumps of the evaporators, each upright on its motor once it is apart: sisters. */
export const SANITARY_PUMPS: DemoMachine[] = [
  {
    tag: 'P-361',
    name: 'Thin-juice pump 1',
    area: 'evaporation',
    line: 'thin juice',
    sheet: 'm15-sanitary-pump',
    variants: { size: 'large', faces: 'hard', quench: 'water', union: 'clamp' },
    hoursRun: 18300,
    hoursPerWeek: 125,
    overhauls: [
      {
        hours: 9800,
        on: '2025-03-03',
        complaint: 'Drips at the thrower',
        signs: ['drips'],
        wear: {
          general: 0.35,
          renewed: ['turning-ring', 'still-ring'],
          figures: { 'faces turning-ring': 'checks 2 from 1:00 to 4:00' },
        },
        cause: 'It had run dry after a cleaning: its suction valve was still shut',
      },
      {
        hours: 15400,
        on: '2026-04-13',
        complaint: 'Planned',
        wear: { general: 0.3 },
      },
    ],
  },
  {
    tag: 'P-362',
    name: 'Thin-juice pump 2',
    area: 'evaporation',
    line: 'thin juice',
    sheet: 'm15-sanitary-pump',
    variants: { size: 'large', faces: 'hard', quench: 'water', union: 'clamp' },
    hoursRun: 17100,
    hoursPerWeek: 125,
    overhauls: [
      {
        hours: 8900,
        on: '2025-02-10',
        complaint: 'Planned',
        wear: { general: 0.3 },
      },
      {
        hours: 17100,
        on: '2026-11-30',
        complaint: 'Gives no head; it was overhauled by others in summer',
        signs: ['no-head'],
        wear: {
          general: 0.45,
          figures: { 'head asFound': 0.72, 'gap asFound': 1.31 },
        },
        until: 'casing-on',
      },
    ],
  },
]
