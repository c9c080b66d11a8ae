import type { DemoMachine } from '../thornmere.ts'

/** Separators of the lime mud, sisters. */
export const DECANTERS: DemoMachine[] = [
  {
    tag: 'C-611',
    name: 'Lime-mud separator 1',
    area: 'juice',
    line: 'lime mud',
    sheet: 'm17-decanter',
    variants: { casing: 'pressure', overload: 'cell' },
    hoursRun: 24900,
    hoursPerWeek: 96,
    fitter: 'T. Brisco',
    overhauls: [
      {
        hours: 12700,
        on: '2024-04-22',
        complaint: 'The gear end growls and runs hot',
        signs: ['hot'],
        wear: {
          general: 0.35,
          renewed: ['bearing@gear'],
          figures: {
            'growl': 'it growls at the gear end',
            'warm gear end': 91,
            'tracks bearing@gear': 'track-aslant 2',
          },
        },
        cause: 'Ferrules of feet 1 and 3 had been exchanged at the last lift: the pedestal stood askew',
      },
      {
        hours: 20900,
        on: '2026-04-13',
        complaint: 'Shakes since the frost, and trips on a full bowl',
        signs: ['shakes', 'trips'],
        wear: {
          general: 0.45,
          checks: { 'shake': 1.15, 'spline-play': 0.7 },
          figures: { 'flight scroll': 'tile-off 2, liquor end third', 'liner bowl': 'cut 1, middle' },
        },
        cause: 'Two tiles off the scroll; the pieces lay in the hopper',
      },
    ],
  },
  {
    tag: 'C-612',
    name: 'Lime-mud separator 2',
    area: 'juice',
    line: 'lime mud',
    sheet: 'm17-decanter',
    variants: { casing: 'pressure', overload: 'cell' },
    hoursRun: 21800,
    hoursPerWeek: 94,
    fitter: 'T. Brisco',
    overhauls: [
      {
        hours: 9900,
        on: '2024-02-05',
        complaint: 'Liquor at the feed pipe',
        signs: ['weeps'],
        wear: {
          general: 0.3,
          figures: { 'pins-found pin 2': 1.2, 'feed-faces feed-seal': 'checks 2 from 2:00 to 5:00' },
        },
        cause: 'A drive pin had backed out, and the seal had turned on its shaft',
      },
      {
        hours: 14600,
        on: '2025-02-10',
        complaint: 'Growls at the liquor end',
        signs: ['hot'],
        wear: { general: 0.4, renewed: ['bearing@liquor'], figures: { growl: 'it growls at the liquor end' } },
        cause: 'Greased by the shot and not by weight: too much, and it had churned itself hot',
      },
      {
        hours: 21800,
        on: '2026-11-27',
        complaint: 'Shakes, and the liquor comes out dirty',
        signs: ['shakes', 'dirty'],
        wear: { general: 0.5, checks: { shake: 1.1, warm: 0.7 } },
        until: 'casing-up',
      },
    ],
  },
]
