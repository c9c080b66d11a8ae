import type { DemoMachine } from '../thornmere.ts'

/** Cycloidal reducers of the beet end. */
export const REDUCERS: DemoMachine[] = [
  {
    tag: 'R-118',
    name: 'Beet conveyor drive',
    area: 'beet',
    line: 'unloading',
    sheet: 'm3-cycloidal-reducer',
    variants: { size: 'large', lubrication: 'oil', fan: 'fitted', mount: 'feet' },
    hoursRun: 26400,
    hoursPerWeek: 100,
    overhauls: [
      {
        hours: 9700,
        on: '2023-03-06',
        complaint: 'Planned',
        wear: { general: 0.3, checks: { 'lost-motion': 0.45, 'cam-play': 0.4 } },
      },
      {
        hours: 18800,
        on: '2025-02-03',
        complaint: 'Hums under load, oil black',
        wear: {
          general: 0.45,
          checks: { 'lost-motion': 0.8, 'ring-pin-size': 0.9, 'collar-track': 1.2 },
          renewed: ['ring-pins', 'ring-rollers', 'collar'],
          figures: {
            'ring-turn inspect': 'one stands still',
            'oil-seen asFound': 'black',
            'lobes disc@first': 'pits 1 at 4:30',
          },
        },
        cause: 'A ring roller stood still and wore flat; the oil had not been changed for two seasons',
      },
      {
        hours: 26400,
        on: '2026-11-20',
        complaint: 'Knocks when a full belt starts',
        signs: ['knock'],
        wear: {
          general: 0.5,
          checks: { 'lost-motion': 1.1, 'cam-play': 0.85 },
          figures: { 'lobes disc@first': 'pits 2 from 4:00 to 5:00', 'lobes disc@second': 'oval 1' },
        },
        slips: { 'second-on': { mates: { 'second-opposite': { deg: 0 } } } },
        until: 'top-on',
      },
    ],
  },
  {
    tag: 'R-121',
    name: 'Cossette elevator drive',
    area: 'beet',
    line: 'slicers',
    sheet: 'm3-cycloidal-reducer',
    variants: { size: 'small', lubrication: 'grease', fan: 'none', mount: 'flange' },
    hoursRun: 15200,
    hoursPerWeek: 84,
    overhauls: [
      {
        hours: 5100,
        on: '2023-11-27',
        complaint: 'Grease out along the slow shaft',
        wear: { general: 0.3, checks: { 'collar-track': 1.1 }, renewed: ['collar'] },
        cause: 'The lip had been folded over the collar when the cap went on',
      },
      {
        hours: 12300,
        on: '2026-01-19',
        complaint: 'Planned',
        wear: { general: 0.5, checks: { 'lost-motion': 0.7, 'cam-play': 0.6 } },
      },
    ],
  },
]
