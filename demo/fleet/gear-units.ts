import type { DemoMachine } from '../thornmere.ts'

/** Gear units with split sleeve bearings. */
export const GEAR_UNITS: DemoMachine[] = [
  {
    tag: 'G-402',
    name: 'Lime-kiln gear unit',
    area: 'juice',
    line: 'lime kiln',
    sheet: 'm10-gear-unit',
    variants: { thrust: 'shoulders', pump: 'attached', cooler: 'fitted', hubs: 'pulled' },
    hoursRun: 41350,
    hoursPerWeek: 150,
    overhauls: [
      {
        hours: 14800,
        on: '2022-05-09',
        complaint: 'Planned',
        wear: { general: 0.25, checks: { 'clear-so': 0.4, 'bore-so': 0.45, 'pump-end': 0.3 } },
      },
      {
        hours: 28200,
        on: '2024-05-13',
        complaint: 'Slow output bearing 12 K warmer than the others',
        signs: ['hot'],
        wear: {
          general: 0.4,
          checks: { 'bore-so': 1.15, 'pump-end': 0.55 },
          renewed: ['half@so-lower', 'half@so-upper'],
          figures: {
            'lining-so inspect lower half': 'smeared patch',
            'oil asFound': 'grey glitter',
            'teeth wheel': 'pits 1 at 8:00, loaded flank',
            'journals wheel': 'scores 1, output side',
          },
        },
        cause: 'The slow shaft lay skew in its output bearing; the lining had wiped at one end',
      },
      {
        hours: 41350,
        on: '2026-11-12',
        complaint: 'Grey glitter in the strainer, pressure down to 1.3 bar',
        signs: ['pressure'],
        wear: {
          general: 0.45,
          checks: { 'bore-si': 0.7, 'pump-end': 0.8, 'pump-side': 0.7 },
          figures: {
            'oil asFound': 'grey glitter',
            'catch': 'flakes of white metal',
            'lining-fo inspect lower half': 'bright at one end only',
            // A wire of 0.43 between shims of 0.40: the half could move.
            'pinch-si output end, wire, flattened': 0.43,
            'strips-fo input end': 0.86,
            'strips-fo output end': 0.97,
          },
        },
        until: 'journals-oiled',
      },
    ],
  },
  {
    tag: 'G-117',
    name: 'Pulp-press gear unit',
    area: 'beet',
    line: 'presses',
    sheet: 'm10-gear-unit',
    variants: { thrust: 'ring', pump: 'outside', cooler: 'none', hubs: 'kept' },
    hoursRun: 27600,
    hoursPerWeek: 110,
    overhauls: [
      {
        hours: 12900,
        on: '2023-04-17',
        complaint: 'Knock at every change of load',
        wear: { general: 0.35, checks: { 'float-slow': 1.2 }, renewed: ['thrust-ring'] },
        cause: 'Thrust ring worn on its plain side: it had been put in the wrong way out',
      },
      {
        hours: 24100,
        on: '2026-03-02',
        complaint: 'Planned',
        wear: { general: 0.42, checks: { 'clear-fi': 0.75, 'bore-fi': 0.7, 'journal-fi': 0.6 } },
      },
    ],
  },
]
