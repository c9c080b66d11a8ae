import type { DemoMachine } from '../thornmere.ts'

/** The couplings of the beet slicers: two sisters that drive alike, one of them locked up for the heavier drum. */
export const COUPLINGS: DemoMachine[] = [
  {
    tag: 'U-131',
    name: 'Slicer coupling 1',
    area: 'beet',
    line: 'slicers',
    sheet: 'm1-torsional-coupling',
    variants: { size: 'large', duty: 'soft', grip: 'keyed' },
    hoursRun: 31200,
    hoursPerWeek: 120,
    overhauls: [
      {
        hours: 14900,
        on: '2023-06-12',
        complaint: 'Planned; rattles at the start',
        signs: ['rattles'],
        wear: {
          general: 0.4,
          checks: { play: 0.9 },
          figures: { 'elements elements': 'worn 2', 'pockets-found': 'in every second pocket' },
        },
        cause: 'Elements set with age',
      },
      {
        hours: 29800,
        on: '2026-03-09',
        complaint: 'Black crumbs under it, and it slings grease',
        signs: ['crumbs', 'slings'],
        wear: {
          general: 0.5,
          renewed: ['drive-plate'],
          checks: { play: 1.15 },
          figures: {
            'align asFound rim': 0.42,
            'plays-drive inspect': 0.19,
            'bore-drive inspect': 156.192,
            'bush-worn': 'bright on one side of it alone',
            'elements elements': 'crack 2',
          },
        },
        cause: 'The motor stood 0.4 mm out of line: its front feet had been shimmed without reading it warm',
      },
    ],
  },
  {
    tag: 'U-132',
    name: 'Slicer coupling 2',
    area: 'beet',
    line: 'slicers',
    sheet: 'm1-torsional-coupling',
    variants: { size: 'large', duty: 'locked', grip: 'keyed' },
    hoursRun: 28700,
    hoursPerWeek: 120,
    overhauls: [
      {
        hours: 13200,
        on: '2023-07-03',
        complaint: 'Planned',
        wear: { general: 0.3, figures: { 'elements elements': 'worn 1' } },
      },
      {
        hours: 28700,
        on: '2026-11-30',
        complaint: 'Its line was broken at the look in October: the hub has crept',
        signs: ['creeps'],
        wear: {
          general: 0.45,
          figures: {
            'line-found': 'broken, the hub has moved up',
            'hub-depth': 8.7,
            'taper hub': 'dust 1',
          },
        },
        until: 'locker',
        waitsSince: '8 h',
      },
    ],
  },
]
