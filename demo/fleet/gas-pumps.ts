import type { DemoMachine } from '../thornmere.ts'

/** The pumps that feed the burners of the pulp drier with liquefied gas: sisters, one half built. */
export const GAS_PUMPS: DemoMachine[] = [
  {
    tag: 'P-621',
    name: 'Drier gas pump 1',
    area: 'drier',
    line: 'burner gas',
    sheet: 'm19-rotary-vane-pump',
    variants: { drive: 'coupling', sense: 'right', relief: 'built', vanes: 'plastic' },
    hoursRun: 24100,
    hoursPerWeek: 96,
    fitter: 'T. Brisco',
    overhauls: [
      {
        hours: 9900,
        on: '2022-06-20',
        complaint: 'Planned',
        wear: { general: 0.3 },
      },
      {
        hours: 19200,
        on: '2025-05-05',
        complaint: 'Hammers at full fire',
        signs: ['hammers'],
        wear: {
          general: 0.45,
          figures: {
            'shake asFound': 7.9,
            'vanes vane@2': 'chip 2',
            'vanes vane@3': 'chip 1',
            'vanes vane@5': 'chip 3',
          },
        },
        cause: 'Its strainer was half choked, and it drew vapour',
      },
    ],
  },
  {
    tag: 'P-622',
    name: 'Drier gas pump 2',
    area: 'drier',
    line: 'burner gas',
    sheet: 'm19-rotary-vane-pump',
    variants: { drive: 'coupling', sense: 'right', relief: 'built', vanes: 'plastic' },
    hoursRun: 22400,
    hoursPerWeek: 96,
    fitter: 'T. Brisco',
    overhauls: [
      {
        hours: 10400,
        on: '2023-05-22',
        complaint: 'Planned',
        wear: { general: 0.35 },
      },
      {
        hours: 22400,
        on: '2026-11-30',
        complaint: 'Weeps at the tell-tale, head warm',
        signs: ['weeps', 'hot'],
        wear: {
          general: 0.5,
          renewed: ['carbon@out', 'seat@out'],
          figures: {
            'tell-found': 'frost, or bubbles in soap',
            'float-found': 0.11,
            'tab-found-out': 'none is bent',
            'carbons carbon@out': 'part 2 from 4:00 to 8:00',
            'chip-out inspect': 'a chip at the notch',
          },
        },
        until: 'contact',
      },
    ],
  },
]
